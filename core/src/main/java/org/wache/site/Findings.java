package org.wache.site;

import java.util.List;
import java.util.Map;

/**
 * What reaches one receiver.
 *
 * @param counts how many hits there are of each kind
 * @param nearest of each kind the hits that land nearest to the middle of the channel, nearest first
 */
public record Findings(Map<Hit.Kind, Long> counts, Map<Hit.Kind, List<Hit>> nearest) {

    /** Nothing does. */
    public static final Findings NONE = new Findings(Map.of(), Map.of());

    /** How many hits of a kind. */
    public long count(Hit.Kind kind) {
        return counts.getOrDefault(kind, 0L);
    }

    /** The nearest hits of a kind. */
    public List<Hit> nearest(Hit.Kind kind) {
        return nearest.getOrDefault(kind, List.of());
    }

    /** How many hits in all. */
    public long total() {
        return counts.values().stream().mapToLong(Long::longValue).sum();
    }
}
