package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** How radios are set besides their channels: profiles, what they come to, releases, the bench, and one radio otherwise. */
@ExtendWith(RunningServer.class)
class ProfilesTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final Browserless who;
    private final Fleets fleets;

    ProfilesTest(RunningServer server) {
        this.who = Browserless.signedIn(server.address(), "coordinator");
        this.fleets = new Fleets(who);
    }

    private String profiles() {
        return "/api/groups/" + who.group() + "/profiles";
    }

    private static Map<String, Object> wish(String kind, String value) {
        return Map.of("kind", kind, "which", "", "value", value, "why", "for a test");
    }

    private static Map<String, Object> body(String name, List<Map<String, Object>> wishes) {
        return Map.of(
                "name", name, "rogerTone", "unwanted", "breaksIn", true, "missesNothing", true, "settings", wishes);
    }

    private static String draft(String team, Map<String, Object> body) {
        return JSON.writeValueAsString(Map.of("team", team, "body", body));
    }

    private long person(String name, String team, String licences) {
        HttpResponse<String> made = who.post(
                "/api/groups/" + who.group() + "/parties",
                "{\"kind\":\"person\",\"name\":\"" + name + "\",\"note\":\"\",\"teams\":[\"" + team
                        + "\"],\"licences\":[" + licences + "]}");
        assertThat(made.statusCode()).as(made.body()).isEqualTo(201);
        return Browserless.json(made).path("id").asLong();
    }

    private static String technician() {
        return RosterTest.licence("amateur", "technician", "KE9QRB", "2031-01-01");
    }

    private long made(String team, Map<String, Object> body) {
        HttpResponse<String> answer = who.post(profiles(), draft(team, body));
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(201);
        return Browserless.json(answer).path("id").asLong();
    }

    private JsonNode profile(long id) {
        return Browserless.json(who.get(profiles()))
                .path("profiles")
                .valueStream()
                .filter(each -> each.path("id").asLong() == id)
                .findFirst()
                .orElseThrow();
    }

    private static List<String> rules(JsonNode view, String model) {
        List<String> all = new ArrayList<>();
        view.path("findings").forEach(each -> {
            if (each.path("model").asString().equals(model)) {
                all.add(each.path("rule").asString() + (each.path("hold").asBoolean() ? " hold" : ""));
            }
        });
        return all;
    }

    @Test
    void theDemosProfilesShowWhatTheyComeTo() {
        JsonNode page = Browserless.json(who.get(profiles()));
        assertThat(page.path("kinds")).hasSize(21);
        JsonNode levee = page.path("profiles")
                .valueStream()
                .filter(each -> each.path("team").asString().equals("Levee walkers"))
                .findFirst()
                .orElseThrow();
        JsonNode open = levee.path("findings")
                .valueStream()
                .filter(each -> each.path("rule").asString().equals("transmit-open"))
                .filter(each -> each.path("model").asString().equals("Heron H2"))
                .findFirst()
                .orElseThrow();
        assertThat(open.path("hold").asBoolean())
                .as("the profile does not speak of the band")
                .isFalse();
        assertThat(open.path("holders").valueStream().map(JsonNode::asString))
                .as("those of them who have one and may key nothing there")
                .contains("Frida Bankside", "Jorun Shingle", "Thea Rushes")
                .doesNotContain("Hanne Oxbow", "Kaspar Willow", "Viktor Heron");
        JsonNode heron = levee.path("models")
                .valueStream()
                .filter(each -> each.path("model").asString().equals("Heron H2"))
                .findFirst()
                .orElseThrow();
        assertThat(heron.path("lines").path(0).path("set").asString()).isEqualTo("120 s");
        assertThat(levee.path("radios").valueStream().map(each -> each.path("label")
                        .asString()))
                .contains("River 9", "River 10")
                .doesNotContain("River 1");
    }

    @Test
    void aDraftIsLookedAtAndNothingIsSaved() {
        int before = Browserless.json(who.get(profiles())).path("profiles").size();
        HttpResponse<String> look =
                who.post(profiles() + "/look", draft("", body("Look", List.of(wish("time-out", "off")))));
        assertThat(look.statusCode()).as(look.body()).isEqualTo(200);
        assertThat(rules(Browserless.json(look), "Heron H2")).contains("time-out-off", "roger-tone", "saver");
        assertThat(Browserless.json(look)
                        .path("findings")
                        .valueStream()
                        .filter(each -> each.path("rule").asString().equals("roger-tone"))
                        .map(each -> each.path("cure").asString()))
                .as("in plain words, which every model understands")
                .isNotEmpty()
                .containsOnly("off");
        assertThat(Browserless.json(who.get(profiles())).path("profiles")).hasSize(before);
    }

    @Test
    void aProfileIsAddedChangedAndTakenOutAndNeverOverSomebodyElse() {
        person("Crew one", "Crew A", technician());
        long id = made("Crew A", body("Crew A", List.of(wish("squelch", "2"))));
        assertThat(who.post(profiles(), draft("crew a", body("Again", List.of())))
                        .statusCode())
                .as("one for each team")
                .isEqualTo(422);
        assertThat(who.post(profiles(), draft("No such team", body("N", List.of())))
                        .body())
                .contains("Nobody of the roster");
        String change = JSON.writeValueAsString(
                Map.of("version", 1, "team", "Crew A", "body", body("Crew A", List.of(wish("squelch", "4")))));
        assertThat(who.put("/api/profiles/" + id, change).statusCode()).isEqualTo(204);
        assertThat(who.put("/api/profiles/" + id, change).statusCode())
                .as("begun on the version before")
                .isEqualTo(409);
        assertThat(profile(id)
                        .path("body")
                        .path("settings")
                        .path(0)
                        .path("value")
                        .asString())
                .isEqualTo("4");
        assertThat(who.delete("/api/profiles/" + id + "?version=1").statusCode())
                .isEqualTo(409);
        assertThat(who.delete("/api/profiles/" + id + "?version=2").statusCode())
                .isEqualTo(204);
        assertThat(who.delete("/api/profiles/" + id + "?version=3").statusCode())
                .isEqualTo(404);
    }

    @ParameterizedTest
    @CsvSource({"technician, 201", "reviewer, 403", "member, 403", "neighbour, 404"})
    void whoSetsUpRadiosMayAndNobodyElse(String account, int status) {
        person("One for " + account, "Crew of " + account, "");
        Browserless other = Browserless.signedIn(who.address(), account);
        HttpResponse<String> answer =
                other.post(profiles(), draft("Crew of " + account, body("P", List.of(wish("squelch", "2")))));
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(status);
    }

    @Test
    void aReleaseCarriesItIntoTheRadioAndItIsReadBack() throws java.io.IOException {
        long list = fleets.released("With settings", Fleets.LIST);
        long unit = fleets.herons(1).get(0);
        JsonNode before = Browserless.json(who.get("/api/units/" + unit + "/settings"));
        assertThat(before.path("looked").asBoolean()).isFalse();
        assertThat(before.path("profile").asString()).isEqualTo("Every radio of the watch");
        JsonNode planned = fleets.plan(list, List.of(unit)).path("units").path(0);
        assertThat(planned.path("profile").asString()).isEqualTo("Every radio of the watch");
        assertThat(planned.path("settings").asInt()).isGreaterThan(8);
        JsonNode job = fleets.ended(fleets.run(list, List.of(unit))).path(0);
        assertThat(job.path("state").asString()).as(job.toString()).isEqualTo("good");
        JsonNode after = Browserless.json(who.get("/api/units/" + unit + "/settings"));
        assertThat(after.path("looked").asBoolean()).isTrue();
        assertThat(after.path("settings")).allSatisfy(each -> {
            if (!each.path("wanted").isNull()) {
                assertThat(each.path("found").asString())
                        .isEqualTo(each.path("wanted").asString());
            }
        });
        assertThat(after.path("settings")
                        .valueStream()
                        .filter(each -> each.path("id").asString().equals("time-out"))
                        .map(each -> each.path("found").asString()))
                .containsExactly("180");
        long release = fleets.plan(list, List.of(unit)).path("release").asLong();
        String model = Browserless.json(who.get("/api/releases/" + release + "/release.json"))
                .path("release")
                .path("models")
                .path(0)
                .path("name")
                .asString();
        byte[] paper = who.bytes("/api/releases/" + release + "/keypad.pdf?model="
                        + java.net.URLEncoder.encode(model, java.nio.charset.StandardCharsets.UTF_8))
                .body();
        try (PDDocument document = Loader.loadPDF(paper)) {
            assertThat(new PDFTextStripper().getText(document))
                    .contains("Every radio of the watch", "Time-out timer: 180 s", "LIMIT 180");
        }
        JsonNode file = Browserless.json(who.get("/api/releases/" + release + "/release.json"));
        assertThat(file.path("release")
                        .path("profiles")
                        .path(0)
                        .path("profile")
                        .path("name")
                        .asString())
                .isEqualTo("Every radio of the watch");
    }

    private JsonNode settingsOf(long unit) {
        return Browserless.json(who.get("/api/units/" + unit + "/settings"));
    }

    private HttpResponse<String> set(long unit, Map<String, String> settings) {
        return who.put(
                "/api/units/" + unit + "/settings",
                JSON.writeValueAsString(
                        Map.of("version", settingsOf(unit).path("version").asInt(), "settings", settings)));
    }

    @Test
    void oneRadioIsSetOtherwiseAndOnlyToWhatItHas() {
        long unit = fleets.herons(1).get(0);
        assertThat(set(unit, Map.of("squelch", "9")).statusCode()).isEqualTo(204);
        assertThat(set(unit, Map.of("squelch", "99")).body()).contains("cannot be set to", "99");
        assertThat(set(unit, Map.of("weather-alert", "on")).body()).contains("has no setting");
        assertThat(who.put("/api/units/" + unit + "/settings", "{\"version\":1,\"settings\":{}}")
                        .statusCode())
                .isEqualTo(409);
        JsonNode squelch = settingsOf(unit).path("settings").path(0);
        assertThat(squelch.path("otherwise").asString()).isEqualTo("9");
        assertThat(squelch.path("wanted").asString()).as("before the profile").isEqualTo("9");
        assertThat(settingsOf(unit).path("findings").valueStream().map(each -> each.path("rule")
                        .asString()))
                .contains("squelch-tight");
    }

    @Test
    void aBandThatIsOffIsHeldAgainstTheListAndKeysNowhere() {
        long unit = fleets.herons(1).get(0);
        assertThat(set(unit, Map.of("band-transmit 400–480", "off")).statusCode())
                .isEqualTo(204);
        long list = fleets.list("Band off", Fleets.LIST);
        JsonNode meant = Browserless.json(who.get("/api/lists/" + list + "/radios"));
        assertThat(fleets.meant(list, meant.path("meant"), Map.of("settings", List.of(), "units", List.of(unit)))
                        .statusCode())
                .isEqualTo(204);
        JsonNode matters = fleets.gate(list).path("matters");
        assertThat(matters.valueStream()
                        .filter(each -> each.path("rule").asString().equals("radio-range"))
                        .map(each -> each.path("message").asString()))
                .anyMatch(message ->
                        message.contains("only listens here") && message.contains("switched off on 400–480 MHz"));
        JsonNode desk = Browserless.json(who.get("/api/lists/" + list));
        long gauge = desk.path("slips").path(3).path("id").asLong();
        assertThat(Browserless.json(who.get("/api/lists/" + list + "/entries/" + gauge))
                        .path("findings")
                        .valueStream()
                        .map(each -> each.path("message").asString()))
                .as("the Desk says what the gate says")
                .anyMatch(message -> message.contains("switched off on 400–480 MHz"));
        long released = fleets.released("Band off, released", Fleets.LIST);
        JsonNode job = fleets.ended(fleets.run(released, List.of(unit))).path(0);
        assertThat(job.path("state").asString()).as(job.toString()).isEqualTo("good");
        JsonNode presses = Browserless.json(
                        who.get("/api/jobs/" + job.path("id").asLong()))
                .path("presses");
        assertThat(presses)
                .filteredOn(each -> each.path("mhz").asString().startsWith("4"))
                .isNotEmpty()
                .noneMatch(each -> each.path("keyed").asBoolean());
        assertThat(presses).anyMatch(each -> each.path("keyed").asBoolean());
    }

    @Test
    void aBandCountsAsOffOnlyWhenItWasFoundSo() {
        long list = fleets.released(
                "Off and found",
                "number,name,rx_mhz,tx_mhz,mode,power_w,scan,timeout_s\n1,GAUGE,446.000,446.000,FM,4,yes,180\n");
        long unit = fleets.herons(1).get(0);
        assertThat(fleets.ended(fleets.run(list, List.of(unit)))
                        .path(0)
                        .path("state")
                        .asString())
                .isEqualTo("good");
        long nobody = person("Without a licence", "Watchers", "");
        String refused = "/api/units/" + unit + "/hand-out?party=" + nobody;
        assertThat(Browserless.json(who.get(refused)).path("refused").asString())
                .contains("may not key");
        assertThat(set(unit, Map.of("band-transmit 400–480", "off")).statusCode())
                .isEqualTo(204);
        assertThat(Browserless.json(who.get(refused)).path("refused").asString())
                .as("it is to be off, and nobody has looked whether it is")
                .contains("may not key");
        assertThat(fleets.ended(fleets.run(list, List.of(unit)))
                        .path(0)
                        .path("state")
                        .asString())
                .isEqualTo("good");
        assertThat(Browserless.json(who.get(refused)).path("refused").isNull()).isTrue();
        assertThat(set(unit, Map.of()).statusCode()).isEqualTo(204);
        assertThat(Browserless.json(who.get(refused)).path("refused").asString())
                .as("it may have been switched on since")
                .contains("may not key");
    }

    @Test
    void whatMustNotStaySoHoldsTheListAtTheGate() {
        long walker = person("Walker without a licence", "Walkers", "");
        long id = made("Walkers", body("Walkers", List.of(wish("time-out", "120"), wish("band-transmit", "on"))));
        long list = who.take("Walkers", "number,name,rx_mhz,mode\n1,WX,162.550,NFM\n");
        String nobody = "{\"carriers\":[],\"parties\":[],\"teams\":[]}";
        assertThat(who.put(
                                "/api/lists/" + list + "/carriers",
                                "{\"before\":" + nobody + ",\"after\":{\"carriers\":[],\"parties\":[" + walker
                                        + "],\"teams\":[]}}")
                        .statusCode())
                .isLessThan(300);
        fleets.choose(list, "Heron H2");
        assertThat(fleets.gate(list).path("missing").valueStream().map(JsonNode::asString))
                .anyMatch(each -> each.contains("“Walkers” sets Heron H2 so that it must not go out")
                        && each.contains("Walker without a licence"));
        String change = JSON.writeValueAsString(Map.of(
                "version",
                1,
                "team",
                "Walkers",
                "body",
                body("Walkers", List.of(wish("time-out", "120"), wish("band-transmit", "off")))));
        assertThat(who.put("/api/profiles/" + id, change).statusCode()).isEqualTo(204);
        assertThat(fleets.gate(list).path("missing").valueStream().map(JsonNode::asString))
                .noneMatch(each -> each.contains("must not go out"));
    }

    @Test
    void whatSomebodyFoundOnARadioSetByHandCounts() {
        long list = fleets.released("Set by hand", Fleets.LIST);
        long unit = fleets.herons(1).get(0);
        JsonNode should = Browserless.json(who.post(
                "/api/units/" + unit + "/should-hold",
                JSON.writeValueAsString(Map.of("list", list, "order", Map.of("unit", unit, "choice", "listen")))));
        assertThat(should.path("settings").valueStream().map(each -> each.path("id")
                        .asString()))
                .contains("time-out", "roger-tone");
        assertThat(declared(unit, list, should.path("release").asLong(), Map.of("time-out", "99"))
                        .statusCode())
                .isEqualTo(422);
        assertThat(declared(
                                unit,
                                list,
                                should.path("release").asLong(),
                                Map.of("time-out", "180", "roger-tone", "chirp"))
                        .statusCode())
                .isEqualTo(201);
        JsonNode settings = settingsOf(unit);
        assertThat(settings.path("looked").asBoolean()).isTrue();
        assertThat(settings.path("settings")
                        .valueStream()
                        .filter(each -> each.path("id").asString().equals("roger-tone"))
                        .map(each -> each.path("wanted").asString() + " "
                                + each.path("found").asString()))
                .containsExactly("none chirp");
    }

    private HttpResponse<String> declared(long unit, long list, long release, Map<String, String> settings) {
        return who.post(
                "/api/units/" + unit + "/declarations",
                JSON.writeValueAsString(Map.of(
                        "list",
                        list,
                        "release",
                        release,
                        "order",
                        Map.of("unit", unit, "choice", "listen"),
                        "how",
                        "by-hand",
                        "note",
                        "",
                        "checked",
                        List.of(),
                        "settings",
                        settings)));
    }

    @Test
    void aRadioWithWrongLimitsSaysWhatOfTheListsItRefuses() {
        fleets.released(
                "Refused here",
                "number,name,rx_mhz,tx_mhz,mode,power_w,scan,timeout_s\n1,HIGH,147.550,147.550,FM,5,yes,180\n");
        long unit = fleets.unit("Heron H2", "Amateur II", false);
        assertThat(fleets.view(unit).path("facts").valueStream().map(each -> each.path("text")
                        .asString()))
                .anyMatch(each -> each.contains("Of Refused here, release 1, it refuses to key 147.550 MHz"));
        assertThat(fleets.view(fleets.herons(1).get(0))
                        .path("facts")
                        .valueStream()
                        .map(each -> each.path("text").asString()))
                .noneMatch(each -> each.contains("Of Refused here"));
    }

    @Test
    void theEdgesThatARadioReallyHasAreCompared() {
        long unit = fleets.unit("Curlew C6", "", false);
        String put =
                "{\"version\":1,\"edges\":[{\"low\":\"14.150\",\"high\":\"14.350\"},{\"low\":\"27.0\",\"high\":\"27.4\"}]}";
        assertThat(who.put("/api/units/" + unit + "/edges", put).statusCode()).isEqualTo(204);
        assertThat(who.put("/api/units/" + unit + "/edges", put).statusCode())
                .as("on the version before")
                .isEqualTo(409);
        JsonNode general = Browserless.json(who.get("/api/units/" + unit + "/edges?class=general&send=ssb"));
        assertThat(general.path("entered").valueStream().map(each -> each.path("kind")
                        .asString()))
                .as("a General begins at 14.225, 47 CFR 97.301(d)")
                .containsExactly("wider", "nothing");
        assertThat(general.path("missing").valueStream().map(each -> each.path("band")
                        .asString()))
                .as("the bands that the radio transmits on, and no others")
                .contains("75 m", "15 m")
                .doesNotContain("1.25 m", "70 cm", "13 cm");
        assertThat(who.get("/api/units/" + unit + "/edges?class=general&send=").statusCode())
                .as("what nobody sends may be sent nowhere, which would hold every slot")
                .isEqualTo(422);
        assertThat(who.put(
                                "/api/units/" + unit + "/edges",
                                "{\"version\":2,\"edges\":[{\"low\":\"15\",\"high\":\"14\"}]}")
                        .body())
                .contains("Slot 1");
        assertThat(who.get("/api/units/" + fleets.herons(1).get(0) + "/edges?class=general&send=ssb")
                        .statusCode())
                .as("it has none")
                .isEqualTo(422);
    }

    @Test
    void twoRadiosThatDifferInWhatIsNoChannelAreOneToTheList() {
        List<Long> two = fleets.herons(2);
        assertThat(set(two.get(0), Map.of("squelch", "9")).statusCode()).isEqualTo(204);
        long list = fleets.list(
                "Twice told",
                "number,name,rx_mhz,tx_mhz,mode,power_w,timeout_s\n1,BUSINESS,446.000,446.000,DMR,4,180\n");
        JsonNode meant = Browserless.json(who.get("/api/lists/" + list + "/radios"));
        assertThat(fleets.meant(list, meant.path("meant"), Map.of("settings", List.of(), "units", two))
                        .statusCode())
                .isEqualTo(204);
        long entry = Browserless.json(who.get("/api/lists/" + list))
                .path("slips")
                .path(0)
                .path("id")
                .asLong();
        assertThat(Browserless.json(who.get("/api/lists/" + list + "/entries/" + entry))
                        .path("findings")
                        .valueStream()
                        .filter(each -> each.path("rule").asString().equals("radio-mode")))
                .hasSize(1);
    }
}
