import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { useMay } from '../accounts/rights';
import { api, data, type Schemas, Server } from '../api/client';
import { ListHeader } from '../desk/ListHeader';
import { useListChanges } from '../lists/useListChanges';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { additions, another, asked, type Draft, fixed, usualPairs } from './demands';
import { DemandsForm } from './DemandsForm';
import { Proposed } from './Proposed';

const startOf = (list: number) =>
  Server.queryOptions('get', '/api/lists/{list}/proposals/plan', { params: { path: { list } } });

/** A list from nothing, for the teams that carry it: what it has to do, and what is proposed. */
export function ProposePage() {
  const list = Number(useParams().list);
  const start = useQuery(startOf(list));
  return (
    <div className="flex min-h-full flex-col">
      <title>{`Propose a list · ${start.data?.name ?? ''} · Wache`}</title>
      <ListHeader list={list} name={start.data?.name} />
      <main className="mx-auto flex w-full max-w-7xl grow flex-col gap-4 px-5 pt-4 pb-8">
        {start.error && <Notice message={start.error.message} />}
        {start.data && start.data.parent !== null && (
          <p>
            This list follows another and has its entries.{' '}
            <Link className="text-accent underline" to={`/lists/${start.data.parent}/propose`}>
              Propose entries there
            </Link>
            .
          </p>
        )}
        {start.data && start.data.parent === null && start.data.teams.length === 0 && (
          <p className="border-line bg-sheet rounded border px-4 py-3">
            Nobody carries this list yet. Choose who does{' '}
            <Link className="text-accent underline" to={`/lists/${list}`}>
              on the Desk
            </Link>
            : the entries are proposed for their licences and their radios.
          </p>
        )}
        {start.data && start.data.parent === null && start.data.teams.length > 0 && (
          <Proposing key={list} list={list} start={start.data} />
        )}
      </main>
    </div>
  );
}

function Proposing({ list, start }: { list: number; start: Schemas['PlanStart'] }) {
  const go = useNavigate();
  const may = useMay('edit');
  const [draft, setDraft] = useState<Draft>(() => ({
    on: start.on,
    pairs: new Set(usualPairs(start.teams)),
    services: new Set(),
    calling: true,
    command: start.teams.length > 2,
    repeaters: new Set(),
    spare: '1',
    listen: '',
    kept: {},
    without: [],
  }));
  const propose = useMutation({
    mutationFn: (wanted: Draft) =>
      data(api.POST('/api/lists/{list}/proposals/plan', { params: { path: { list } }, body: asked(wanted) })),
  });
  const work = useListChanges({ list, queryKey: startOf(list).queryKey });
  const again = (wanted: Draft) => {
    setDraft(wanted);
    propose.mutate(wanted);
  };
  const take = async (plan: Schemas['PlanView']) => {
    if (await work.act({ label: 'a proposed list', changes: additions(plan.lines, start.next) }))
      void go(`/lists/${list}`);
  };
  const plan = propose.data;
  const problem = propose.error?.message ?? work.problem;
  return (
    <div className="flex gap-6 max-lg:flex-col">
      <div className="w-full shrink-0 lg:w-[360px]">
        <DemandsForm
          start={start}
          draft={draft}
          busy={propose.isPending}
          onDraft={setDraft}
          onPropose={() => propose.mutate(draft)}
        />
      </div>
      <div className="flex min-w-0 grow flex-col gap-3" aria-live="polite">
        {problem && <Notice message={problem} />}
        {!plan && !problem && (
          <p className="text-soft">
            Say what the list has to do and press Propose. Every entry comes with the reason for it and with
            what would have been taken next; keep what you like, ask for another channel, and have the rest
            proposed again.
          </p>
        )}
        {plan && (
          <>
            {plan.lines.length > 0 && (
              <div className="flex flex-wrap items-center gap-3">
                <p role="status" className="text-title grow font-semibold">
                  {plan.lines.length} {plan.lines.length === 1 ? 'entry' : 'entries'} for{' '}
                  {start.teams.length === 1 ? 'one team' : `${start.teams.length} teams`}
                </p>
                {may && (
                  <Button kind="strong" disabled={work.busy} onClick={() => void take(plan)}>
                    {start.next === 1 ? 'Take it' : `Add it from number ${start.next} on`}
                  </Button>
                )}
              </div>
            )}
            <Proposed
              plan={plan}
              draft={draft}
              busy={propose.isPending}
              onFix={(line) => setDraft(fixed(draft, line))}
              onAnother={(line) => again(another(draft, line))}
            />
            <p className="text-second text-soft">
              {start.repeaters.length > 0
                ? 'Direct channels, and the repeaters that you choose.'
                : 'Direct channels only: no repeater near the place is known.'}{' '}
              Listen before you talk: who is on a channel already is not known here.
            </p>
          </>
        )}
      </div>
    </div>
  );
}
