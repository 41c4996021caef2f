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
}
