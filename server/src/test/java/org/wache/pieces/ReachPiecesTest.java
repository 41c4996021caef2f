package org.wache.pieces;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** The picture of who reaches whom: which knots there are, and how they are bound; and what is found on a band sheet. */
class ReachPiecesTest extends InPieces {

    private static final String PEOPLE =
            """
            [{"party":1,"name":"Ada","teams":["Net"]},{"party":2,"name":"Bo","teams":["Levee","Boats"]},
             {"party":3,"name":"Cy","teams":["Levee"]},{"party":4,"name":"Di","teams":[]}]""";

    @Test
    void teamsAreKnotsAndWhoIsInTwoIsInBoth() {
        JsonNode knots = ask("knots.teamsOf", PEOPLE);
        assertThat(knots.valueStream()
                        .map(each -> each.path("name").asString() + " "
                                + each.path("people").toString())
                        .collect(Collectors.joining("; ")))
                .isEqualTo("Boats [1]; Levee [1,2]; Net [0]; In no team [3]");
    }

    private JsonNode way(String from, String to, String links) {
        return ask(
                "knots.way",
                "{\"key\":\"a\",\"name\":\"A\",\"people\":" + from + "}",
                "{\"key\":\"b\",\"name\":\"B\",\"people\":" + to + "}",
                links);
    }

    @Test
    void awayCountsPairsAndTheEntriesThatAnyOfThemUses() {
        JsonNode way = way("[0,1]", "[1,2]", "{\"0 2\":[4,1],\"1 2\":[1]}");
        assertThat(way.path("of").asInt()).as("nobody reaches themselves").isEqualTo(3);
        assertThat(way.path("pairs").asInt()).isEqualTo(2);
        assertThat(way.path("entries").toString()).isEqualTo("[1,4]");
    }

    @ParameterizedTest
    @CsvSource({"2, 2, 2, all", "2, 1, 2, some", "1, 0, 2, one-way", "0, 2, 2, one-way", "0, 0, 2, none", "0, 0, 0, all"
    })
    void bandsAreToldApart(int there, int back, int of, String kind) {
        String way = "{\"pairs\":%d,\"of\":%d,\"entries\":[]}";
        assertThat(ask(
                                "knots.kindOf",
                                "{\"there\":" + way.formatted(there, of) + ",\"back\":" + way.formatted(back, of) + "}")
                        .asString())
                .isEqualTo(kind);
    }

    @Test
    void whoReachesNobodyIsAloneOrListens() {
        JsonNode stands = ask(
                "knots.standings",
                "[{\"key\":\"a\",\"people\":[0]},{\"key\":\"b\",\"people\":[1]},{\"key\":\"c\",\"people\":[2]},{\"key\":\"d\",\"people\":[1,0]}]",
                "{\"0 1\":[3]}");
        assertThat(stands).isEqualTo(json("[[\"b\",\"listens\"],[\"c\",\"alone\"]]"));
    }

    @ParameterizedTest
    @CsvSource({
        "146.52, 146400000, 146580000, FM direct, true",
        "'146,52', 146400000, 146580000, FM direct, true",
        "147, 146400000, 146580000, FM direct, false",
        "repeater, 146610000, 146970000, repeater outputs, true",
        "146.61, 146610000, 146970000, repeater outputs, true",
        "'', 1, 2, anything, true",
        "satellite, 146400000, 146580000, FM direct, false"
    })
    void rowsOfABandAreFoundByWordOrFrequency(String search, long low, long high, String words, boolean found) {
        assertThat(ask("sheetTable.isFound", "\"" + search + "\"", "" + low, "" + high, "\"" + words + "\"")
                        .asBoolean())
                .isEqualTo(found);
    }

    /** Unicode CLDR, paper sizes by region; from memory. */
    @ParameterizedTest
    @CsvSource({"en-US, letter", "es-MX, letter", "de-DE, a4", "en-GB, a4", "en, letter", "zh-Hant-TW, a4"})
    void thePaperIsThatOfTheRegion(String language, String paper) {
        assertThat(ask("paper.usualPaper", "[\"" + language + "\"]").asString()).isEqualTo(paper);
    }

    /** The north is up, the east to the right, and both are as long as they are on the ground. */
    @Test
    void basesStandOnTheDrawingAsOnTheGround() {
        String bases =
                """
                [{"latitude": 45.0, "longitude": -93.0}, {"latitude": 45.09, "longitude": -93.0}, {"latitude": 45.0, "longitude": -92.8727}]""";
        JsonNode drawn = ask("basesMap.placed", bases, "352", "300", "60");
        JsonNode points = drawn.path("points");
        double perKm = drawn.path("perKm").asDouble();
        double up =
                points.path(0).path("y").asDouble() - points.path(1).path("y").asDouble();
        double right =
                points.path(2).path("x").asDouble() - points.path(0).path("x").asDouble();
        assertThat(up / perKm).isCloseTo(10, org.assertj.core.api.Assertions.within(0.05));
        assertThat(right / perKm).isCloseTo(10, org.assertj.core.api.Assertions.within(0.05));
        points.forEach(point -> {
            assertThat(point.path("x").asDouble()).isBetween(59.0, 293.0);
            assertThat(point.path("y").asDouble()).isBetween(59.0, 241.0);
        });
        JsonNode around =
                ask("basesMap.placed", "[{\"latitude\": 45, \"longitude\": -93, \"radiusKm\": 9}]", "352", "300", "60");
        assertThat(around.path("perKm").asDouble())
                .as("18 km across are 180 high")
                .isEqualTo(10);
        JsonNode alone = ask("basesMap.placed", "[{\"latitude\": 45, \"longitude\": -93}]", "352", "300", "60");
        assertThat(alone.path("points").path(0)).isEqualTo(json("{\"x\": 176, \"y\": 150}"));
    }

    @ParameterizedTest
    @CsvSource({"10, 100, 10, 100", "30, 100, 2, 60", "3, 100, 20, 60", "45, 100, 2, 90", "120, 100, 0.5, 60"})
    void theScaleIsARoundNumberThatFits(double perKm, double most, double km, double length) {
        JsonNode bar = ask("basesMap.scaleBar", Double.toString(perKm), Double.toString(most));
        assertThat(bar.path("km").asDouble()).isEqualTo(km);
        assertThat(bar.path("length").asDouble()).isEqualTo(length);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "-",
            value = {
                "45.2012, -93.1034 | 45.2012 | -93.1034",
                "45.2012 N 93.1034 W | 45.2012 | -93.1034",
                "33.9S, 18.4E | -33.9 | 18.4",
                "45 -93 | 45 | -93",
                "95, 10 | - | -",
                "somewhere | - | -",
                "45.2 | - | -",
            })
    void aPositionIsReadAsPeopleWriteIt(String typed, Double latitude, Double longitude) {
        JsonNode read = ask("station.position", "\"" + typed + "\"");
        if (latitude == null) {
            assertThat(read.isNull()).isTrue();
        } else {
            assertThat(read.path("latitude").asDouble()).isEqualTo(latitude);
            assertThat(read.path("longitude").asDouble()).isEqualTo(longitude);
        }
    }
}
