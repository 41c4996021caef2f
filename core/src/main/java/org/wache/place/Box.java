package org.wache.place;

/**
 * A county box: between two parallels and two meridians.
 *
 * @param south lowest latitude, degrees
 * @param west westernmost longitude, degrees
 * @param north highest latitude
 * @param east easternmost longitude
 */
public record Box(double south, double west, double north, double east) implements Area {

    /** @throws IllegalArgumentException when the sides are the wrong way round or off the earth */
    public Box {
        if (!(south < north) || !(west < east) || south < -90 || north > 90 || west < -180 || east > 180) {
            throw new IllegalArgumentException("A box has a south below its north and a west before its east");
        }
    }

    @Override
    public String words() {
        return Place.degrees(south, "N", "S") + " to " + Place.degrees(north, "N", "S") + ", "
                + Place.degrees(west, "E", "W") + " to " + Place.degrees(east, "E", "W");
    }
}
