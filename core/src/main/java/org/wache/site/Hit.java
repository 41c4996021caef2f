package org.wache.site;

import java.util.List;
import org.wache.channel.Channel;
import org.wache.signal.Span;

/**
 * Something that a transmitter of the site puts into one of its receivers.
 *
 * @param kind what it is
 * @param receiver who is disturbed
 * @param terms the transmitters that it comes from, each with how often it counts
 * @param lands where it lands, hertz
 * @param half half of its width, hertz
 */
public record Hit(Kind kind, Receiver receiver, List<Term> terms, long lands, long half) {

    /** The kinds, worst first. */
    public enum Kind {
        /** Another entry transmits on the frequency. */
        CO_CHANNEL,
        /** Another signal reaches into the channel. */
        OVERLAP,
        /** Third-order product: 2A − B or A + B − C. */
        THIRD_ORDER,
        /** Fifth-order product: 3A − 2B. */
        FIFTH_ORDER,
        /** 2A or 3A. */
        HARMONIC,
        /** A transmitter nearer than a receiver without filters bears. */
        NEAR;

        /** Whether it is a product of several transmitters. */
        public boolean isProduct() {
            return this == THIRD_ORDER || this == FIFTH_ORDER;
        }
    }

    /**
     * A transmitter in a product.
     *
     * @param factor how often it counts; negative when it is taken away
     * @param emitter the transmitter
     */
    public record Term(int factor, Emitter emitter) {}

    public Hit {
        terms = List.copyOf(terms);
    }

    /** How far from the middle of the receive channel it lands, hertz. */
    public long off() {
        return Math.abs(lands - receiver.centre());
    }

    /**
     * Whether a product, harmonic or overlap would still reach its receiver if the list's entries were these. Not for
     * {@link Kind#NEAR}, whose distance the rulebook sets.
     */
    public boolean standsIn(List<Channel> channels) {
        Channel victim = channels.get(receiver.entry());
        if (victim.receive().isEmpty()) {
            return false;
        }
        boolean mixed = kind.isProduct() || kind == Kind.HARMONIC;
        long where = 0;
        long width = mixed ? SiteStudy.AUDIO : 0;
        for (Term term : terms) {
            Emitter emitter = term.emitter();
            boolean alone = emitter.entries().size() == 1; // one that others share stays where it is
            Channel source = channels.get(emitter.entries().get(0));
            if (alone && source.occupied().isEmpty()) {
                return false;
            }
            Span span = alone ? source.occupied().get() : emitter.span();
            long deviation = alone ? Emitter.deviation(source.emission().orElseThrow()) : emitter.deviation();
            where += term.factor() * ((span.low() + span.high()) / 2);
            width += mixed ? Math.abs(term.factor()) * deviation : span.length() / 2;
        }
        Receiver now = Receiver.of(receiver.entry(), victim);
        return Math.abs(where - now.centre()) < width + now.half();
    }

    /** How near it may come before it reaches into the receive channel, hertz. */
    public long reach() {
        return half + receiver.half();
    }
}
