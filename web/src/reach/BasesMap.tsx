import { useState } from 'react';
import { Link } from 'react-router';
import { Server, type Verdict } from '../api/client';
import { SumView } from '../desk/SumView';
import { INPUT, Labelled } from '../ui/Field';
import { Notice } from '../ui/Notice';
import { VerdictMark, verdictText } from '../ui/VerdictMark';
import { type Bases, kilometres, placed, scaleBar } from './basesMap';
import type { Reach } from './knots';

const WIDTH = 352;
const HEIGHT = 300;
const MARGIN = 60;

export const CARRIES: Record<Bases['links'][number]['word'], [Verdict, string]> = {
  'in-reach': ['clear', 'In reach'],
  doubtful: ['query', 'Doubtful'],
  not: ['hold', 'Not in reach'],
};

const STROKE: Record<Verdict, string> = {
  clear: 'stroke-clear',
  query: 'stroke-query',
  hold: 'stroke-hold',
  listen: 'stroke-listen',
};

/** The group's bases, and the repeaters of an entry, where they stand: which hear each other, and how far each is heard. */
export function BasesMap({ reach }: { reach: Reach }) {
  const talking = reach.entries.filter((each) => each.talk.length > 0);
  const [entry, setEntry] = useState(talking[0]?.id ?? 0);
  const [open, setOpen] = useState(false);
  const list = talking.find((each) => each.id === entry)?.list ?? 0;
  const found = Server.useQuery(
    'get',
    '/api/lists/{list}/reach/bases',
    { params: { path: { list }, query: { entry } } },
    { enabled: open && list > 0, retry: false },
  );
  if (talking.length === 0) return null;
  return (
    <details
      className="border-line bg-sheet rounded border"
      onToggle={(event) => setOpen(event.currentTarget.open)}
    >
      <summary className="min-h-8 cursor-pointer px-3 py-1.5 font-semibold">
        Which bases hear each other?
      </summary>
      <div className="border-line flex flex-col gap-2 border-t px-3 py-2">
        <Labelled label="Entry">
          <select className={INPUT} value={entry} onChange={(event) => setEntry(Number(event.target.value))}>
            {talking.map((each) => (
              <option key={each.id} value={each.id}>
                {each.number} {each.name}
              </option>
            ))}
          </select>
        </Labelled>
        {found.error && <Notice message={found.error.message} />}
        {found.data && !found.error && <Found found={found.data} key={entry} />}
      </div>
    </details>
  );
}

function Found({ found }: { found: Bases }) {
  const [chosen, setChosen] = useState<number>();
  const name = (place: number) => found.bases[place]!.name;
  return (
    <>
      {found.bases.length > 0 && <Drawing found={found} chosen={chosen} onChoose={setChosen} />}
      <ul aria-label="Between bases">
        {found.links.map((link, i) => {
          const [verdict, words] = CARRIES[link.word];
          return (
            <li key={`${link.from} ${link.to}`}>
              <button
                type="button"
                aria-expanded={chosen === i}
                onClick={() => setChosen(chosen === i ? undefined : i)}
                className="hover:bg-sunk flex min-h-6 w-full items-center gap-2 text-left"
              >
                <VerdictMark verdict={verdict} size={14} />
                <span className="min-w-0 grow">
                  {name(link.from)} and {name(link.to)}
                </span>
                <span className={`shrink-0 ${verdictText[verdict]}`}>
                  {words}, {kilometres(link.km)}
                </span>
              </button>
              {chosen === i && (
                <div className="py-1">
                  <p className="text-second text-soft">
                    {name(link.from)} talks, {name(link.to)} hears:
                  </p>
                  <SumView lines={link.sum} />
                </div>
              )}
            </li>
          );
        })}
      </ul>
      {found.areaLinks.length > 0 && <Areas found={found} />}
      {found.bases.map(
        (base) =>
          base.inReachKm !== null &&
          base.doubtfulKm !== null && (
            <p key={`${base.kind} ${base.name}`} className="text-second">
              <span className="font-semibold">{base.name}</span>, {base.heightM} m: a hand-held hears it up to{' '}
              {kilometres(base.inReachKm)}, doubtful up to {kilometres(base.doubtfulKm)}.
            </p>
          ),
      )}
      {found.unplaced.length > 0 && (
        <p>
          Where {found.unplaced.join(', ')} {found.unplaced.length === 1 ? 'stands' : 'stand'} is not known.{' '}
          <Link to="/stations" className="text-accent underline underline-offset-2">
            Say it at the stations
          </Link>
          .
        </p>
      )}
      {found.bases.length === 0 && found.unplaced.length === 0 && (
        <p>
          The group has no base yet.{' '}
          <Link to="/stations" className="text-accent underline underline-offset-2">
            Add one
          </Link>
          , with its position.
        </p>
      )}
      {found.unknown.map((each) => (
        <p key={each} className="text-second text-soft">
          {each}
        </p>
      ))}
    </>
  );
}

