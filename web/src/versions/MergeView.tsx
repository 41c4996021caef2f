import { useState } from 'react';
import { api, data, type Change, type Desk, type Schemas, Server } from '../api/client';
import { useCaughtUp } from '../api/fresh';
import { useHeadings } from '../lists/fields';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';

interface Props {
  desk: Desk;
  other: number;
  onTake: (label: string, changes: Change[]) => Promise<boolean>;
  onDone: () => void;
}

type Row = Schemas['MergeRow'];

const WORDS: Record<Schemas['MergeKind'], string> = {
  take: 'changed there only',
  add: 'new there',
  remove: 'taken out there',
  conflict: 'changed on both sides',
  'gone-there': 'taken out there, changed here',
  'gone-here': 'changed there, taken out here',
};
/** What a person has to settle: it is not taken unless they say so. */
const OPEN = ['conflict', 'gone-there', 'gone-here'];

/** What another list would change of this one, from what both began with; conflicts with both texts. */
export function MergeView({ desk, other, onTake, onDone }: Props) {
  const caughtUp = useCaughtUp();
  const headingOf = useHeadings();
  const [chosen, setChosen] = useState<ReadonlyMap<number, boolean>>(new Map());
  const asked = Server.useQuery('get', '/api/lists/{list}/merge', {
    params: { path: { list: desk.id }, query: { other } },
    asOf: desk.version,
  });
  if (asked.error) return <Notice message={asked.error.message} />;
  if (!asked.data) return <p className="text-soft">Bringing the two together …</p>;
  const { rows, base } = asked.data;
  const taken = (row: Row, index: number) => chosen.get(index) ?? !OPEN.includes(row.kind);
  const open = rows.filter((row, index) => OPEN.includes(row.kind) && !chosen.has(index)).length;
  const take = async () => {
    const changes = rows.filter(taken).map((row) => row.change);
    if (changes.length > 0 && !(await onTake(`merge of ${changes.length} changes`, changes))) return;
    await data(
      api.POST('/api/lists/{list}/merged', { params: { path: { list: desk.id } }, body: { other } }),
    );
    setChosen(new Map());
    await caughtUp();
    onDone();
  };
  return (
    <section className="flex flex-col gap-3">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h2 className="text-title grow font-semibold">Merge</h2>
        {rows.length > 0 && (
          <Button kind="strong" disabled={open > 0} onClick={() => void take()}>
            {open > 0
              ? `Settle ${open} ${open === 1 ? 'entry' : 'entries'} first`
              : `Apply ${rows.filter(taken).length} of ${rows.length}`}
          </Button>
        )}
      </div>
      <p className="text-soft">
        {base
          ? `Both began with ${base}.`
          : 'The two have little in common: what is only there would be added.'}{' '}
        {rows.length === 0
          ? 'The other list has nothing new for this one.'
          : 'What only one side changed is ticked.'}
      </p>
      <ul className="border-line bg-sheet divide-line divide-y rounded border empty:hidden">
        {rows.map((row, index) => (
          <li key={index} className="px-3 py-2">
            <label className="flex items-start gap-3">
              <input
                type="checkbox"
                className="mt-1"
                checked={taken(row, index)}
                onChange={(event) => setChosen((old) => new Map(old).set(index, event.target.checked))}
              />
              <span className="w-48 shrink-0 truncate">
                <span className="text-soft font-mono">{row.number}</span>{' '}
                <span className="font-semibold">{row.name || '(no name)'}</span>
              </span>
              <span className="min-w-0 grow">
                {row.words.join('; ')}
                <span className={`text-second block ${OPEN.includes(row.kind) ? 'text-query' : 'text-soft'}`}>
                  {WORDS[row.kind]}
                </span>
              </span>
            </label>
            {OPEN.includes(row.kind) && (
              <div className="mt-1 ml-7 flex flex-wrap items-center gap-x-5 gap-y-1">
                {row.conflicts.map((conflict) => (
                  <span key={conflict.field} className="text-second">
                    {headingOf(conflict.field)}: here{' '}
                    <b className="font-mono">{conflict.mine || 'nothing'}</b>, there{' '}
                    <b className="font-mono">{conflict.theirs || 'nothing'}</b>
                  </span>
                ))}
                <span className="flex gap-2">
                  <Button
                    className="text-second"
                    aria-pressed={chosen.get(index) === false}
                    kind={chosen.get(index) === false ? 'strong' : 'plain'}
                    onClick={() => setChosen((old) => new Map(old).set(index, false))}
                  >
                    Keep what is here
                  </Button>
                  <Button
                    className="text-second"
                    aria-pressed={chosen.get(index) === true}
                    kind={chosen.get(index) === true ? 'strong' : 'plain'}
                    onClick={() => setChosen((old) => new Map(old).set(index, true))}
                  >
                    Take what is there
                  </Button>
                </span>
              </div>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
