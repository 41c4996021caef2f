package org.wache.licence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Distances along the earth; reference: the published lengths of a degree on the WGS 84 ellipsoid. */
class AreaTest {

  private static Place at(double latitude, double longitude) {
    return new Place(latitude, longitude, Optional.empty());
  }

  @Test
  void aDegreeIsAsLongAsThePublishedTablesSay() {
    // WGS 84: a degree of latitude is 110.574 km at the equator and 111.132 km at 45°; of longitude 111.320 km at the equator.
    assertThat(new Area(at(0, 0), 1).distanceKm(at(1, 0))).isCloseTo(110.574, within(0.01));
    assertThat(new Area(at(44.5, 0), 1).distanceKm(at(45.5, 0))).isCloseTo(111.132, within(0.01));
    assertThat(new Area(at(0, 0), 1).distanceKm(at(0, 1))).isCloseTo(111.320, within(0.01));
  }

  @Test
  void theEdgeOfACircleBelongsToIt() {
    double distance = new Area(at(45, -93), 1).distanceKm(at(45.2, -93.1));
    assertThat(new Area(at(45, -93), distance).contains(at(45.2, -93.1))).isTrue();
    assertThat(new Area(at(45, -93), distance - 0.001).contains(at(45.2, -93.1))).isFalse();
  }

  @Test
  void aPlaceThatCannotBeIsRefused() {
    assertThatThrownBy(() -> at(91, 0)).hasMessageContaining("latitude of -90 to 90");
    assertThatThrownBy(() -> at(0, 181)).isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> at(Double.NaN, 0)).isInstanceOf(IllegalArgumentException.class);
  }
}
