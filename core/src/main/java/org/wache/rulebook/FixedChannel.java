package org.wache.rulebook;

import java.util.Optional;
import org.wache.signal.Content;
import org.wache.signal.Emission;
import org.wache.signal.Frequency;
import org.wache.signal.Span;

/**
 * One channel of a service that has fixed channels.
 *
 * @param name number or name in the service's own numbering
 * @param centre its middle
 * @param dialBelow how far below the middle the dial stands on single sideband, hertz
 * @param lowestClass index into the service's classes; 0 without classes
 * @param allow set of {@link org.wache.signal.Content} bits
 * @param width widest signal
 * @param sidebandWidth widest single-sideband signal, where another limit holds for it
 * @param doubleSidebandWidth widest double-sideband AM signal, where another limit holds for it
 * @param power limit for other signals than single sideband
 * @param sidebandPower limit for single sideband, where another holds for it
 * @param repeaters whether talk-through is allowed on it
 * @param reaches the output of the only repeaters it may be used for, when it may be used for nothing else
 * @param directToo whether an input may be used directly as well, away from repeaters
 * @param restricted what it is kept for, and the section, when not for ordinary traffic
 * @param handheldOnly whether only hand-held portables may use it
 * @param room what a signal has to stay inside, when the law says so
 * @param source section of the law
 */
public record FixedChannel(
        String name,
        Frequency centre,
        long dialBelow,
        int lowestClass,
        int allow,
        WidthLimit width,
        Optional<WidthLimit> sidebandWidth,
        Optional<WidthLimit> doubleSidebandWidth,
        Optional<PowerLimit> power,
        Optional<PowerLimit> sidebandPower,
        boolean repeaters,
        Optional<Frequency> reaches,
        boolean directToo,
        Optional<Restriction> restricted,
        boolean handheldOnly,
        Optional<Span> room,
        String source) {

    /** The widest signal of a kind. */
    public WidthLimit widthFor(Emission emission) {
        Optional<WidthLimit> own = emission.is(Content.SSB)
                ? sidebandWidth
                : emission.is(Content.AM) ? doubleSidebandWidth : Optional.empty();
        return own.orElse(width);
    }

    /** Where the dial stands for a signal that lies on one side of it, or around it. */
    public Frequency dial(boolean oneSided) {
        return oneSided ? centre.plus(-dialBelow) : centre;
    }
}
