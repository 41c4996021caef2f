import { useCallback, useMemo } from 'react';
import type { Schemas, Slip } from '../api/client';
import { megahertz } from '../ui/Megahertz';
import { EntryLane } from './EntryLane';
import { useAxis } from './useAxis';
import { home, type View } from './view';

interface Props {
  ruler: Schemas['Ruler'];
  slips: Slip[];
  selected?: Slip;
  /** Whose privileges the upper lane draws. */
  holder: string;
  view: View;
  onView: (view: View) => void;
  onSelect: (slip: Slip) => void;
}

const LABELS = 52;

/** A frequency axis with three lanes: what the holder may do, what the plan keeps it for, what the list does. */
export function Ruler({ ruler, slips, selected, holder, view, onView, onSelect }: Props) {
  const { box, width, scale, handlers, wasDragged } = useAxis(view, onView);

  const seen = <T extends { low: number; high: number }>(spans: T[]) =>
    spans.filter((span) => span.high >= view.low && span.low <= view.high);
  const place = useCallback(
    (low: number, high: number, least: number) => {
      const left = Math.max(-4, scale(low));
      const right = Math.min(width + 4, scale(high));
      const size = Math.max(least, right - left);
      return { left: left - (size > right - left ? (size - (right - left)) / 2 : 0), width: size };
    },
    [scale, width],
  );
  const inView = useMemo(() => slips.filter((slip) => inSight(slip, view)), [slips, view]);

  return (
    <div className="flex h-[132px] select-none" data-testid="ruler">
      <div
        className="text-second text-soft flex shrink-0 flex-col text-right"
        style={{ width: LABELS }}
        aria-hidden="true"
      >
        <span className="h-[18px] pr-2 text-[11px]">MHz</span>
        <span className="h-[34px] truncate pt-1.5 pr-2">May</span>
        <span className="h-[34px] pt-1.5 pr-2">Plan</span>
        <span className="h-[46px] pt-2.5 pr-2">List</span>
      </div>
      <div
        ref={box}
        className="relative min-w-0 grow cursor-grab touch-none overflow-hidden active:cursor-grabbing"
        role="img"
        aria-label={`Ruler for ${holder} from ${megahertz(Math.round(view.low))} to ${megahertz(Math.round(view.high))} MHz`}
        {...handlers}
      >
        {scale.ticks(Math.max(3, Math.floor(width / 110))).map((tick) => (
          <div
            key={tick}
            className="border-line absolute top-0 h-full border-l pl-1 font-mono text-[11px] leading-[16px]"
            style={{ left: scale(tick) }}
          >
            <span className="text-soft">{megahertz(Math.round(tick))}</span>
          </div>
        ))}
        <div className="absolute inset-x-0 top-[18px] h-[34px]">
          {seen(ruler.may).map((span) => (
            <Stretch
              key={`${span.service} ${span.low}`}
              at={place(span.low, span.high, 2)}
              mine={span.onlyFrom === null}
              words={span.onlyFrom === null ? span.words : `${span.onlyFrom}: ${span.words}`}
              title={`${megahertz(span.low)}–${megahertz(span.high)} MHz: ${span.words}${span.onlyFrom ? `, needs ${span.onlyFrom}` : ''} (${span.source})`}
            />
          ))}
        </div>
        <div className="absolute inset-x-0 top-[52px] h-[34px]">
          {seen(ruler.plan)
            .filter((row) => row.low !== row.high)
            .map((row) => (
              <div
                key={`${row.low} ${row.high} ${row.words}`}
                className={`absolute top-[4px] h-[25px] overflow-hidden px-1 text-[12px] leading-[25px] text-ellipsis whitespace-nowrap ${row.local ? 'border-accent bg-accent-wash border border-dashed leading-[23px]' : 'border-line bg-sunk border-x'}`}
                style={place(row.low, row.high, 1)}
                title={`${megahertz(row.low)}–${megahertz(row.high)} MHz: ${row.words}${row.local ? ' (the group’s own row)' : ''}`}
              >
                {scale(row.high) - scale(row.low) > 24 && row.words}
              </div>
            ))}
          {seen(ruler.plan)
            .filter((row) => row.low === row.high)
            .map((row) => (
              <div
                key={`${row.low} ${row.words}`}
                className={`absolute top-[2px] h-[29px] border-l-2 ${row.calling || row.local ? 'border-accent' : 'border-edge'} ${row.local ? 'border-dashed' : ''}`}
                style={{ left: scale(row.low) - 1 }}
                title={`${megahertz(row.low)} MHz: ${row.words}`}
              >
                {row.calling && (
                  <span className="bg-paper text-accent absolute top-[9px] left-[2px] px-0.5 text-[11px] leading-[13px] whitespace-nowrap">
                    {row.calling}
                  </span>
                )}
              </div>
            ))}
        </div>
        <div className="border-edge absolute inset-x-0 top-[86px] h-[46px] border-t">
          <EntryLane
            slips={inView}
            selected={selected}
            place={place}
            scale={scale}
            width={width}
            onSelect={(slip) => !wasDragged() && onSelect(slip)}
          />
        </div>
      </div>
    </div>
  );
}

function inSight(slip: Slip, view: View): boolean {
  const ends = [slip.rxHz, slip.txHz].filter((hertz) => hertz !== null);
  return ends.some((hertz) => hertz > view.low - 20_000 && hertz < view.high + 20_000) && home(slip) !== null;
}

interface StretchProps {
  at: { left: number; width: number };
  mine: boolean;
  words: string;
  title: string;
}

/** What may be sent there: solid for this holder, outlined where a higher class could. */
function Stretch({ at, mine, words, title }: StretchProps) {
  return (
    <div
      className={`absolute top-[4px] h-[25px] overflow-hidden border px-1 text-[12px] leading-[23px] text-ellipsis whitespace-nowrap ${mine ? 'bg-reach border-reach' : 'text-soft border-edge border-dashed'}`}
      style={at}
      title={title}
    >
      {at.width > 24 && words}
    </div>
  );
}
