package org.wache.audit.context;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.wache.channel.TalkGroup;
import org.wache.site.Keying;

/**
 * What a group has settled for itself.
 *
 * @param directTones tones on direct channels; empty when not settled
 * @param maxTimeoutS longest time-out in seconds
 * @param twoMetreRasterKhz 15 or 20
 * @param keyedTogether what of the list is used at one site at one time
 * @param talkGroups the talk groups that were agreed on; empty when nobody keeps a list of them
 */
public record HouseRules(
        Optional<DirectTones> directTones,
        OptionalInt maxTimeoutS,
        OptionalInt twoMetreRasterKhz,
        Keying keyedTogether,
        List<TalkGroup> talkGroups) {

    public HouseRules {
        talkGroups = List.copyOf(talkGroups);
    }

    /** Nothing settled. */
    public static final HouseRules NONE =
            new HouseRules(Optional.empty(), OptionalInt.empty(), OptionalInt.empty(), Keying.NONE, List.of());

    /** The same with something else keyed together. */
    public HouseRules keying(Keying other) {
        return new HouseRules(directTones, maxTimeoutS, twoMetreRasterKhz, other, talkGroups);
    }

    /** The two schools. */
    public enum DirectTones {
        /** Receivers stay open and hear everyone. */
        OPEN("open"),
        /** The same tone is sent and opened on. */
        SAME_BOTH_WAYS("same-both-ways");

        private final String text;

        DirectTones(String text) {
            this.text = text;
        }

        /** As written in a context. */
        public String text() {
            return text;
        }
    }
}
