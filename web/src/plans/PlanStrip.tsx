import { Server, type Schemas } from '../api/client';
import { useGroupRulebook } from '../rulebooks/rulebooks';
import { megahertz } from '../ui/Megahertz';

type Row = Schemas['OverlayRow'];

interface Span {
  low: number;
  high: number;
}

/** The ends of a row in hertz; undefined while it cannot be read. */
function span(row: Row | undefined): Span | undefined {
  const ends = (row?.mhz ?? '').split(/[-–]/).map((each) => Math.round(Number(each.trim()) * 1_000_000));
  const [low, high] = [ends[0], ends[1] ?? ends[0]];
  return low !== undefined && high !== undefined && low > 0 && high >= low ? { low, high } : undefined;
}

/** The national plan and the group's rows over it, around the row that is being edited. */
export function PlanStrip({ group, rows, focused }: { group: number; rows: Row[]; focused?: Row }) {
  const own = useGroupRulebook(group);
  const ruler = Server.useQuery(
    'get',
    '/api/ruler',
    { params: { query: { as: 'nobody', rulebook: own.data?.id } } },
    { enabled: own.data !== undefined, staleTime: Infinity },
  );
  const at = span(focused) ?? span(rows[0]);
  if (!ruler.data || !at) return null;
  const margin = Math.max((at.high - at.low) * 0.6, 150_000);
  const view = { low: at.low - margin, high: at.high + margin };
  const place = (each: Span) => {
    const left = ((Math.max(each.low, view.low) - view.low) / (view.high - view.low)) * 100;
    const right = ((Math.min(each.high, view.high) - view.low) / (view.high - view.low)) * 100;
    return { left: `${left}%`, width: `max(3px, ${right - left}%)` };
  };
  const seen = (each: Span) => each.high >= view.low && each.low <= view.high;
  return (
    <figure className="text-second" data-testid="strip">
      {[
        {
          title: 'National',
          spans: ruler.data.plan.filter((row) => row.low !== row.high && seen(row)),
          local: false,
        },
        {
          title: 'Local',
          spans: rows.flatMap((row) => {
            const here = span(row);
            return here && seen(here) ? [{ ...here, words: row.note ?? row.uses.join(', ') }] : [];
          }),
          local: true,
        },
      ].map((lane) => (
        <div key={lane.title} className="flex items-center">
          <span className="text-soft w-16 shrink-0">{lane.title}</span>
          <div className="border-line relative h-8 grow overflow-hidden border-b">
            {lane.spans.map((each) => (
              <div
                key={`${each.low} ${each.high} ${each.words}`}
                className={`absolute top-1 h-6 overflow-hidden border px-1 text-[12px] leading-[22px] text-ellipsis whitespace-nowrap ${lane.local ? 'bg-accent-wash border-accent' : 'bg-sunk border-line'}`}
                style={place(each)}
                title={`${megahertz(each.low)}–${megahertz(each.high)} MHz: ${each.words}`}
              >
                {each.words}
              </div>
            ))}
          </div>
        </div>
      ))}
      <figcaption className="text-soft flex justify-between pl-16 font-mono text-[11px]">
        <span>{megahertz(Math.round(view.low))}</span>
        <span>{megahertz(Math.round((view.low + view.high) / 2))}</span>
        <span>{megahertz(Math.round(view.high))}</span>
      </figcaption>
    </figure>
  );
}
