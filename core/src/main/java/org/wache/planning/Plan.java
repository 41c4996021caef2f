package org.wache.planning;

import java.util.List;
import org.wache.channel.ChannelList;

/** What comes of demands: a list, or what of them contradicts. */
public sealed interface Plan {

    /** A list that does it: each entry with its reason in the note, and the teams that use it in the zone. */
    record Proposed(ChannelList list) implements Plan {}

    /**
     * No list does it.
     *
     * @param demands the smallest set of demands of which no list fulfils all
     * @param reasons why not
     */
    record Contradiction(List<String> demands, List<String> reasons) implements Plan {

        public Contradiction {
            demands = List.copyOf(demands);
            reasons = List.copyOf(reasons);
        }
    }
}
