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
 */
record Demand(Demand.Kind kind, String words, Optional<Demands.Pair> pair, Optional<Frequency> frequency) {

    /** What is demanded. */
    enum Kind {
        MUST_TALK,
        CALLING,
        LISTEN,
        SPARE,
        SERVICES
    }

    /** All of them, one by one. */
    static List<Demand> all(Demands demands) {
        List<Demand> all = new ArrayList<>();
        demands.mustTalk()
                .forEach(
                        pair -> all.add(new Demand(Kind.MUST_TALK, pair.words(), Optional.of(pair), Optional.empty())));
        if (demands.calling()) {
            all.add(new Demand(Kind.CALLING, "everybody has a channel to call on", Optional.empty(), Optional.empty()));
        }
        demands.listen()
                .forEach(frequency -> all.add(new Demand(
                        Kind.LISTEN, "somebody listens on " + frequency, Optional.empty(), Optional.of(frequency))));
        if (demands.spare() > 0) {
            all.add(new Demand(
                    Kind.SPARE,
                    demands.spare() + (demands.spare() == 1 ? " spare channel" : " spare channels"),
                    Optional.empty(),
                    Optional.empty()));
        }
        if (!demands.services().isEmpty()) {
            all.add(new Demand(
                    Kind.SERVICES,
                    "only "
                            + String.join(
                                    ", ", demands.services().stream().sorted().toList()),
                    Optional.empty(),
                    Optional.empty()));
        }
        return List.copyOf(all);
    }
}
