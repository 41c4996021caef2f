package org.wache.audit.context;

import java.util.Optional;
import java.util.OptionalInt;
import org.wache.site.Keying;

/**
 * What a group has settled for itself.
 *
 * @param directTones tones on direct channels; empty when not settled
 * @param maxTimeoutS longest time-out in seconds
 * @param twoMetreRasterKhz 15 or 20
 * @param keyedTogether what of the list is used at one site at one time
 */
public record HouseRules(
        Optional<DirectTones> directTones,
        OptionalInt maxTimeoutS,
        OptionalInt twoMetreRasterKhz,
        Keying keyedTogether) {

    /** Nothing settled. */
    public static final HouseRules NONE =
            new HouseRules(Optional.empty(), OptionalInt.empty(), OptionalInt.empty(), Keying.NONE);

    /** The same with something else keyed together. */
    public HouseRules keying(Keying other) {
        return new HouseRules(directTones, maxTimeoutS, twoMetreRasterKhz, other);
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
