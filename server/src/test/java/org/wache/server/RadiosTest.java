package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Models, radios, how a list fits them, what was measured on them, and entering by hand. */
@ExtendWith(RunningServer.class)
class RadiosTest {

    private final Browserless who;
    private final Fleets fleets;

    RadiosTest(RunningServer server) {
        this.who = Browserless.signedIn(server.address(), "coordinator");
        this.fleets = new Fleets(who);
    }

    @Test
    void theDemoHasModelsOfEveryKind() {
        JsonNode models = fleets.radios().path("models");
        java.util.List<String> shipped =
                java.util.List.of("Heron H2", "Wren P1", "Otter M5", "Badger B4", "Curlew C6", "Plover F2");
        assertThat(models).extracting(each -> each.path("name").asString()).containsAll(shipped);
        assertThat(models)
                .filteredOn(each -> shipped.contains(each.path("name").asString()))
                .hasSize(6)
                .allSatisfy(each -> assertThat(each.path("abilities").size()).isGreaterThan(8));
        assertThat(fleets.radios().path("units"))
                .anySatisfy(unit -> assertThat(unit.path("held").asString("")).contains("from the rated 5 W"));
    }

    @Test
    void aModelIsTakenFromItsFileAndChanged() throws Exception {
        String body = Files.readString(Path.of("..", "demo", "radios", "wren-p1.json"))
                .replace("Wren P1", "Wren of a test");
        HttpResponse<String> made = who.post("/api/groups/" + who.group() + "/models", "{\"body\":" + body + "}");
        assertThat(made.statusCode()).as(made.body()).isEqualTo(201);
        String path = "/api/models/" + Browserless.json(made).path("id").asLong();
        assertThat(who.post("/api/groups/" + who.group() + "/models", "{\"body\":" + body + "}")
                        .body())
                .contains("There is a model");
        assertThat(who.put(
                                path,
                                "{\"version\":1,\"body\":" + body.replace("\"channels\": 54", "\"channels\": 60") + "}")
                        .statusCode())
                .isEqualTo(204);
        assertThat(who.put(path, "{\"version\":1,\"body\":" + body + "}").body())
                .contains("Somebody else changed it");
        HttpResponse<String> bad =
                who.put(path, "{\"version\":2,\"body\":{\"model\":\"x\",\"transmit\":[[\"148\",\"144\"]]}}");
        assertThat(bad.statusCode()).isEqualTo(422);
        assertThat(bad.body()).contains("transmit[0] should be two frequencies");
        assertThat(who.send("DELETE", path + "?version=2", null, null).statusCode())
                .isEqualTo(204);
    }

    @Test
    void aSerialNumberIsGivenOnceAndALockMustBeTheModels() {
        long unit = fleets.unit("Heron H2", "Amateur", false);
        String serial = fleets.view(unit).path("serial").asString();
        long heron = fleets.model("Heron H2");
        String units = "/api/groups/" + who.group() + "/units";
        assertThat(who.post(units, Fleets.draft(heron, serial, "Twice", "Amateur", false))
                        .body())
                .contains("serial number " + serial + " already");
        assertThat(who.post(units, Fleets.draft(heron, serial + "x", "Unset", "", false))
                        .body())
                .contains("Say how it is set: Open, Amateur, Amateur II");
        assertThat(who.post(units, Fleets.draft(fleets.model("Otter M5"), serial + "y", "Van", "", true))
                        .body())
                .contains("no way to switch its whole transmitter off");
        assertThat(who.put(
                                "/api/units/" + unit,
                                "{\"version\":1,\"unit\":" + Fleets.draft(heron, serial, "Renamed", "Open", false)
                                        + "}")
                        .statusCode())
                .isEqualTo(204);
        assertThat(who.put(
                                "/api/units/" + unit,
                                "{\"version\":1,\"unit\":" + Fleets.draft(heron, serial, "Late", "Open", false) + "}")
                        .body())
                .contains("Somebody else changed it");
        assertThat(fleets.view(unit).path("facts").path(0).path("text").asString())
                .contains("It is open");
        assertThat(who.send("DELETE", "/api/units/" + unit + "?version=2", null, null)
                        .statusCode())
                .isEqualTo(204);
        assertThat(who.get("/api/units/" + unit).statusCode()).isEqualTo(404);
    }

