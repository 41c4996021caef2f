import type { Slip } from '../api/client';
import { length, megahertz } from '../ui/Megahertz';
import { overrun } from '../ui/overrun';

const WIDTH = 330;
const MARGIN = 40;

/** The signal at its true width against the edge that it crosses. */
export function EdgeDrawing({ slip }: { slip: Slip }) {
  const { lowHz, highHz, edge } = slip;
  const beyond = overrun(slip);
  if (lowHz === null || highHz === null || edge === null || !beyond) return null;
  const edgeHz = edge.hertz;
  const low = Math.min(lowHz, edgeHz);
  const high = Math.max(highHz, edgeHz);
  const x = (hertz: number) => MARGIN + ((hertz - low) / (high - low)) * (WIDTH - 2 * MARGIN);
  const { low: from, high: to, top } = beyond;
  const over = to - from;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} 46`}
      className="w-full"
      role="img"
      aria-label={`The signal reaches ${length(over)} over ${megahertz(edgeHz)} MHz`}
    >
      <rect
        x={top ? 0 : x(edgeHz)}
        y="12"
        width={top ? x(edgeHz) : WIDTH - x(edgeHz)}
        height="18"
        className="fill-reach"
        opacity="0.6"
      />
      <rect x={x(lowHz)} y="15" width={x(highHz) - x(lowHz)} height="12" className="fill-slate" />
      <rect x={x(from)} y="15" width={Math.max(2, x(to) - x(from))} height="12" className="fill-hold" />
      <line x1={x(edgeHz)} x2={x(edgeHz)} y1="12" y2="34" className="stroke-ink" strokeWidth="1.5" />
      <text x={x(edgeHz)} y="44" textAnchor="middle" className="fill-soft font-mono text-[10px]">
        {megahertz(edgeHz)}
      </text>
      <text
        x={(x(from) + x(to)) / 2}
        y="10"
        textAnchor="middle"
        className="fill-hold text-[10px] font-semibold"
      >
        {length(over)} over
      </text>
    </svg>
  );
}
