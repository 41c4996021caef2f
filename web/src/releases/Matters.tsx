import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { useMay } from '../accounts/rights';
import { api, data, type Schemas } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { Button } from '../ui/Button';
import { day } from '../ui/dates';
import { Field, INPUT, Labelled } from '../ui/Field';
import { Notice } from '../ui/Notice';
import { some } from '../ui/people';
import { verdictEdge } from '../ui/VerdictMark';

type Matter = Schemas['GateMatter'];

interface Props {
  list: number;
  /** What was found of one kind by one rule. */
  matters: Matter[];
  heading: string;
  /** What settling it by name is called; nothing for what only a cure settles. */
  settle?: string;
}

/** What one rule found, entry by entry, and the way to let it stand by name. */
export function Matters({ list, matters, heading, settle }: Props) {
  const may = useMay('edit');
  const [settling, setSettling] = useState(false);
  const open = matters.filter((each) => each.waiver === null);
  const told = lines(open);
  const [more, setMore] = useState(false);
  return (
    <section
      aria-label={heading}
      className={`border-line bg-sheet rounded border border-l-[3px] ${open.length === 0 ? 'border-l-clear' : (verdictEdge[matters[0]!.kind === 'hold' ? 'hold' : 'query'] ?? '')}`}
    >
      <div className="flex flex-wrap items-baseline gap-x-3 px-3 py-1.5">
        <h3 className="font-semibold">{heading}</h3>
        <span className="text-second text-soft">
          {open.length > 0 && `${told.length} open`}
          {open.length > 0 && open.length < matters.length && ', '}
          {open.length < matters.length && `${matters.length - open.length} settled`}
        </span>
        <span className="grow" />
        {settle && may && open.length > 0 && !settling && (
          <Button className="text-second" data-gate="settle" onClick={() => setSettling(true)}>
            {settle} …
          </Button>
        )}
      </div>
      {settling && settle ? (
        <Settle list={list} open={open} word={settle} onDone={() => setSettling(false)} />
      ) : (
        <ul className="divide-line border-line divide-y border-t">
          {told.slice(0, more ? undefined : 6).map((each) => (
            <Row key={each[0]!.print} list={list} matters={each} />
          ))}
          {told.length > 6 && !more && (
            <li className="px-3 py-1">
              <Button kind="quiet" className="text-second" onClick={() => setMore(true)}>
                Show {told.length - 6} more
              </Button>
            </li>
          )}
          {together(matters).map((of) => (
            <SettledRow key={of[0]!.print} list={list} matters={of} />
          ))}
        </ul>
      )}
    </section>
  );
}

/** One finding over several radios is one line. */
function lines(matters: Matter[]): Matter[][] {
  const groups = new Map<string, Matter[]>();
  for (const each of matters) {
    const key = `${each.entry} ${each.message}`;
    groups.set(key, [...(groups.get(key) ?? []), each]);
  }
  return [...groups.values()];
}

/** What is let stand, as far as it takes to name it. */
export type Open = Pick<Matter, 'print' | 'number' | 'name' | 'message' | 'model'> & { kind: string };

function Row({ list, matters }: { list: number; matters: Matter[] }) {
  const matter = matters[0]!;
  return (
    <li className="flex flex-wrap items-baseline gap-x-3 px-3 py-1.5">
      <Link
        to={`/lists/${list}?entry=${matter.entry}`}
        className="hover:text-accent w-40 shrink-0 truncate underline-offset-2 hover:underline"
      >
        <span className="text-soft font-mono">{matter.number}</span>{' '}
        <span className="font-semibold">{matter.name || '(no name)'}</span>
      </Link>
      <span className="min-w-60 grow basis-80">
        {matter.message}{' '}
        <span className="text-second text-soft">
          {matter.source}.{' '}
          {matter.model === ''
            ? `For ${some(matter.holders)}.`
            : `In ${matters.map((each) => each.model).join('; ')}.`}
        </span>
      </span>
    </li>
  );
}

