package org.wache.rulebook;

import org.wache.signal.Span;

/**
 * A contiguous span that a class may fill with one kind of emission: grants that touch are joined.
 *
 * @param span the span
 * @param low the grant that ends it below
 * @param high the grant that ends it above
 */
public record Room(Span span, Grant low, Grant high) {

    /** What it is called: the band, or bands. */
    public String band() {
        return low.band().equals(high.band()) ? low.band() : low.band() + " and " + high.band();
    }
}
