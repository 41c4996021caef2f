import type { Schemas } from '../api/client';
import type { View } from '../ruler/view';

const GAP = 12_000_000;
const ROOM = 0.06;
const LEAST = 200_000;
/** Above this a frequency is a slip of the unit. */
const PLAUSIBLE = 3_000_000_000;

/** A stretch of spectrum that entries stand together in. */
export interface Cluster extends View {
  name: string;
  entries: number;
}

const name = (low: number, high: number) => {
  const [from, to] = [(low / 1e6).toFixed(1), (high / 1e6).toFixed(1)];
  return from === to ? `${from} MHz` : `${from}–${to} MHz`;
};

/** The stretches that a site uses: split where nothing stands for 12 MHz. */
export function clusters(entries: Schemas['SiteEntry'][]): Cluster[] {
  const all = entries
    .flatMap((entry) => [entry.txHz, entry.rxHz])
    .filter((hertz): hertz is number => hertz !== null && hertz < PLAUSIBLE)
    .sort((a, b) => a - b);
  const found: Cluster[] = [];
  let start = 0;
  for (let i = 1; i <= all.length; i++) {
    if (i < all.length && all[i]! - all[i - 1]! <= GAP) continue;
    const low = all[start]!;
    const high = all[i - 1]!;
    const room = Math.max(LEAST, (high - low) * ROOM);
    found.push({
      low: low - room,
      high: high + room,
      name: name(low, high),
      entries: entries.filter((each) => {
        const hertz = each.txHz ?? each.rxHz;
        return hertz !== null && hertz >= low && hertz <= high;
      }).length,
    });
    start = i;
  }
  return found;
}
