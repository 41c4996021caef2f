import type { ScaleLinear } from 'd3-scale';
import { useMemo, useRef, useState } from 'react';
import type { Slip } from '../api/client';
import { length, offset } from '../ui/Megahertz';
import { overrun } from '../ui/overrun';
import { verdictWord } from '../ui/VerdictMark';

interface Props {
  slips: Slip[];
  selected?: Slip;
  place: (low: number, high: number, least: number) => { left: number; width: number };
  scale: ScaleLinear<number, number>;
  width: number;
  onSelect: (slip: Slip) => void;
  /** Where the chosen entry hears while it is moved, hertz. */
  moved?: number;
  onHold?: () => void;
  /** The chosen entry is dragged to where it would hear, hertz as the pointer says. */
  onMove?: (slip: Slip, hears: number) => void;
  onLetGo?: () => void;
}

const HALF = 5_600;
const LEAST = 3;

/**
 * The list's own entries at their true width: transmit filled, receive outlined, a pair joined by its offset. All
 * marks of a kind are one path, so that ten thousand entries are no heavier to draw than ten.
 */
export function EntryLane(props: Props) {
  const { slips, place, scale, width, onSelect, moved, onHold, onMove, onLetGo } = props;
  const [over, setOver] = useState<Slip>();
  const held = useRef<{ slip: Slip; away: number } | null>(null);
  // The mark follows the pointer; the verdict follows the mark.
  const selected = props.selected && moved !== undefined ? shifted(props.selected, moved) : props.selected;
  const hertzAt = (event: React.PointerEvent) =>
    scale.invert(event.clientX - event.currentTarget.getBoundingClientRect().left);
  const hold = (event: React.PointerEvent) => {
    const slip = props.selected;
    if (!slip || slip.rxHz === null || !onMove || event.button !== 0 || nearest(event)?.id !== slip.id)
      return;
    event.stopPropagation(); // the entry moves, and not the axis
    event.currentTarget.setPointerCapture(event.pointerId);
    held.current = { slip, away: slip.rxHz - hertzAt(event) };
    onHold?.();
  };
  const drag = (event: React.PointerEvent) => {
    if (!held.current || event.buttons !== 1) return;
    event.stopPropagation();
    onMove?.(held.current.slip, hertzAt(event) + held.current.away);
  };
  const letGo = () => {
    if (held.current) onLetGo?.();
    held.current = null;
  };
  const paths = useMemo(() => drawn(slips, place), [slips, place]);
  const nearest = (event: React.MouseEvent) => {
    const x = event.clientX - event.currentTarget.getBoundingClientRect().left;
    return nearestTo(slips, x, scale);
  };
  return (
    // A pointer's short way to what the list of entries offers to the keys.
    // eslint-disable-next-line jsx-a11y/click-events-have-key-events, jsx-a11y/no-static-element-interactions
    <div
      className={`absolute inset-0 ${over && over.id === selected?.id && onMove ? 'cursor-ew-resize' : over ? 'cursor-pointer' : ''}`}
      title={over && told(over)}
      onPointerDown={hold}
      onPointerMove={drag}
      onPointerUp={letGo}
      onMouseMove={(event) => setOver(nearest(event))}
      onMouseLeave={() => setOver(undefined)}
      onClick={(event) => {
        const found = nearest(event);
        if (found) onSelect(found);
      }}
    >
      <svg className="pointer-events-none absolute inset-0 h-full w-full" aria-hidden="true">
        <path d={paths.hears} className="stroke-slate fill-none" />
        <path d={paths.talks} className="fill-slate" />
        <path d={paths.held} className="fill-hold" />
        {selected && <Chosen slip={selected} place={place} />}
        <path d={paths.beyond} className="fill-hold" />
      </svg>
      {selected && selected.txHz !== null && selected.rxHz !== null && selected.txHz !== selected.rxHz && (
        <Bracket
          from={scale(selected.rxHz)}
          to={scale(selected.txHz)}
          label={offset(selected.txHz - selected.rxHz)}
          width={width}
        />
      )}
      {selected && <OverLabel slip={selected} scale={scale} width={width} />}
    </div>
  );
}

/** An entry as it is where it would hear: its offset, its width and the edge that it is held against stay. */
function shifted(slip: Slip, hears: number): Slip {
  const by = hears - (slip.rxHz ?? hears);
  const on = (hertz: number | null) => (hertz === null ? null : hertz + by);
  return {
    ...slip,
    rxHz: on(slip.rxHz),
    txHz: on(slip.txHz),
    lowHz: on(slip.lowHz),
    highHz: on(slip.highHz),
  };
}

