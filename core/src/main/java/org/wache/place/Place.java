package org.wache.place;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Locale;
import java.util.Optional;

/**
 * A point on the earth.
 *
 * @param latitude degrees north, -90 to 90
 * @param longitude degrees east, -180 to 180
 * @param region the region that somebody said it lies in, such as the US state "AZ"
 */
public record Place(double latitude, double longitude, Optional<String> region) {

    /** @throws IllegalArgumentException outside the ranges */
    public Place {
        if (!(Math.abs(latitude) <= 90) || !(Math.abs(longitude) <= 180)) {
            throw new IllegalArgumentException(
                    "A place has a latitude of -90 to 90 and a longitude of -180 to 180, not " + latitude + ", "
                            + longitude);
        }
    }

    /** A place of which only the coordinates are known. */
    public static Place at(double latitude, double longitude) {
        return new Place(latitude, longitude, Optional.empty());
    }

    /** {@code 45.2000° N 93.1000° W}. */
    public String words() {
        return degrees(latitude, "N", "S") + " " + degrees(longitude, "E", "W");
    }

    /** A coordinate with its letter, to four decimals (about ten metres). */
    public static String degrees(double value, String positive, String negative) {
        return String.format(Locale.ROOT, "%.4f° %s", Math.abs(value), value < 0 ? negative : positive);
    }

    /** A figure in kilometres with one decimal where it has one. */
    static String figure(double kilometres) {
        return BigDecimal.valueOf(kilometres)
                .setScale(1, RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
    }
}
