package org.wache.server.papers;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.NotNull;
import java.util.Optional;

/**
 * A line of a business licence.
 *
 * @param mhz frequency in megahertz
 * @param emission designator
 * @param outputW highest transmitter output, watts
 * @param erpW highest effective radiated power, watts
 * @param units how many radios
 * @param area where; none for nationwide
 * @param stationClass the class of station, such as FB2 or MO
 */
public record LicenceLine(
        @NotNull String mhz,
        @NotNull String emission,
        @Schema(nullable = true) Optional<Double> outputW,
        @Schema(nullable = true) Optional<Double> erpW,
        @Schema(nullable = true) Optional<Integer> units,
        @Schema(nullable = true) Optional<PlaceArea> area,
        @Schema(nullable = true) Optional<String> stationClass) {}