const told = (slip: Slip) => {
  const over = overrun(slip);
  const name = slip.fields.name ?? slip.fields.number ?? 'entry';
  return over ? `${name}: ${length(over.high - over.low)} over` : `${name}: ${verdictWord(slip.verdict)}`;
};

interface Chosen {
  slip: Slip;
  place: Props['place'];
}

/** The selected entry's marks, over all others. */
function Chosen({ slip, place }: Chosen) {
  const one = drawn([slip], place);
  return (
    <>
      <path d={one.hears} className="stroke-accent fill-none" strokeWidth="2" />
      <path d={one.talks + one.held} className="fill-accent" />
    </>
  );
}

const TOP = 9;
const TALL = 16;

/** One path for each kind of mark; marks that fall on the same pixels are drawn once. */
function drawn(slips: Slip[], place: Props['place']) {
  const kinds = {
    hears: new Set<string>(),
    talks: new Set<string>(),
    held: new Set<string>(),
    beyond: new Set<string>(),
  };
  const box = (low: number, high: number, grow = 0) => {
    const { left, width } = place(low, high, LEAST);
    const [x, y] = [Math.round(left * 2) / 2, TOP - grow];
    const [w, h] = [Math.round(width * 2) / 2, TALL + 2 * grow];
    return `M${x} ${y}h${w}v${h}h${-w}z`;
  };
  for (const slip of slips) {
    const half = slip.lowHz !== null && slip.highHz !== null ? (slip.highHz - slip.lowHz) / 2 : HALF;
    if (slip.rxHz !== null && slip.rxHz !== slip.txHz)
      kinds.hears.add(box(slip.rxHz - half, slip.rxHz + half));
    if (slip.lowHz !== null && slip.highHz !== null)
      kinds[slip.verdict === 'hold' ? 'held' : 'talks'].add(box(slip.lowHz, slip.highHz));
    const over = overrun(slip);
    if (over) kinds.beyond.add(box(over.low, over.high, 3));
  }
  return {
    hears: [...kinds.hears].join(''),
    talks: [...kinds.talks].join(''),
    held: [...kinds.held].join(''),
    beyond: [...kinds.beyond].join(''),
  };
}

const REACH = 6;

/** The entry whose mark is nearest to the pointer, within a few pixels. */
function nearestTo(slips: Slip[], x: number, scale: Props['scale']): Slip | undefined {
  let best: Slip | undefined;
  let distance = REACH;
  for (const slip of slips) {
    const ends = [
      [slip.lowHz ?? slip.txHz, slip.highHz ?? slip.txHz],
      [slip.rxHz === null ? null : slip.rxHz - HALF, slip.rxHz === null ? null : slip.rxHz + HALF],
    ];
    for (const [low, high] of ends) {
      if (low == null || high == null) continue;
      const away = Math.max(0, scale(low) - x, x - scale(high));
      if (away < distance) [best, distance] = [slip, away];
    }
  }
  return best;
}

function OverLabel({ slip, scale, width }: { slip: Slip; scale: Props['scale']; width: number }) {
  const over = overrun(slip);
  if (!over) return null;
  const x = scale(over.high);
  const right = x > width - 90;
  return (
    <span
      className="text-hold bg-paper absolute top-[29px] z-20 px-0.5 text-[12px] leading-[15px] font-semibold whitespace-nowrap"
      style={right ? { right: width - scale(over.high) } : { left: scale(over.low) }}
    >
      {length(over.high - over.low)} over
    </span>
  );
}

function Bracket({ from, to, label, width }: { from: number; to: number; label: string; width: number }) {
  const left = Math.max(-2, Math.min(from, to));
  const right = Math.min(width + 2, Math.max(from, to));
  if (right < left) return null;
  return (
    <div
      className="border-accent pointer-events-none absolute top-[27px] z-10 h-[8px] rounded-b-sm border border-t-0"
      style={{ left, width: Math.max(2, right - left) }}
    >
      <span className="text-accent bg-paper absolute top-[1px] left-1/2 -translate-x-1/2 px-1 text-[12px] leading-[14px] font-semibold whitespace-nowrap">
        {label}
      </span>
    </div>
  );
}
