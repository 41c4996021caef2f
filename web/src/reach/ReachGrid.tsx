import { SideScroll } from '../ui/SideScroll';
import { kindOf, type Knot, type Links, way } from './knots';

interface Props {
  knots: Knot[];
  links: Links;
  chosen?: [string, string];
  onChoose: (from: Knot, to: Knot) => void;
}

/** The same as a table: who talks down the side, who hears along the top. */
export function ReachGrid({ knots, links, chosen, onChoose }: Props) {
  return (
    <SideScroll label="Who reaches whom, as a table" className="border-line bg-sheet rounded border">
      <table>
        <thead>
          <tr>
            <td className="text-second text-soft px-3 py-1">talks ↓ hears →</td>
            {knots.map((knot) => (
              <th
                key={knot.key}
                scope="col"
                className="text-second px-1.5 py-1 text-left align-bottom font-semibold"
              >
                <span className="block max-w-24 break-words">{knot.name}</span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {knots.map((from) => (
            <tr key={from.key} className="border-line border-t">
              <th scope="row" className="px-3 py-0.5 text-left font-semibold whitespace-nowrap">
                {from.name}
              </th>
              {knots.map((to) => (
                <Cell
                  key={to.key}
                  from={from}
                  to={to}
                  links={links}
                  on={chosen?.[0] === from.key && chosen[1] === to.key}
                  onChoose={onChoose}
                />
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </SideScroll>
  );
}

function Cell({
  from,
  to,
  links,
  on,
  onChoose,
}: Omit<Props, 'knots' | 'chosen'> & { from: Knot; to: Knot; on: boolean }) {
  const there = way(from, to, links);
  if (there.of === 0) return <td className="text-soft px-1.5 py-0.5">·</td>;
  const kind = kindOf({ a: from, b: to, there, back: there });
  const words =
    there.pairs === 0
      ? 'no'
      : there.pairs === there.of
        ? String(there.entries.length)
        : `${there.pairs}/${there.of}`;
  return (
    <td className="p-0.5">
      <button
        type="button"
        aria-pressed={on}
        title={`${from.name} to ${to.name}: ${there.pairs} of ${there.of}, on ${there.entries.length} ${there.entries.length === 1 ? 'entry' : 'entries'}`}
        onClick={() => onChoose(from, to)}
        className={`min-h-6 w-full min-w-10 rounded border px-1.5 text-left font-mono ${on ? 'border-accent bg-accent-wash' : 'hover:border-edge border-transparent'} ${kind === 'none' ? 'text-hold font-semibold' : kind === 'all' ? 'text-clear' : 'text-query'}`}
      >
        {words}
      </button>
    </td>
  );
}
