import type { Schemas } from '../api/client';
import { useAxis } from '../ruler/useAxis';
import type { View } from '../ruler/view';
import { megahertz } from '../ui/Megahertz';
import { type Hit, isProduct } from './words';

interface Props {
  entries: Schemas['SiteEntry'][];
  reached: Schemas['ReachedEntry'][];
  /** The entry whose hits are drawn; without one the nearest product of each. */
  selected?: number;
  hit?: Hit;
  view: View;
  onView: (view: View) => void;
  onSelect: (entry: number) => void;
}

const HEIGHT = 190;
const TALKS = 34;
const HEARS = 152;
const LABELS = 52;

/** The site on a frequency axis: transmitters above, receivers below, and products as arrows from their sources to where they land. */
export function SiteRuler({ entries, reached, selected, hit, view, onView, onSelect }: Props) {
  const { box, width, scale, handlers, wasDragged } = useAxis(view, onView);
  const hits = new Map(reached.map((each) => [each.entry, each]));
  const drawn = hit
    ? [hit]
    : selected === undefined
      ? firsts(reached)
      : (hits.get(selected)?.hits ?? []).filter(drawable);
  const inView = (hertz: number) => hertz >= view.low && hertz <= view.high;
  const size = (low: number, high: number) => Math.max(3, scale(high) - scale(low));
  return (
    <section
      aria-label="The site drawn"
      className="border-line bg-sheet flex border-b select-none"
      data-testid="site-ruler"
    >
      <div
        className="text-second text-soft relative shrink-0 text-right"
        style={{ width: LABELS, height: HEIGHT }}
        aria-hidden="true"
      >
        <span className="absolute right-2 text-[11px]">MHz</span>
        <span className="absolute right-2" style={{ top: TALKS - 10 }}>
          Talks
        </span>
        <span className="absolute right-2" style={{ top: HEARS - 2 }}>
          Hears
        </span>
      </div>
      <div
        ref={box}
        className="relative min-w-0 grow cursor-grab touch-none overflow-hidden active:cursor-grabbing"
        {...handlers}
      >
        <svg
          width={width}
          height={HEIGHT}
          role="img"
          aria-label={`The site from ${megahertz(Math.round(view.low))} to ${megahertz(Math.round(view.high))} MHz: transmitters above, receivers below, products as arrows`}
        >
          {scale.ticks(Math.max(3, Math.floor(width / 110))).map((tick) => (
            <g key={tick}>
              <line x1={scale(tick)} x2={scale(tick)} y1={0} y2={HEIGHT} className="stroke-line" />
              <text x={scale(tick) + 4} y={12} className="fill-soft font-mono text-[11px]">
                {megahertz(Math.round(tick))}
              </text>
            </g>
          ))}
          {drawn.map((each, index) => (
            <Product
              key={index}
              hit={each}
              scale={scale}
              strong={hit !== undefined || selected !== undefined}
            />
          ))}
          {entries
            .filter(
              (entry) =>
                entry.lowHz !== null &&
                entry.highHz !== null &&
                entry.highHz >= view.low &&
                entry.lowHz <= view.high,
            )
            .map((entry) => (
              <rect
                key={entry.id}
                x={scale(entry.lowHz!) - Math.max(0, (3 - (scale(entry.highHz!) - scale(entry.lowHz!))) / 2)}
                width={size(entry.lowHz!, entry.highHz!)}
                y={TALKS - 14}
                height={24}
                className={`cursor-pointer ${entry.id === selected ? 'fill-accent' : 'fill-slate'}`}
                onClick={() => !wasDragged() && onSelect(entry.id)}
              >
                <title>{`${entry.name || entry.number} talks on ${megahertz(entry.txHz!)} MHz`}</title>
              </rect>
            ))}
          {entries
            .filter((entry) => entry.rxHz !== null && inView(entry.rxHz))
            .map((entry) => {
              const half =
                entry.lowHz !== null && entry.highHz !== null ? (entry.highHz - entry.lowHz) / 2 : 8_000;
              return (
                <rect
                  key={entry.id}
                  x={scale(entry.rxHz! - half) - Math.max(0, (4 - 2 * (scale(half) - scale(0))) / 2)}
                  width={Math.max(4, scale(entry.rxHz! + half) - scale(entry.rxHz! - half))}
                  y={HEARS - 8}
                  height={24}
                  strokeWidth={entry.id === selected ? 2.5 : 1.5}
                  className={`fill-sheet cursor-pointer ${entry.id === selected ? 'stroke-accent' : hits.has(entry.id) ? 'stroke-query' : 'stroke-slate'}`}
                  onClick={() => !wasDragged() && onSelect(entry.id)}
                >
                  <title>{`${entry.name || entry.number} hears ${megahertz(entry.rxHz!)} MHz`}</title>
                </rect>
              );
            })}
        </svg>
      </div>
    </section>
  );
}

const drawable = (hit: Hit) => isProduct(hit.kind);

/** The nearest product of each entry that one reaches, so that many do not hide each other. */
function firsts(reached: Schemas['ReachedEntry'][]): Hit[] {
  return reached.flatMap((each) => each.hits.filter(drawable).slice(0, 1));
}

interface ProductProps {
  hit: Hit;
  scale: (hertz: number) => number;
  strong: boolean;
}

/** Thin arrows from the sources to where the product lands, and its width there. */
function Product({ hit, scale, strong }: ProductProps) {
  const x = scale(hit.landsHz);
  const width = Math.max(2, scale(hit.landsHz + hit.halfHz) - scale(hit.landsHz - hit.halfHz));
  return (
    <g className="pointer-events-none" opacity={strong ? 1 : 0.55}>
      <rect
        x={x - width / 2}
        width={width}
        y={HEARS - 14}
        height={36}
        className="fill-query"
        opacity={0.22}
      />
      {hit.terms.map((term, index) => {
        const from = scale(term.hz);
        const middle = (TALKS + 10 + HEARS - 12) / 2;
        return (
          <g key={index}>
            <path
              d={`M ${from} ${TALKS + 10} C ${from} ${middle}, ${x} ${middle}, ${x} ${HEARS - 13}`}
              fill="none"
              strokeWidth={strong ? 1.5 : 1}
              strokeDasharray={term.factor < 0 ? '4 3' : undefined}
              className="stroke-query"
            />
            {strong && (
              <text x={from + 4} y={TALKS + 24} className="fill-query font-mono text-[11px]">
                {term.factor < 0 ? '−' : '+'}
                {Math.abs(term.factor) > 1 ? `${Math.abs(term.factor)}×` : ''}
              </text>
            )}
          </g>
        );
      })}
      <path
        d={`M ${x - 4} ${HEARS - 20} L ${x} ${HEARS - 12} L ${x + 4} ${HEARS - 20} Z`}
        className="fill-query"
      />
    </g>
  );
}
