import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, data, type Schemas, Server } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Link } from 'react-router';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Notice } from '../ui/Notice';
import { PageHeader } from '../ui/PageHeader';
import { OneTimeLink } from './OneTimeLink';

/** For those who look after the installation: groups, accounts, new passwords. What groups have is not shown. */
export function InstallationPage() {
  const all = Server.useQuery('get', '/api/installation', {}, { retry: false });
  return (
    <div className="flex min-h-full flex-col">
      <title>Installation · Wache</title>
      <PageHeader />
      <main className="mx-auto flex w-full max-w-6xl flex-col gap-6 px-5 pt-4 pb-8">
        <h1 className="text-title font-semibold">Installation</h1>
        <p>
          <Link to="/installation/rulebooks" className="text-accent underline underline-offset-2">
            Additions to the rulebooks
          </Link>
          <span className="text-soft">: a new edition, or a service of your own.</span>
        </p>
        {all.error && <Notice message={all.error.message} />}
        {all.data && (
          <>
            <Groups groups={all.data.groups} />
            <section aria-label="Accounts">
              <h2 className="text-second text-soft pb-1">Accounts</h2>
              <ul className="border-line bg-sheet divide-line divide-y rounded border">
                {all.data.accounts.map((account) => (
                  <OfAccount key={account.id} account={account} />
                ))}
              </ul>
            </section>
          </>
        )}
      </main>
    </div>
  );
}

function Groups({ groups }: { groups: Schemas['InstalledGroup'][] }) {
  const caughtUp = useCaughtUp();
  const [name, setName] = useState('');
  const [coordinator, setCoordinator] = useState('');
  const add = useMutation({
    mutationFn: () => data(api.POST('/api/installation/groups', { body: { name, coordinator } })),
    onSuccess: () => {
      setName('');
      setCoordinator('');
      return caughtUp();
    },
  });
  return (
    <section aria-label="Groups" className="flex flex-col gap-2">
      <h2 className="text-second text-soft">Groups</h2>
      <ul className="border-line bg-sheet divide-line divide-y rounded border">
        {groups.map((group) => (
          <li key={group.id} className="flex gap-4 px-4 py-1.5">
            <span className="grow font-semibold">{group.name}</span>
            <span className="text-soft">
              {group.people} {group.people === 1 ? 'person' : 'people'}, {group.lists} lists
            </span>
          </li>
        ))}
      </ul>
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          add.mutate();
        }}
      >
        <Field label="A new group" className="w-72" value={name} maxLength={200} onChange={setName} />
        <Field
          label="Who coordinates it"
          className="w-56"
          value={coordinator}
          maxLength={200}
          onChange={setCoordinator}
        />
        <Button type="submit" disabled={!name.trim() || !coordinator.trim() || add.isPending}>
          Create it
        </Button>
      </form>
      {add.error && <Notice message={add.error.message} />}
      {add.data && (
        <OneTimeLink
          path={`/invitation#${add.data.token}`}
          words="The group is there. Give this link to its coordinator: it works once, for 14 days, and is not shown again."
        />
      )}
    </section>
  );
}

function OfAccount({ account }: { account: Schemas['InstalledAccount'] }) {
  const caughtUp = useCaughtUp();
  const path = { params: { path: { account: account.id } } };
  const settled = { onSuccess: caughtUp };
  const link = useMutation({
    mutationFn: () => data(api.POST('/api/installation/accounts/{account}/password-link', path)),
  });
  const factor = useMutation({
    mutationFn: () => data(api.DELETE('/api/installation/accounts/{account}/second-factor', path)),
    ...settled,
  });
  const close = useMutation({
    mutationFn: () =>
      data(
        api.PUT('/api/installation/accounts/{account}/closed', {
          ...path,
          body: { closed: !account.closed },
        }),
      ),
    ...settled,
  });
  const problem = link.error ?? factor.error ?? close.error;
  return (
    <li className="px-4 py-2">
      <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
        <span className="w-48 truncate font-semibold">{account.name}</span>
        <span className="text-soft w-32 truncate">{account.login}</span>
        <span className="min-w-48 grow">
          {account.groups || 'in no group'}
          {account.administrator && <span className="text-soft"> · looks after the installation</span>}
          {account.closed && <span className="text-hold"> · closed</span>}
        </span>
        <Button className="text-second" disabled={link.isPending} onClick={() => link.mutate()}>
          New password
        </Button>
        {account.secondFactor && (
          <Button className="text-second" disabled={factor.isPending} onClick={() => factor.mutate()}>
            Second factor off
          </Button>
        )}
        <Button className="text-second" disabled={close.isPending} onClick={() => close.mutate()}>
          {account.closed ? 'Open' : 'Close'}
        </Button>
      </div>
      {problem && <Notice message={problem.message} />}
      {link.data && (
        <OneTimeLink
          path={`/password#${link.data.token}`}
          words={`Give this link to ${account.name} yourself. It sets a new password once, within a day, and ends every session.`}
        />
      )}
    </li>
  );
}
