import { useState } from 'react';
import type { Schemas } from '../api/client';
import { Button } from '../ui/Button';
import { INPUT } from '../ui/Field';

type Keyed = Schemas['Keyed'];
export type Way = Keyed['how'];

interface Props {
  keyed: Keyed;
  /** What is looked at. */
  shown: Way;
  entries: Schemas['SiteEntry'][];
  stations: string[];
  may: boolean;
  busy: boolean;
  onShow: (how: Way) => void;
  onKeep: (keyed: Keyed) => void;
}

const WAYS: [Way, string, string][] = [
  ['all', 'All entries', 'Everything in the list may be keyed at one site at one time.'],
  ['teams', 'Per team', 'Each zone is a team’s; teams stand too far apart to disturb each other.'],
  ['bases', 'Per base', 'Each base works entries of its own; bases stand apart.'],
];

/** What is keyed together, and whether the Desk asks about it. */
export function KeyingChoice({ keyed, shown, entries, stations, may, busy, onShow, onKeep }: Props) {
  const [editing, setEditing] = useState(false);
  const inForce = keyed.how === shown;
  return (
    <section
      aria-label="What is keyed together"
      className="border-line flex flex-wrap items-center gap-x-3 gap-y-1.5 border-b px-3 py-1.5"
    >
      <span className="text-soft">Keyed together</span>
      <div
        role="group"
        aria-label="Keyed together"
        className="border-edge flex overflow-hidden rounded border"
      >
        {WAYS.map(([how, label, words]) => (
          <button
            key={how}
            type="button"
            title={words}
            aria-pressed={shown === how}
            className={`px-2.5 py-1 leading-tight ${shown === how ? 'bg-accent text-on-accent' : 'bg-sheet hover:text-accent'}`}
            onClick={() => {
              if (how === 'bases' && keyed.how !== 'bases') setEditing(true);
              else onShow(how);
            }}
          >
            {label}
          </button>
        ))}
      </div>
      {(shown === 'bases' || editing) && may && (
        <Button className="text-second" aria-expanded={editing} onClick={() => setEditing(!editing)}>
          Which base works what …
        </Button>
      )}
      <span className="grow" />
      {inForce ? (
        <>
          <span className="text-soft text-second">The Desk asks about what is found here.</span>
          {may && (
            <Button
              className="text-second"
              disabled={busy}
              onClick={() => onKeep({ how: 'none', bases: [] })}
            >
              Do not ask any more
            </Button>
          )}
        </>
      ) : (
        <>
          <span className="text-soft text-second">Only looked at: the Desk does not ask about it.</span>
          {may && shown !== 'bases' && (
            <Button kind="strong" disabled={busy} onClick={() => onKeep({ how: shown, bases: [] })}>
              Hold the list against it
            </Button>
          )}
        </>
      )}
      {editing && (
        <Bases
          keyed={keyed}
          entries={entries}
          stations={stations}
          busy={busy}
          onKeep={(bases) => {
            setEditing(false);
            onKeep({ how: 'bases', bases });
          }}
          onClose={() => setEditing(false)}
        />
      )}
    </section>
  );
}

interface BasesProps {
  keyed: Keyed;
  entries: Schemas['SiteEntry'][];
  stations: string[];
  busy: boolean;
  onKeep: (bases: Schemas['KeyedBase'][]) => void;
  onClose: () => void;
}

/** A grid of entries and bases to be ticked. */
function Bases({ keyed, entries, stations, busy, onKeep, onClose }: BasesProps) {
  const [bases, setBases] = useState<Schemas['KeyedBase'][]>(
    keyed.bases.length > 0 ? keyed.bases : [{ name: stations[0] ?? 'Base 1', numbers: [] }],
  );
  const set = (index: number, base: Schemas['KeyedBase']) =>
    setBases(bases.map((each, i) => (i === index ? base : each)));
  const talking = entries.filter((entry) => entry.number !== '');
  return (
    <div className="border-line bg-sheet w-full rounded border p-3">
      <div className="max-h-72 overflow-auto">
        <table className="border-collapse">
          <thead className="bg-sheet sticky top-0">
            <tr>
              <th className="text-soft text-second pr-4 text-left font-normal">Entry</th>
              {bases.map((base, index) => (
                <th key={index} className="px-2 pb-1 font-normal">
                  <input
                    aria-label={`Name of base ${index + 1}`}
                    list="stations-known"
                    className={`${INPUT} w-32`}
                    value={base.name}
                    maxLength={100}
                    onChange={(event) => set(index, { ...base, name: event.target.value })}
                  />
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {talking.map((entry) => (
              <tr key={entry.id}>
                <td className="pr-4">
                  <span className="text-soft font-mono">{entry.number}</span> {entry.name}
                </td>
                {bases.map((base, index) => (
                  <td key={index} className="text-center">
                    <input
                      type="checkbox"
                      aria-label={`${entry.name || entry.number} at ${base.name}`}
                      checked={base.numbers.includes(entry.number)}
                      onChange={(event) =>
                        set(index, {
                          ...base,
                          numbers: event.target.checked
                            ? [...base.numbers, entry.number]
                            : base.numbers.filter((each) => each !== entry.number),
                        })
                      }
                    />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
        <datalist id="stations-known">
          {stations.map((name) => (
            <option key={name} value={name} />
          ))}
        </datalist>
      </div>
      <div className="flex flex-wrap gap-2 pt-2">
        <Button
          onClick={() =>
            setBases([...bases, { name: stations[bases.length] ?? `Base ${bases.length + 1}`, numbers: [] }])
          }
        >
          Add a base
        </Button>
        {bases.length > 1 && (
          <Button onClick={() => setBases(bases.slice(0, -1))}>Remove the last one</Button>
        )}
        <span className="grow" />
        <Button onClick={onClose}>Close</Button>
        <Button
          kind="strong"
          disabled={busy || bases.some((base) => base.name.trim() === '' || base.numbers.length === 0)}
          onClick={() => onKeep(bases)}
        >
          Hold the list against it
        </Button>
      </div>
    </div>
  );
}
