package org.wache.bench.image;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.radio.Memories;
import org.wache.radio.ModesNeeded;
import org.wache.radio.PowerLevels;
import org.wache.radio.RadioModel;
import org.wache.radio.ShortNames;
import org.wache.signal.Mode;
import org.wache.signal.Watts;

/**
 * What a list becomes in a radio: which memory each of its entries goes into, and as what.
 *
 * @param image the image
 * @param placed by memory, the place of the entry in the list
 */
public record Loading(RadioImage image, Map<Integer, Integer> placed) {

    /**
     * The image of a list.
     *
     * @param takes for each entry whether it goes in; the others leave their memory empty
     */
    public static Loading of(ChannelList list, RadioModel model, List<Boolean> takes) {
        Memories memories = Memories.of(list, model.memory());
        List<String> names = names(list, model);
        RadioImage image = RadioImage.erased(model);
        Map<Integer, Integer> placed = new TreeMap<>();
        for (int i = 0; i < list.channels().size(); i++) {
            Memories.Slot slot = memories.slots().get(i);
            int memory = RadioImage.place(model, slot.zone(), slot.memory());
            if (takes.get(i)
                    && slot.exists()
                    && memory <= image.memories()
                    && list.channels().get(i).receive().isPresent()) {
                image = image.with(memory, stored(list.channels().get(i), model, names.get(i), slot.zone()));
                placed.put(memory, i);
            }
        }
        return new Loading(image, placed);
    }

    private static List<String> names(ChannelList list, RadioModel model) {
        List<String> names = list.channels().stream().map(Channel::name).toList();
        return model.display()
                .map(display -> ShortNames.of(names, display.length(), display.letters()).stream()
                        .map(ShortNames.Named::name)
                        .toList())
                .orElse(names);
    }

    private static StoredChannel stored(Channel channel, RadioModel model, String name, int zone) {
        Optional<PowerLevels> levels = channel.transmit().flatMap(model::powerAt);
        int power = levels.map(each ->
                        each.levels().indexOf(channel.power().map(each::setFor).orElseGet(each::least)))
                .orElse(0);
        int timeout = channel.timeout().isPresent()
                ? model.guard()
                        .setFor(channel.timeout().getAsInt())
                        .orElse(channel.timeout().getAsInt())
                : model.guard().timeoutsS().stream()
                        .filter(each -> each > 0)
                        .findFirst()
                        .orElse(0);
        return new StoredChannel(
                channel.receive().orElseThrow(),
                channel.transmit(),
                mode(channel, model),
                power,
                channel.transmit().isPresent() ? channel.sends() : Optional.empty(),
                channel.opensOn(),
                Memories.scans(channel),
                timeout,
                zone,
                name);
    }

    private static Mode mode(Channel channel, RadioModel model) {
        List<Mode> needed = ModesNeeded.of(channel);
        List<Mode> has = model.tuning().modes();
        return needed.stream().filter(has::contains).findFirst().orElseGet(() -> needed.stream()
                .findFirst()
                .orElseGet(() -> has.stream().findFirst().orElse(Mode.FM)));
    }

    /** What a radio was set to for an entry that says how much power, in watts; for comparing and papers. */
    public static Optional<Watts> output(RadioModel model, StoredChannel stored) {
        return stored.transmit()
                .flatMap(model::powerAt)
                .map(PowerLevels::levels)
                .filter(levels -> stored.power() < levels.size())
                .map(levels -> levels.get(stored.power()).output());
    }
}
