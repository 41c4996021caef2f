import type { Schemas, Slip } from '../api/client';

export interface View {
  low: number;
  high: number;
}

export type Band = Schemas['Band'];

/** What an entry is told apart by on the ruler: where it talks, else where it hears. */
export const home = (slip: Slip): number | null => slip.txHz ?? slip.rxHz;

/** The narrowest band that holds a frequency. */
export function bandAt(bands: Band[], hertz: number | null): Band | undefined {
  if (hertz === null) return undefined;
  let found: Band | undefined;
  for (const band of bands) {
    const holdsIt = band.low <= hertz && hertz <= band.high;
    if (holdsIt && (!found || band.high - band.low < found.high - found.low)) found = band;
  }
  return found;
}

const MARGIN = 0.02;
const NEIGHBOURHOOD = 150_000;
const NARROWEST = 4_000;
const WIDEST = 3_000_000_000;

const AROUND = new WeakMap<Band, View>();

/** A band with a little room beside it; the same view each time, so that nothing is drawn anew for it. */
export function around(band: Band): View {
  const known = AROUND.get(band);
  if (known) return known;
  const room = (band.high - band.low) * MARGIN;
  const view = { low: band.low - room, high: band.high + room };
  AROUND.set(band, view);
  return view;
}

/** What to look at for an entry: its band, else its neighbourhood. */
export function viewOf(bands: Band[], slip: Slip | undefined, usualBand?: string | null): View {
  const hertz = slip ? home(slip) : null;
  const band = bandAt(bands, hertz);
  if (band) return around(band);
  if (hertz !== null) return { low: hertz - NEIGHBOURHOOD, high: hertz + NEIGHBOURHOOD };
  const usual = bands.find((each) => each.name === usualBand) ?? bands[0];
  return usual ? around(usual) : { low: 1, high: WIDEST };
}

/** Zooms by a factor (above 1: closer) around a fixed frequency. */
export function zoomed(view: View, factor: number, fixed: number): View {
  const width = Math.min(WIDEST, Math.max(NARROWEST, (view.high - view.low) / factor));
  const share = (fixed - view.low) / (view.high - view.low);
  const low = Math.max(0, fixed - width * share);
  return { low, high: low + width };
}

/** Moves by a share of the width. */
export function panned(view: View, share: number): View {
  const by = Math.max(-view.low, (view.high - view.low) * share);
  return { low: view.low + by, high: view.high + by };
}

/** Close enough to see the signal's own width. */
export function channelView(slip: Slip): View | undefined {
  const hertz = home(slip);
  if (hertz === null) return undefined;
  const low = slip.lowHz ?? hertz - 8_000;
  const high = slip.highHz ?? hertz + 8_000;
  const middle = (low + high) / 2;
  const half = Math.max(2_000, (high - low) * 1.6);
  return { low: middle - half, high: middle + half };
}

export const holds = (view: View, hertz: number | null) =>
  hertz !== null && view.low <= hertz && hertz <= view.high;
