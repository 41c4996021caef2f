import type { Schemas } from '../api/client';
import { Button } from '../ui/Button';
import { megahertz } from '../ui/Megahertz';
import { SideScroll } from '../ui/SideScroll';
import { type Draft, type Line, where } from './demands';

interface Props {
  plan: Schemas['PlanView'];
  draft: Draft;
  busy: boolean;
  onFix: (line: Line) => void;
  onAnother: (line: Line) => void;
}

/** What was found: entry by entry with its reason and what came second, or what of the demands contradicts. */
export function Proposed({ plan, draft, busy, onFix, onAnother }: Props) {
  if (plan.lines.length === 0) return <Contradiction plan={plan} />;
  return (
    <SideScroll label="The proposed entries" className="border-line bg-sheet rounded border">
      <table className="w-full max-sm:block">
        <thead className="max-sm:hidden">
          <tr className="text-second text-soft text-left">
            <th className="px-3 py-1 font-normal">Entry</th>
            <th className="px-3 py-1 text-right font-normal">MHz</th>
            <th className="px-3 py-1 font-normal">Who, and why</th>
            <th className="px-3 py-1 font-normal">
              <span className="sr-only">What to do with it</span>
            </th>
          </tr>
        </thead>
        <tbody className="max-sm:block">
          {plan.lines.map((line) => {
            const talks = line.fields.txMhz !== undefined;
            const isFixed = line.key in draft.kept;
            return (
              <tr
                key={line.key + where(line)}
                className="border-line border-t align-top max-sm:flex max-sm:flex-wrap max-sm:justify-between"
              >
                <th scope="row" className="px-3 py-1.5 text-left font-semibold whitespace-nowrap">
                  {line.fields.name}
                  <span className="text-second text-soft block font-normal">
                    {talks ? `${line.fields.mode ?? ''}, ${line.fields.powerW ?? ''} W` : 'listened to'}
                  </span>
                </th>
                <td className="px-3 py-1.5 text-right font-mono whitespace-nowrap">
                  {megahertz(Math.round(Number(where(line)) * 1_000_000))}
                </td>
                <td className="px-3 py-1.5 max-sm:basis-full sm:min-w-64">
                  <span className="font-semibold">
                    {line.teams.length === 0 ? 'Everybody' : line.teams.join(', ')}
                  </span>
                  <span className="text-second text-soft block">{line.why}</span>
                </td>
                <td className="px-3 py-1.5">
                  {talks && (
                    <div className="flex justify-end gap-1.5">
                      <Button
                        className="text-second"
                        aria-pressed={isFixed}
                        aria-label={`Keep ${line.key}`}
                        onClick={() => onFix(line)}
                      >
                        {isFixed ? 'Kept' : 'Keep'}
                      </Button>
                      <Button
                        className="text-second"
                        aria-label={`Another channel for ${line.key}`}
                        disabled={busy}
                        onClick={() => onAnother(line)}
                      >
                        Another
                      </Button>
                    </div>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </SideScroll>
  );
}

function Contradiction({ plan }: { plan: Schemas['PlanView'] }) {
  return (
    <section
      aria-label="There is no such list"
      className="border-line border-l-hold bg-sheet flex flex-col gap-2 rounded border border-l-[3px] px-4 py-3"
    >
      <h2 className="font-semibold">
        {plan.demands.length === 1
          ? 'No list does this:'
          : 'No list does all of this; with any one of them let go there may be one:'}
      </h2>
      <ul className="list-disc pl-5">
        {plan.demands.map((each) => (
          <li key={each}>{each}</li>
        ))}
      </ul>
      <h3 className="text-second text-soft pt-1">Why</h3>
      <ul className="flex flex-col gap-1">
        {plan.reasons.map((each) => (
          <li key={each}>{each}</li>
        ))}
      </ul>
    </section>
  );
}
