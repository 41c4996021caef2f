package org.wache.server.papers;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.Optional;

/**
 * A part of the earth: a circle (or with radius 0 a site), a box between parallels and meridians, or a region.
 *
 * @param latitude of the middle, degrees north
 * @param longitude of the middle, degrees east
 * @param radiusKm radius in kilometres
 * @param south lowest latitude of a box
 * @param west westernmost longitude of a box
 * @param north highest latitude of a box
 * @param east easternmost longitude of a box
 * @param region code of a region, such as a US state
 */
public record PlaceArea(
        @Schema(nullable = true) Optional<Double> latitude,
        @Schema(nullable = true) Optional<Double> longitude,
        @Schema(nullable = true) Optional<Double> radiusKm,
        @Schema(nullable = true) Optional<Double> south,
        @Schema(nullable = true) Optional<Double> west,
        @Schema(nullable = true) Optional<Double> north,
        @Schema(nullable = true) Optional<Double> east,
        @Schema(nullable = true) Optional<String> region) {}
