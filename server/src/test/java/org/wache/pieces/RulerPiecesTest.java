package org.wache.pieces;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** The axis of the ruler: what it looks at, how it zooms and moves. Frequencies of the bands: 47 CFR 97.301. */
class RulerPiecesTest extends InPieces {

    private static final String BANDS =
            """
            [{"name": "2 m", "low": 144000000, "high": 148000000},
             {"name": "70 cm", "low": 420000000, "high": 450000000},
             {"name": "2 m calling", "low": 146500000, "high": 146540000}]""";

    private static String entry(String rx, String tx) {
        return "{\"rxHz\": %s, \"txHz\": %s, \"lowHz\": null, \"highHz\": null}".formatted(rx, tx);
    }

    @Test
    void theNarrowestBandHoldsAFrequency() {
        assertThat(ask("view.bandAt", BANDS, "146520000").get("name").asString())
                .isEqualTo("2 m calling");
        assertThat(ask("view.bandAt", BANDS, "144000000").get("name").asString())
                .isEqualTo("2 m");
        assertThat(ask("view.bandAt", BANDS, "148000001").isNull()).isTrue();
        assertThat(ask("view.bandAt", BANDS, "null").isNull()).isTrue();
    }

    @Test
    void anEntryIsLookedAtInItsBandElseInItsNeighbourhood() {
        assertThat(ask("view.viewOf", BANDS, entry("146940000", "146340000")))
                .isEqualTo(json("{\"low\": 143920000, \"high\": 148080000}"));
        assertThat(ask("view.viewOf", BANDS, entry("121500000", "null")))
                .isEqualTo(json("{\"low\": 121350000, \"high\": 121650000}"));
        assertThat(ask("view.viewOf", BANDS, "null", "\"70 cm\""))
                .isEqualTo(json("{\"low\": 419400000, \"high\": 450600000}"));
        assertThat(ask("view.viewOf", BANDS, entry("null", "null"), "\"23 cm\""))
                .as("a band that there is not")
                .isEqualTo(json("{\"low\": 143920000, \"high\": 148080000}"));
        assertThat(ask("view.viewOf", "[]", entry("null", "null")))
                .isEqualTo(json("{\"low\": 1, \"high\": 3000000000}"));
    }

    @ParameterizedTest
    @CsvSource({"2, 146", "0.5, 146", "2, 144", "10, 147.9", "0.1, 145"})
    void whatIsUnderThePointerStaysThereWhenItZooms(double factor, double megahertz) {
        double fixed = megahertz * 1e6;
        JsonNode view = ask(
                "view.zoomed",
                "{\"low\": 144000000, \"high\": 148000000}",
                String.valueOf(factor),
                String.valueOf(fixed));
        double width = view.get("high").asDouble() - view.get("low").asDouble();
        assertThat(width).isCloseTo(4e6 / factor, within(1.0));
        assertThat((fixed - view.get("low").asDouble()) / width).isCloseTo((fixed - 144e6) / 4e6, within(1e-6));
    }

    @Test
    void itZoomsNeitherPastASignalNorPastTheSpectrum() {
        JsonNode near = ask("view.zoomed", "{\"low\": 146518000, \"high\": 146523000}", "1000", "146520000");
        assertThat(near.get("high").asDouble() - near.get("low").asDouble()).isCloseTo(4_000, within(1e-3));
        JsonNode far = ask("view.zoomed", "{\"low\": 100000000, \"high\": 2000000000}", "0.001", "2000000000");
        assertThat(far.get("high").asDouble() - far.get("low").asDouble()).isEqualTo(3e9);
        assertThat(far.get("low").asDouble()).as("never below nothing").isEqualTo(0);
    }

    @Test
    void itMovesByAShareOfItsWidthAndStopsAtNothing() {
        assertThat(ask("view.panned", "{\"low\": 144000000, \"high\": 148000000}", "0.25"))
                .isEqualTo(json("{\"low\": 145000000, \"high\": 149000000}"));
        assertThat(ask("view.panned", "{\"low\": 1000000, \"high\": 5000000}", "-2"))
                .isEqualTo(json("{\"low\": 0, \"high\": 4000000}"));
    }

