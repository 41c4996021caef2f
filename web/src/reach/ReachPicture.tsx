import { type Band, circle, type Kind, kindOf, type Knot, type Standing } from './knots';

const WIDTH = 760;
const HEIGHT = 400;
const MARGIN = 64;
/** For the names at either side. */
const BESIDE = 190;
const KNOT = 9;
const MOST = 9;

const LOOK: Record<Exclude<Kind, 'none'>, string> = {
  all: 'stroke-clear',
  some: 'stroke-slate',
  'one-way': 'stroke-query',
};

interface Props {
  knots: Knot[];
  bands: Band[];
  stands: ReadonlyMap<string, Standing>;
  chosen?: string;
  onChoose: (band: Band) => void;
}

export const keyOf = (band: Band) => `${band.a.key}|${band.b.key}`;

/** Who is bound to whom: knots on a circle, a band between those who reach each other, thicker with every entry, dashed where it leads one way only. */
export function ReachPicture({ knots, bands, stands, chosen, onChoose }: Props) {
  const places = circle(knots.length, WIDTH, HEIGHT, BESIDE, MARGIN);
  const at = new Map(knots.map((knot, i) => [knot.key, places[i]!]));
  const drawn = bands.flatMap((band) => {
    const kind = kindOf(band);
    return kind === 'none' ? [] : [{ band, kind }];
  });
  const rank = { some: 0, all: 1, 'one-way': 2 };
  drawn.sort((x, y) => rank[x.kind] - rank[y.kind]);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full max-sm:min-w-[620px]"
      role="img"
      aria-label="Who reaches whom, drawn. The table below says the same."
    >
      <defs>
        <marker
          id="leads"
          viewBox="0 0 8 8"
          refX="7"
          refY="4"
          markerWidth="7"
          markerHeight="7"
          markerUnits="userSpaceOnUse"
          orient="auto"
        >
          <path d="M0 0L8 4L0 8z" className="fill-query" />
        </marker>
      </defs>
      {drawn.map(({ band, kind }) => {
        const backwards = band.there.pairs === 0;
        const [from, to] = backwards
          ? [at.get(band.b.key)!, at.get(band.a.key)!]
          : [at.get(band.a.key)!, at.get(band.b.key)!];
        const entries = Math.min(band.there.entries.length || band.back.entries.length, MOST);
        const long = Math.hypot(to.x - from.x, to.y - from.y) || 1;
        const [dx, dy] = [((to.x - from.x) / long) * (KNOT + 3), ((to.y - from.y) / long) * (KNOT + 3)];
        const on = chosen === keyOf(band);
        return (
          // The table offers the same to the keys.
          <g key={keyOf(band)} className="cursor-pointer" onClick={() => onChoose(band)}>
            <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke="transparent" strokeWidth="14" />
            <line
              x1={from.x + dx}
              y1={from.y + dy}
              x2={to.x - dx}
              y2={to.y - dy}
              className={on ? 'stroke-accent' : LOOK[kind]}
              strokeWidth={kind === 'one-way' ? 2 : 1 + entries * 0.7}
              strokeOpacity={on || kind !== 'some' ? 0.9 : 0.55}
              strokeDasharray={kind === 'one-way' ? '7 5' : undefined}
              markerEnd={kind === 'one-way' ? 'url(#leads)' : undefined}
            />
            <title>{`${band.a.name} and ${band.b.name}: ${told(band)}`}</title>
          </g>
        );
      })}
      {knots.map((knot, i) => {
        const { x, y, angle } = places[i]!;
        const side = Math.cos(angle);
        const stand = stands.get(knot.key);
        return (
          <g key={knot.key}>
            {stand === 'alone' ? (
              <rect x={x - KNOT} y={y - KNOT} width={2 * KNOT} height={2 * KNOT} className="fill-hold" />
            ) : stand === 'listens' ? (
              <circle cx={x} cy={y} r={KNOT - 1} className="fill-sheet stroke-query" strokeWidth="3" />
            ) : (
              <circle cx={x} cy={y} r={KNOT} className="fill-accent" />
            )}
            <text
              x={x + (Math.abs(side) < 0.3 ? 0 : Math.sign(side) * (KNOT + 7))}
              y={y + (Math.abs(side) < 0.3 ? Math.sign(Math.sin(angle)) * (KNOT + 14) : 5)}
              textAnchor={Math.abs(side) < 0.3 ? 'middle' : side > 0 ? 'start' : 'end'}
              className={`text-[14px] font-semibold ${stand === 'alone' ? 'fill-hold' : 'fill-ink'}`}
            >
              {knot.name}
              {knot.people.length > 1 && (
                <tspan className="fill-soft font-normal"> {knot.people.length}</tspan>
              )}
              {stand && <tspan className="font-normal"> {stand}</tspan>}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

/** A band in words. */
export function told(band: Band): string {
  switch (kindOf(band)) {
    case 'all':
      return 'everybody reaches everybody, both ways';
    case 'some':
      return `${band.there.pairs + band.back.pairs} of ${band.there.of + band.back.of} ways lead through`;
    case 'one-way':
      return band.there.pairs > 0
        ? `only ${band.a.name} reaches ${band.b.name}`
        : `only ${band.b.name} reaches ${band.a.name}`;
    case 'none':
      return 'nobody reaches anybody';
  }
}
