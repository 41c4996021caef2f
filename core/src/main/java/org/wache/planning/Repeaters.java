package org.wache.planning;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.signal.Mode;
import org.wache.signal.Tone;

/** Entries for the repeaters that were asked for: the way through each, and its output talked on directly, for when it fails. */
final class Repeaters {

    /**
     * A repeater with those who may key it.
     *
     * @param through the way through it; empty when nobody may
     * @param direct its direct side; empty when nobody may with nothing to ask
     */
    record Side(Demands.Repeater repeater, Optional<Candidate> through, Optional<Candidate> direct) {

        /** The same where its output is not to be talked on directly. */
        Side withoutDirect() {
            return new Side(repeater, through, Optional.empty());
        }

        /** The same under these services alone. */
        Side within(java.util.Set<String> services) {
            return new Side(
                    repeater,
                    through.map(each -> each.within(services))
                            .filter(each -> !each.able().isEmpty()),
                    direct.map(each -> each.within(services))
                            .filter(each -> !each.able().isEmpty()));
        }
    }

    private Repeaters() {}

    /** What is tried for each of them, before power and time-out. */
    static Channel through(Demands.Repeater repeater) {
        return Channel.of(Map.of(
                Field.RX_MHZ, repeater.output().megahertz(),
                Field.TX_MHZ, repeater.input().megahertz(),
                Field.MODE, Mode.FM.name(),
                Field.TX_TONE, repeater.access().map(Tone::text).orElse(""),
                Field.USE, "repeater"));
    }

    /** Its output, without a tone. */
    static Channel direct(Demands.Repeater repeater) {
        return Channel.of(Map.of(
                Field.RX_MHZ, repeater.output().megahertz(),
                Field.TX_MHZ, repeater.output().megahertz(),
                Field.MODE, Mode.FM.name(),
                Field.USE, "direct"));
    }

    /** Those asked for, each with what comes of both sides. */
    static List<Side> of(List<Demands.Repeater> asked, List<Candidate> throughs, List<Candidate> directs) {
        return java.util.stream.IntStream.range(0, asked.size())
                .mapToObj(i -> new Side(
                        asked.get(i),
                        Optional.of(throughs.get(i))
                                .filter(each -> !each.able().isEmpty())
                                .or(() -> Optional.of(throughs.get(i).lenient())
                                        .filter(each -> !each.able().isEmpty())),
                        Optional.of(directs.get(i)).filter(each -> !each.able().isEmpty())))
                .toList();
    }
}