    @Test
    void aSignalIsSeenAtItsTrueWidth() {
        assertThat(ask(
                        "view.channelView",
                        "{\"rxHz\": 146520000, \"txHz\": 146520000, \"lowHz\": 146512000, \"highHz\": 146528000}"))
                .isEqualTo(json("{\"low\": 146494400, \"high\": 146545600}"));
        assertThat(ask("view.channelView", entry("146520000", "null")))
                .as("a width that is not known is taken for that of FM")
                .isEqualTo(json("{\"low\": 146494400, \"high\": 146545600}"));
        assertThat(ask(
                        "view.channelView",
                        "{\"rxHz\": null, \"txHz\": 7030000, \"lowHz\": 7029950, \"highHz\": 7030050}"))
                .as("no narrower than two kilohertz to each side")
                .isEqualTo(json("{\"low\": 7028000, \"high\": 7032000}"));
        assertThat(ask("view.channelView", entry("null", "null")).isNull()).isTrue();
    }

    @ParameterizedTest
    @CsvSource({"144, true", "146, true", "148, true", "143.999999, false", "148.000001, false"})
    void theEndsOfAViewBelongToIt(double megahertz, boolean held) {
        assertThat(ask(
                                "view.holds",
                                "{\"low\": 144000000, \"high\": 148000000}",
                                String.valueOf(Math.round(megahertz * 1e6)))
                        .asBoolean())
                .isEqualTo(held);
    }

    @Test
    void theAxisLaysTheViewOverItsWidth() {
        hold("axis", "144000000", "148000000");
        page.waitForFunction("() => held().width === 1000");
        assertThat(held("it.at(144000000)").asDouble()).isZero();
        assertThat(held("it.at(146000000)").asDouble()).isCloseTo(500, within(1e-6));
        assertThat(held("it.at(148000000)").asDouble()).isCloseTo(1000, within(1e-6));
    }

    @Test
    void theWheelZoomsAtThePointerAndSidewaysMoves() {
        hold("axis", "144000000", "148000000");
        page.waitForFunction("() => held().width === 1000");
        page.mouse().move(8 + 250, 20);
        page.mouse().wheel(0, -300);
        page.waitForFunction("() => views.length === 1");
        JsonNode near = json((String) page.evaluate("() => JSON.stringify(views[0])"));
        double width = near.get("high").asDouble() - near.get("low").asDouble();
        assertThat(width).as("e times closer").isCloseTo(4e6 / Math.E, within(1.0));
        assertThat((145e6 - near.get("low").asDouble()) / width)
                .as("at the pointer")
                .isCloseTo(0.25, within(1e-3));
        page.mouse().wheel(500, 10);
        page.waitForFunction("() => views.length === 2");
        assertThat(json((String) page.evaluate("() => JSON.stringify(views[1])")))
                .isEqualTo(json("{\"low\": 146000000, \"high\": 150000000}"));
    }

