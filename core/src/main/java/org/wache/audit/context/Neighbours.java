package org.wache.audit.context;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.wache.signal.Frequency;

/** Who is near, found by frequency. Immutable. */
public final class Neighbours {

    /** Nobody known. */
    public static final Neighbours NONE = new Neighbours(List.of());

    private final List<Neighbour> all;
    private final Map<Frequency, List<Neighbour>> byFrequency = new HashMap<>();

    public Neighbours(List<Neighbour> all) {
        this.all = List.copyOf(all);
        for (Neighbour each : all) {
            byFrequency
                    .computeIfAbsent(each.frequency(), any -> new ArrayList<>())
                    .add(each);
            each.input().filter(input -> !input.equals(each.frequency())).ifPresent(input -> byFrequency
                    .computeIfAbsent(input, any -> new ArrayList<>())
                    .add(each));
        }
    }

    /** All of them. */
    public List<Neighbour> all() {
        return all;
    }

    /** Those who are heard or listen on a frequency. */
    public List<Neighbour> on(Frequency frequency) {
        return byFrequency.getOrDefault(frequency, List.of());
    }
}
