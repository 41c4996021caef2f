package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What the ruler draws for whom. */
@ExtendWith(RunningServer.class)
class RulerTest {

    private final Browserless who;

    RulerTest(RunningServer server) {
        this.who = Browserless.signedIn(server.address(), "coordinator");
    }

    private List<JsonNode> may(String as, long hertz) {
        JsonNode all = Browserless.json(who.get("/api/ruler?as=" + as)).path("may");
        return StreamSupport.stream(all.spliterator(), false)
                .filter(each -> each.path("low").asLong() <= hertz
                        && hertz <= each.path("high").asLong())
                .toList();
    }

    @Test
    void aTechnicianMayUseSidebandBelow28500AndGeneralsTheRest() {
        assertThat(may("amateur:technician", 28_400_000)).singleElement().satisfies(stretch -> {
            assertThat(stretch.path("onlyFrom").isNull()).isTrue();
            assertThat(stretch.path("words").asString()).isEqualTo("CW and single sideband (J3E, R3E)");
        });
        assertThat(may("amateur:technician", 28_600_000)).singleElement().satisfies(stretch -> assertThat(
                        stretch.path("onlyFrom").asString())
                .isEqualTo("General"));
        assertThat(may("amateur:general", 28_600_000)).singleElement().satisfies(stretch -> assertThat(
                        stretch.path("onlyFrom").isNull())
                .isTrue());
    }

    @Test
    void aSharedChannelIsDrawnOnceForTheServiceThatTheHolderMayUse() {
        assertThat(may("gmrs", 462_562_500)).singleElement().satisfies(stretch -> assertThat(
                        stretch.path("words").asString())
                .isEqualTo("GMRS 1"));
        assertThat(may("nobody", 462_562_500)).singleElement().satisfies(stretch -> assertThat(
                        stretch.path("words").asString())
                .isEqualTo("FRS 1"));
        assertThat(may("nobody", 467_600_000)).singleElement().satisfies(stretch -> assertThat(
                        stretch.path("onlyFrom").asString())
                .isEqualTo("GMRS licence"));
    }

    @Test
    void whereNobodyMayThereIsNothing() {
        assertThat(may("amateur:extra", 121_500_000)).isEmpty();
        assertThat(may("amateur:extra", 162_550_000)).isEmpty();
    }

    @Test
    void bandsRiseAndDoNotRepeat() {
        JsonNode bands = Browserless.json(who.get("/api/ruler")).path("bands");
        long last = 0;
        for (JsonNode band : bands) {
            assertThat(band.path("low").asLong()).isGreaterThanOrEqualTo(last);
            last = band.path("low").asLong();
        }
        assertThat(bands.findValuesAsString("name"))
                .contains("2 m", "70 cm", "FRS/GMRS 462", "MURS", "CB")
                .doesNotHaveDuplicates();
    }

    @Test
    void anUnknownHolderOrRulebookIsTold() {
        assertThat(who.get("/api/ruler?as=amateur:king").body()).contains("expected amateur:novice");
        assertThat(who.get("/api/ruler?rulebook=moon").statusCode()).isEqualTo(422);
    }

    /** Rasters of the plan as it is written; fixed channels of FRS, GMRS, MURS and CB (47 CFR 95); the lines of land mobile (47 CFR 90). */
    @Test
    void itSaysHowChannelsStand() {
        JsonNode ruler = Browserless.json(who.get("/api/ruler?as=nobody"));
        JsonNode simplex = ruler.path("plan")
                .valueStream()
                .filter(row -> row.path("low").asLong() == 146_400_000
                        && row.path("high").asLong() == 146_580_000)
                .findFirst()
                .orElseThrow();
        assertThat(simplex.path("rasters").valueStream().map(each -> each.path("step")
                        .asLong()))
                .containsExactly(15_000L, 20_000L);
        List<Long> channels =
                ruler.path("channels").valueStream().map(JsonNode::asLong).toList();
        assertThat(channels).isSorted().doesNotHaveDuplicates().contains(462_562_500L, 154_600_000L, 27_185_000L);
        assertThat(ruler.path("stepped")
                        .valueStream()
                        .map(each -> each.path("raster").path("step").asLong()))
                .contains(2_500L, 6_250L);
    }

    /** Bands of 47 CFR 97.301, channels of 47 CFR 95 subparts B and E, and rows of the table of allocations, 47 CFR 2.106. */
    @Test
    void theSpectrumHasTheServicesAndWhoseTheRestIs() {
        JsonNode spectrum = Browserless.json(who.get("/api/rulebook/spectrum?rulebook=us"));
        assertThat(spectrum.path("services").valueStream().map(each -> each.path("id")
                        .asString()))
                .contains("amateur", "gmrs", "frs", "murs", "cb");
        assertThat(spectrum.path("services")
                        .valueStream()
                        .filter(each -> each.path("id").asString().equals("amateur"))
                        .flatMap(each -> each.path("stretches").valueStream())
                        .filter(each -> each.path("name").asString().equals("2 m"))
                        .map(each -> each.path("low").asLong() + "-"
                                + each.path("high").asLong()))
                .containsExactly("144000000-148000000");
        assertThat(spectrum.path("others")
                        .valueStream()
                        .filter(each -> each.path("low").asLong() == 88_000_000))
                .singleElement()
                .satisfies(row -> {
                    assertThat(row.path("words").asString()).isEqualTo("FM broadcasting");
                    assertThat(row.path("closed").asBoolean()).isTrue();
                });
    }

    @Test
    void theFrequenciesOfListsInUseAreToldOnceAndNotThoseOfOthers() {
        long list = who.take(
                "heard of",
                "number,name,rx_mhz,tx_mhz,mode\n1,A,223.46,223.46,FM\n2,B,223.46,223.46,FM\n3,C,223.48,,FM\n4,D,x,,FM\n");
        String path = "/api/groups/" + who.group() + "/frequencies";
        List<JsonNode> ours = Browserless.json(who.get(path))
                .valueStream()
                .filter(each -> each.path("list").asLong() == list)
                .toList();
        assertThat(ours.stream()
                        .map(each -> each.path("hertz").asLong() + " "
                                + each.path("talks").asBoolean() + " "
                                + each.path("entries").asInt() + " "
                                + each.path("name").asString()))
                .containsExactlyInAnyOrder("223460000 true 2 A", "223480000 false 1 C");
        who.put("/api/lists/" + list + "/shelf", "{\"before\":\"in-use\",\"after\":\"archived\"}");
        assertThat(who.get(path).body()).doesNotContain("\"list\":" + list + ",");
    }
}
