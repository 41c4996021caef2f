package org.wache.server.bench;

import java.util.Optional;
import org.wache.release.Handed;

/**
 * What is wanted for one radio of a run.
 *
 * @param unit key of the radio
 * @param party for whom of the roster; whoever has the radio when empty, and nobody in particular when it is on the shelf
 * @param part which part of the release, the empty name for the list itself; what they carry when empty
 * @param choice what is done with entries that they may not key; empty when nobody decided
 */
public record Order(long unit, Optional<Long> party, Optional<String> part, Optional<Handed.Choice> choice) {

    /** A radio for whoever has it, with what they carry. */
    public static Order of(long unit) {
        return new Order(unit, Optional.empty(), Optional.empty(), Optional.empty());
    }
}
