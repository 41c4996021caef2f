package org.wache.server.stations;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Optional;
import org.wache.place.Place;
import org.wache.server.web.OneLine;
import org.wache.server.web.Refused;
import org.wache.station.Station;

/**
 * A station as its form gives it; figures in watts, metres, decibels, amperes, shares of 1, degrees.
 */
record StationForm(
        @OneLine @NotBlank @Size(max = 100) String name,
        @NotNull Station.Kind kind,
        @NotNull Double outputW,
        @Schema(nullable = true) Optional<String> line,
        @NotNull Double lineM,
        @NotNull Double otherLossDb,
        @NotNull Double gainDbd,
        @NotNull Double heightM,
        @NotNull Double keyedShare,
        boolean processed,
        @Schema(nullable = true) Optional<Double> peopleM,
        @NotNull Double otherHeightM,
        @NotNull Double supplyV,
        @Schema(nullable = true) Optional<Double> efficiency,
        @Schema(nullable = true) Optional<Double> batteryAh,
        @NotNull @Size(max = 2000) String note,
        @Schema(nullable = true) Optional<Double> latitude,
        @Schema(nullable = true) Optional<Double> longitude) {

    StationForm {
        latitude = latitude == null ? Optional.empty() : latitude;
        longitude = longitude == null ? Optional.empty() : longitude;
        line = line == null ? Optional.empty() : line;
        peopleM = peopleM == null ? Optional.empty() : peopleM;
        efficiency = efficiency == null ? Optional.empty() : efficiency;
        batteryAh = batteryAh == null ? Optional.empty() : batteryAh;
    }

    /**
     * Where it stands; nothing when that was not said.
     *
     * @throws Refused when there is no such place
     */
    Optional<Place> place() {
        if (latitude.isPresent() != longitude.isPresent()) {
            throw new Refused("A position is a latitude and a longitude, such as 45.2012, -93.1034.");
        }
        try {
            return latitude.map(north -> Place.at(north, longitude.orElseThrow()));
        } catch (IllegalArgumentException e) {
            throw new Refused(e.getMessage());
        }
    }

    /** @throws Refused when a figure cannot be; with what it should be */
    Station station() {
        try {
            return new Station(
                    kind,
                    outputW,
                    line.filter(text -> !text.isBlank()),
                    lineM,
                    otherLossDb,
                    gainDbd,
                    heightM,
                    keyedShare,
                    processed,
                    peopleM,
                    otherHeightM,
                    supplyV,
                    efficiency,
                    batteryAh);
        } catch (IllegalArgumentException e) {
            throw new Refused(e.getMessage());
        }
    }
}
