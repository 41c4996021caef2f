package org.wache.bench.drive;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wache.bench.image.RadioImage;
import org.wache.bench.image.StoredChannel;
import org.wache.bench.wire.Refusal;

/** Two radios with one list: each hears the other with the tone, and stays silent without it. */
public final class PairCheck {

    private final RadioLink one;
    private final RadioLink other;
    private final String callSign;

    /**
     * What came of one entry.
     *
     * @param memory the memory
     * @param name the entry's name
     * @param heard whether the second heard the first
     * @param heardBack whether the first heard the second
     * @param silentWithout whether the second stayed silent without the tone; empty where it opens with none
     * @param note what a person should know; empty when all is well
     */
    public record Heard(
            int memory, String name, boolean heard, boolean heardBack, Optional<Boolean> silentWithout, String note) {

        /** Whether it is as it should be. */
        public boolean good() {
            return heard && heardBack && silentWithout.orElse(true);
        }
    }

    public PairCheck(RadioLink one, RadioLink other, String callSign) {
        this.one = one;
        this.other = other;
        this.callSign = callSign;
    }

    /** Tries the direct entries that both radios have in the same memory; those through repeaters need the repeater. */
    public List<Heard> of(RadioImage first, RadioImage second) throws LinkFault {
        List<Heard> all = new ArrayList<>();
        for (Map.Entry<Integer, StoredChannel> each : first.entries().entrySet()) {
            Optional<StoredChannel> there = second.at(each.getKey());
            boolean direct = each.getValue()
                    .transmit()
                    .equals(Optional.of(each.getValue().receive()));
            if (direct && there.isPresent() && there.get().transmit().isPresent()) {
                all.add(tried(each.getKey(), each.getValue(), there.get()));
            }
        }
        return all;
    }

    private Heard tried(int memory, StoredChannel first, StoredChannel second) throws LinkFault {
        one.select(memory);
        other.select(memory);
        Optional<Refusal> refused = one.key(callSign, false);
        boolean heard = refused.isEmpty() && other.hears();
        one.release();
        Optional<Refusal> refusedBack = other.key(callSign, false);
        boolean heardBack = refusedBack.isEmpty() && one.hears();
        other.release();
        Optional<Boolean> silent = Optional.empty();
        if (second.opensOn().isPresent() && refused.isEmpty()) {
            one.tune(new StoredChannel(
                    first.receive(),
                    first.transmit(),
                    first.mode(),
                    first.power(),
                    Optional.empty(),
                    Optional.empty(),
                    false,
                    0,
                    0,
                    ""));
            silent = Optional.of(one.key(callSign, false).isEmpty() && !other.hears());
            one.release();
        }
        String note = refused.map(why -> "The first does not key: " + why.words() + ".")
                .or(() -> refusedBack.map(why -> "The second does not key: " + why.words() + "."))
                .orElse(second.opensOn().isEmpty() ? "Its receiver is open: it hears everyone." : "");
        return new Heard(memory, first.name(), heard, heardBack, silent, note);
    }
}
