package org.wache.licence;

import java.util.Optional;

/**
 * A point on the earth.
 *
 * @param latitude degrees north, -90 to 90
 * @param longitude degrees east, -180 to 180
 * @param region a region that a rule may go by, such as the US state "AZ"
 */
public record Place(double latitude, double longitude, Optional<String> region) {

  /** @throws IllegalArgumentException outside the ranges */
  public Place {
    if (!(Math.abs(latitude) <= 90) || !(Math.abs(longitude) <= 180)) {
      throw new IllegalArgumentException(
          "A place has a latitude of -90 to 90 and a longitude of -180 to 180, not " + latitude + ", " + longitude);
    }
  }
}
