import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { AccountMenu } from '../accounts/AccountMenu';
import { useSession } from '../accounts/session';
import { api, data, type Schemas } from '../api/client';
import { Notice } from '../ui/Notice';
import { VERDICTS, VerdictMark, verdictText, verdictWord } from '../ui/VerdictMark';
import { Wordmark } from '../ui/Wordmark';
import { ImportDrop } from './ImportDrop';

/** The group's lists, worst first, and the way to bring in another. */
export function ListsPage() {
  const session = useSession();
  const groups = session.data?.groups ?? [];
  const [chosen, setChosen] = useState<number>();
  const group = groups.find((each) => each.id === chosen) ?? groups[0];
  const go = useNavigate();
  const queries = useQueryClient();
  const lists = useQuery({
    queryKey: ['lists', group?.id],
    enabled: group !== undefined,
    queryFn: () =>
      data(api.GET('/api/groups/{group}/lists', { params: { path: { group: group!.id } } })).then((all) =>
        [...all].sort((a, b) => b.counts.hold - a.counts.hold || b.counts.query - a.counts.query),
      ),
  });
  return (
    <div className="mx-auto flex min-h-full max-w-6xl flex-col px-5 pb-8">
      <title>Lists · Wache</title>
      <header className="flex h-12 items-center justify-between">
        <Wordmark />
        <AccountMenu />
      </header>
      <main className="flex flex-col gap-6 pt-4">
        <div className="flex flex-wrap items-baseline justify-between gap-2">
          <h1 className="text-title font-semibold">{group?.name ?? 'No group yet'}</h1>
          {groups.length > 1 && (
            <select
              aria-label="Group"
              className="border-edge bg-sheet rounded border px-2 py-1"
              value={group?.id}
              onChange={(event) => setChosen(Number(event.target.value))}
            >
              {groups.map((each) => (
                <option key={each.id} value={each.id}>
                  {each.name}
                </option>
              ))}
            </select>
          )}
        </div>
        {lists.error && <Notice message={lists.error.message} />}
        {lists.data && lists.data.length > 0 && <Lists lists={lists.data} />}
        {lists.data?.length === 0 && <Empty />}
        {group && (
          <ImportDrop
            group={group.id}
            onDone={(made) => {
              void queries.invalidateQueries({ queryKey: ['lists'] });
              void go(`/lists/${made.id}`);
            }}
          />
        )}
        <p className="text-second text-soft max-w-prose">
          The rulebook was written from memory. Check against the current rules: this tool does not replace
          your licence terms.
        </p>
      </main>
    </div>
  );
}

function Empty() {
  return (
    <div className="border-line bg-sheet max-w-prose rounded border px-4 py-3">
      <p>There is no list yet. A list is a table with a heading row, for example:</p>
      <pre className="bg-sunk text-second my-2 overflow-x-auto rounded p-2 font-mono">
        {
          'number,name,rx_mhz,tx_mhz,mode,power_w,tx_tone\n1,Ridge repeater,146.940,146.340,FM,5,100.0\n2,Weather,162.550,,NFM,,'
        }
      </pre>
      <p>An empty tx_mhz means that the entry only listens.</p>
    </div>
  );
}

const moment = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  hour: '2-digit',
  minute: '2-digit',
  timeZoneName: 'short',
});

function Lists({ lists }: { lists: Schemas['ListSummary'][] }) {
  return (
    <ul className="border-line bg-sheet divide-line divide-y rounded border">
      {lists.map((list) => (
        <li key={list.id}>
          <Link
            to={`/lists/${list.id}`}
            className={`hover:bg-accent-wash flex flex-wrap items-center gap-x-6 gap-y-1 border-l-[3px] px-4 py-3 ${list.counts.hold > 0 ? 'border-l-hold' : list.counts.query > 0 ? 'border-l-query' : list.entries > 0 ? 'border-l-clear' : 'border-l-line'}`}
          >
            <span className="min-w-0 grow basis-80">
              <span className="block font-semibold">{list.name}</span>
              <span className="text-second text-soft">
                {list.entries} entries, carried by {list.carriers.join(', ')}. Changed{' '}
                {moment.format(new Date(list.changedAt))} by {list.changedBy}
              </span>
            </span>
            <span className="flex gap-4">
              {VERDICTS.map((verdict) => (
                <span
                  key={verdict}
                  className={`flex w-[5.6rem] items-center whitespace-nowrap gap-1.5 ${list.counts[verdict] === 0 ? 'text-soft' : verdictText[verdict]}`}
                >
                  <VerdictMark verdict={verdict} />
                  <span>
                    <span className="font-mono">{list.counts[verdict]}</span>{' '}
                    <span className="text-second">{verdictWord(verdict).toLowerCase()}</span>
                  </span>
                </span>
              ))}
            </span>
          </Link>
        </li>
      ))}
    </ul>
  );
}
