import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { AccountFields } from '../accounts/AccountFields';
import { SESSION, useSession } from '../accounts/session';
import { api, data, Server } from '../api/client';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { Wordmark } from '../ui/Wordmark';

/** Where an invitation leads: an account is made, or the one that is signed in comes into the group. */
export function InvitationPage() {
  const token = window.location.hash.slice(1);
  const session = useSession();
  const queries = useQueryClient();
  const [form, setForm] = useState({ login: '', name: '', password: '' });
  const look = Server.useQuery(
    'post',
    '/api/invitation',
    { body: { token } },
    { retry: false, staleTime: Infinity },
  );
  const done = async () => {
    await queries.invalidateQueries(SESSION);
    window.location.assign('/');
  };
  const join = useMutation({
    mutationFn: () => data(api.POST('/api/invitation/membership', { body: { token } })),
    onSuccess: done,
  });
  const make = useMutation({
    mutationFn: async () => {
      await data(api.POST('/api/invitation/account', { body: { ...form, token } }));
      await data(
        api.POST('/api/session', { body: { login: form.login, password: form.password, code: null } }),
      );
    },
    onSuccess: done,
  });
  const account = session.data?.account;
  const problem = look.error ?? join.error ?? make.error;
  return (
    <main className="mx-auto flex max-w-sm flex-col gap-4 px-5 pt-[10vh]">
      <title>Invitation · Wache</title>
      <h1 className="text-title">
        <Wordmark />
      </h1>
      {look.data && (
        <p>
          {look.data.by} invites {look.data.name} to <span className="font-semibold">{look.data.group}</span>{' '}
          as a {look.data.role}
          {look.data.partyName && `, as ${look.data.partyName} of the roster`}.
        </p>
      )}
      {problem && <Notice message={problem.message} />}
      {look.data && account && (
        <Button
          kind="strong"
          className="justify-center py-2"
          disabled={join.isPending}
          onClick={() => join.mutate()}
        >
          Come in as {account.name}
        </Button>
      )}
      {look.data && !account && (
        <form
          className="flex flex-col gap-4"
          onSubmit={(event) => {
            event.preventDefault();
            make.mutate();
          }}
        >
          <AccountFields account={form} onChange={setForm} autoFocus />
          <Button kind="strong" type="submit" disabled={make.isPending} className="justify-center py-2">
            Create the account
          </Button>
          <p className="text-second text-soft">
            If you have an account already,{' '}
            <a href="/" className="text-accent underline underline-offset-2">
              sign in
            </a>{' '}
            and open the link again.
          </p>
        </form>
      )}
    </main>
  );
}
