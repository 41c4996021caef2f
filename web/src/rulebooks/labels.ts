/** What has to be said of a stretch of a band, and where it begins and ends, in pixels. */
export interface Stretch {
  from: number;
  to: number;
  words: string;
}

/** A label: inside its stretch, or in a row below with a line that leads to it. */
export interface Placed {
  /** Counted from 0; null inside. */
  row: number | null;
  left: number;
}

const CHARACTER = 6.1;
const PADDING = 10;
const GAP = 10;

/** How wide a text is in the small size, roughly. */
export const wide = (words: string) => words.length * CHARACTER + PADDING;

/**
 * Places the labels of stretches that rise: what fits stands inside, all else below, each in the first row where it covers no other.
 * Nothing is cut.
 */
export function placed(stretches: Stretch[], width: number): Placed[] {
  const ends: number[] = [];
  return stretches.map(({ from, to, words }) => {
    const room = wide(words);
    if (to - from >= room) return { row: null, left: from };
    const left = Math.max(0, Math.min(from, width - room));
    let row = ends.findIndex((end) => end + GAP <= left);
    if (row < 0) row = ends.length;
    ends[row] = left + room;
    return { row, left };
  });
}
