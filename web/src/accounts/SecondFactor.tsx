import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, data } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { QrDrawing } from '../ui/QrDrawing';
import { TextField } from './TextField';

/** The second factor: off, being set up, or on. */
export function SecondFactor({ on, paperCodes }: { on: boolean; paperCodes: number }) {
  const caughtUp = useCaughtUp();
  const [password, setPassword] = useState('');
  const [code, setCode] = useState('');

  const begin = useMutation({
    mutationFn: () => data(api.POST('/api/account/second-factor', { body: { password } })),
    onSuccess: () => setPassword(''),
  });
  const confirm = useMutation({
    mutationFn: () => data(api.PUT('/api/account/second-factor', { body: { code } })),
    onSuccess: () => {
      begin.reset();
      setCode('');
      return caughtUp();
    },
  });
  const off = useMutation({
    mutationFn: () => data(api.POST('/api/account/second-factor/off', { body: { password } })),
    onSuccess: () => {
      setPassword('');
      confirm.reset();
      return caughtUp();
    },
  });
  const problem = begin.error ?? confirm.error ?? off.error;
  return (
    <section aria-label="Second factor" className="flex flex-col gap-2">
      <h2 className="text-second text-soft">Second factor</h2>
      <p>
        {on
          ? `On: signing in asks for the code that your phone shows. ${paperCodes} codes on paper are left.`
          : 'Off: name and password are enough to sign in.'}
      </p>
      {confirm.data && (
        <div
          role="status"
          className="border-line border-l-accent bg-sheet rounded border border-l-[3px] px-4 py-2"
        >
          <p>
            For when the phone is lost: each of these works once. They are not shown again. Print or write
            them down.
          </p>
          <ul className="columns-2 py-2 font-mono sm:columns-4">
            {confirm.data.codes.map((each) => (
              <li key={each}>{each}</li>
            ))}
          </ul>
          <Button onClick={() => window.print()}>Print this page</Button>
        </div>
      )}
      {!begin.data && (
        <form
          className="flex flex-wrap items-end gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            if (on) off.mutate();
            else begin.mutate();
          }}
        >
          <TextField
            label="Your password"
            type="password"
            autoComplete="current-password"
            value={password}
            onChange={setPassword}
          />
          <Button type="submit" className="py-1.5" disabled={begin.isPending || off.isPending}>
            {on ? 'Turn it off' : 'Set it up'}
          </Button>
        </form>
      )}
      {begin.data && (
        <div className="flex flex-wrap gap-6">
          <QrDrawing code={begin.data.code} label="The secret, for the phone" className="size-44" />
          <form
            className="flex max-w-md grow flex-col gap-3"
            onSubmit={(event) => {
              event.preventDefault();
              confirm.mutate();
            }}
          >
            <p>
              Read it with a program for time-based codes on your telephone, or type in{' '}
              <span className="font-mono break-all">{begin.data.secret.replace(/(.{4})(?=.)/g, '$1 ')}</span>.
              Then give the code that it shows.
            </p>
            <div className="flex items-end gap-3">
              <TextField
                label="The code"
                inputMode="numeric"
                autoComplete="one-time-code"
                value={code}
                onChange={setCode}
                autoFocus
              />
              <Button kind="strong" type="submit" className="py-1.5" disabled={confirm.isPending}>
                Turn it on
              </Button>
            </div>
          </form>
        </div>
      )}
      {problem && <Notice message={problem.message} />}
    </section>
  );
}
