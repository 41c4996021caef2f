import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, data, type Role, Server } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Notice } from '../ui/Notice';
import { OneTimeLink } from './OneTimeLink';
import { PartChoice } from './PartChoice';

/** Invites somebody: makes a link that works once. */
export function Invite({ group, parties }: { group: number; parties: { id: number; name: string }[] }) {
  const caughtUp = useCaughtUp();
  const [name, setName] = useState('');
  const [role, setRole] = useState<Role>('member');
  const [party, setParty] = useState<number | null>(null);
  const [mailTo, setMailTo] = useState('');
  const mail = Server.useQuery('get', '/api/account/mail').data?.on ?? false;
  const invite = useMutation({
    mutationFn: () =>
      data(
        api.POST('/api/groups/{group}/invitations', {
          params: { path: { group } },
          body: {
            name: name.trim() || (parties.find((each) => each.id === party)?.name ?? ''),
            role,
            party,
            mailTo: mailTo.trim() || null,
          },
        }),
      ),
    onSuccess: () => {
      setName('');
      setMailTo('');
      setParty(null);
      return caughtUp();
    },
  });
  return (
    <section aria-label="Invite somebody">
      <h2 className="text-second text-soft pb-1">Invite somebody</h2>
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          invite.mutate();
        }}
      >
        <Field label="Who it is for" className="w-56" value={name} maxLength={200} onChange={setName} />
        <PartChoice role={role} party={party} parties={parties} onRole={setRole} onParty={setParty} />
        {mail && (
          <Field
            label="Mail it to (or leave empty)"
            type="email"
            className="w-64"
            value={mailTo}
            maxLength={254}
            onChange={setMailTo}
          />
        )}
        <Button
          kind="strong"
          type="submit"
          disabled={invite.isPending || (name.trim() === '' && party === null)}
        >
          {mailTo.trim() ? 'Mail the link' : 'Create the link'}
        </Button>
      </form>
      {invite.error && <Notice message={invite.error.message} />}
      {invite.data?.notMailed && (
        <Notice message={`It could not be mailed: ${invite.data.notMailed}. Give the link yourself.`} />
      )}
      {invite.data && (
        <OneTimeLink
          path={`/invitation#${invite.data.token}`}
          words={
            invite.data.mailed
              ? `Mailed to ${invite.data.mailed}. It works once, for 14 days, and is not shown again.`
              : 'Give it to them yourself. It works once, for 14 days, and is not shown again.'
          }
        />
      )}
    </section>
  );
}
