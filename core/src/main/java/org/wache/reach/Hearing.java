package org.wache.reach;

import java.util.Optional;
import org.wache.channel.Channel;
import org.wache.channel.Digital;
import org.wache.channel.Field;
import org.wache.rulebook.ToneTable;
import org.wache.signal.Mode;
import org.wache.signal.Tone;

/** Whether what is keyed on one entry is heard on another: frequency, mode, tone and digital codes. */
public final class Hearing {

    private Hearing() {}

    /** Directly, or through the repeater that the first talks through. */
    public static boolean hears(Channel talks, Channel listens) {
        return alike(talks, listens) && (throughRepeater(talks, listens) || directly(talks, listens));
    }

    /** The same mode and width, and nothing digital that keeps them apart. */
    private static boolean alike(Channel talks, Channel listens) {
        Optional<Mode> one = talks.mode();
        Optional<Mode> other = listens.mode();
        if (one.isEmpty() || other.isEmpty() ? !emission(talks).equals(emission(listens)) : !one.equals(other)) {
            return false;
        }
        Digital here = talks.digital();
        Digital there = listens.digital();
        return agrees(
                        here.colourCode().isPresent(),
                        there.colourCode().isPresent(),
                        here.colourCode(),
                        there.colourCode())
                && agrees(here.timeSlot().isPresent(), there.timeSlot().isPresent(), here.timeSlot(), there.timeSlot())
                && agrees(
                        here.talkGroup().isPresent(),
                        there.talkGroup().isPresent(),
                        here.talkGroup(),
                        there.talkGroup())
                && agrees(
                        here.accessCode().isPresent(),
                        there.accessCode().isPresent(),
                        here.accessCode(),
                        there.accessCode());
    }

    private static String emission(Channel channel) {
        return channel.mode()
                .map(Enum::name)
                .orElse(channel.text(Field.EMISSION).strip());
    }

    /** What one of two does not say is taken to be as in the other. */
    private static boolean agrees(boolean here, boolean there, Object one, Object other) {
        return !here || !there || one.equals(other);
    }

    private static boolean throughRepeater(Channel talks, Channel listens) {
        if (!talks.isPair() || !talks.receive().equals(listens.receive())) {
            return false;
        }
        // What the repeater sends with is known only where its own entry says on what one may open.
        return opens(listens, talks.opensOn());
    }

    /** One who keys a repeater's input is heard there by whoever listens to the input itself. */
    private static boolean directly(Channel talks, Channel listens) {
        return talks.transmit().isPresent()
                && talks.transmit().equals(listens.receive())
                && opens(listens, talks.sends());
    }

    private static boolean opens(Channel listens, Optional<Tone> sent) {
        return listens.opensOn().isEmpty() || ToneTable.same(listens.opensOn(), sent);
    }
}
