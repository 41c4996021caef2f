import { useState } from 'react';
import { type Change, type Desk, type Schemas, Server } from '../api/client';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { Whole } from './Whole';

interface Props {
  desk: Desk;
  other?: number;
  otherVersion?: number;
  /** The versions that there are, the newest first; any later one can be compared with. */
  versions?: number[];
  fixed?: string;
  onBack: (label: string, changes: Change[], order?: Schemas['Order']) => Promise<boolean>;
  onMerge?: () => void;
}

const SINCE: Record<Schemas['ListDifferenceKind'], string> = { added: 'new', removed: 'gone', changed: '' };
const BESIDE: Record<Schemas['ListDifferenceKind'], string> = {
  added: 'only here',
  removed: 'only there',
  changed: '',
};

/** What became of an earlier version, or of another list, in this one. */
export function Compare({ desk, other, otherVersion, versions = [], fixed, onBack, onMerge }: Props) {
  const [upTo, setUpTo] = useState('');
  const later = versions.slice(1).filter((each) => each > (otherVersion ?? Infinity));
  const version = later.includes(Number(upTo)) ? Number(upTo) : undefined;
  const asked = Server.useQuery('get', '/api/lists/{list}/difference', {
    params: { path: { list: desk.id }, query: { other, otherVersion, version } },
    asOf: desk.version,
  });
  if (asked.error) return <Notice message={asked.error.message} />;
  if (!asked.data) return <p className="text-soft">Comparing …</p>;
  const { before, after, rows, same, moved, back, backOrder } = asked.data;
  return (
    <section className="flex flex-col gap-3">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h2 className="text-title grow font-semibold">
          {other === undefined ? `Since version ${before.version}` : `Beside ${before.name}`}
        </h2>
        {later.length > 0 && (
          <label className="text-second flex items-center gap-2">
            up to
            <select
              className="border-edge bg-sheet rounded border px-2 py-1"
              value={version ?? ''}
              onChange={(event) => setUpTo(event.target.value)}
            >
              <option value="">now</option>
              {later.map((each) => (
                <option key={each} value={each}>
                  version {each}
                </option>
              ))}
            </select>
          </label>
        )}
        {back.length > 0 && !fixed && (
          <Button
            onClick={() =>
              void onBack(`version ${before.version} brought back`, back, backOrder ?? undefined)
            }
          >
            Bring version {before.version} back
          </Button>
        )}
        {onMerge && <Button onClick={onMerge}>Merge what it changed</Button>}
      </div>
      <p className="text-soft">
        {rows.length === 0
          ? 'No entry differs'
          : `${rows.length} ${rows.length === 1 ? 'entry differs' : 'entries differ'}`}
        , {same} say the same; {before.entries} entries there, {after.entries} here.
        {moved && ' The order differs.'}
      </p>
      <ul className="border-line bg-sheet divide-line divide-y rounded border empty:hidden">
        {rows.map((row, index) => (
          <li key={index} className="flex gap-3 px-3 py-1.5 max-sm:flex-col max-sm:gap-0">
            <span className="w-52 shrink-0 truncate">
              <span className="text-soft font-mono">{row.number}</span>{' '}
              <span className="font-semibold">{row.name || '(no name)'}</span>
            </span>
            <span className="text-second w-20 shrink-0 pt-0.5 font-semibold">
              {(other === undefined ? SINCE : BESIDE)[row.kind]}
            </span>
            <span className="min-w-0 grow">{row.words.join('; ').replace(/^(new|gone): /, '')}</span>
            {row.back.length > 0 && !fixed && (
              <Button
                kind="quiet"
                className="text-second self-start"
                onClick={() => void onBack(`${row.name || row.number} brought back`, row.back)}
              >
                Bring it back
              </Button>
            )}
          </li>
        ))}
      </ul>
      {other === undefined && otherVersion !== undefined && (
        <details>
          <summary className="text-accent cursor-pointer">Version {otherVersion} as a whole</summary>
          <div className="pt-2">
            <Whole list={desk.id} version={otherVersion} />
          </div>
        </details>
      )}
    </section>
  );
}
