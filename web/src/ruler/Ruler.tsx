import { useCallback, useMemo, useState } from 'react';
import type { Schemas, Slip } from '../api/client';
import { megahertz } from '../ui/Megahertz';
import { EntryLane } from './EntryLane';
import { fits } from './labels';
import { PlanLane } from './PlanLane';
import { nearest } from './steps';
import { useAxis } from './useAxis';
import { holds, home, type View } from './view';

interface Props {
  ruler: Schemas['Ruler'];
  slips: Slip[];
  selected?: Slip;
  /** Whose privileges the upper lane draws. */
  holder: string;
  view: View;
  onView: (view: View) => void;
  onSelect: (slip: Slip) => void;
  /** Which raster the house settled for, kilohertz, where an area chooses. */
  houseKhz: number | null;
  /** Where the chosen entry hears while it is being moved and its verdict is on its way, hertz. */
  moved?: number;
  /** The chosen entry is taken hold of; nothing where it cannot be changed. */
  onHold?: () => void;
  /** It is moved to where it would hear, a channel of the raster, hertz. */
  onMove?: (slip: Slip, hears: number) => void;
  onLetGo?: () => void;
}

const LABELS = 52;
const WORDS_PX = 12;

/** A frequency axis with three lanes: what the holder may do, what the plan keeps it for, what the list does. */
export function Ruler(props: Props) {
  const { ruler, slips, selected, holder, view, onView, onSelect, houseKhz, moved, onHold, onMove, onLetGo } =
    props;
  const [pointed, setPointed] = useState<number | null>(null);
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
        <span className="h-[26px] truncate pt-0.5 pr-2">May</span>
        <span className="h-[40px] pt-0.5 pr-2">Plan</span>
        <span className="h-[48px] pt-2.5 pr-2">List</span>
      </div>
      <div
        ref={box}
        className="relative min-w-0 grow cursor-grab touch-none overflow-hidden active:cursor-grabbing"
        role="img"
        aria-label={`Ruler for ${holder} from ${megahertz(Math.round(view.low))} to ${megahertz(Math.round(view.high))} MHz`}
        {...handlers}
        onPointerMove={(event) => {
          setPointed(scale.invert(event.clientX - event.currentTarget.getBoundingClientRect().left));
          handlers.onPointerMove(event);
        }}
        onPointerLeave={() => {
          setPointed(null);
          handlers.onPointerLeave();
        }}
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
        <div className="absolute inset-x-0 top-[18px] h-[26px]">
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
        <div className="absolute inset-x-0 top-[44px] h-[40px]">
          <PlanLane
            rows={ruler.plan}
            view={view}
            scale={scale}
            width={width}
            place={place}
            named={
              pointed !== null && moved === undefined
                ? pointed
                : selected && holds(view, home(selected))
                  ? home(selected)
                  : null
            }
          />
        </div>
        <div className="border-edge absolute inset-x-0 top-[84px] h-[48px] border-t">
          <EntryLane
            slips={inView}
            selected={selected}
            place={place}
            scale={scale}
            width={width}
            onSelect={(slip) => !wasDragged() && onSelect(slip)}
            onHold={onHold}
            moved={moved}
            onMove={
              onMove &&
              ((slip, hertz) =>
                onMove(slip, nearest(ruler, Math.min(view.high, Math.max(view.low, hertz)), houseKhz)))
            }
            onLetGo={onLetGo}
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
      className={`absolute top-[2px] h-[22px] overflow-hidden border px-1 text-[12px] leading-[20px] whitespace-nowrap ${mine ? 'bg-reach border-reach' : 'text-soft border-edge border-dashed'}`}
      style={at}
      title={title}
    >
      {fits(words, WORDS_PX, at.width) && words}
    </div>
  );
}
