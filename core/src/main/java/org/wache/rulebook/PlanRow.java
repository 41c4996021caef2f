package org.wache.rulebook;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.wache.signal.Span;

/**
 * One row of a band plan.
 *
 * @param span where; a single frequency has equal ends
 * @param uses what it is kept for
 * @param calling the mode of which it is the calling frequency
 * @param offsets usual distances from output to input, hertz, the first preferred
 * @param rasters usual channel rasters; empty when the plan names none
 * @param rasterChoice whether the area settles for one of the rasters (two schools), as a house rule
 * @param note further words
 * @param warning what to ask of everyone who talks there, in the group's own words
 * @param local whether it is a row of a group's overlay
 */
public record PlanRow(
        Span span,
        Set<PlanUse> uses,
        Optional<String> calling,
        List<Long> offsets,
        List<Raster> rasters,
        boolean rasterChoice,
        Optional<String> note,
        Optional<String> warning,
        boolean local) {

    /** The same row for a part of its span. */
    PlanRow over(Span part) {
        return new PlanRow(part, uses, calling, offsets, rasters, rasterChoice, note, warning, local);
    }

    /** Whether it is kept for this, or for anything. */
    public boolean isFor(PlanUse use) {
        return uses.contains(use) || uses.contains(PlanUse.ANY);
    }

    /** What it is kept for, in words. */
    public String words() {
        if (calling.isPresent()) {
            return "the " + calling.get() + " calling frequency";
        }
        String kept = String.join(" and ", uses.stream().map(PlanUse::words).toList());
        return note.map(more -> kept + " (" + more + ")").orElse(kept);
    }
}
