package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A country from a folder, in the running application: what a list of it can be asked for is answered in its own words. */
@ExtendWith(RunningServer.class)
class InventedCountryServedTest {

    private final Browserless who;

    InventedCountryServedTest(RunningServer server) {
        who = Browserless.signedIn(server.address(), "neighbour");
    }

    @BeforeAll
    static void beside() {
        System.setProperty(
                "wache.rulebooks",
                Path.of("../core/src/test/resources/countries")
                        .toAbsolutePath()
                        .normalize()
                        .toString());
    }

    @AfterAll
    static void gone() {
        System.clearProperty("wache.rulebooks");
    }

    /** The group of another group's coordinator, for as long as the test takes. */
    @Test
    void aListOfItIsHeldDrawnSwappedAndPrinted() {
        long group = who.group();
        String before = get("/api/groups/" + group + "/rulebook").path("id").asString();
        assertThat(who.put("/api/groups/" + group + "/rulebook", "{\"id\":\"skerry\"}")
                        .statusCode())
                .isEqualTo(204);
        try {
            long list = who.take(
                    "Between the skerries",
                    "number,name,rx_mhz,tx_mhz,mode,power_w,tx_tone,service\n"
                            + "1,Call,37.500,37.500,FM,5,,\n2,Light,37.700,37.850,FM,20,123.0,hobby\n3,Quay,161.250,161.250,NFM,1,,harbour\n4,Between,161.260,161.260,NFM,1,,\n");
            JsonNode desk = get("/api/lists/" + list);
            assertThat(desk.path("rulebook").asString()).isEqualTo("skerry");
            assertThat(desk.path("slips").path(0).path("reason").asString())
                    .isEqualTo("37.500 MHz needs a hobby licence (Shore or higher); the holder has none.");
            assertThat(desk.path("slips").path(2).path("verdict").asString()).isEqualTo("clear");
            assertThat(desk.path("slips").path(3).path("cure").path("label").asString())
                    .isEqualTo("Use 161.250 MHz");
            long entry = desk.path("slips").path(0).path("id").asLong();
            for (String path : List.of(
                    "/entries/" + entry,
                    "/export.csv",
                    "/export.json",
                    "/versions",
                    "/cures",
                    "/matrix",
                    "/matrix?by=class",
                    "/matrix/" + entry + "?by=class&column=1",
                    "/fit",
                    "/directory",
                    "/directory/news",
                    "/aside",
                    "/site",
                    "/clear-channels",
                    "/abroad?rulebook=us",
                    "/gate")) {
                HttpResponse<String> answer = who.get("/api/lists/" + list + path);
                assertThat(answer.statusCode())
                        .as("%s: %s", path, answer.body())
                        .isEqualTo(200);
                boolean others = path.startsWith("/directory")
                        || path.startsWith("/abroad"); // a directory's own words, and those of the country visited
                assertThat(others ? "" : answer.body())
                        .as(path)
                        .doesNotContain("CFR", "GMRS", "Technician", "mateur licence");
            }
            assertThat(who.bytes("/api/lists/" + list + "/export.pdf").statusCode())
                    .isEqualTo(200);
            assertThat(who.bytes("/api/lists/" + list + "/export.xlsx").statusCode())
                    .isEqualTo(200);
            HttpResponse<String> swap = who.post(
                    "/api/lists/" + list + "/proposals/swap",
                    "{\"service\":\"harbour\",\"channels\":[],\"narrow\":true,\"watts\":5,\"tone\":\"none\",\"repeaters\":false}");
            assertThat(swap.statusCode()).as(swap.body()).isEqualTo(200);
            assertThat(swap.body()).contains("Harbour band 1");
            roster(group);
        } finally {
            who.put("/api/groups/" + group + "/rulebook", "{\"id\":\"" + before + "\"}");
        }
    }

    /** What can be held there, and when it ends. */
    private void roster(long group) {
        JsonNode services = get("/api/groups/" + group + "/roster").path("services");
        assertThat(services).extracting(each -> each.path("id").asString()).containsExactly("hobby", "works");
        HttpResponse<String> odd = who.post(
                "/api/groups/" + group + "/parties",
                "{\"kind\":\"person\",\"name\":\"Isla Skerrow\",\"teams\":[],\"note\":\"\",\"licences\":[{\"service\":\"hobby\","
                        + "\"licenceClass\":\"islander\",\"callSign\":\"W1QRB\",\"granted\":null,\"expires\":null,\"lines\":[]}]}");
        assertThat(odd.statusCode()).as(odd.body()).isEqualTo(201);
        assertThat(odd.body()).contains("SK, a digit and three letters");
        String made = "/api/parties/" + Browserless.json(odd).path("id").asLong()
                + "?version=1"; // this group's roster is empty, as others count on
        assertThat(who.send("DELETE", made, null, null).statusCode()).isEqualTo(204);
    }

    @Test
    void itsRulebookIsReadAndDrawn() {
        assertThat(get("/api/rulebooks"))
                .extracting(each -> each.path("id").asString())
                .contains("us", "skerry");
        JsonNode terms = get("/api/rulebook/terms?rulebook=skerry");
        assertThat(terms.path("usualBand").asString()).isEqualTo("8 m");
        assertThat(terms.path("raster").path("band").asString()).isEqualTo("8 m");
        assertThat(terms.path("raster").path("stepsKhz"))
                .extracting(JsonNode::asString)
                .containsExactly("20", "25");
        assertThat(terms.path("services"))
                .extracting(each -> each.path("title").asString())
                .containsExactly("Hobby", "Harbour band", "Works radio");
        assertThat(get("/api/rulebook/chart?rulebook=skerry").path("bands"))
                .extracting(each -> each.path("name").asString())
                .containsExactly("8 m", "3 m");
        assertThat(get("/api/rulebook/at?rulebook=skerry&mhz=37.700").toString())
                .contains("hobby repeaters that talk here listen on 37.850 MHz");
        assertThat(get("/api/rulebook/editions?rulebook=skerry").toString()).contains("More power on 8 m");
        assertThat(get("/api/ruler?rulebook=skerry&as=hobby:shore").path("bands"))
                .extracting(each -> each.path("name").asString())
                .contains("8 m", "3 m", "Harbour band");
        for (String path : List.of(
                "edges?class=shore&send=fm&rulebook=skerry",
                "tones?rulebook=skerry",
                "channel-names?rulebook=skerry",
                "places?rulebook=skerry",
                "place?rulebook=skerry&latitude=-47&longitude=-20")) {
            assertThat(who.get("/api/rulebook/" + path).statusCode()).as(path).isEqualTo(200);
        }
    }

    private JsonNode get(String path) {
        return Browserless.json(who.get(path));
    }
}
