import { type InfiniteData } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { Link } from 'react-router';
import { useAddress } from '../ui/useAddress';
import { useGroup } from '../accounts/group';
import { Server, type Schemas } from '../api/client';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { moment } from '../ui/dates';
import { Field, INPUT, Labelled } from '../ui/Field';
import { GroupSelect } from '../ui/GroupSelect';
import { Notice } from '../ui/Notice';
import { PageHeader } from '../ui/PageHeader';

type Kind = Schemas['LogbookKind'];

/** What the log tells of, and how it is called; none is forgotten. */
const KINDS: Record<Kind, string> = {
  list: 'list',
  roster: 'roster',
  radio: 'radio',
  bench: 'bench',
  plan: 'plan',
  tones: 'tones',
  release: 'release',
  people: 'people',
  account: 'account',
  rulebook: 'rulebook',
  station: 'station',
  operation: 'operation',
  area: 'area of a team',
};

/** Who did what, when, to which list, radio or person; nothing is ever taken out of it. */
export function LogPage() {
  const { group } = useGroup();
  const [params, setParams] = useAddress();
  const [typed, setTyped] = useState(params.get('text') ?? '');
  const text = useDeferredValue(typed);
  const sought = {
    kind: (params.get('kind') ?? undefined) as Kind | undefined,
    who: params.get('who') ?? undefined,
    from: params.get('from') ?? undefined,
    to: params.get('to') ?? undefined,
    text: text || undefined,
  };
  const set = (key: string, value: string) => {
    const next = new URLSearchParams(params);
    if (value) next.set(key, value);
    else next.delete(key);
    setParams(next, { replace: true });
  };
  const log = Server.useInfiniteQuery(
    'get',
    '/api/groups/{group}/log',
    { params: { path: { group: group?.id ?? 0 }, query: sought } },
    {
      enabled: group !== undefined,
      placeholderData: (old: InfiniteData<Schemas['LogPage']> | undefined) => old,
      initialPageParam: null as number | null,
      pageParamName: 'older',
      getNextPageParam: (page: Schemas['LogPage']) => page.older ?? undefined,
    },
  );
  const first = log.data?.pages[0];
  const lines = log.data?.pages.flatMap((page) => page.lines) ?? [];
  const days = new Map<string, Schemas['LogLine'][]>();
  for (const line of lines) {
    const key = moment(line.at).replace(/,? \d\d:\d\d.*$/, '');
    days.set(key, [...(days.get(key) ?? []), line]);
  }
  return (
    <div className="flex min-h-full flex-col">
      <title>Log · Wache</title>
      <PageHeader />
      <section
        aria-label="What is looked for"
        className="border-line bg-paper sticky top-0 z-10 flex flex-wrap items-end gap-x-3 gap-y-1 border-b px-5 py-2"
      >
        <h1 className="text-title pb-1 font-semibold">Log</h1>
        <Field label="Find" className="w-52" type="search" value={typed} onChange={setTyped} />
        <Choice
          label="What"
          value={sought.kind ?? ''}
          options={[['', 'everything'], ...(Object.entries(KINDS) as [Kind, string][])]}
          onChange={(value) => set('kind', value)}
        />
        <Choice
          label="Who"
          value={sought.who ?? ''}
          options={[
            ['', 'everybody'] as const,
            ...(first?.people ?? []).map((each) => [each, each] as const),
          ]}
          onChange={(value) => set('who', value)}
        />
        {(['from', 'to'] as const).map((key) => (
          <Labelled key={key} label={key === 'from' ? 'From' : 'To'}>
            <input
              type="date"
              className={INPUT}
              value={sought[key] ?? ''}
              onChange={(event) => set(key, event.target.value)}
            />
          </Labelled>
        ))}
        <span className="grow" />
        <GroupSelect />
        {group && (
          <a
            href={`/api/groups/${group.id}/log.csv`}
            className="text-accent pb-1 underline-offset-2 hover:underline"
          >
            As a table
          </a>
        )}
      </section>
      <main className="mx-auto w-full max-w-6xl px-5 pb-8">
        {log.error && <Notice message={log.error.message} />}
        {log.data && lines.length === 0 && (
          <p className="text-soft pt-4">Nothing is written down that fits.</p>
        )}
        {[...days].map(([day, of]) => (
          <section key={day} aria-label={day}>
            <h2 className="text-second text-soft pt-4 pb-1">{day}</h2>
            <ol className="border-line bg-sheet divide-line divide-y rounded border">
              {of.map((line) => (
                <Line key={line.id} line={line} />
              ))}
            </ol>
          </section>
        ))}
        {log.hasNextPage && (
          <Button className="mt-3" disabled={log.isFetchingNextPage} onClick={() => void log.fetchNextPage()}>
            Earlier
          </Button>
        )}
      </main>
    </div>
  );
}

/** Where something that was done to can be looked at. */
function place(line: Schemas['LogLine']): string | undefined {
  if (line.subjectId === null) return undefined;
  if (line.kind === 'list') return `/lists/${line.subjectId}`;
  if (line.kind === 'roster') return `/roster?party=${line.subjectId}`;
  if (line.kind === 'radio') return `/radios?unit=${line.subjectId}`;
  return undefined;
}

function Line({ line }: { line: Schemas['LogLine'] }) {
  const [open, setOpen] = useState(false);
  const to = place(line);
  const time = moment(line.at).match(/\d\d:\d\d/)?.[0];
  return (
    <li className="px-4 py-1.5">
      <div className="flex items-baseline gap-x-3 max-sm:flex-wrap">
        <time dateTime={line.at} className="text-soft w-12 shrink-0 font-mono">
          {time}
        </time>
        <span className="w-36 shrink-0 truncate">{line.who}</span>
        <span className="min-w-0 grow wrap-anywhere">
          {to ? (
            <Link to={to} className="hover:text-accent font-semibold">
              {line.subject}
            </Link>
          ) : (
            <span className="font-semibold">{line.subject}</span>
          )}
          : {line.what}
        </span>
        {line.changes.length > 0 && (
          <Button
            kind="quiet"
            className="text-second shrink-0"
            aria-expanded={open}
            onClick={() => setOpen(!open)}
          >
            {open ? 'Less' : line.changes.length === 1 ? '1 value' : `${line.changes.length} values`}
          </Button>
        )}
      </div>
      {open && (
        <table className="text-second mt-1 ml-12">
          <thead className="text-soft text-left">
            <tr>
              <th className="pr-6 font-normal">Value</th>
              <th className="pr-6 font-normal">Before</th>
              <th className="font-normal">After</th>
            </tr>
          </thead>
          <tbody>
            {line.changes.slice(0, 60).map((change) => (
              <tr key={change.part} className="border-line border-t align-top">
                <td className="pr-6">{change.part}</td>
                <td className="pr-6 font-mono break-all">{change.before || '–'}</td>
                <td className="font-mono break-all">{change.after || '–'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </li>
  );
}
