package org.wache.licence;

import net.sf.geographiclib.Geodesic;

/**
 * A circle in which a licence line may be used.
 *
 * @param centre its middle
 * @param radiusKm radius in kilometres along the earth (WGS 84)
 */
public record Area(Place centre, double radiusKm) {

  /** Geodesic distance from the middle in kilometres. */
  public double distanceKm(Place place) {
    return Geodesic.WGS84.Inverse(centre.latitude(), centre.longitude(), place.latitude(), place.longitude()).s12 / 1000;
  }

  /** Whether the place lies inside or on the circle. */
  public boolean contains(Place place) {
    return distanceKm(place) <= radiusKm;
  }
}
