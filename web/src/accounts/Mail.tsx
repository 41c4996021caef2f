import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, data, type Schemas, Server } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Notice } from '../ui/Notice';
import { TextField } from './TextField';

type When = Schemas['MailChosen']['licences'];
type Kind = 'licences' | 'signatures' | 'recalls';

const WHEN: readonly (readonly [When, string])[] = [
  ['at-once', 'At once'],
  ['daily', 'Once a day, with the rest'],
  ['never', 'Not by mail'],
];

const KINDS: readonly (readonly [Kind, string])[] = [
  ['recalls', 'A release was recalled'],
  ['signatures', 'Something to sign'],
  ['licences', 'Licences that end in 90, 30, 7 days'],
];

/** What one is told by mail, and where: an address counts once the code that was sent there is typed. */
export function Mail() {
  const chosen = Server.useQuery('get', '/api/account/mail').data;
  if (!chosen) return null;
  return (
    <section aria-label="Mail">
      <h2 className="text-second text-soft pb-1">What you are told by mail</h2>
      {chosen.on ? (
        <Chosen chosen={chosen} />
      ) : (
        <p>This installation sends no mail. Who looks after it sets a mail server first.</p>
      )}
    </section>
  );
}

function Chosen({ chosen }: { chosen: Schemas['MailChosen'] }) {
  const caughtUp = useCaughtUp();
  const choose = useMutation({
    mutationFn: (next: Record<Kind, When>) => data(api.PUT('/api/account/mail', { body: next })),
    onSettled: caughtUp,
  });
  const forget = useMutation({
    mutationFn: () => data(api.DELETE('/api/account/mail/address')),
    onSettled: caughtUp,
  });
  const { licences, signatures, recalls } = choose.isPending ? choose.variables : chosen;
  const now = { licences, signatures, recalls };
  return (
    <div className="flex flex-col gap-3">
      {chosen.address && (
        <p className="flex flex-wrap items-baseline gap-x-3">
          <span>
            To <span className="font-mono">{chosen.address}</span>
          </span>
          <Button className="text-second" disabled={forget.isPending} onClick={() => forget.mutate()}>
            Forget it
          </Button>
        </p>
      )}
      {chosen.refused && (
        <Notice
          message={`Nothing is sent there any longer: the mail server refused the address (${chosen.refused}). Confirm it anew, or give another.`}
        />
      )}
      {chosen.address ? (
        <div className="flex flex-wrap gap-3">
          {KINDS.map(([kind, words]) => (
            <Choice
              key={kind}
              label={words}
              value={now[kind]}
              options={WHEN}
              onChange={(when) => choose.mutate({ ...now, [kind]: when })}
            />
          ))}
        </div>
      ) : (
        <p>
          Give an address, and you are told of recalls, of what waits for your signature, and of licences that
          end.
        </p>
      )}
      <Address asked={chosen.asked} first={!chosen.address && !chosen.asked} />
      {(choose.error ?? forget.error) && <Notice message={(choose.error ?? forget.error)!.message} />}
    </div>
  );
}

function Address({ asked, first }: { asked: string | null; first: boolean }) {
  const caughtUp = useCaughtUp();
  const [address, setAddress] = useState('');
  const [code, setCode] = useState('');
  const ask = useMutation({
    mutationFn: () => data(api.POST('/api/account/mail/address', { body: { address } })),
    onSuccess: () => {
      setAddress('');
      return caughtUp();
    },
  });
  const confirm = useMutation({
    mutationFn: () => data(api.PUT('/api/account/mail/address', { body: { code } })),
    onSuccess: () => {
      setCode('');
      return caughtUp();
    },
  });
  return (
    <>
      {asked && (
        <form
          className="flex flex-wrap items-end gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            confirm.mutate();
          }}
        >
          <TextField
            label={`The code that was sent to ${asked}`}
            autoComplete="one-time-code"
            maxLength={40}
            value={code}
            onChange={setCode}
          />
          <Button type="submit" className="py-1.5" disabled={confirm.isPending}>
            Confirm the address
          </Button>
        </form>
      )}
      {confirm.error && <Notice message={confirm.error.message} />}
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          ask.mutate();
        }}
      >
        <TextField
          label={first ? 'Your address' : 'Another address'}
          type="email"
          autoComplete="email"
          maxLength={254}
          value={address}
          onChange={setAddress}
        />
        <Button type="submit" className="py-1.5" disabled={ask.isPending}>
          Send a code there
        </Button>
      </form>
      {ask.error && <Notice message={ask.error.message} />}
    </>
  );
}
