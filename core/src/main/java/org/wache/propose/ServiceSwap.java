package org.wache.propose;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToIntFunction;
import org.wache.audit.context.HouseRules;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.rulebook.ChannelService;
import org.wache.rulebook.Edition;
import org.wache.rulebook.FixedChannel;
import org.wache.rulebook.PowerLimit;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;
import org.wache.signal.Tone;
import org.wache.signal.Watts;
import org.wache.typed.Shift;
import org.wache.typed.Sketch;
import org.wache.typed.WrittenMode;

/** The channels of a service with fixed channels as the entries of a list: what a factory list is swapped for. */
public final class ServiceSwap {

    private ServiceSwap() {}

    /**
     * What is wanted.
     *
     * @param channels names of channels, in any order; empty for all that are not kept for something else
     * @param narrow whether narrow where wide is allowed too
     * @param watts output, lowered where a channel allows less
     * @param tone the tone that all direct channels share; empty for none
     * @param repeaters whether the repeater pairs come too, for a service that has them
     */
    public record Wanted(List<String> channels, boolean narrow, double watts, Optional<Tone> tone, boolean repeaters) {}

    /**
     * An entry of the new list.
     *
     * @param channel the entry, without a number
     * @param why why it stands where it does
     */
    public record Swapped(Channel channel, String why) {}

    /**
     * The entries, the least active channels first, repeater pairs behind the direct channels.
     *
     * @param uses how often a frequency is used in what else the group knows
     * @throws IllegalArgumentException when a channel is named that the service does not have
     */
    public static List<Swapped> of(
            Edition edition, ChannelService service, Wanted wanted, ToIntFunction<Frequency> uses) {
        List<FixedChannel> direct = service.channels().stream()
                .filter(each -> each.reaches().isEmpty() || each.directToo())
                .filter(each -> wanted.channels().isEmpty()
                        ? each.restricted().isEmpty()
                        : wanted.channels().contains(each.name()))
                .toList();
        for (String name : wanted.channels()) {
            if (direct.stream().noneMatch(each -> each.name().equals(name))) {
                throw new IllegalArgumentException(service.title() + " has no channel “" + name + "”");
            }
        }
        ToIntFunction<FixedChannel> activity = each ->
                uses.applyAsInt(each.centre()) + (edition.channelNames().busy().containsKey(each.centre()) ? 1 : 0);
        List<FixedChannel> calm = new ArrayList<>(direct);
        calm.sort(Comparator.comparingInt(activity)); // keeps the service's order where channels are as busy
        List<Swapped> all = new ArrayList<>();
        calm.forEach(each -> all.add(new Swapped(
                entry(edition, service, each, Optional.empty(), wanted),
                why(edition, each, uses.applyAsInt(each.centre())))));
        if (wanted.repeaters()) {
            for (FixedChannel input : service.channels()) {
                boolean chosen = input.reaches().isPresent()
                        && (wanted.channels().isEmpty()
                                || direct.stream().anyMatch(each -> each.centre()
                                        .equals(input.reaches().get())));
                if (chosen) {
                    all.add(new Swapped(
                            entry(edition, service, input, input.reaches(), wanted),
                            "repeater pair; its tone is the repeater's own"));
                }
            }
        }
        return all;
    }

    private static String why(Edition edition, FixedChannel channel, int uses) {
        String busy = edition.channelNames().busy().get(channel.centre());
        String known = uses == 0
                ? "not used in what the group knows"
                : "used " + uses + (uses == 1 ? " time" : " times") + " in what the group knows";
        return busy == null ? known : known + "; " + busy;
    }

    private static Channel entry(
            Edition edition, ChannelService service, FixedChannel channel, Optional<Frequency> output, Wanted wanted) {
        Sketch sketch = new Sketch()
                .hears(output.orElse(channel.centre()))
                .text(Field.SERVICE, service.id())
                .text(Field.POWER_W, power(channel, wanted.watts()));
        String number = output.flatMap(each -> service.channelAt(each, false))
                .map(FixedChannel::name)
                .orElse(channel.name());
        sketch.otherwiseCalled(service.title() + " " + number + (output.isPresent() ? " RPT" : ""));
        if (output.isPresent()) {
            sketch.talksOn(channel.centre());
        } else {
            sketch.shifted(new Shift(true, 0, Optional.empty()));
            wanted.tone().ifPresent(tone -> sketch.sends(tone).opensOn(tone));
        }
        boolean fm = (Mode.NFM.emission().contents() & channel.allow()) != 0
                && Mode.NFM.emission().bandwidth() <= channel.width().hertz();
        if (wanted.narrow() && fm) {
            sketch.mode(new WrittenMode(Optional.of(Mode.NFM), Optional.of(true), Optional.empty(), false));
        }
        Map<Field, String> fields = new EnumMap<>(Field.class);
        fields.putAll(
                sketch.settle(edition, HouseRules.NONE, Sketch.Unsaid.DIRECT).fields());
        return Channel.of(fields);
    }

    private static String power(FixedChannel channel, double watts) {
        double limit = channel.power().map(PowerLimit::watts).map(Watts::value).orElse(watts);
        return new Watts(Math.min(watts, limit)).number();
    }

    /** A tone to share: of the consumer codes, not the factory's, none of those to keep clear of, and no near-hum one. */
    public static Optional<Tone> freeTone(Edition edition, List<Tone> clearOf) {
        return TonePlan.inOrder(edition.tones()).stream()
                .filter(tone -> isCode(edition, tone))
                .filter(tone -> !clearOf.contains(tone))
                .map(Tone.class::cast)
                .findFirst();
    }

    private static boolean isCode(Edition edition, Tone tone) {
        for (int code = 1; edition.tones().consumerCode(code).isPresent(); code++) {
            if (edition.tones().consumerCode(code).get().equals(tone)) {
                return true;
            }
        }
        return false;
    }
}
