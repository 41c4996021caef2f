package org.wache.server.rulebooks;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.Optional;

/**
 * A row of a group's own band plan.
 *
 * @param mhz a range such as 442.000-445.000, or one frequency
 * @param uses what it is kept for, in the words of the rulebook
 * @param calling the mode of which it is the calling frequency
 * @param offsetsMhz usual distances from output to input in MHz
 * @param rasters a first channel in MHz and a step in kHz, such as 442.000+25
 * @param note further words
 * @param warning what to ask of everyone who talks there
 */
public record OverlayRow(
        @NotBlank String mhz,
        @NotEmpty List<@NotBlank String> uses,
        @Schema(nullable = true) Optional<String> calling,
        @NotNull List<@NotBlank String> offsetsMhz,
        @NotNull List<@NotBlank String> rasters,
        @Schema(nullable = true) Optional<String> note,
        @Schema(nullable = true) Optional<String> warning) {}