    private static JsonNode column(JsonNode fit, String model, String lock) {
        for (JsonNode each : fit.path("columns")) {
            if (each.path("name").asString().equals(model)
                    && each.path("lock").asString().equals(lock)) {
                return each;
            }
        }
        throw new AssertionError("no column " + model);
    }

    @Test
    void theFitTellsEveryEntryInEveryModelAndCuresIt() {
        long list = fleets.list("Fit", Fleets.LIST.replace("LEVEE", "Levee walkers"));
        JsonNode fit = Browserless.json(who.get("/api/lists/" + list + "/fit"));
        JsonNode heron = column(fit, "Heron H2", "Amateur");
        assertThat(fit.path("cells").path(heron.path("cells").asInt()).asString())
                .isEqualTo("fqlf");
        long entry = fit.path("entries").path(1).path("id").asLong();
        JsonNode reason = Browserless.json(who.get("/api/lists/" + list + "/fit/" + entry + "?column="
                + heron.path("key").asInt()));
        JsonNode cure = reason.path("findings").path(0).path("cures").path(0);
        assertThat(cure.path("changes").path("name").asString()).hasSizeLessThanOrEqualTo(7);
        assertThat(column(fit, "Curlew C6", "").path("troubles"))
                .anySatisfy(
                        trouble -> assertThat(trouble.path("rule").asString()).isEqualTo("radio-range"));
        who.post(
                "/api/lists/" + list + "/changes",
                "{\"version\":" + reason.path("version").asInt() + ",\"changes\":[{\"kind\":\"edit\",\"entry\":" + entry
                        + ",\"before\":{\"name\":\"Levee walkers\"},\"after\":" + cure.path("changes") + "}]}");
        JsonNode after = Browserless.json(who.get("/api/lists/" + list + "/fit"));
        assertThat(after.path("cells")
                        .path(column(after, "Heron H2", "Amateur").path("cells").asInt())
                        .asString())
                .isEqualTo("fflf");
    }

    @Test
    void theDeskHoldsAListAgainstTheModelsThatWereChosen() {
        long list = fleets.list("Judged", Fleets.LIST);
        long otter = fleets.model("Otter M5");
        JsonNode before = Browserless.json(who.get("/api/lists/" + list));
        assertThat(before.path("counts").path("hold").asInt()).isZero();
        assertThat(before.path("assumptions").toString()).contains("no radio is named");
        String nothing = "{\"settings\":[],\"units\":[]}";
        String chosen = "{\"settings\":[{\"model\":" + otter + ",\"lock\":\"\",\"inhibited\":false}],\"units\":[]}";
        assertThat(who.put("/api/lists/" + list + "/radios", "{\"before\":" + nothing + ",\"after\":" + chosen + "}")
                        .statusCode())
                .isEqualTo(204);
        JsonNode after = Browserless.json(who.get("/api/lists/" + list));
        assertThat(after.path("counts").path("hold").asInt()).isEqualTo(3);
        assertThat(after.path("slips").path(0).path("rule").asString()).isEqualTo("radio-range");
        assertThat(who.put("/api/lists/" + list + "/radios", "{\"before\":" + nothing + ",\"after\":" + nothing + "}")
                        .body())
                .contains("Somebody else chose other radios");
    }

