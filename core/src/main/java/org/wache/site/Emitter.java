package org.wache.site;

import java.util.List;
import org.wache.signal.Content;
import org.wache.signal.Emission;
import org.wache.signal.Span;

/**
 * A frequency on which a site may transmit.
 *
 * @param entries positions of the entries that transmit there, from 0
 * @param centre the middle of the signal, hertz: the transmit frequency itself for all but single sideband
 * @param deviation what a product of it is widened by, hertz: the peak deviation of analogue FM, half the width of others
 * @param span the widest signal there
 */
public record Emitter(List<Integer> entries, long centre, long deviation, Span span) {

    private static final long HALF_KILOHERTZ = 500;

    public Emitter {
        entries = List.copyOf(entries);
    }

    /**
     * What a product of this emission is widened by for each time it counts in it, in hertz. For analogue FM the peak
     * deviation, from Bn = 2M + 2D (47 CFR 2.202(g)) in whole half kilohertz, because 11K2F3E stands for ±2.5 kHz too; for
     * others half of the width, which errs to the safe side.
     */
    static long deviation(Emission emission) {
        return emission.is(Content.FM)
                ? Math.max(emission.deviation() / HALF_KILOHERTZ * HALF_KILOHERTZ, 0)
                : emission.bandwidth() / 2;
    }
}
