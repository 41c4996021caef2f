package org.wache.place;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.wache.rulebook.Geography;
import org.wache.rulebook.RulebookReader;

/**
 * Distances along the earth and areas; references: the published lengths of a degree on the WGS 84 ellipsoid, and
 * coordinates of towns as in any atlas (to two decimals).
 */
class ShapesTest {

    private static final Geography US =
            RulebookReader.shipped("us").on(LocalDate.of(2026, 11, 25)).geography();

    private static Circle circle(double latitude, double longitude, double radius) {
        return new Circle(Place.at(latitude, longitude), radius);
    }

    @Test
    void aDegreeIsAsLongAsThePublishedTablesSay() {
        // WGS 84: a degree of latitude is 110.574 km at the equator and 111.132 km at 45°; of longitude 111.320 km at
        // the equator.
        assertThat(circle(0, 0, 1).distanceKm(Place.at(1, 0))).isCloseTo(110.574, within(0.01));
        assertThat(circle(44.5, 0, 1).distanceKm(Place.at(45.5, 0))).isCloseTo(111.132, within(0.01));
        assertThat(circle(0, 0, 1).distanceKm(Place.at(0, 1))).isCloseTo(111.320, within(0.01));
    }

    @Test
    void theEdgeOfACircleBelongsToIt() {
        Area site = Circle.site(Place.at(45.2, -93.1));
        double distance = circle(45, -93, 1).distanceKm(Place.at(45.2, -93.1));
        assertThat(Shapes.inside(site, circle(45, -93, distance), US.outlines()))
                .contains(Inside.ALL);
        assertThat(Shapes.inside(site, circle(45, -93, distance - 0.001), US.outlines()))
                .contains(Inside.NONE);
    }

    @Test
    void anAreaThatReachesOverTheEdgeLiesPartlyInside() {
        double distance = circle(45, -93, 1).distanceKm(Place.at(45.2, -93.1));
        assertThat(Shapes.inside(circle(45.2, -93.1, 5), circle(45, -93, distance + 5), US.outlines()))
                .contains(Inside.ALL);
        assertThat(Shapes.inside(circle(45.2, -93.1, 5), circle(45, -93, distance + 4.9), US.outlines()))
                .contains(Inside.PART);
        assertThat(Shapes.inside(circle(45.2, -93.1, 5), circle(45, -93, distance - 5.1), US.outlines()))
                .contains(Inside.NONE);
    }

    @Test
    void aCountyBoxEndsAtItsParallelsAndMeridians() {
        Box box = new Box(45, -94, 46, -93);
        assertThat(Shapes.inside(Circle.site(Place.at(45.5, -93.5)), box, US.outlines()))
                .contains(Inside.ALL);
        assertThat(Shapes.inside(Circle.site(Place.at(45, -93)), box, US.outlines()))
                .contains(Inside.ALL);
        assertThat(Shapes.inside(Circle.site(Place.at(46.001, -93.5)), box, US.outlines()))
                .contains(Inside.NONE);
        assertThat(Shapes.inside(circle(45.95, -93.5, 20), box, US.outlines())).contains(Inside.PART);
    }

    @Test
    void aRegionWithoutAnOutlineAnswersNothing() {
        assertThat(Shapes.inside(new Region("XX"), circle(45, -93, 10), US.outlines()))
                .isEmpty();
        assertThat(Shapes.inside(new Region("XX"), new Region("XX"), US.outlines()))
                .contains(Inside.ALL);
    }

    @Test
    void aPlaceThatCannotBeIsRefused() {
        assertThatThrownBy(() -> Place.at(91, 0)).hasMessageContaining("latitude of -90 to 90");
        assertThatThrownBy(() -> Place.at(0, 181)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Place.at(Double.NaN, 0)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> circle(0, 0, -1)).hasMessageContaining("0 to 20000 km");
        assertThatThrownBy(() -> new Box(46, -94, 45, -93)).hasMessageContaining("south below its north");
    }

    @ParameterizedTest(name = "{0} is {3} of Line A")
    @CsvSource({
        "Detroit,42.33,-83.05,north",
        "Seattle,47.61,-122.33,north",
        "Buffalo,42.89,-78.88,north",
        "Cleveland,41.50,-81.69,north",
        "International Falls,48.60,-93.41,north",
        "Marquette,46.54,-87.40,north",
        "Eastport,44.91,-66.99,north",
        "Burlington,44.48,-73.21,north",
        "Minneapolis,44.98,-93.27,south",
        "Chicago,41.88,-87.63,south",
        "Spokane,47.66,-117.43,south",
        "Portland in Maine,43.66,-70.26,south",
        "Columbus,39.96,-83.00,south",
        "Milwaukee,43.04,-87.91,south",
        "Boston,42.36,-71.06,south",
        "Denver,39.74,-104.99,south",
        "Grand Rapids,42.96,-85.66,south"
    })
    void townsLieWhereTheMapOfLineAHasThem(String town, double latitude, double longitude, String side) {
        Zone north = US.zone("north-of-line-a").orElseThrow();
        Optional<Inside> inside = north.inside(Circle.site(Place.at(latitude, longitude)), US.outlines());
        assertThat(inside).contains(side.equals("north") ? Inside.ALL : Inside.NONE);
    }

    @Test
    void lineAFollowsItsParallelAndBendsNorthOnItsArcs() {
        Border line = US.borders().get(0);
        assertThat(line.latitudeNear(Place.at(47, -110)).orElseThrow()).isCloseTo(48, within(1e-9));
        assertThat(line.latitudeNear(Place.at(42, -83)).orElseThrow()).isCloseTo(41, within(1e-9));
        // A great circle between two places runs north of the straight chord between them on the northern half.
        double share = (-75.0 + 82.0) / (-68.80 + 82.0);
        assertThat(line.latitudeNear(Place.at(43, -75)).orElseThrow()).isGreaterThan(41 + share * (44.76 - 41) + 0.05);
        assertThat(line.latitudeNear(Place.at(30, -40))).isEmpty();
    }

    @ParameterizedTest(name = "{0} lies in {3}")
    @CsvSource({
        "Phoenix,33.45,-112.07,AZ",
        "Tucson,32.22,-110.97,AZ",
        "Miami,25.77,-80.20,FL",
        "Santa Fe,35.69,-105.94,NM",
        "El Paso,31.80,-106.42,TX",
        "Fresno,36.74,-119.79,CA",
        "Las Vegas,36.17,-115.14,NV",
        "Saint Paul,44.95,-93.10,MN",
        "Anchorage,61.20,-149.87,AK",
        "Hilo,19.71,-155.10,HI",
        "Boise,43.62,-116.20,ID",
        "Washington,38.90,-77.03,DC"
    })
    void townsLieInTheirStates(String town, double latitude, double longitude, String state) {
        assertThat(US.outlines().at(Place.at(latitude, longitude)).orElseThrow().code())
                .isEqualTo(state);
    }
}