    /** A setting that was not meant does not come along, and a single radio counts as it is set now. */
    @Test
    void aListIsForModelsAsTheyAreSetAndForSingleRadios() {
        long list = fleets.list("Meant", Fleets.LIST);
        long heron = fleets.model("Heron H2");
        long foreign = fleets.unit("Heron H2", "Amateur II", false);
        JsonNode nothing =
                Browserless.json(who.get("/api/lists/" + list + "/radios")).path("meant");
        assertThat(fleets.meant(
                                list,
                                nothing,
                                Map.of(
                                        "settings",
                                        List.of(Map.of("model", heron, "lock", "Amateur", "inhibited", false)),
                                        "units",
                                        List.of()))
                        .statusCode())
                .isEqualTo(204);
        assertThat(Browserless.json(who.get("/api/lists/" + list))
                        .path("counts")
                        .path("hold")
                        .asInt())
                .as("Amateur II does not come along")
                .isZero();
        assertThat(fleets.gate(list).path("models"))
                .extracting(each -> each.path("name").asString())
                .containsExactly("Heron H2, set to “Amateur”");
        JsonNode amateur =
                Browserless.json(who.get("/api/lists/" + list + "/radios")).path("meant");
        assertThat(fleets.meant(list, amateur, Map.of("settings", List.of(), "units", List.of(foreign)))
                        .statusCode())
                .isEqualTo(204);
        assertThat(Browserless.json(who.get("/api/lists/" + list))
                        .path("counts")
                        .path("hold")
                        .asInt())
                .isEqualTo(3);
        JsonNode unit = fleets.view(foreign);
        String mended = Fleets.draft(
                heron, unit.path("serial").asString(), unit.path("label").asString(), "Amateur", false);
        assertThat(who.put("/api/units/" + foreign, "{\"version\":1,\"unit\":" + mended + "}")
                        .statusCode())
                .isEqualTo(204);
        assertThat(Browserless.json(who.get("/api/lists/" + list))
                        .path("counts")
                        .path("hold")
                        .asInt())
                .isZero();
        JsonNode now =
                Browserless.json(who.get("/api/lists/" + list + "/radios")).path("meant");
        assertThat(fleets.meant(
                                list,
                                now,
                                Map.of(
                                        "settings",
                                        List.of(Map.of("model", heron, "lock", "Nonesuch", "inhibited", false)),
                                        "units",
                                        List.of()))
                        .body())
                .contains("has no setting “Nonesuch”");
    }

    @Test
    void outOfToleranceHoldsTheRadioUntilItIsMeasuredWell() {
        long unit = fleets.unit("Heron H2", "Amateur", false);
        String path = "/api/units/" + unit + "/measurements";
        String power =
                "{\"kind\":\"output-power\",\"mhz\":\"146.520\",\"narrow\":false,\"nominal\":\"5\",\"measured\":\"%s\"}";
        JsonNode weak = Browserless.json(who.post(path, power.formatted("3.5")));
        assertThat(weak.path("verdict").asString()).isEqualTo("out");
        assertThat(weak.path("sum").size()).isGreaterThan(2);
        assertThat(fleets.view(unit).path("held").asString()).contains("3.5 W");
        long party = Browserless.json(who.get("/api/groups/" + who.group() + "/roster"))
                .path("parties")
                .path(0)
                .path("id")
                .asLong();
        assertThat(who.post("/api/units/" + unit + "/hand-out", "{\"party\":" + party + ",\"note\":\"\"}")
                        .body())
                .contains("is held");
        long list = fleets.released("Held", Fleets.LIST);
        assertThat(fleets.plan(list, java.util.List.of(unit))
                        .path("units")
                        .path(0)
                        .path("blocked")
                        .asString())
                .contains("It is held");
        assertThat(Browserless.json(who.post(path, power.formatted("4.9")))
                        .path("verdict")
                        .asString())
                .isEqualTo("in");
        assertThat(fleets.view(unit).path("held").isNull()).isTrue();
        assertThat(Browserless.json(who.get(path)).path("all")).hasSize(2);
        assertThat(who.post(path, power.formatted("much")).body()).contains("is no figure");
    }

