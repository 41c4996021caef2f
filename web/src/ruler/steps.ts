import type { Schemas } from '../api/client';

type Ruler = Pick<Schemas['Ruler'], 'plan' | 'channels' | 'stepped'>;
interface Raster {
  start: number;
  step: number;
}

/** Fixed channels of a service stand closer together than this, hertz. */
const CHANNELS_WITHIN = 60_000;
const HF_BELOW = 30_000_000;
/** Where the rulebook names no raster; common practice, no source. */
const HF_STEP = 1_000;
const STEP = 5_000;

/** The raster of a frequency: the plan's narrowest row with one, the house's choice of several; else a service's; else even steps. */
function rasterAt(ruler: Ruler, hertz: number, houseKhz: number | null): Raster {
  const there = ({ low, high }: { low: number; high: number }) => low <= hertz && hertz <= high;
  const row = ruler.plan
    .filter((each) => each.rasters.length > 0 && there(each))
    .sort((a, b) => a.high - a.low - (b.high - b.low))[0];
  return (
    row?.rasters.find((each) => houseKhz !== null && each.step === houseKhz * 1000) ??
    row?.rasters[0] ??
    ruler.stepped.find(there)?.raster ?? { start: 0, step: hertz < HF_BELOW ? HF_STEP : STEP }
  );
}

/**
 * The next channel above (1) or below (-1) a frequency, in hertz.
 *
 * @param houseKhz which of two rasters the house settled for, where an area chooses
 */
export function next(ruler: Ruler, hertz: number, direction: 1 | -1, houseKhz: number | null): number {
  const fixed = (direction > 0 ? ruler.channels : ruler.channels.toReversed()).find(
    (each) => (each - hertz) * direction > 0,
  );
  if (fixed !== undefined && Math.abs(fixed - hertz) <= CHANNELS_WITHIN) return fixed;
  const { start, step } = rasterAt(ruler, hertz + direction, houseKhz);
  const share = (hertz - start) / step;
  return start + (direction > 0 ? Math.floor(share) + 1 : Math.ceil(share) - 1) * step;
}

/** The channel that is nearest to a frequency, in hertz; of two, the lower. */
export function nearest(ruler: Ruler, hertz: number, houseKhz: number | null): number {
  const whole = Math.round(hertz);
  const above = next(ruler, whole - 1, 1, houseKhz);
  const below = next(ruler, whole + 1, -1, houseKhz);
  return above - whole < whole - below ? above : below;
}
