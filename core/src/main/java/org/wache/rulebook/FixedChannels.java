package org.wache.rulebook;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wache.signal.Frequency;

/** The fixed channels of a service, found by where the dial stands. */
final class FixedChannels {

    private final List<FixedChannel> all;
    private final Map<Long, Optional<FixedChannel>> around = new HashMap<>();
    private final Map<Long, Optional<FixedChannel>> oneSided = new HashMap<>();

    FixedChannels(List<FixedChannel> all) {
        this.all = List.copyOf(all);
        for (FixedChannel channel : all) {
            around.put(channel.dial(false).hertz(), Optional.of(channel));
            oneSided.put(channel.dial(true).hertz(), Optional.of(channel));
        }
    }

    List<FixedChannel> all() {
        return all;
    }

    Optional<FixedChannel> at(Frequency dial, boolean sideband) {
        return (sideband ? oneSided : around).getOrDefault(dial.hertz(), Optional.empty());
    }

    Optional<FixedChannel> nearest(Frequency dial, boolean sideband) {
        return all.stream()
                .filter(channel -> channel.restricted().isEmpty())
                .min(Comparator.comparingLong(
                        channel -> Math.abs(channel.dial(sideband).minus(dial))));
    }
}
