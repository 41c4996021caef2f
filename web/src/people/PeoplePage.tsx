import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useGroup } from '../accounts/group';
import { useMay } from '../accounts/rights';
import { useSession } from '../accounts/session';
import { api, data, type Schemas, Server } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { SESSION } from '../accounts/session';
import { Button } from '../ui/Button';
import { day } from '../ui/dates';
import { GroupSelect } from '../ui/GroupSelect';
import { Notice } from '../ui/Notice';
import { PageHeader } from '../ui/PageHeader';
import { Invite } from './Invite';
import { PartChoice } from './PartChoice';
import { ROLES, ROLE_NAMES } from './roles';

/** The people of a group, what each is in it, and invitations. */
export function PeoplePage() {
  const { group } = useGroup();
  const may = useMay('coordinate');
  const caughtUp = useCaughtUp();
  const people = Server.useQuery(
    'get',
    '/api/groups/{group}/people',
    { params: { path: { group: group?.id ?? 0 } } },
    { enabled: group !== undefined },
  );
  const roster = Server.useQuery(
    'get',
    '/api/groups/{group}/roster',
    { params: { path: { group: group?.id ?? 0 } } },
    { enabled: group !== undefined && may },
  );
  const parties = (roster.data?.parties ?? []).map((each) => ({ id: each.id, name: each.name }));
  const withdraw = useMutation({
    mutationFn: (invitation: number) =>
      data(api.DELETE('/api/invitations/{invitation}', { params: { path: { invitation } } })),
    onSettled: caughtUp,
  });
  return (
    <div className="flex min-h-full flex-col">
      <title>People · Wache</title>
      <PageHeader />
      <main className="mx-auto flex w-full max-w-6xl flex-col gap-5 px-5 pt-4 pb-8">
        <div className="flex flex-wrap items-baseline justify-between gap-2">
          <h1 className="text-title font-semibold">People of {group?.name}</h1>
          <GroupSelect />
        </div>
        {people.error && <Notice message={people.error.message} />}
        {withdraw.error && <Notice message={withdraw.error.message} />}
        <ul className="border-line bg-sheet divide-line divide-y rounded border">
          {people.data?.people.map((person) => (
            <Person key={person.account} group={group!.id} person={person} parties={parties} may={may} />
          ))}
        </ul>
        {(people.data?.invitations.length ?? 0) > 0 && (
          <section aria-label="Open invitations">
            <h2 className="text-second text-soft pb-1">Invited, and not here yet</h2>
            <ul className="border-line bg-sheet divide-line divide-y rounded border">
              {people.data!.invitations.map((each) => (
                <li key={each.id} className="flex flex-wrap items-baseline gap-x-4 px-4 py-1.5">
                  <span className="w-56 truncate font-semibold">{each.name}</span>
                  <span className="grow">
                    {each.role}
                    {each.partyName && `, as ${each.partyName} of the roster`}
                    <span className="text-second text-soft">
                      {' '}
                      by {each.by}, until {day(each.expires.slice(0, 10))}
                    </span>
                  </span>
                  {may && (
                    <Button
                      className="text-second"
                      disabled={withdraw.isPending}
                      onClick={() => withdraw.mutate(each.id)}
                    >
                      Withdraw
                    </Button>
                  )}
                </li>
              ))}
            </ul>
          </section>
        )}
        {may && group && <Invite group={group.id} parties={parties} />}
        <section aria-label="What each may" className="text-second text-soft max-w-prose">
          <h2 className="pb-1">What each may</h2>
          <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-0.5">
            {ROLE_NAMES.map((role) => (
              <div key={role} className="contents">
                <dt className="text-ink">{role}</dt>
                <dd>{ROLES[role]}</dd>
              </div>
            ))}
          </dl>
        </section>
      </main>
    </div>
  );
}

interface PersonProps {
  group: number;
  person: Schemas['GroupPerson'];
  parties: { id: number; name: string }[];
  may: boolean;
}

function Person({ group, person, parties, may }: PersonProps) {
  const queries = useQueryClient();
  const caughtUp = useCaughtUp();
  const self = useSession().data?.account?.login === person.login;
  const [changing, setChanging] = useState(false);
  const [role, setRole] = useState(person.role);
  const [party, setParty] = useState(person.party);
  const path = { params: { path: { group, account: person.account } } };
  const settled = {
    onSuccess: async () => {
      setChanging(false);
      await queries.invalidateQueries(SESSION);
      await caughtUp();
    },
  };
  const change = useMutation({
    mutationFn: () =>
      data(api.PUT('/api/groups/{group}/people/{account}', { ...path, body: { role, party } })),
    ...settled,
  });
  const remove = useMutation({
    mutationFn: () => data(api.DELETE('/api/groups/{group}/people/{account}', path)),
    ...settled,
  });
  const problem = change.error ?? remove.error;
  return (
    <li className="px-4 py-2">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <span className="w-56 truncate font-semibold">
          {person.name}
          {self && <span className="text-soft font-normal"> (you)</span>}
        </span>
        <span className="text-soft w-40 truncate">{person.login}</span>
        <span className="grow">
          {person.role}
          {person.partyName && <span className="text-soft">, as {person.partyName} of the roster</span>}
          {person.closed && <span className="text-hold"> · account closed</span>}
        </span>
        <span className="text-second text-soft">
          {person.secondFactor ? 'second factor' : 'password only'}
        </span>
        {may && !changing && (
          <Button className="text-second" onClick={() => setChanging(true)}>
            Change
          </Button>
        )}
      </div>
      {changing && (
        <form
          className="flex flex-wrap items-end gap-3 pt-2"
          onSubmit={(event) => {
            event.preventDefault();
            change.mutate();
          }}
        >
          <PartChoice role={role} party={party} parties={parties} onRole={setRole} onParty={setParty} />
          <Button kind="strong" type="submit" disabled={change.isPending}>
            Save
          </Button>
          <Button onClick={() => setChanging(false)}>Cancel</Button>
          <span className="grow" />
          <Button disabled={remove.isPending} onClick={() => remove.mutate()}>
            Remove from the group
          </Button>
        </form>
      )}
      {problem && <Notice message={problem.message} />}
    </li>
  );
}
