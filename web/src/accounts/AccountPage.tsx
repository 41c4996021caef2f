import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, data, type Schemas, Server } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Button } from '../ui/Button';
import { moment } from '../ui/dates';
import { Notice } from '../ui/Notice';
import { PageHeader } from '../ui/PageHeader';
import { Mail } from './Mail';
import { SecondFactor } from './SecondFactor';
import { TextField } from './TextField';

/** One's own account: where one is signed in, second factor, what one is told by mail, password. */
export function AccountPage() {
  const own = Server.useQuery('get', '/api/account');
  return (
    <div className="flex min-h-full flex-col">
      <title>Your account · Wache</title>
      <PageHeader />
      <main className="mx-auto flex w-full max-w-4xl flex-col gap-7 px-5 pt-4 pb-8">
        <h1 className="text-title font-semibold">
          {own.data?.name} <span className="text-soft font-normal">signs in as {own.data?.login}</span>
        </h1>
        {own.error && <Notice message={own.error.message} />}
        {own.data && (
          <>
            <OpenSessions sessions={own.data.sessions} />
            <SecondFactor on={own.data.secondFactor} paperCodes={own.data.paperCodes} />
            <Mail />
            <Password />
          </>
        )}
      </main>
    </div>
  );
}

function OpenSessions({ sessions }: { sessions: Schemas['OwnSession'][] }) {
  const caughtUp = useCaughtUp();
  const settled = { onSettled: caughtUp };
  const end = useMutation({
    mutationFn: (session: string) =>
      data(api.DELETE('/api/account/sessions/{session}', { params: { path: { session } } })),
    ...settled,
  });
  const others = useMutation({ mutationFn: () => data(api.DELETE('/api/account/sessions')), ...settled });
  return (
    <section aria-label="Where you are signed in">
      <div className="flex flex-wrap items-baseline gap-x-3 pb-1">
        <h2 className="text-second text-soft grow">Where you are signed in</h2>
        {sessions.length > 1 && (
          <Button className="text-second" disabled={others.isPending} onClick={() => others.mutate()}>
            Sign out everywhere else
          </Button>
        )}
      </div>
      <ul className="border-line bg-sheet divide-line divide-y rounded border">
        {sessions.map((each) => (
          <li key={each.key} className="flex flex-wrap items-baseline gap-x-4 px-4 py-1.5">
            <span className="min-w-0 grow">
              {each.current ? (
                <span className="font-semibold">Here</span>
              ) : (
                `Last seen ${moment(each.lastSeen)}`
              )}
              <span className="text-second text-soft block truncate">
                since {moment(each.since)}
                {each.address && ` from ${each.address}`} · {each.browser}
              </span>
            </span>
            {!each.current && (
              <Button className="text-second" disabled={end.isPending} onClick={() => end.mutate(each.key)}>
                Sign out there
              </Button>
            )}
          </li>
        ))}
      </ul>
      {(end.error ?? others.error) && <Notice message={(end.error ?? others.error)!.message} />}
    </section>
  );
}

function Password() {
  const [current, setCurrent] = useState('');
  const [next, setNext] = useState('');
  const caughtUp = useCaughtUp();
  const change = useMutation({
    mutationFn: () => data(api.PUT('/api/account/password', { body: { current, next } })),
    onSuccess: () => {
      setCurrent('');
      setNext('');
      return caughtUp();
    },
  });
  return (
    <section aria-label="Password">
      <h2 className="text-second text-soft pb-1">Password</h2>
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          change.mutate();
        }}
      >
        <TextField
          label="The password now"
          type="password"
          autoComplete="current-password"
          value={current}
          onChange={setCurrent}
        />
        <TextField
          label="From now on, at least 10 characters"
          type="password"
          autoComplete="new-password"
          minLength={10}
          value={next}
          onChange={setNext}
        />
        <Button type="submit" className="py-1.5" disabled={change.isPending}>
          Change it
        </Button>
      </form>
      {change.error && <Notice message={change.error.message} />}
      {change.isSuccess && (
        <p role="status" className="text-clear pt-1">
          Changed; sessions elsewhere were ended.
        </p>
      )}
    </section>
  );
}
