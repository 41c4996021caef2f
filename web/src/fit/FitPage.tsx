import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { useAddress } from '../ui/useAddress';
import { api, data, type Schemas, Server } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { ClashDialog } from '../lists/ClashDialog';
import { useListChanges } from '../lists/useListChanges';
import { ListHeader } from '../desk/ListHeader';
import { MatrixGrid } from '../matrix/MatrixGrid';
import { type Cell } from '../matrix/cells';
import { type Place, rowOf, useChosenEntry } from '../matrix/chosen';
import { Button } from '../ui/Button';
import { DoneBar, type Done } from '../ui/DoneBar';
import { Notice } from '../ui/Notice';
import { VERDICTS, VerdictMark, verdictWord } from '../ui/VerdictMark';
import { FitPanel } from './FitPanel';
import { MeantButton } from '../meant/MeantButton';
import { alike, type Meant, withSetting } from '../meant/useMeant';
import { asMatrix } from './asMatrix';

/** A change of one entry, in words, with what it was before. */
interface Edit {
  entry: number;
  words: string;
  before: Record<string, string>;
  after: Record<string, string>;
}

/** The question how a list fits. */
const fitOf = (list: number) =>
  Server.queryOptions('get', '/api/lists/{list}/fit', { params: { path: { list } } });

/** How the list fits the radios: its entries against the models as they are set, each cell with its cure. */
export function FitPage() {
  const caughtUp = useCaughtUp();
  const list = Number(useParams().list);
  const go = useNavigate();
  const [params, setParams] = useAddress();
  const [at, setAt] = useState<Place>({ column: 0 });
  const [trouble, setTrouble] = useState(false);
  const [done, setDone] = useState<Done>();
  const [picked, setPicked] = useState<Meant>();
  const fit = useQuery({ ...fitOf(list), placeholderData: keepPreviousData });
  const matrix = useMemo(() => (fit.data ? asMatrix(fit.data, trouble) : undefined), [fit.data, trouble]);

  // The entry is the one that is chosen on the list's other pages.
  const cell: Cell = {
    row: rowOf(matrix?.entries ?? [], at, params.get('entry')),
    column: at.column,
  };
  const setCell = (next: Cell) => setAt({ entry: matrix?.entries[next.row]?.id, column: next.column });
  useChosenEntry(at.entry, ({ entry }) =>
    setParams(
      (old) => {
        const changed = new URLSearchParams(old);
        if (entry) changed.set('entry', entry);
        return changed;
      },
      { replace: true },
    ),
  );

  const work = useListChanges({ list, queryKey: fitOf(list).queryKey });
  const cure = async (edit: Edit) => {
    const { entry, words, before, after } = edit;
    const changed = await work.act({
      label: words,
      changes: [{ kind: 'edit', entry, behind: null, before, after }],
    });
    if (changed) setDone({ words, version: changed.version });
  };
  const settle = async (mine: ReadonlySet<number>) => {
    const saved = await work.settle(mine);
    if (saved) setDone({ words: saved.label, version: saved.version });
  };
  const choose = useMutation({
    mutationFn: (after: Meant) =>
      data(
        api.PUT('/api/lists/{list}/radios', {
          params: { path: { list: fit.data!.parent ?? list } },
          body: { before: fit.data!.meant, after },
        }),
      ),
    onSettled: () => caughtUp().then(() => setPicked(undefined)),
  });
  const meant = picked ?? fit.data?.meant;
  const column = matrix?.columns[cell.column];
  const fitColumn = fit.data?.columns.find((each) => each.key === column?.key);
  const entry = matrix?.entries[cell.row];
  const problem = fit.error?.message ?? work.problem ?? choose.error?.message;
  return (
    <div className="flex h-full flex-col">
      <title>{`Fit · ${fit.data?.name ?? ''} · Wache`}</title>
      <ListHeader list={list} name={fit.data?.name} />
      <section
        aria-label="What is shown"
        className="border-line flex flex-wrap items-center gap-x-4 gap-y-1 border-b px-3 py-1.5"
      >
        <label className="flex items-center gap-1.5">
          <input type="checkbox" checked={trouble} onChange={(event) => setTrouble(event.target.checked)} />
          Only entries with trouble
        </label>
        <span className="grow" />
        <span className="text-second text-soft flex flex-wrap gap-x-3">
          {VERDICTS.map((verdict) => (
            <span key={verdict} className="inline-flex items-center gap-1">
              <VerdictMark verdict={verdict} size={12} />
              {
                { hold: 'does not go in', query: 'goes in changed', clear: 'fits', listen: 'listens' }[
                  verdict
                ]
              }
              <span className="sr-only">({verdictWord(verdict)})</span>
            </span>
          ))}
        </span>
        <MeantButton list={list} />
        <Link to={`/lists/${list}/keypad`} className="text-accent underline-offset-2 hover:underline">
          By keypad
        </Link>
        <Link to={`/bench?list=${list}`} className="text-accent underline-offset-2 hover:underline">
          Put it into radios
        </Link>
      </section>
      {problem && (
        <div className="p-3">
          <Notice message={problem}>
            {work.problem && (
              <Button onClick={() => void fit.refetch().then(() => work.dismiss())}>Look again</Button>
            )}
          </Notice>
        </div>
      )}
      {done && <DoneBar done={done} back={work.back} onUndone={() => setDone(undefined)} />}
      {matrix && fit.data && (
        <div className="flex min-h-0 grow max-lg:flex-col">
          <main className="min-h-0 min-w-0 grow">
            {fit.data.columns.length === 0 ? (
              <p className="text-soft max-w-prose p-4">
                There is no model of radio yet.{' '}
                <Link to="/radios?show=models" className="text-accent underline-offset-2 hover:underline">
                  Make one
                </Link>
                , and this page says which entries go into it.
              </p>
            ) : matrix.entries.length === 0 ? (
              <p className="text-soft p-4">
                {fit.data.entries.length === 0 ? 'The list is empty.' : 'Every entry fits every radio.'}
              </p>
            ) : (
              <MatrixGrid
                label="How the list fits"
                matrix={matrix}
                columns={matrix.columns}
                decided={[]}
                cell={cell}
                onCell={setCell}
                onOpen={(id) => void go(`/lists/${list}?entry=${id}`)}
              />
            )}
          </main>
          {fitColumn && (
            <FitPanel
              list={list}
              column={{
                ...fitColumn,
                judged: picked
                  ? picked.settings.some((each) => alike(each, settingOf(fitColumn)))
                  : fitColumn.judged,
              }}
              entry={entry}
              variant={fit.data.parent !== null}
              busy={work.busy || choose.isPending}
              onCure={(reason, by) =>
                entry &&
                void cure({
                  entry: entry.id,
                  words: `${entry.name || `Number ${entry.number}`}: ${by.label}`,
                  before: Object.fromEntries(
                    Object.keys(by.changes).map((key) => [key, reason.fields[key] ?? '']),
                  ),
                  after: by.changes,
                })
              }
              onJudge={(judged) => {
                if (!meant) return;
                const next = withSetting(meant, settingOf(fitColumn), judged);
                setPicked(next);
                choose.mutate(next);
              }}
            />
          )}
        </div>
      )}
      {work.clash && <ClashDialog conflict={work.clash.conflict} onSettle={(mine) => void settle(mine)} />}
    </div>
  );
}

const settingOf = (column: Schemas['FitColumn']) => ({
  model: column.model,
  lock: column.lock,
  inhibited: column.inhibited,
});
