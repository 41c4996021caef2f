package org.wache.server.stations;

import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import org.wache.place.Place;
import org.wache.server.web.OneLine;
import org.wache.server.web.Refused;

/**
 * Where a team works.
 *
 * @param name of the team
 * @param latitude of the middle, degrees, north positive
 * @param longitude of the middle, degrees, east positive
 * @param radiusKm how far from the middle they go, 0.1 to 500 km
 */
record AreaForm(
        @OneLine @NotBlank @Size(max = 100) String name,
        @NotNull Double latitude,
        @NotNull Double longitude,
        @NotNull @DecimalMin("0.1") @DecimalMax("500") Double radiusKm) {

    /** @throws Refused when there is no such place */
    Place middle() {
        try {
            return Place.at(latitude, longitude);
        } catch (IllegalArgumentException e) {
            throw new Refused(e.getMessage());
        }
    }
}
