package org.wache.server.reach;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.List;

/** Who reaches whom, for the API. */
public final class ReachViews {

    private ReachViews() {}

    /**
     * Who reaches whom.
     *
     * @param list the list; null for the lists of an operation
     * @param on the day it is for: licences that have ended by then do not count
     * @param links who reaches whom, one way each; people and entries by their places
     * @param alone the places of those who can talk to nobody, or whom nobody can reach
     */
    public record ReachTable(
            @Schema(nullable = true) Long list,
            String name,
            @Schema(nullable = true) Long parent,
            LocalDate on,
            boolean everyone,
            List<ReachEntry> entries,
            List<ReachPerson> people,
            List<ReachLink> links,
            List<Integer> alone) {}

    /** An entry of a list: where it talks, and the places of those who may key it and of those whose radios hear it. */
    public record ReachEntry(long list, long id, String number, String name, List<Integer> talk, List<Integer> hear) {}

    /**
     * Somebody.
     *
     * @param holds what they are licensed for, in words
     * @param radios their radios; empty when none is in their hands
     * @param judged whether their radios count: without one, no radio is judged
     */
    public record ReachPerson(
            long party, String name, List<String> teams, String holds, List<String> radios, boolean judged) {}

    /** One reaches another on these entries. */
    public record ReachLink(int from, int to, List<Integer> entries) {}

    /** Why one does not reach another, and what would change it, each by itself. */
    public record ReachGap(List<String> reasons, List<String> least) {}
}
