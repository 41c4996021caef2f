import { useAddress } from '../ui/useAddress';
import { type Schemas, Server } from '../api/client';
import { Chip } from '../ui/Chip';
import { megahertz } from '../ui/Megahertz';
import { Notice } from '../ui/Notice';
import { PlanLane } from './PlanLane';

const START = '20 m';

/** A band by class and emission, drawn from the data, with the plan and the group's overlay under it. */
export function ChartView({ group, rulebook }: { group?: number; rulebook: string }) {
  const [params, setParams] = useAddress();
  const chart = Server.useQuery(
    'get',
    '/api/rulebook/chart',
    { params: { query: { rulebook } } },
    { staleTime: Infinity },
  );
  const ruler = Server.useQuery('get', '/api/ruler', {
    params: { query: { as: 'nobody', group, rulebook } },
  });
  if (chart.error) return <Notice message={chart.error.message} />;
  if (!chart.data) return null;
  const name = params.get('band') ?? START;
  const band = chart.data.bands.find((each) => each.name === name) ?? chart.data.bands[0]!;
  const plan = (ruler.data?.plan ?? []).filter((row) => row.high > band.low && row.low < band.high);
  return (
    <div className="flex flex-col gap-4">
      <div role="group" aria-label="Band" className="flex flex-wrap gap-1.5">
        {chart.data.bands.map((each) => (
          <Chip
            key={each.name}
            on={each.name === band.name}
            label={each.name}
            onPress={() =>
              setParams(
                (before) => {
                  const next = new URLSearchParams(before);
                  next.set('band', each.name);
                  return next;
                },
                { replace: true },
              )
            }
          />
        ))}
      </div>
      <h2 className="text-title font-semibold">
        {band.name}{' '}
        <span className="text-soft font-mono font-normal">
          {megahertz(band.low)}–{megahertz(band.high)} MHz
        </span>
        {band.channelised && (
          <span className="text-soft font-normal"> · used on fixed channels and a segment</span>
        )}
      </h2>
      <div className="flex flex-col gap-2" data-testid="chart">
        <Axis band={band} />
        {[...band.classes].reverse().map((held) => (
          <section key={held.name} aria-label={held.name} className="flex items-stretch">
            <h3 className="w-28 shrink-0 pt-0.5 font-semibold">{held.name}</h3>
            <div className="border-line bg-sheet grow rounded border py-1">
              {held.kinds.every((kind) => kind.spans.length === 0) ? (
                <p className="text-soft px-2">nothing in this band</p>
              ) : (
                held.kinds.map((kind) => (
                  <Lane
                    key={kind.kind}
                    band={band}
                    title={chart.data.kinds.find((each) => each.id === kind.kind)?.title ?? kind.kind}
                    spans={kind.spans}
                  />
                ))
              )}
            </div>
          </section>
        ))}
        <section aria-label="Band plan" className="flex items-stretch">
          <h3 className="w-28 shrink-0 pt-0.5 font-semibold">Band plan</h3>
          <PlanLane band={band} rows={plan} />
        </section>
      </div>
      <details>
        <summary className="hover:text-accent cursor-pointer">The same as a table, with sections</summary>
        <table className="mt-2 w-full text-left">
          <thead className="text-second text-soft">
            <tr>
              <th className="font-normal">Class</th>
              <th className="font-normal">Emission</th>
              <th className="font-normal">MHz</th>
              <th className="font-normal">Source</th>
            </tr>
          </thead>
          <tbody>
            {band.classes.flatMap((held) =>
              held.kinds.flatMap((kind) =>
                kind.spans.map((span) => (
                  <tr key={held.name + kind.kind + span.low} className="border-line border-t">
                    <td className="py-0.5">{held.name}</td>
                    <td>{chart.data.kinds.find((each) => each.id === kind.kind)?.title}</td>
                    <td className="font-mono">
                      {megahertz(span.low)}–{megahertz(span.high)}
                    </td>
                    <td className="text-second text-soft">{span.source}</td>
                  </tr>
                )),
              ),
            )}
          </tbody>
        </table>
      </details>
    </div>
  );
}

interface Span {
  low: number;
  high: number;
}

function place(band: Span, span: Span) {
  const whole = band.high - band.low;
  const left = ((Math.max(span.low, band.low) - band.low) / whole) * 100;
  const right = ((Math.min(span.high, band.high) - band.low) / whole) * 100;
  return { left: `${left}%`, width: `max(2px, ${right - left}%)` };
}

function Axis({ band }: { band: Schemas['ChartBand'] }) {
  const steps = [0, 0.25, 0.5, 0.75, 1];
  return (
    <div className="text-soft flex font-mono text-[11px]" aria-hidden="true">
      <span className="w-28 shrink-0" />
      <div className="flex grow justify-between">
        {steps.map((step) => (
          <span key={step}>{megahertz(Math.round(band.low + step * (band.high - band.low)))}</span>
        ))}
      </div>
    </div>
  );
}

function Lane({ band, title, spans }: { band: Span; title: string; spans: Schemas['ChartSpan'][] }) {
  return (
    <div className="relative mx-px h-[17px]">
      {spans.length === 0 && (
        <span className="text-soft px-2 text-[11px] leading-[17px]">
          no {title.toLowerCase().replace('cw', 'CW').replace('fm', 'FM')}
        </span>
      )}
      {spans.map((span) => (
        <div
          key={span.low}
          className="bg-reach absolute top-px h-[14px] overflow-hidden px-1 text-[11px] leading-[14px] whitespace-nowrap"
          style={place(band, span)}
          title={`${title}: ${megahertz(span.low)}–${megahertz(span.high)} MHz, ${span.source}`}
        >
          {title}
        </div>
      ))}
    </div>
  );
}