/** What was settled with one reason at one time, together. */
function together(matters: Matter[]): Matter[][] {
  const groups = new Map<string, Matter[]>();
  for (const each of matters) {
    if (!each.waiver) continue;
    const key = `${each.waiver.reason} ${each.waiver.by} ${each.waiver.on} ${each.waiver.until ?? ''}`;
    groups.set(key, [...(groups.get(key) ?? []), each]);
  }
  return [...groups.values()];
}

function SettledRow({ matters }: { list: number; matters: Matter[] }) {
  const caughtUp = useCaughtUp();
  const may = useMay('edit');
  const first = matters[0]!;
  const waiver = first.waiver!;
  const end = useMutation({
    mutationFn: async () => {
      for (const each of matters) {
        if (each.waiver?.id != null)
          await data(api.DELETE('/api/waivers/{waiver}', { params: { path: { waiver: each.waiver.id } } }));
      }
    },
    onSettled: caughtUp,
  });
  return (
    <li className="flex items-baseline gap-x-3 px-3 py-1.5">
      <span className="min-w-0 grow">
        <span className="font-semibold">
          {matters.length === 1
            ? `${first.number} ${first.name}`
            : `${matters.length} entries: ${matters.map((each) => each.number).join(', ')}`}
        </span>{' '}
        {waiver.reason}
        <span className="text-second text-soft block">
          {first.kind === 'misfit' ? 'Left out' : 'Waived'} by {waiver.by}, {day(waiver.on)}
          {waiver.until && `, until ${day(waiver.until)}`}. {matters.length === 1 && first.message}
        </span>
        {end.error && <span className="text-hold block">{end.error.message}</span>}
      </span>
      {may && (
        <Button kind="quiet" className="text-second" disabled={end.isPending} onClick={() => end.mutate()}>
          End it
        </Button>
      )}
    </li>
  );
}

/** Which of them, why, and until when. */
export function Settle({
  list,
  open,
  word,
  onDone,
}: {
  list: number;
  open: Open[];
  word: string;
  onDone: () => void;
}) {
  const caughtUp = useCaughtUp();
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [reason, setReason] = useState('');
  const [until, setUntil] = useState('');
  const taken = open.filter((each) => !left.has(each.print));
  const waive = useMutation({
    mutationFn: () =>
      data(
        api.POST('/api/lists/{list}/waivers', {
          params: { path: { list } },
          body: { prints: taken.map((each) => each.print), reason, until: until || null },
        }),
      ),
    onSuccess: onDone,
    onSettled: caughtUp,
  });
  const toggle = (print: string) => {
    const next = new Set(left);
    if (!next.delete(print)) next.add(print);
    setLeft(next);
  };
  return (
    <form
      className="border-line flex flex-col gap-2 border-t px-3 py-2"
      onSubmit={(event) => {
        event.preventDefault();
        waive.mutate();
      }}
    >
      <ul className="max-h-64 overflow-y-auto">
        {open.map((each) => (
          <li key={each.print}>
            <label className="flex items-start gap-2 py-0.5">
              <input
                type="checkbox"
                className="mt-1"
                checked={!left.has(each.print)}
                onChange={() => toggle(each.print)}
              />
              <span>
                <span className="text-soft font-mono">{each.number}</span>{' '}
                <span className="font-semibold">{each.name || '(no name)'}</span>{' '}
                <span className="text-second text-soft">
                  {each.message}
                  {each.model && ` ${each.model}.`}
                </span>
              </span>
            </label>
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap items-end gap-2">
        <Field
          label={`Why it may ${open[0]?.kind === 'misfit' ? 'go without' : 'stand'}: your name goes with it`}
          className="min-w-72 grow"
          value={reason}
          maxLength={500}
          required
          autoFocus
          onChange={setReason}
        />
        <Labelled label="Until, if not for good">
          <input
            type="date"
            className={INPUT}
            value={until}
            onChange={(event) => setUntil(event.target.value)}
          />
        </Labelled>
        <Button onClick={onDone}>Cancel</Button>
        <Button
          kind="strong"
          type="submit"
          disabled={taken.length === 0 || reason.trim() === '' || waive.isPending}
        >
          {word} {taken.length === 1 ? '' : taken.length}
        </Button>
      </div>
      {waive.error && <Notice message={waive.error.message} />}
    </form>
  );
}
