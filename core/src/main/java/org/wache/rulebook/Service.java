package org.wache.rulebook;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.wache.signal.Emission;
import org.wache.signal.Frequency;
import org.wache.signal.Span;

/** A radio service: where it is, who may use it, and on what terms. */
public abstract sealed class Service permits BandService, ChannelService, AuthorisedService {

    private final ServiceTraits traits;

    Service(ServiceTraits traits) {
        this.traits = traits;
    }

    /** What does not depend on the frequency. */
    public final ServiceTraits traits() {
        return traits;
    }

    /** Identifier, as in lists and licences. */
    public final String id() {
        return traits.id();
    }

    /** Name for people. */
    public final String title() {
        return traits.title();
    }

    /** Name in a sentence: {@code GMRS}, {@code land mobile}. */
    public final String inText() {
        return title().equals(title().toUpperCase(Locale.ROOT)) ? title() : title().toLowerCase(Locale.ROOT);
    }

    /** Whether the frequency belongs to it. */
    public abstract Inclusion includes(Frequency frequency);

    /** Whether there it may be used on fixed channels only. */
    public abstract boolean isChannelised(Frequency frequency);

    /** The fixed channel on which an emission with this transmit frequency stands. */
    public abstract Optional<FixedChannel> channelAt(Frequency transmit, boolean oneSided);

    /** The fixed channel nearest to the frequency. */
    public abstract Optional<FixedChannel> nearestChannel(Frequency frequency, boolean oneSided);

    /** The contiguous span around the frequency that the class may fill with such an emission. */
    public abstract Optional<Room> room(int licenceClass, Emission emission, Frequency frequency);

    /** The limits of power that hold there, each of them. */
    public abstract List<PowerLimit> powerLimits(int licenceClass, Emission emission, Frequency frequency);

    /** The widest signal of this kind that is allowed there. */
    public abstract Optional<WidthLimit> widthLimit(Emission emission, Frequency frequency);

    /** The band, or the stretch of channels, that holds the frequency. */
    public abstract Optional<Span> spanAt(Frequency frequency);

    /** Its rows in words, in the order of the law. */
    abstract List<EditionDifference.Term> terms();

    /** What stands at the other end of a pair: where a repeater that hears here talks, and the reverse. */
    public abstract List<Partner> partners(Frequency frequency);

    /** The name of the band or channel for messages. */
    public abstract String placeName(Frequency frequency);
}
