import type { ScaleLinear } from 'd3-scale';
import type { Slip } from '../api/client';
import { length, offset } from '../ui/Megahertz';
import { overrun } from '../ui/overrun';

interface Props {
  slips: Slip[];
  selected?: Slip;
  place: (low: number, high: number, least: number) => { left: number; width: number };
  scale: ScaleLinear<number, number>;
  width: number;
  onSelect: (slip: Slip) => void;
}

const HALF = 5_600;
const LEAST = 3;

/** The list's own entries at their true width: transmit filled, receive outlined, a pair joined by its offset. */
export function EntryLane({ slips, selected, place, scale, width, onSelect }: Props) {
  return (
    <>
      {slips.map((slip) => (
        <Marks
          key={slip.id}
          slip={slip}
          selected={slip.id === selected?.id}
          place={place}
          onSelect={() => onSelect(slip)}
        />
      ))}
      {selected && selected.txHz !== null && selected.rxHz !== null && selected.txHz !== selected.rxHz && (
        <Bracket
          from={scale(selected.rxHz)}
          to={scale(selected.txHz)}
          label={offset(selected.txHz - selected.rxHz)}
          width={width}
        />
      )}
      {selected && <OverLabel slip={selected} scale={scale} width={width} />}
    </>
  );
}

interface MarksProps {
  slip: Slip;
  selected: boolean;
  place: Props['place'];
  onSelect: () => void;
}

function Marks({ slip, selected, place, onSelect }: MarksProps) {
  const name = slip.fields.name ?? slip.fields.number ?? '';
  const half = slip.lowHz !== null && slip.highHz !== null ? (slip.highHz - slip.lowHz) / 2 : HALF;
  const over = overrun(slip);
  return (
    <>
      {slip.rxHz !== null && slip.rxHz !== slip.txHz && (
        <div
          className={`absolute top-[9px] h-[16px] cursor-pointer border ${selected ? 'border-accent z-10 border-2' : 'border-slate'}`}
          style={place(slip.rxHz - half, slip.rxHz + half, LEAST)}
          title={`${name} hears here`}
          onClick={onSelect}
        />
      )}
      {slip.lowHz !== null && slip.highHz !== null && (
        <div
          className={`absolute top-[9px] h-[16px] cursor-pointer ${selected ? 'bg-accent z-10' : slip.verdict === 'hold' ? 'bg-hold' : 'bg-slate'}`}
          style={place(slip.lowHz, slip.highHz, LEAST)}
          title={`${name} talks here`}
          onClick={onSelect}
        />
      )}
      {over && (
        <div
          className="bg-hold absolute top-[6px] z-20 h-[22px]"
          style={place(over.low, over.high, LEAST)}
          title={`${name}: ${length(over.high - over.low)} over`}
          onClick={onSelect}
        />
      )}
    </>
  );
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
