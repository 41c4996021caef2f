package org.wache.place;

import java.util.Locale;
import net.sf.geographiclib.Geodesic;

/**
 * A circle around a place; with radius 0 the place itself, the site of a station.
 *
 * @param centre its middle
 * @param radiusKm radius in kilometres along the earth (WGS 84), 0 or more
 */
public record Circle(Place centre, double radiusKm) implements Area {

    /** @throws IllegalArgumentException for a radius that cannot be */
    public Circle {
        if (!(radiusKm >= 0) || radiusKm > 20_000) {
            throw new IllegalArgumentException("A radius is 0 to 20000 km, not " + radiusKm);
        }
    }

    /** A site: a circle without extent. */
    public static Circle site(Place place) {
        return new Circle(place, 0);
    }

    /** Geodesic distance from the middle in kilometres. */
    public double distanceKm(Place place) {
        return Geodesic.WGS84.Inverse(centre.latitude(), centre.longitude(), place.latitude(), place.longitude()).s12
                / 1000;
    }

    /** How much of another circle lies inside; what lies on the edge is inside. */
    Inside holds(Circle used) {
        double distance = distanceKm(used.centre);
        if (distance + used.radiusKm <= radiusKm) {
            return Inside.ALL;
        }
        return distance - used.radiusKm <= radiusKm ? Inside.PART : Inside.NONE;
    }

    @Override
    public String words() {
        return radiusKm == 0
                ? centre.words()
                : String.format(Locale.ROOT, "%s km around %s", Place.figure(radiusKm), centre.words());
    }
}
