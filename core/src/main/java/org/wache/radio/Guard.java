package org.wache.radio;

import java.util.List;
import java.util.OptionalInt;
import java.util.Set;

/**
 * What keeps a radio from talking when it should not.
 *
 * @param timeoutsS the settings of its time-out timer in seconds, 0 for off; empty when unknown
 * @param busyLockout whether it can refuse to key on a busy channel
 * @param inhibits what it can be kept from transmitting on
 */
public record Guard(List<Integer> timeoutsS, boolean busyLockout, Set<Guard.Inhibit> inhibits) {

    /** What the transmitter can be switched off for. */
    public enum Inhibit {
        CHANNEL,
        BAND,
        RADIO
    }

    public Guard {
        timeoutsS = timeoutsS.stream().sorted().toList();
        inhibits = Set.copyOf(inhibits);
    }

    /** Whether it is known to have no time-out timer. */
    public boolean noTimer() {
        return !timeoutsS.isEmpty() && timeoutsS.stream().allMatch(each -> each == 0);
    }

    /** Whether it can be kept from talking on single entries; yes where nothing is known of what it can be kept from. */
    public boolean silencesChannels() {
        return inhibits.isEmpty() || inhibits.contains(Inhibit.CHANNEL);
    }

    /** What a time-out is set to: the longest setting that is not longer, else the shortest there is; empty when unknown. */
    public OptionalInt setFor(int seconds) {
        if (seconds == 0) {
            return timeoutsS.contains(0)
                    ? OptionalInt.of(0)
                    : timeoutsS.stream().mapToInt(Integer::intValue).max();
        }
        OptionalInt under = timeoutsS.stream()
                .mapToInt(Integer::intValue)
                .filter(each -> each > 0 && each <= seconds)
                .max();
        return under.isPresent()
                ? under
                : timeoutsS.stream()
                        .mapToInt(Integer::intValue)
                        .filter(each -> each > 0)
                        .min();
    }
}
