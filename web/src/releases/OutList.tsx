import { useState } from 'react';
import type { Schemas } from '../api/client';
import { Button } from '../ui/Button';
import { VerdictMark } from '../ui/VerdictMark';

type Entry = Schemas['OutEntry'];

const FIRST = 60;

/** The entries that go out, or went out: what a second person reads before they sign. */
export function OutList({ list, parts }: { list: string; parts: Schemas['OutPart'][] }) {
  const [part, setPart] = useState(0);
  const [changed, setChanged] = useState(false);
  const [more, setMore] = useState(false);
  const shown = parts[Math.min(part, parts.length - 1)];
  if (!shown) return null;
  const anyChanged = shown.entries.some((entry) => entry.change !== null);
  const entries = changed ? shown.entries.filter((entry) => entry.change !== null) : shown.entries;
  return (
    <div className="flex min-w-0 flex-col gap-1.5">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        {parts.length > 1 && (
          <select
            aria-label="Which list"
            className="border-edge bg-sheet rounded border px-2 py-1"
            value={part}
            onChange={(event) => setPart(Number(event.target.value))}
          >
            {parts.map((each, index) => (
              <option key={each.name} value={index}>
                {each.name || list}
              </option>
            ))}
          </select>
        )}
        <span className="text-second text-soft">{shown.entries.length} entries</span>
        {anyChanged && (
          <label className="text-second flex items-center gap-1.5">
            <input type="checkbox" checked={changed} onChange={(event) => setChanged(event.target.checked)} />
            Only what is new or changed
          </label>
        )}
      </div>
      <div
        className="border-line bg-sheet relative overflow-x-auto rounded border"
        tabIndex={0}
        role="region"
        aria-label="The entries"
      >
        <table className="text-second w-full">
          <thead>
            <tr className="text-soft border-line border-b text-left">
              <th scope="col" className="py-1 pl-3 font-normal">
                No.
              </th>
              {['Name', 'Hears', 'Talks', 'Sends', 'Opens with', 'Mode', 'Power', ''].map((each) => (
                <th key={each} scope="col" className="px-2 font-normal">
                  {each || <span className="sr-only">Remarks</span>}
                </th>
              ))}
            </tr>
          </thead>
          <tbody className="divide-line divide-y">
            {entries.slice(0, more ? undefined : FIRST).map((entry, index) => (
              <Row key={index} entry={entry} />
            ))}
          </tbody>
        </table>
      </div>
      {entries.length > FIRST && !more && (
        <Button kind="quiet" className="text-second self-start" onClick={() => setMore(true)}>
          Show all {entries.length}
        </Button>
      )}
    </div>
  );
}

function Row({ entry }: { entry: Entry }) {
  return (
    <tr className={entry.change === null ? '' : 'bg-accent-wash'}>
      <td className="text-soft py-0.5 pl-3 font-mono">{entry.number}</td>
      <td className="px-2 font-semibold whitespace-nowrap">
        <span className="inline-flex items-center gap-1.5">
          <VerdictMark verdict={entry.verdict} size={11} />
          {entry.name || '(no name)'}
        </span>
      </td>
      <td className="px-2 font-mono">{entry.hears}</td>
      <td className="px-2 font-mono whitespace-nowrap">
        {entry.talks === '' ? (
          <span className="text-soft">listens</span>
        ) : entry.shift === '' ? (
          'direct'
        ) : (
          entry.shift
        )}
      </td>
      <td className="px-2 font-mono">{entry.sends}</td>
      <td className="px-2 font-mono">{entry.opensOn}</td>
      <td className="px-2">{entry.mode}</td>
      <td className="px-2 font-mono whitespace-nowrap">{entry.power && `${entry.power} W`}</td>
      <td className="min-w-48 px-2 py-0.5">
        {entry.change === 'added' && <span className="block font-semibold">new</span>}
        {entry.change === 'changed' && <span className="block font-semibold">{entry.words.join('; ')}</span>}
        {entry.waived.map((why) => (
          <span key={why} className="text-soft block">
            let stand: {why}
          </span>
        ))}
        {entry.leftOut.length > 0 && (
          <span className="text-soft block">stays out of {entry.leftOut.join(', ')}</span>
        )}
      </td>
    </tr>
  );
}
