package org.wache.bench.drive;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.wache.bench.image.RadioImage;
import org.wache.bench.image.StoredChannel;
import org.wache.bench.wire.Refusal;

/** Whether repeaters answer: identify, let go, and listen for the tail. */
public final class RepeaterCheck {

    private final RadioLink link;
    private final String callSign;

    /**
     * What came of one repeater.
     *
     * @param memory the memory
     * @param name the entry's name
     * @param keyed whether the radio keyed
     * @param tail whether the repeater's carrier was heard after the key was released
     * @param note what a person should know; empty when all is well
     */
    public record Answered(int memory, String name, boolean keyed, boolean tail, String note) {}

    public RepeaterCheck(RadioLink link, String callSign) {
        this.link = link;
        this.callSign = callSign;
    }

    /** Tries every entry that talks through a repeater. */
    public List<Answered> of(RadioImage image) throws LinkFault {
        List<Answered> all = new ArrayList<>();
        for (Map.Entry<Integer, StoredChannel> each : image.entries().entrySet()) {
            StoredChannel entry = each.getValue();
            if (entry.transmit().isPresent() && !entry.transmit().get().equals(entry.receive())) {
                all.add(tried(each.getKey(), entry));
            }
        }
        return all;
    }

    private Answered tried(int memory, StoredChannel entry) throws LinkFault {
        link.select(memory);
        var refused = link.key(callSign, false);
        if (refused.isPresent()) {
            return new Answered(
                    memory,
                    entry.name(),
                    false,
                    false,
                    "It does not key: " + refused.map(Refusal::words).orElse("") + ".");
        }
        link.release();
        boolean tail = link.hears();
        return new Answered(
                memory,
                entry.name(),
                true,
                tail,
                tail
                        ? ""
                        : "No answer. "
                                + (entry.sends().isEmpty()
                                        ? "The entry sends no tone; most repeaters want one."
                                        : "The tone may be wrong, or the repeater is out of reach."));
    }
}