    /** A good measurement of one spur says nothing of another. */
    @Test
    void eachSpurIsAMatterOfItsOwn() {
        long unit = fleets.unit("Heron H2", "Amateur", false);
        String path = "/api/units/" + unit + "/measurements";
        String spur =
                "{\"kind\":\"spurious\",\"mhz\":\"146.520\",\"narrow\":false,\"nominal\":\"5\",\"measured\":\"%s\",\"spurMhz\":\"%s\"}";
        JsonNode bad = Browserless.json(who.post(path, spur.formatted("40", "293.040")));
        assertThat(bad.path("verdict").asString()).isEqualTo("out");
        assertThat(bad.path("spurMhz").asString()).isEqualTo("293.040");
        Browserless.json(who.post(path, spur.formatted("70", "439.560")));
        assertThat(fleets.view(unit).path("held").asString()).contains("293.040");
        Browserless.json(who.post(path, spur.formatted("60", "293.040")));
        assertThat(fleets.view(unit).path("held").isNull()).isTrue();
        assertThat(who.post(path, spur.formatted("60", "146.520")).body()).contains("another frequency");
        assertThat(who.post(path, spur.formatted("60", "far")).body()).contains("is no frequency");
    }

    @Test
    void aPart90RadioIsHeldAgainstPart90() {
        long unit = fleets.unit("Badger B4", "", false);
        JsonNode judged = Browserless.json(
                who.post(
                        "/api/units/" + unit + "/measurements",
                        "{\"kind\":\"output-power\",\"mhz\":\"451.800\",\"narrow\":true,\"nominal\":\"4\",\"measured\":\"4.9\"}"));
        assertThat(judged.path("verdict").asString()).isEqualTo("out");
        assertThat(judged.path("source").asString()).contains("90.205");
    }

    @Test
    void tonesArePlannedAndTranslatedInTheModelsOwnTables() {
        String tones = "/api/groups/" + who.group() + "/tones";
        assertThat(Browserless.json(who.get(tones)).path("tables"))
                .anySatisfy(table -> assertThat(table.path("model").asString()).isEqualTo("Otter M5"));
        JsonNode translated = Browserless.json(who.get(tones + "/translation?of=2&model=Otter%20M5"));
        assertThat(translated.path("tone").asString()).isEqualTo("88.5");
        long list = fleets.list("Tones", Fleets.LIST);
        HttpResponse<String> plan = who.post(
                "/api/lists/" + list + "/proposals/tones",
                "{\"entries\":[],\"digital\":false,\"codesOnly\":false,\"models\":[\"Otter M5\",\"Wren P1\"]}");
        assertThat(plan.statusCode()).as(plan.body()).isEqualTo(200);
    }

    @Test
    void thePaperAndThePracticeGoByTheModel() {
        long list = fleets.list("By hand", Fleets.LIST);
        JsonNode paper = Browserless.json(who.get("/api/lists/" + list + "/keypad/" + fleets.model("Heron H2")));
        assertThat(paper.path("entries").path(0).path("steps")).hasSizeGreaterThan(12);
        assertThat(paper.path("entries").path(2).path("impossible").asString()).contains("could transmit");
        long entry = paper.path("entries").path(0).path("entry").asLong();
        String practice = "/api/models/" + fleets.model("Heron H2") + "/practice";
        JsonNode wrong = Browserless.json(
                who.post(practice, "{\"list\":" + list + ",\"entry\":" + entry + ",\"presses\":[\"1\",\"4\",\"6\"]}"));
        assertThat(wrong.path("said").path(0).path("text").asString()).contains("memory mode");
        assertThat(who.post(practice, "{\"list\":" + list + ",\"entry\":" + entry + ",\"presses\":[\"tea\"]}")
                        .body())
                .contains("There is no key");
        JsonNode badger = Browserless.json(who.get("/api/lists/" + list + "/keypad/" + fleets.model("Badger B4")));
        assertThat(badger.path("entries").path(0).path("impossible").asString()).isNotBlank();
    }
}
