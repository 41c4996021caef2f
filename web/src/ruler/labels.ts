/** A label that wants to stand at a place, in pixels. */
export interface Wanted {
  key: string;
  /** Its left edge, and how wide it is. */
  left: number;
  width: number;
  /** What is more important is kept when two lie over each other. */
  weight: number;
}

const GAP = 4;

/** Which labels stand without lying over another or beyond the edges: the important ones first, then from the left. */
export function standing(wanted: readonly Wanted[], room: number): ReadonlySet<string> {
  const placed: Wanted[] = [];
  for (const each of [...wanted].sort((a, b) => b.weight - a.weight || a.left - b.left)) {
    const right = each.left + each.width;
    const free = placed.every(
      (other) => right + GAP <= other.left || other.left + other.width + GAP <= each.left,
    );
    if (free && each.left >= 0 && right <= room) placed.push(each);
  }
  return new Set(placed.map((each) => each.key));
}

let context: CanvasRenderingContext2D | null | undefined;
const known = new Map<string, number>();

// What was measured before the application's own type had come was measured in another.
if (typeof document !== 'undefined') document.fonts.addEventListener('loadingdone', () => known.clear());

/** How wide a text is in the application's own type, in pixels. */
export function textWidth(text: string, size: number): number {
  const key = `${size} ${text}`;
  const before = known.get(key);
  if (before !== undefined) return before;
  context ??= document.createElement('canvas').getContext('2d');
  if (!context) return text.length * size * 0.55;
  context.font = `${size}px "Atkinson Hyperlegible Next Variable", sans-serif`;
  const width = context.measureText(text).width;
  known.set(key, width);
  return width;
}

const PADDING = 10;

/** Whether a text fits whole into a stretch: a label that is cut to two letters says nothing. */
export const fits = (text: string, size: number, room: number) => textWidth(text, size) + PADDING <= room;
