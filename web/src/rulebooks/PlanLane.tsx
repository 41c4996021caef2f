import { useEffect, useRef, useState } from 'react';
import { megahertz } from '../ui/Megahertz';
import { placed } from './labels';

interface Row {
  low: number;
  high: number;
  words: string;
  local: boolean;
}

const ROW = 17;
const BAR = 30;
/** Narrower than this, in pixels, the words go into lines of their own below. */
const NARROW = 480;

/** The band plan along a band: each part and each frequency with its words, none cut off and none over another. */
export function PlanLane({ band, rows }: { band: { low: number; high: number }; rows: Row[] }) {
  const lane = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(0);
  useEffect(() => {
    const here = lane.current;
    if (!here) return;
    const watch = new ResizeObserver(() => setWidth(here.clientWidth));
    watch.observe(here);
    return () => watch.disconnect();
  }, []);
  const at = (hertz: number) =>
    ((Math.min(Math.max(hertz, band.low), band.high) - band.low) / (band.high - band.low)) * width;
  const sorted = [...rows].sort((a, b) => a.low - b.low || b.high - a.high);
  const words = sorted.map((row) =>
    row.low === row.high ? `${megahertz(row.low)} ${row.words}` : row.words,
  );
  const narrow = width > 0 && width < NARROW;
  const labels = narrow
    ? []
    : placed(
        sorted.map((row, index) => ({ from: at(row.low), to: at(row.high), words: words[index] ?? '' })),
        width,
      );
  const deepest = Math.max(-1, ...labels.map((label) => label.row ?? -1));
  return (
    <div className="min-w-0 grow text-[12px]">
      <div ref={lane} className="relative" style={{ height: BAR + (deepest + 1) * ROW + 6 }}>
        {sorted.map((row, index) => {
          const label = labels[index];
          const said = words[index] ?? '';
          const range = row.high > row.low;
          const title = `${megahertz(row.low)}${range ? `–${megahertz(row.high)}` : ''} MHz: ${row.words}${row.local ? ' (the group’s own row)' : ''}`;
          return (
            <div key={`${row.low} ${row.high} ${row.words}`} title={title}>
              <div
                className={`absolute top-0 border-l ${row.local ? 'border-accent bg-accent-wash z-[1]' : 'border-edge'} ${range && !row.local ? 'bg-sunk' : ''} ${range ? '' : 'z-[1]'}`}
                style={{ left: at(row.low), width: Math.max(1, at(row.high) - at(row.low)), height: BAR }}
              >
                {label?.row === null && <span className="px-1 leading-[30px] whitespace-nowrap">{said}</span>}
              </div>
              {label && label.row !== null && (
                <>
                  <span
                    aria-hidden="true"
                    className="bg-edge absolute w-px"
                    style={{ left: at(row.low), top: BAR, height: label.row * ROW + 8 }}
                  />
                  <span
                    className="text-soft bg-paper absolute z-[2] px-1 leading-[17px] whitespace-nowrap"
                    style={{ left: label.left, top: BAR + label.row * ROW + 4 }}
                  >
                    {said}
                  </span>
                </>
              )}
            </div>
          );
        })}
      </div>
      {narrow && (
        <ul className="text-soft">
          {sorted.map((row) => (
            <li key={`${row.low} ${row.high} ${row.words}`}>
              {megahertz(row.low)}
              {row.high > row.low && `–${megahertz(row.high)}`} {row.words}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
