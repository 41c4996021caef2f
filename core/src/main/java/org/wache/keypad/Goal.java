package org.wache.keypad;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.wache.channel.Channel;
import org.wache.radio.Keypad;
import org.wache.radio.Memories;
import org.wache.radio.ModesNeeded;
import org.wache.radio.RadioModel;
import org.wache.radio.ShortNames;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;
import org.wache.signal.Tone;

/**
 * What a memory is to hold when an entry was typed in.
 *
 * @param memory the memory, from 1; of a radio with fixed channels the place of the channel
 * @param name what people call the entry
 * @param label the name as the display can show it; empty where the keypad enters none
 * @param receive where it hears
 * @param transmit where it talks; the receive frequency for a direct channel, empty for listening
 * @param narrow whether it is narrow
 * @param mode the mode that the radio is set to; empty where the keypad has no setting for it, or the entry does not tell
 * @param power the name of the level of power; empty where the keypad has no setting for it, or it does not matter
 * @param sends the tone it sends
 * @param opensOn the tone it opens with
 * @param scanned whether it is in the scan
 */
public record Goal(
        int memory,
        String name,
        Optional<String> label,
        Frequency receive,
        Optional<Frequency> transmit,
        boolean narrow,
        Optional<Mode> mode,
        Optional<String> power,
        Optional<Tone> sends,
        Optional<Tone> opensOn,
        boolean scanned) {

    /** What a memory is to hold for an entry; empty when its receive frequency cannot be read. */
    public static Optional<Goal> of(Channel channel, int memory, RadioModel model) {
        List<Mode> modes = ModesNeeded.of(channel);
        boolean narrow = modes.contains(Mode.NFM);
        return channel.receive()
                .map(receive -> new Goal(
                        place(channel, memory, model),
                        channel.name(),
                        label(channel, model),
                        receive,
                        channel.transmit(),
                        narrow,
                        mode(modes, model),
                        power(channel, model),
                        channel.transmit().isPresent() ? channel.sends() : Optional.empty(),
                        channel.opensOn(),
                        Memories.scans(channel)));
    }

    /** A fixed channel stands where the maker put it. */
    private static int place(Channel channel, int memory, RadioModel model) {
        if (model.tuning().fixed().isEmpty() || channel.receive().isEmpty()) {
            return memory;
        }
        int exactly = model.tuning().fixedPlace(channel.receive().get(), channel.transmit());
        if (exactly > 0 || channel.transmit().isPresent()) {
            return exactly;
        }
        return model.tuning().fixed().stream()
                .filter(each -> each.receive().equals(channel.receive().get()))
                .findFirst()
                .map(each -> model.tuning().fixed().indexOf(each) + 1)
                .orElse(0);
    }

    private static Optional<Keypad.Setting> setting(RadioModel model, Keypad.Purpose purpose) {
        return model.keypad().flatMap(keypad -> keypad.setting(purpose));
    }

    private static Optional<String> label(Channel channel, RadioModel model) {
        return setting(model, Keypad.Purpose.NAME)
                .filter(any -> !channel.name().isBlank())
                .flatMap(any -> model.display())
                .map(display -> display.shows(channel.name())
                        ? channel.name()
                        : ShortNames.of(channel.name(), display.length(), display.letters(), Set.of())
                                .name());
    }

    private static Optional<Mode> mode(List<Mode> needed, RadioModel model) {
        return setting(model, Keypad.Purpose.MODE).flatMap(setting -> needed.stream()
                .filter(each -> setting.means().isEmpty()
                        ? setting.values().isEmpty()
                                ? model.tuning().modes().contains(each)
                                : setting.values().contains(each.name())
                        : setting.means().contains(each.name()))
                .findFirst());
    }

    private static Optional<String> power(Channel channel, RadioModel model) {
        return setting(model, Keypad.Purpose.POWER).isPresent()
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

    /** Where the memory talks once it is entered: by keypad none is left without a transmit frequency. */
    public Frequency talksOn() {
        return transmit.orElse(receive);
    }
}
