import { keepPreviousData } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { Server } from '../api/client';
import { ListHeader } from '../desk/ListHeader';
import { INPUT } from '../ui/Field';
import { Notice } from '../ui/Notice';
import { VERDICTS, VerdictMark, verdictWord } from '../ui/VerdictMark';
import { MatrixGrid } from './MatrixGrid';
import { ReasonPanel } from './ReasonPanel';
import { byRow, type Cell } from './cells';

const BY: [string, string][] = [
  ['person', 'By person'],
  ['team', 'By team'],
  ['class', 'By class'],
];

/** Who may key what: the entries of a list against the people, teams or classes of the group. */
export function MatrixPage() {
  const list = Number(useParams().list);
  const [params, setParams] = useSearchParams();
  const go = useNavigate();
  const by = params.get('by') ?? 'person';
  const only = params.get('only') === 'carriers';
  const [find, setFind] = useState('');
  const [cell, setCell] = useState<Cell>({ row: 0, column: 0 });
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
  const decided = useMemo(() => (matrix.data ? byRow(matrix.data, shown) : []), [matrix.data, shown]);
  const set = (changes: Record<string, string | undefined>) => {
    setCell({ row: cell.row, column: 0 });
    setParams(
      (old) => {
        const next = new URLSearchParams(old);
        Object.entries(changes).forEach(([key, text]) => (text ? next.set(key, text) : next.delete(key)));
        return next;
      },
      { replace: true },
    );
  };
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
              onClick={() => set({ by: key })}
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
        <span className="grow" />
        <Legend />
      </section>
      {matrix.error && (
        <div className="p-3">
          <Notice message={matrix.error.message} />
        </div>
      )}
      {matrix.data && (
        <div className="flex min-h-0 grow max-lg:flex-col">
          <main className="min-h-0 min-w-0 grow">
            {matrix.data.entries.length === 0 || shown.length === 0 ? (
              <p className="text-soft p-4">
                {matrix.data.entries.length === 0
                  ? 'The list is empty.'
                  : matrix.data.columns.length === 0
                    ? 'There is nobody to ask about yet: take people into the roster first.'
                    : 'Nobody is like that. Clear the search, or show everyone.'}
              </p>
            ) : (
              <MatrixGrid
                matrix={matrix.data}
                columns={shown}
                decided={decided}
                cell={cell}
                onCell={setCell}
                onOpen={(entry) => void go(`/lists/${list}?entry=${entry}`)}
              />
            )}
          </main>
          <ReasonPanel
            list={list}
            by={by}
            parent={matrix.data.parent !== null}
            entry={matrix.data.entries[cell.row]}
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