    @Test
    void aDragMovesAndIsNoClick() {
        hold("axis", "144000000", "148000000");
        page.waitForFunction("() => held().width === 1000");
        page.mouse().move(500, 20);
        page.mouse().down();
        page.mouse().move(502, 20);
        assertThat(held("it.wasDragged()").asBoolean())
                .as("a hand that trembles")
                .isFalse();
        page.mouse().move(400, 20);
        page.mouse().up();
        assertThat(held("it.wasDragged()").asBoolean()).isTrue();
        assertThat(json((String) page.evaluate("() => JSON.stringify(views.at(-1))")))
                .isEqualTo(json("{\"low\": 144400000, \"high\": 148400000}"));
        page.mouse().move(100, 20);
        assertThat(json((String) page.evaluate("() => JSON.stringify(views.at(-1))")))
                .as("let go, it stays")
                .isEqualTo(json("{\"low\": 144400000, \"high\": 148400000}"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "146520000|146.520",
                "462562500|462.5625",
                "446006250|446.00625",
                "999999|0.999999",
                "7030000|7.030",
                "14070150|14.07015"
            })
    void hertzAreWrittenAsMegahertz(long hertz, String text) {
        assertThat(ask("megahertz.megahertz", String.valueOf(hertz)).asString()).isEqualTo(text);
        assertThat(ask("follow.megahertz", String.valueOf(hertz)).asString())
                .as("as it is typed into a field")
                .isEqualTo(text);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"-600000|−600 kHz", "5000000|+5 MHz", "-1600000|−1.6 MHz", "100000|+100 kHz", "0|+0 kHz"})
    void anOffsetHasItsSign(long hertz, String text) {
        assertThat(ask("megahertz.offset", String.valueOf(hertz)).asString()).isEqualTo(text);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"999|999 Hz", "1000|1.0 kHz", "12500|12.5 kHz", "6250|6.25 kHz", "8333|8.333 kHz", "60|60 Hz"})
    void aLengthIsToldInHertzOrKilohertz(long hertz, String text) {
        assertThat(ask("megahertz.length", String.valueOf(hertz)).asString()).isEqualTo(text);
    }

    @Test
    void thePartBeyondTheEdgeIsDrawn() {
        assertThat(
                        ask(
                                "overrun.overrun",
                                "{\"lowHz\": 147982000, \"highHz\": 148002000, \"edge\": {\"hertz\": 148000000, \"upper\": true}}"))
                .isEqualTo(json("{\"low\": 148000000, \"high\": 148002000, \"top\": true}"));
        assertThat(
                        ask(
                                "overrun.overrun",
                                "{\"lowHz\": 143992000, \"highHz\": 144008000, \"edge\": {\"hertz\": 144000000, \"upper\": false}}"))
                .as("the dial stands on the lower edge itself: what lies below is beyond")
                .isEqualTo(json("{\"low\": 143992000, \"high\": 144000000, \"top\": false}"));
        assertThat(ask("overrun.overrun", "{\"lowHz\": 1, \"highHz\": 2, \"edge\": null}")
                        .isNull())
                .isTrue();
    }

    @Test
    void aSiteIsSplitWhereNothingStandsForTwelveMegahertz() {
        JsonNode found = ask(
                "clusters.clusters",
                """
                [{"txHz": 146340000, "rxHz": 146940000}, {"txHz": 147570000, "rxHz": 147570000},
                 {"txHz": null, "rxHz": 162550000}, {"txHz": 467550000, "rxHz": 462550000},
                 {"txHz": null, "rxHz": 146520000000}]""");
        assertThat(found.size()).isEqualTo(3);
        assertThat(found.get(0).get("name").asString()).isEqualTo("146.3–147.6 MHz");
        assertThat(found.get(0).get("entries").asInt()).isEqualTo(2);
        assertThat(found.get(0).get("low").asLong()).as("with room beside it").isEqualTo(146_140_000);
        assertThat(found.get(1).get("name").asString()).as("one alone").isEqualTo("162.6 MHz");
        assertThat(found.get(2).get("high").asLong()).isEqualTo(467_850_000);
    }

    /**
     * Steps along the plan's raster, the fixed channels of FRS and GMRS (47 CFR 95.563, 95.1763), the 7.5 kHz lines of land mobile
     * (47 CFR 90.35), and even steps where nothing is named.
     */
    private static final String STEPS =
            """
            {"plan": [{"low": 144000000, "high": 148000000, "rasters": []},
                      {"low": 146400000, "high": 146580000, "rasters": [{"start": 146400000, "step": 15000}, {"start": 146400000, "step": 20000}]}],
             "channels": [462550000, 462562500, 462575000, 467562500],
             "stepped": [{"low": 150800000, "high": 174000000, "raster": {"start": 150800000, "step": 2500}}]}""";

    @ParameterizedTest
    @CsvSource({
        "146520000, 1, null, 146535000",
        "146520000, -1, null, 146505000",
        "146520000, 1, 20, 146540000",
        "146521000, -1, 20, 146520000",
        "462562500, 1, null, 462575000",
        "462550000, 1, null, 462562500",
        "462562500, -1, 20, 462550000",
        "151820000, 1, null, 151822500",
        "145000000, -1, null, 144995000",
        "7230000, 1, null, 7231000",
        "7230400, -1, null, 7230000",
    })
    void anEntryGoesFromChannelToChannel(long from, int direction, String houseKhz, long wanted) {
        assertThat(ask("steps.next", STEPS, String.valueOf(from), String.valueOf(direction), houseKhz)
                        .asLong())
                .isEqualTo(wanted);
    }

    @ParameterizedTest
    @CsvSource({
        "146526000, null, 146520000",
        "146529000, null, 146535000",
        "146520000, null, 146520000",
        "146526000, 20, 146520000",
        "462569000, null, 462575000",
        "462560000, null, 462562500",
        "7230400.7, null, 7230000",
    })
    void whatIsLetGoStandsOnTheNearestChannel(double at, String houseKhz, long wanted) {
        assertThat(ask("steps.nearest", STEPS, String.valueOf(at), houseKhz).asLong())
                .isEqualTo(wanted);
    }

    private static String label(String key, int left, int width, int weight) {
        return "{\"key\":\"%s\",\"left\":%d,\"width\":%d,\"weight\":%d}".formatted(key, left, width, weight);
    }

    @Test
    void noLabelLiesOverAnotherOrBeyondTheEdgeAndTheImportantOnesStay() {
        String labels = "["
                + String.join(
                        ",",
                        label("left", 10, 40, 0),
                        label("calling", 45, 60, 2),
                        label("close", 106, 20, 0),
                        label("free", 110, 20, 0),
                        label("beyond", 190, 20, 2),
                        label("before", -5, 10, 2))
                + "]";
        assertThat(ask("labels.standing", labels, "200").valueStream().map(JsonNode::asString))
                .containsExactly("calling", "free");
    }

    /** The spectrum's axis is logarithmic: what is under the pointer stays there, and neither end is left. */
    @ParameterizedTest
    @CsvSource({"2, 146e6", "1.6, 7e6", "0.5, 462e6", "0.01, 1e6", "100, 1.2e9"})
    void theSpectrumZoomsAroundAFrequency(double factor, double fixed) {
        JsonNode view = ask(
                "spectrum.zoomed", "{\"low\": 1e6, \"high\": 1.2e9}", String.valueOf(factor), String.valueOf(fixed));
        double low = view.get("low").asDouble();
        double high = view.get("high").asDouble();
        assertThat(low).isGreaterThanOrEqualTo(100_000 * (1 - 1e-9)).isLessThan(high);
        assertThat(high).isLessThanOrEqualTo(1.3e9 * (1 + 1e-9));
        if (factor > 1) {
            double before = Math.log(fixed / 1e6) / Math.log(1200);
            assertThat(Math.log(fixed / low) / Math.log(high / low)).isCloseTo(before, within(1e-6));
        }
    }

    @Test
    void theSpectrumIsMovedAndLaidAroundStretches() {
        JsonNode moved = ask("spectrum.panned", "{\"low\": 1e6, \"high\": 1e7}", "0.5");
        assertThat(moved.get("low").asDouble()).isCloseTo(Math.sqrt(10) * 1e6, within(1.0));
        assertThat(ask("spectrum.panned", "{\"low\": 1e5, \"high\": 1e7}", "-3")
                        .get("low")
                        .asDouble())
                .isCloseTo(1e5, within(1e-3));
        JsonNode around = ask(
                "spectrum.around",
                "[{\"low\": 462.55e6, \"high\": 462.725e6}, {\"low\": 467.55e6, \"high\": 467.725e6}]");
        assertThat(around.get("low").asDouble()).isBetween(450e6, 462.55e6);
        assertThat(around.get("high").asDouble()).isBetween(467.725e6, 480e6);
    }

    @ParameterizedTest
    @CsvSource({"100000, 100 kHz", "7000000, 7 MHz", "1300000000, 1.3 GHz", "462562500, 462.5625 MHz"})
    void aFrequencyIsSaidShort(long hertz, String wanted) {
        assertThat(ask("spectrum.said", String.valueOf(hertz)).asString()).isEqualTo(wanted);
    }

    /** The amateur service reaches from below 100 kHz to above 1.3 GHz: the picture does not. */
    @Test
    void theSpectrumEndsWhereItEnds() {
        JsonNode all = ask("spectrum.around", "[{\"low\": 135.7e3, \"high\": 10.5e9}]");
        assertThat(all.get("low").asDouble()).isCloseTo(1e5, within(1.0));
        assertThat(all.get("high").asDouble()).isCloseTo(1.3e9, within(1e4));
    }
}
