const WIDTH = 64;
const HEIGHT = 18;

/** How a figure went over time: a line through the measurements, the newest with a dot. */
export function Trend({ values }: { values: number[] }) {
  if (values.length < 2) return null;
  const low = Math.min(...values);
  const range = Math.max(...values) - low || 1;
  const points = values.map((value, index) => [
    2 + (index / (values.length - 1)) * (WIDTH - 6),
    HEIGHT - 3 - ((value - low) / range) * (HEIGHT - 6),
  ]);
  const last = points[points.length - 1]!;
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      role="img"
      aria-label={`From ${values[0]} to ${values[values.length - 1]} in ${values.length} measurements`}
    >
      <polyline
        points={points.map((point) => point.join(',')).join(' ')}
        fill="none"
        stroke="var(--slate)"
        strokeWidth="1.5"
      />
      <circle cx={last[0]} cy={last[1]} r="2.5" fill="var(--accent)" />
    </svg>
  );
}
