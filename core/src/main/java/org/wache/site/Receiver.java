package org.wache.site;

import org.wache.channel.Channel;
import org.wache.signal.Emission;
import org.wache.signal.Mode;
import org.wache.signal.Span;

/**
 * An entry as it listens.
 *
 * @param entry its position, from 0; below 0 for one that is only thought of
 * @param centre the middle of the receive channel, hertz
 * @param half half of the receiver's width, hertz
 */
public record Receiver(int entry, long centre, long half) {

    /** An entry without a readable emission is taken to listen as wide as FM. */
    private static final Emission WIDEST = Mode.FM.emission();

    /** The receiver of an entry that listens. */
    static Receiver of(int entry, Channel channel) {
        long dial = channel.receive().orElseThrow().hertz();
        Emission emission = channel.emission().orElse(WIDEST);
        Span around =
                emission.aroundDial(channel.mode().isPresent() && channel.mode().get() == Mode.LSB);
        return new Receiver(entry, dial + (around.low() + around.high()) / 2, around.length() / 2);
    }
}
