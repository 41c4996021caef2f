package org.wache.server.tones;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;

/**
 * What a group knows of tones.
 *
 * @param neighbours the tones that others near use
 * @param tables the tones that its radio models can do, in the order of each model's own numbers
 */
public record ToneKnowledge(
        @NotNull @Size(max = 500) List<@NotNull @Valid NeighbourTone> neighbours,
        @NotNull @Size(max = 60) List<@NotNull @Valid ModelTones> tables) {

    /** Nothing known. */
    public static final ToneKnowledge NONE = new ToneKnowledge(List.of(), List.of());

    /**
     * A tone that somebody near uses.
     *
     * @param who whose it is
     * @param mhz where; empty when it is everywhere, or not known
     * @param tone as a list writes it
     */
    public record NeighbourTone(
            @NotNull @Size(max = 120) String who,
            @NotNull @Size(max = 20) String mhz,
            @NotNull @Size(max = 12) String tone) {}

    /**
     * The tones of a radio model.
     *
     * @param model what it is called
     * @param tones the first is what the model calls 1
     */
    public record ModelTones(
            @NotNull @Size(max = 120) String model,
            @NotNull @Size(max = 250) List<@NotNull @Size(max = 12) String> tones) {}
}
