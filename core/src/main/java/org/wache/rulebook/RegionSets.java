package org.wache.rulebook;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wache.signal.Span;

/**
 * The band limits that radios are set to for countries.
 *
 * @param comparedIn where sets differ; what lies outside does not tell one from another
 * @param sets the sets
 */
public record RegionSets(List<Span> comparedIn, List<RegionSets.RegionSet> sets) {

    /**
     * The limits for a country or region.
     *
     * @param id identifier
     * @param say its name in a sentence
     * @param spans the limits
     * @param source where they come from
     */
    public record RegionSet(String id, String say, List<Span> spans, String source) {}

    static RegionSets read(Row row) {
        return new RegionSets(
                row.spans("compared_in_mhz"),
                row.rows("sets").stream()
                        .map(each -> new RegionSet(
                                each.text("id"), each.text("say"), each.spans("mhz"), each.text("source")))
                        .toList());
    }

    /** The set that a radio transmitting in these spans has; empty when it is none of those known. */
    public Optional<RegionSet> of(List<Span> transmits) {
        List<Span> clipped = clipped(transmits);
        return sets.stream().filter(each -> each.spans().equals(clipped)).findFirst();
    }

    private List<Span> clipped(List<Span> transmits) {
        List<Span> clipped = new ArrayList<>();
        for (Span range : comparedIn) {
            transmits.stream()
                    .filter(range::overlaps)
                    .map(span -> new Span(Math.max(span.low(), range.low()), Math.min(span.high(), range.high())))
                    .forEach(clipped::add);
        }
        return clipped;
    }
}
