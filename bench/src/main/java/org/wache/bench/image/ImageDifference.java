package org.wache.bench.image;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wache.signal.Frequency;
import org.wache.signal.Tone;

/**
 * One thing in which a radio differs from what was wanted.
 *
 * @param memory the memory
 * @param name the entry's name, wanted or found
 * @param what the part that differs, in the field's terms
 * @param wanted as wanted; empty when nothing was
 * @param found as found; empty when nothing was
 */
public record ImageDifference(int memory, String name, String what, String wanted, String found) {

    /** All differences, entry by entry. */
    public static List<ImageDifference> between(RadioImage wanted, RadioImage found) {
        List<ImageDifference> all = new ArrayList<>();
        for (int memory = 1; memory <= Math.max(wanted.memories(), found.memories()); memory++) {
            Optional<StoredChannel> one = wanted.at(memory);
            Optional<StoredChannel> other = found.at(memory);
            if (one.isPresent() && other.isPresent()) {
                entry(all, memory, one.get(), other.get());
            } else if (one.isPresent()) {
                all.add(new ImageDifference(
                        memory, one.get().name(), "entry", one.get().name(), ""));
            } else if (other.isPresent()) {
                all.add(new ImageDifference(
                        memory, other.get().name(), "entry", "", other.get().name()));
            }
        }
        return all;
    }

    private static void entry(List<ImageDifference> all, int memory, StoredChannel one, StoredChannel other) {
        add(all, memory, one, "hears", megahertz(Optional.of(one.receive())), megahertz(Optional.of(other.receive())));
        add(all, memory, one, "talks on", megahertz(one.transmit()), megahertz(other.transmit()));
        add(all, memory, one, "mode", one.mode().name(), other.mode().name());
        add(all, memory, one, "power level", level(one), level(other));
        add(all, memory, one, "sends", tone(one.sends()), tone(other.sends()));
        add(all, memory, one, "opens with", tone(one.opensOn()), tone(other.opensOn()));
        add(all, memory, one, "scan", one.scan() ? "yes" : "no", other.scan() ? "yes" : "no");
        add(all, memory, one, "time-out", one.timeoutS() + " s", other.timeoutS() + " s");
        add(
                all,
                memory,
                one,
                "zone",
                one.zone() == 0 ? "" : "" + one.zone(),
                other.zone() == 0 ? "" : "" + other.zone());
        add(all, memory, one, "name", one.name(), other.name());
    }

    private static String level(StoredChannel channel) {
        return channel.transmit().isPresent() ? "level " + (channel.power() + 1) : "";
    }

    private static String megahertz(Optional<Frequency> frequency) {
        return frequency.map(Frequency::megahertz).orElse("nothing");
    }

    private static String tone(Optional<Tone> tone) {
        return tone.map(Tone::text).orElse("none");
    }

    private static void add(
            List<ImageDifference> all, int memory, StoredChannel of, String what, String wanted, String found) {
        if (!wanted.equals(found)) {
            all.add(new ImageDifference(memory, of.name(), what, wanted, found));
        }
    }
}
