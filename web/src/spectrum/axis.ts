/** What is looked at, in hertz; the axis is logarithmic. */
export interface View {
  low: number;
  high: number;
}

/** All that clubs, families and firms have to do with: 100 kHz to 1.3 GHz. */
export const WHOLE: View = { low: 100_000, high: 1_300_000_000 };
/** Closer than this share of itself nothing is to be seen: a thousandth. */
const NARROWEST = 1.001;

const inside = (low: number, ratio: number): View => {
  const from = Math.min(Math.max(low, WHOLE.low), WHOLE.high / ratio);
  return { low: from, high: from * ratio };
};

/** Zooms by a factor (above 1: closer) around a frequency, which stays where it is. */
export function zoomed(view: View, factor: number, fixed: number): View {
  const ratio = Math.min(
    WHOLE.high / WHOLE.low,
    Math.max(NARROWEST, Math.exp(Math.log(view.high / view.low) / factor)),
  );
  const share = Math.log(fixed / view.low) / Math.log(view.high / view.low);
  return inside(fixed / ratio ** share, ratio);
}

/** Moves by a share of its width; never beyond the ends. */
export const panned = (view: View, share: number): View => {
  const ratio = view.high / view.low;
  return inside(view.low * ratio ** share, ratio);
};

const ROOM = 1.02;

/** Around some stretches, with a little room beside them. */
export function around(stretches: readonly View[]): View {
  const low = Math.min(...stretches.map((each) => each.low));
  const high = Math.max(...stretches.map((each) => each.high));
  const ratio = Math.min(WHOLE.high / WHOLE.low, Math.max(NARROWEST, (high / low) * ROOM));
  return inside(low / Math.sqrt(ratio / (high / low)), ratio);
}

/** A frequency as short as it can be said: 100 kHz, 7 MHz, 1.3 GHz. */
export function said(hertz: number): string {
  const [unit, size] = hertz >= 1e9 ? ['GHz', 1e9] : hertz >= 1e6 ? ['MHz', 1e6] : ['kHz', 1e3];
  return `${Number((hertz / Number(size)).toPrecision(7))} ${unit}`;
}