/** Who of a team is heard from the far side of its area. */
function Areas({ found }: { found: Bases }) {
  const [chosen, setChosen] = useState<number>();
  return (
    <>
      <h3 className="font-semibold">Hand-helds at the far side of their area</h3>
      <ul aria-label="Teams in their areas">
        {found.areaLinks.map((link, i) => {
          const [verdict, words] = CARRIES[link.word];
          const [team, base] = [found.areas[link.area]!.team, found.bases[link.base]!.name];
          return (
            <li key={`${link.area} ${link.base}`}>
              <button
                type="button"
                aria-expanded={chosen === i}
                onClick={() => setChosen(chosen === i ? undefined : i)}
                className="hover:bg-sunk flex min-h-6 w-full items-center gap-2 text-left"
              >
                <VerdictMark verdict={verdict} size={14} />
                <span className="min-w-0 grow">
                  {base} hears {team}
                </span>
                <span className={`shrink-0 ${verdictText[verdict]}`}>
                  {words}, {kilometres(link.km)}
                </span>
              </button>
              {chosen === i && <SumView lines={link.sum} />}
            </li>
          );
        })}
      </ul>
    </>
  );
}

function Drawing({
  found,
  chosen,
  onChoose,
}: {
  found: Bases;
  chosen: number | undefined;
  onChoose: (link: number) => void;
}) {
  const { points, perKm } = placed([...found.bases, ...found.areas], WIDTH, HEIGHT, MARGIN);
  const bar = scaleBar(perKm, 100);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="bg-sunk border-line w-full rounded border"
      role="img"
      aria-label="Where the bases stand, the north up. What is below says the same."
    >
      {found.areas.map((area, i) => {
        const { x, y } = points[found.bases.length + i]!;
        return (
          <g key={area.team}>
            <circle cx={x} cy={y} r={area.radiusKm * perKm} className="fill-accent/15 stroke-accent" />
            <text
              x={x}
              y={y + area.radiusKm * perKm + 12}
              textAnchor="middle"
              className="fill-ink stroke-sunk text-[12px] italic [paint-order:stroke]"
              strokeWidth="3"
            >
              {area.team}
            </text>
          </g>
        );
      })}
      {found.bases.map(
        (base, i) =>
          base.inReachKm !== null &&
          base.doubtfulKm !== null && (
            <g key={`${base.kind} ${base.name}`} className="stroke-reach" fill="none">
              <circle cx={points[i]!.x} cy={points[i]!.y} r={base.inReachKm * perKm} strokeWidth="1.5" />
              <circle
                cx={points[i]!.x}
                cy={points[i]!.y}
                r={base.doubtfulKm * perKm}
                strokeWidth="1"
                strokeDasharray="4 4"
              />
            </g>
          ),
      )}
      {found.links.map((link, i) => {
        const [verdict] = CARRIES[link.word];
        const [from, to] = [points[link.from]!, points[link.to]!];
        return (
          // What is below offers the same to the keys.
          <g key={`${link.from} ${link.to}`} className="cursor-pointer" onClick={() => onChoose(i)}>
            <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke="transparent" strokeWidth="12" />
            <line
              x1={from.x}
              y1={from.y}
              x2={to.x}
              y2={to.y}
              className={chosen === i ? 'stroke-accent' : STROKE[verdict]}
              strokeWidth={chosen === i ? 3.5 : 2}
              strokeDasharray={verdict === 'clear' ? undefined : verdict === 'query' ? '7 4' : '2 5'}
            />
          </g>
        );
      })}
      {found.bases.map((base, i) => {
        const { x, y } = points[i]!;
        return (
          <g key={`${base.kind} ${base.name}`}>
            {base.kind === 'repeater' ? (
              <path d={`M${x} ${y - 7}L${x + 6} ${y + 5}H${x - 6}z`} className="fill-ink" />
            ) : (
              <circle cx={x} cy={y} r="5" className="fill-accent" />
            )}
            <text
              x={x}
              y={y - 11}
              textAnchor={x < 70 ? 'start' : x > WIDTH - 70 ? 'end' : 'middle'}
              className="fill-ink stroke-sunk text-[12px] font-semibold [paint-order:stroke]"
              strokeWidth="3"
            >
              {base.name}
            </text>
          </g>
        );
      })}
      <g transform={`translate(10 ${HEIGHT - 12})`} className="stroke-ink">
        <path d={`M0 -4V0H${bar.length}V-4`} fill="none" strokeWidth="1.5" />
        <text x={bar.length + 6} y="0" className="fill-ink stroke-none text-[11px]">
          {bar.km} km
        </text>
      </g>
    </svg>
  );
}
