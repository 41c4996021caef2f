package org.wache.planning;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wache.signal.Frequency;

/**
 * One demand by itself.
 *
 * @param pair who must talk; empty for other kinds
 * @param frequency what is listened to; empty for other kinds
 * @param repeater that shall be used; empty for other kinds
 */
record Demand(
        Demand.Kind kind,
        String words,
        Optional<Demands.Pair> pair,
        Optional<Frequency> frequency,
        Optional<Demands.Repeater> repeater) {

    private static Demand of(Kind kind, String words) {
        return new Demand(kind, words, Optional.empty(), Optional.empty(), Optional.empty());
    }

    /** What is demanded. */
    enum Kind {
        MUST_TALK,
        CALLING,
        COMMAND,
        REPEATER,
        LISTEN,
        SPARE,
        SERVICES
    }

    /** All of them, one by one. */
    static List<Demand> all(Demands demands) {
        List<Demand> all = new ArrayList<>();
        demands.mustTalk()
                .forEach(pair -> all.add(new Demand(
                        Kind.MUST_TALK, pair.words(), Optional.of(pair), Optional.empty(), Optional.empty())));
        if (demands.calling()) {
            all.add(of(Kind.CALLING, "everybody has a channel to call on"));
        }
        if (demands.command()) {
            all.add(of(Kind.COMMAND, "there is a channel for command"));
        }
        demands.repeaters()
                .forEach(repeater -> all.add(new Demand(
                        Kind.REPEATER,
                        "the repeater " + repeater.name() + " is used",
                        Optional.empty(),
                        Optional.empty(),
                        Optional.of(repeater))));
        demands.listen()
                .forEach(frequency -> all.add(new Demand(
                        Kind.LISTEN,
                        "somebody listens on " + frequency,
                        Optional.empty(),
                        Optional.of(frequency),
                        Optional.empty())));
        if (demands.spare() > 0) {
            all.add(of(Kind.SPARE, demands.spare() + (demands.spare() == 1 ? " spare channel" : " spare channels")));
        }
        if (!demands.services().isEmpty()) {
            all.add(of(
                    Kind.SERVICES,
                    "only "
                            + String.join(
                                    ", ", demands.services().stream().sorted().toList())));
        }
        return List.copyOf(all);
    }
}
