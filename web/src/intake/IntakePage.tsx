import { keepPreviousData } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams } from 'react-router';
import { type Schemas, Server } from '../api/client';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import { Notice } from '../ui/Notice';
import { PageHeader } from '../ui/PageHeader';
import type { BroughtIn } from './bring';
import { OwnList } from './OwnList';
import { ReadRows } from './ReadRows';
import { TakeBar } from './TakeBar';
import { Unsaid } from './Unsaid';
import { useDestination } from './destination';

type Mapping = Schemas['TableMapping'];
type Show = 'all' | 'doubt' | 'aside';

/** A table on its way to becoming a list: what each column is taken for, and what each row becomes. */
export function IntakePage() {
  const intake = Number(useParams().intake);
  const brought = Server.useQuery('get', '/api/intakes/{intake}', { params: { path: { intake } } });
  return (
    <div className="flex h-full flex-col">
      <title>Bring in a table · Wache</title>
      <PageHeader />
      {brought.error && (
        <main className="mx-auto w-full max-w-3xl p-6">
          <Notice message={brought.error.message}>
            <Button onClick={() => window.location.assign('/lists')}>To the lists</Button>
          </Notice>
        </main>
      )}
      {brought.data?.list && <OwnList key={intake} brought={brought.data} />}
      {brought.data && !brought.data.list && <Reading key={intake} brought={brought.data} />}
    </div>
  );
}

function Reading({ brought }: { brought: BroughtIn }) {
  const [sheet, setSheet] = useState('');
  const [mapping, setMapping] = useState<Mapping>();
  const [show, setShow] = useState<Show>('all');
  const [from, setFrom] = useState(0);
  const destination = useDestination(brought);
  const read = Server.useQuery(
    'post',
    '/api/intakes/{intake}/reading',
    {
      params: { path: { intake: brought.id } },
      body: {
        sheet,
        mapping: mapping ?? null,
        show,
        from,
        into: destination.into,
        team: destination.team,
      },
    },
    { placeholderData: keepPreviousData },
  );
  if (read.error)
    return (
      <main className="mx-auto w-full max-w-3xl p-6">
        <Notice message={read.error.message}>
          <Button onClick={() => setMapping(undefined)}>Guess the columns again</Button>
        </Notice>
      </main>
    );
  if (!read.data) return <p className="text-soft p-6">Reading the table …</p>;
  const { data: table } = read;
  // What was chosen last, even while the rows are still being read for it.
  const used = mapping ?? table.mapping;
  const change = (next: Mapping) => {
    setFrom(0);
    setMapping(next);
  };
  const looked = (next: Show) => {
    setFrom(0);
    setShow(next);
  };
  return (
    <main className="flex min-h-0 grow flex-col">
      <header className="flex flex-col gap-2 px-5 pt-4 pb-3">
        <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
          <h1 className="text-title font-semibold">What each column is</h1>
          <p className="text-soft grow">
            {table.remembered
              ? 'Read as your group last read a table with these headings.'
              : 'Guessed from the headings and from what stands in them.'}{' '}
            Change what is wrong; the rows follow at once.
          </p>
        </div>
        <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
          {brought.sheets.length > 1 && (
            <Choice
              label="Sheet"
              value={table.sheet}
              options={brought.sheets.map((each) => [each.name, `${each.name} (${each.rows} rows)`] as const)}
              onChange={(next) => {
                setSheet(next);
                setMapping(undefined);
                setFrom(0);
              }}
            />
          )}
          <Unsaid value={used.unsaid} onChange={(unsaid) => change({ ...used, unsaid })} />
          {table.levels.map((level) => (
            <Field
              key={level}
              label={`“${level.charAt(0).toUpperCase()}${level.slice(1)}” power is`}
              unit="W"
              mono
              className="w-36"
              placeholder="not known"
              value={used.levels[level] ?? ''}
              onChange={(watts) => change({ ...used, levels: { ...used.levels, [level]: watts } })}
            />
          ))}
          <span className="grow" />
          <span className="flex flex-wrap gap-1.5" role="group" aria-label="Which rows">
            <Shown now={show} to="all" count={table.rows} word="All rows" onShow={looked} />
            <Shown now={show} to="doubt" count={table.doubts} word="To look at" onShow={looked} />
            <Shown now={show} to="aside" count={table.aside} word="Kept aside" onShow={looked} />
          </span>
        </div>
      </header>
      <ReadRows
        table={table}
        mapping={used}
        kinds={brought.kinds}
        from={from}
        onFrom={setFrom}
        onMapping={change}
        stale={read.isPlaceholderData}
      />
      <TakeBar
        brought={brought}
        destination={destination}
        sheet={table.sheet}
        mapping={used}
        entries={table.entries}
        note={
          table.aside > 0
            ? `${table.aside} ${table.aside === 1 ? 'row is' : 'rows are'} kept aside with the list, each with its reason; nothing is dropped.`
            : 'Every row becomes an entry.'
        }
      />
    </main>
  );
}

function Shown({
  now,
  to,
  count,
  word,
  onShow,
}: {
  now: Show;
  to: Show;
  count: number;
  word: string;
  onShow: (to: Show) => void;
}) {
  return (
    <button
      type="button"
      aria-pressed={now === to}
      onClick={() => onShow(to)}
      className={`text-second rounded border px-2.5 py-1 leading-tight ${now === to ? 'border-accent bg-accent-wash' : 'border-line hover:border-edge'} ${to === 'aside' && count > 0 ? 'text-hold' : to === 'doubt' && count > 0 ? 'text-query' : ''}`}
    >
      {word} <span className="font-mono">{count}</span>
    </button>
  );
}
