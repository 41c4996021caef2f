package org.wache.planning;

import java.util.List;
import org.wache.channel.ChannelList;

/** What comes of demands: a list, or what of them contradicts. */
public sealed interface Plan {

    /**
     * A list that does it: each entry with its reason in the note, and the teams that use it in the zone.
     *
     * @param keys what each entry is, such as CALL or TAC 1, however its name was cut
     */
    record Proposed(ChannelList list, List<String> keys) implements Plan {

        public Proposed {
            keys = List.copyOf(keys);
        }
    }

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
