package org.wache.keypad;

import java.util.Optional;
import org.wache.channel.Channel;
import org.wache.radio.Keypad;
import org.wache.radio.ModesNeeded;
import org.wache.radio.RadioModel;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;
import org.wache.signal.Tone;

/**
 * What a memory is to hold when an entry was typed in.
 *
 * @param memory the memory, from 1
 * @param name what people call the entry; a keypad cannot enter it
 * @param receive where it hears
 * @param transmit where it talks; the receive frequency for a direct channel, empty for listening
 * @param narrow whether it is narrow
 * @param power the name of the level of power; empty where the keypad has no setting for it, or it does not matter
 * @param sends the tone it sends
 * @param opensOn the tone it opens on
 */
public record Goal(
        int memory,
        String name,
        Frequency receive,
        Optional<Frequency> transmit,
        boolean narrow,
        Optional<String> power,
        Optional<Tone> sends,
        Optional<Tone> opensOn) {

    /** What a memory is to hold for an entry; empty when its receive frequency cannot be read. */
    public static Optional<Goal> of(Channel channel, int memory, RadioModel model) {
        boolean narrow = ModesNeeded.of(channel).contains(Mode.NFM);
        return channel.receive()
                .map(receive -> new Goal(
                        memory,
                        channel.name(),
                        receive,
                        channel.transmit(),
                        narrow,
                        power(channel, model),
                        channel.transmit().isPresent() ? channel.sends() : Optional.empty(),
                        channel.opensOn()));
    }

    private static Optional<String> power(Channel channel, RadioModel model) {
        boolean settable = model.keypad()
                .flatMap(keypad -> keypad.setting(Keypad.Purpose.POWER))
                .isPresent();
        return settable
                ? channel.transmit().flatMap(model::powerAt).map(levels -> channel.power()
                        .map(levels::setFor)
                        .orElseGet(levels::least)
                        .name())
                : Optional.empty();
    }

    /** Whether it talks through a repeater. */
    public boolean isPair() {
        return transmit.isPresent() && !transmit.get().equals(receive);
    }

    /** Where the memory talks once it is entered: a keypad cannot leave a memory without a transmit frequency. */
    public Frequency talksOn() {
        return transmit.orElse(receive);
    }
}
