package org.wache.rulebook;

/**
 * Channels at equal distances.
 *
 * @param start one of them, hertz
 * @param step distance, hertz
 */
public record Raster(long start, long step) {

    /** Whether a frequency in hertz is one of them. */
    public boolean holds(long hertz) {
        return Math.floorMod(hertz - start, step) == 0;
    }

    /** The one nearest to a frequency in hertz; of two equally near, the upper. */
    public long nearest(long hertz) {
        return start + Math.floorDiv(hertz - start + step / 2, step) * step;
    }
}
