import { Fragment, useState } from 'react';
import type { Schemas } from '../api/client';
import { SumView } from '../desk/SumView';
import { Megahertz } from '../ui/Megahertz';
import { VerdictMark, verdictText } from '../ui/VerdictMark';
import { FigureRow } from './FigureView';
import { SideScroll } from '../ui/SideScroll';

type Entry = Schemas['EntryFigures'];

const figureOf = (entry: Entry, id: string) => entry.figures.find((each) => each.id === id);

/** The figures of a station with each entry, and of all keyed at once. */
export function SheetView({
  sheet,
  onAtOnce,
}: {
  sheet: Schemas['Sheet'];
  onAtOnce: (entries: number[]) => void;
}) {
  const [chosen, setChosen] = useState<number>();
  return (
    <div className="flex min-w-0 flex-col gap-5">
      <div className="grid gap-x-8 gap-y-5 xl:grid-cols-2">
        <section aria-label="The station">
          <h2 className="text-second text-soft px-2 pb-1">The station</h2>
          {sheet.general.map((figure) => (
            <FigureRow key={figure.id} figure={figure} />
          ))}
        </section>
        {sheet.together.length > 0 && (
          <section aria-label="Exposure">
            <h2 className="text-second text-soft px-2 pb-1">
              {sheet.added.length === 1
                ? `Exposure with one transmitter: ${sheet.entries.find((each) => each.entry === sheet.added[0])?.name || 'its worst entry'}`
                : `Exposure with ${sheet.added.length} transmitters keyed at once, as ticked below`}
            </h2>
            {sheet.together.map((figure) => (
              <FigureRow
                key={figure.id}
                figure={figure}
                caution={
                  Number(figure.amount) > 100
                    ? 'Over the limit where people may come: raise the antenna, keep people away, or key less.'
                    : undefined
                }
              />
            ))}
            <p className="text-second text-soft px-2 pt-1">
              A guide: the station’s licensee answers for the evaluation. Keep clear of the antenna while it
              is keyed, and antennas clear of power lines; local codes and the licence come first.
            </p>
          </section>
        )}
      </div>
      {sheet.left > 0 && (
        <p className="text-soft">
          The first {sheet.entries.length} entries that transmit; {sheet.left} more are not told here.
        </p>
      )}
      {sheet.entries.length === 0 && <p className="text-soft">No entry of the list transmits here.</p>}
      {sheet.entries.length > 0 && (
        <SideScroll label="By entry" className="min-w-0">
          <h2 className="text-second text-soft px-2 pb-1">
            By entry: what is radiated, against its limit, and from where people are safe. An entry opens all
            its figures.
          </h2>
          <table className="w-full border-collapse">
            <thead>
              <tr className="text-second text-soft text-left">
                <th className="px-2 font-normal">At once</th>
                <th className="px-2 font-normal">Entry</th>
                <th className="px-2 text-right font-normal">MHz</th>
                <th className="px-2 text-right font-normal">Loss, dB</th>
                <th className="px-2 text-right font-normal">ERP, W</th>
                <th className="px-2 text-right font-normal">EIRP, W</th>
                <th className="px-2 font-normal">Limit</th>
                <th className="px-2 text-right font-normal">People from, m</th>
              </tr>
            </thead>
            <tbody>
              {sheet.entries.map((each) => (
                <Fragment key={each.entry}>
                  <tr
                    className={`border-line cursor-pointer border-b ${each.entry === chosen ? 'bg-accent-wash' : 'hover:bg-sunk'}`}
                    onClick={() => setChosen(each.entry === chosen ? undefined : each.entry)}
                  >
                    <td className="px-2" onClick={(event) => event.stopPropagation()}>
                      <input
                        type="checkbox"
                        aria-label={`${each.name || each.number} keyed at once with the others`}
                        checked={sheet.added.includes(each.entry)}
                        onChange={(event) =>
                          onAtOnce(
                            event.target.checked
                              ? [...sheet.added, each.entry]
                              : sheet.added.filter((one) => one !== each.entry),
                          )
                        }
                      />
                    </td>
                    <td className="max-w-48 truncate px-2 py-1">
                      <button
                        type="button"
                        aria-expanded={each.entry === chosen}
                        className="hover:text-accent max-w-full truncate text-left font-semibold"
                      >
                        {each.name || each.number || 'without a name'}
                      </button>
                    </td>
                    <td className="px-2 text-right">
                      <Megahertz hertz={each.txHz} />
                    </td>
                    <td className="px-2 text-right font-mono">{figureOf(each, 'line-loss')?.amount}</td>
                    <td className="px-2 text-right font-mono">{figureOf(each, 'erp')?.amount}</td>
                    <td className="px-2 text-right font-mono">{figureOf(each, 'eirp')?.amount}</td>
                    <td className="px-2">
                      <Against entry={each} />
                    </td>
                    <td className="px-2 text-right font-mono">
                      {figureOf(each, 'exposure-general')?.amount ?? '–'}
                    </td>
                  </tr>
                  {each.entry === chosen && (
                    <tr className="border-line border-b">
                      <td colSpan={8} className="bg-sheet p-3">
                        <OfEntry entry={each} />
                      </td>
                    </tr>
                  )}
                </Fragment>
              ))}
            </tbody>
          </table>
        </SideScroll>
      )}
    </div>
  );
}

/** All figures of one entry; each opens its sum. */
function OfEntry({ entry }: { entry: Entry }) {
  const half = Math.ceil(entry.figures.length / 2);
  return (
    <div className="grid gap-x-8 xl:grid-cols-2">
      <div>
        {entry.limit && (
          <div className="border-line border-b px-2 py-1">
            <p className={entry.limit.over ? 'text-hold font-semibold' : ''}>
              {entry.limit.over ? 'Over' : 'Within'} the limit: {shortly(entry.limit.watts)} of{' '}
              {shortly(entry.limit.limitW)} W {entry.limit.measure}
            </p>
            <SumView lines={entry.limit.sum} />
            <p className="text-second text-soft">{entry.limit.source}</p>
          </div>
        )}
        {entry.findings.map((finding) => (
          <p key={finding} className="text-second text-hold px-2 py-1">
            {finding}
          </p>
        ))}
        {entry.figures.slice(0, half).map((figure) => (
          <FigureRow key={figure.id} figure={figure} />
        ))}
      </div>
      <div>
        {entry.figures.slice(half).map((figure) => (
          <FigureRow key={figure.id} figure={figure} />
        ))}
        <p className="text-second text-soft px-2 pt-1">
          Each figure opens its sum and its source. {entry.emission}, {shortly(entry.outputW)} W output.
        </p>
      </div>
    </div>
  );
}

const shortly = (watts: number) => Number(watts.toPrecision(3)).toLocaleString('en');

function Against({ entry }: { entry: Entry }) {
  const limit = entry.limit;
  const verdict = limit?.over || entry.findings.length > 0 ? 'hold' : limit ? 'clear' : 'query';
  return (
    <span className={`inline-flex items-center gap-1.5 whitespace-nowrap ${verdictText[verdict]}`}>
      <VerdictMark verdict={verdict} size={12} />
      {limit
        ? `${limit.over ? 'over' : 'within'} ${shortly(limit.limitW)} W ${limit.measure}`
        : entry.verdict === 'hold'
          ? 'not allowed'
          : 'no limit known'}
    </span>
  );
}
