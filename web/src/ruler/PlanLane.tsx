import type { ScaleLinear } from 'd3-scale';
import { useMemo } from 'react';
import type { Schemas } from '../api/client';
import { megahertz } from '../ui/Megahertz';
import { fits, standing, textWidth } from './labels';
import type { View } from './view';

type Row = Schemas['Plan'];

interface Props {
  rows: Row[];
  view: View;
  scale: ScaleLinear<number, number>;
  width: number;
  place: (low: number, high: number, least: number) => { left: number; width: number };
  /** Where the plan is named beside its labels: under the pointer, else at the chosen entry. */
  named: number | null;
}

const WORDS_PX = 12;
const FLAG_PX = 11;
const WEIGHTS = { here: 3, calling: 2, local: 1, other: 0 };

const isPoint = (row: Row) => row.low === row.high;
const titled = (row: Row) =>
  `${megahertz(row.low)}${isPoint(row) ? '' : `–${megahertz(row.high)}`} MHz: ${row.words}${row.local ? ' (the group’s own row)' : ''}`;

/** What the plan says of a frequency: its narrowest row, and a mark that stands close to it. */
export function planAt(rows: readonly Row[], hertz: number, near: number): Row | undefined {
  const point = rows
    .filter((row) => isPoint(row) && Math.abs(row.low - hertz) <= near)
    .sort((a, b) => Math.abs(a.low - hertz) - Math.abs(b.low - hertz))[0];
  return (
    point ??
    rows
      .filter((row) => row.low <= hertz && hertz <= row.high)
      .sort((a, b) => a.high - a.low - (b.high - b.low))[0]
  );
}

const NEAR_PX = 4;
const HERE = 'here';

/**
 * What the plan keeps each stretch for. Words stand where they fit whole; marks such as calling frequencies have a row of
 * flags, the important ones first; what has no room is named under the pointer and at the chosen entry.
 */
export function PlanLane({ rows, view, scale, width, place, named }: Props) {
  const seen = useMemo(
    () => rows.filter((row) => row.high >= view.low && row.low <= view.high),
    [rows, view],
  );
  const points = seen.filter((row) => isPoint(row));
  const at = named === null ? undefined : planAt(seen, named, scale.invert(NEAR_PX) - scale.invert(0));
  const label = at && (isPoint(at) ? flag(at) : `${at.words} · ${megahertz(at.low)}–${megahertz(at.high)}`);
  const size = label === undefined ? 0 : textWidth(label, FLAG_PX) + 10;
  const left = named === null ? 0 : beside(scale(named), size, width);
  const flags = standing(
    [
      ...points.map((row) => ({
        key: keyOf(row),
        left: scale(row.low),
        width: textWidth(flag(row), FLAG_PX) + 6,
        weight: row.calling ? WEIGHTS.calling : row.local ? WEIGHTS.local : WEIGHTS.other,
      })),
      ...(label === undefined ? [] : [{ key: HERE, left, width: size, weight: WEIGHTS.here }]),
    ],
    width,
  );
  return (
    <>
      {seen
        .filter((row) => !isPoint(row))
        .map((row) => (
          <div
            key={keyOf(row)}
            className={`absolute top-[2px] h-[20px] overflow-hidden px-1 text-[12px] leading-[20px] whitespace-nowrap ${row.local ? 'border-accent bg-accent-wash border border-dashed leading-[18px]' : 'border-line bg-sunk border-x'}`}
            style={place(row.low, row.high, 1)}
            title={titled(row)}
          >
            {fits(row.words, WORDS_PX, place(row.low, row.high, 1).width) && row.words}
          </div>
        ))}
      {points.map((row) => (
        <div
          key={keyOf(row)}
          className={`absolute top-[22px] border-l-2 ${flags.has(keyOf(row)) ? 'h-[17px]' : 'h-[7px]'} ${row.calling || row.local ? 'border-accent' : 'border-edge'} ${row.local ? 'border-dashed' : ''}`}
          style={{ left: scale(row.low) - 1 }}
          title={titled(row)}
        >
          {flags.has(keyOf(row)) && (
            <span
              className={`absolute top-[3px] left-[2px] px-0.5 text-[11px] leading-[14px] whitespace-nowrap ${row.calling || row.local ? 'text-accent' : 'text-soft'}`}
            >
              {flag(row)}
            </span>
          )}
        </div>
      ))}
      {label && (
        <span
          data-testid="plan-here"
          className="bg-accent-wash border-accent pointer-events-none absolute top-[23px] z-20 rounded-sm border px-1 text-[11px] leading-[14px] whitespace-nowrap"
          style={{ left }}
        >
          {label}
        </span>
      )}
    </>
  );
}

/** Under its place as far as that goes without leaving the lane. */
const beside = (x: number, size: number, width: number) => Math.max(0, Math.min(width - size, x - size / 2));

const keyOf = (row: Row) => `${row.low} ${row.high} ${row.words}`;
const flag = (row: Row) => (row.calling ? `${row.calling} calling` : row.words);
