import { keepPreviousData } from '@tanstack/react-query';
import { useMemo, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useNavigate, useParams } from 'react-router';
import { useAddress } from '../ui/useAddress';
import { Server } from '../api/client';
import { ListHeader } from '../desk/ListHeader';
import { elsewhere } from '../ui/elsewhere';
import { INPUT } from '../ui/Field';
import { Notice } from '../ui/Notice';
import { VERDICTS, VerdictMark, verdictWord } from '../ui/VerdictMark';
import { MatrixGrid } from './MatrixGrid';
import { ReasonPanel } from './ReasonPanel';
import { arranged, byRow, type Cell } from './cells';
import { type Place, rowOf, useChosenEntry } from './chosen';

const BY: [string, string][] = [
  ['person', 'By person'],
  ['team', 'By team'],
  ['class', 'By class'],
];

/** Who may key what: the entries of a list against the people, teams or classes of the group. */
export function MatrixPage() {
  const list = Number(useParams().list);
  const [params, setParams] = useAddress();
  const go = useNavigate();
  const box = useRef<HTMLInputElement>(null);
  useHotkeys('/', () => box.current?.focus(), {
    useKey: true,
    ignoreEventWhen: elsewhere,
    preventDefault: true,
  });
  const by = params.get('by') ?? 'person';
  const only = params.get('only') === 'carriers';
  const [find, setFind] = useState('');
  const [findEntry, setFindEntry] = useState('');
  const [at, setAt] = useState<Place>({ column: 0 });
  const matrix = Server.useQuery(
    'get',
    '/api/lists/{list}/matrix',
    { params: { path: { list }, query: { by } } },
    { placeholderData: keepPreviousData },
  );
  const shown = useMemo(() => {
    const wanted = find.trim().toLowerCase();
    return (matrix.data?.columns ?? []).filter(
      (column) => (!only || column.carries) && column.name.toLowerCase().includes(wanted),
    );
  }, [matrix.data, only, find]);
  const sorted = params.get('sort');
  const seen = useMemo(
    () =>
      matrix.data &&
      arranged(
        matrix.data,
        findEntry,
        shown.find((column) => String(column.key) === sorted),
      ),
    [matrix.data, findEntry, shown, sorted],
  );
  const decided = useMemo(() => (seen ? byRow(seen, shown) : []), [seen, shown]);
  // The entry is the one that is chosen on the list's other pages.
  const cell: Cell = {
    row: rowOf(seen?.entries ?? [], at, params.get('entry')),
    column: Math.min(at.column, Math.max(0, shown.length - 1)),
  };
  const set = (changes: Record<string, string | undefined>) => {
    setParams(
      (old) => {
        const next = new URLSearchParams(old);
        Object.entries(changes).forEach(([key, text]) => (text ? next.set(key, text) : next.delete(key)));
        return next;
      },
      { replace: true },
    );
  };
  const setCell = (next: Cell) => {
    setAt({ entry: seen?.entries[next.row]?.id, column: next.column });
  };
  useChosenEntry(at.entry, set);
  return (
    <div className="flex h-full flex-col">
      <title>{`Who may key · ${matrix.data?.name ?? ''} · Wache`}</title>
      <ListHeader list={list} name={matrix.data?.name} />
      <section
        aria-label="What is shown"
        className="border-line flex flex-wrap items-center gap-x-4 gap-y-1 border-b px-3 py-1.5"
      >
        <div role="group" aria-label="Columns" className="flex">
          {BY.map(([key, label]) => (
            <button
              key={key}
              type="button"
              aria-pressed={by === key}
              onClick={() => {
                setAt({ ...at, column: 0 });
                set({ by: key, sort: undefined });
              }}
              className={`border-edge border px-2.5 py-0.5 first:rounded-l last:rounded-r not-first:-ml-px ${by === key ? 'bg-accent text-on-accent border-accent' : 'hover:text-accent'}`}
            >
              {label}
            </button>
          ))}
        </div>
        {by !== 'class' && (
          <label className="flex items-center gap-1.5">
            <input
              type="checkbox"
              checked={only}
              onChange={(event) => set({ only: event.target.checked ? 'carriers' : undefined })}
            />
            Only who carries the list
          </label>
        )}
        <input
          type="search"
          className={`${INPUT} text-second w-44`}
          aria-label="Find a column"
          placeholder="Find somebody"
          value={find}
          onChange={(event) => setFind(event.target.value)}
        />
        <input
          ref={box}
          type="search"
          className={`${INPUT} text-second w-40`}
          aria-label="Find an entry"
          placeholder="Find an entry  /"
          value={findEntry}
          onChange={(event) => setFindEntry(event.target.value)}
        />
        <span className="grow" />
        <Legend />
      </section>
      {matrix.error && (
        <div className="p-3">
          <Notice message={matrix.error.message} />
        </div>
      )}
      {matrix.data && seen && (
        <div className="flex min-h-0 grow max-lg:flex-col">
          <main className="min-h-0 min-w-0 grow">
            {seen.entries.length === 0 || shown.length === 0 ? (
              <p className="text-soft p-4">
                {matrix.data.entries.length === 0
                  ? 'The list is empty.'
                  : seen.entries.length === 0
                    ? 'No entry matches. Clear the search.'
                    : matrix.data.columns.length === 0
                      ? 'There is nobody to ask about yet: add people to the roster first.'
                      : 'Nobody matches. Clear the search, or show everyone.'}
              </p>
            ) : (
              <MatrixGrid
                matrix={seen}
                columns={shown}
                decided={decided}
                cell={cell}
                onCell={setCell}
                sorted={sorted === null ? undefined : Number(sorted)}
                onSort={(column) => set({ sort: sorted === String(column) ? undefined : String(column) })}
                onOpen={(entry) => void go(`/lists/${list}?entry=${entry}`)}
              />
            )}
          </main>
          <ReasonPanel
            list={list}
            by={by}
            parent={matrix.data.parent !== null}
            entry={seen.entries[cell.row]}
            column={shown[cell.column]}
            decided={decided[cell.row]}
          />
        </div>
      )}
    </div>
  );
}

function Legend() {
  return (
    <span className="text-second text-soft flex flex-wrap gap-x-3">
      {VERDICTS.map((verdict) => (
        <span key={verdict} className="inline-flex items-center gap-1">
          <VerdictMark verdict={verdict} size={12} />
          {{ hold: 'may not', query: 'may, with a query', clear: 'may', listen: 'listens' }[verdict]}
          <span className="sr-only">({verdictWord(verdict)})</span>
        </span>
      ))}
    </span>
  );
}
