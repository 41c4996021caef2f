package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** People, families and firms with their licences, and the licence register that they are held against. */
@ExtendWith(RunningServer.class)
class RosterTest {

    private final Browserless who;
    private final RunningServer server;

    RosterTest(RunningServer server) {
        this.server = server;
        this.who = Browserless.signedIn(server.address(), "coordinator");
    }

    private JsonNode roster() {
        return Browserless.json(who.get("/api/groups/" + who.group() + "/roster"));
    }

    private static String party(String name, String licences) {
        return "{\"kind\":\"person\",\"name\":\"" + name + "\",\"note\":\"\",\"teams\":[\"Testers\"],\"licences\":["
                + licences + "]}";
    }

    static String licence(String service, String licenceClass, String callSign, String expires) {
        return "{\"service\":\"" + service + "\",\"licenceClass\":" + quoted(licenceClass) + ",\"callSign\":"
                + quoted(callSign) + ",\"granted\":null,\"expires\":" + quoted(expires) + ",\"lines\":[]}";
    }

    private static String quoted(String text) {
        return text == null ? "null" : "\"" + text + "\"";
    }

    private JsonNode added(String name, String licences) {
        HttpResponse<String> answer = who.post("/api/groups/" + who.group() + "/parties", party(name, licences));
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(201);
        return Browserless.json(answer).path("party");
    }

    private JsonNode named(String name) {
        for (JsonNode each : roster().path("parties")) {
            if (each.path("name").asString().equals(name)) {
                return each;
            }
        }
        throw new AssertionError("nobody is called " + name);
    }

    @Test
    void theDemoHasPeopleFamiliesAndFirmsInTeams() {
        JsonNode roster = roster();
        assertThat(roster.path("parties"))
                .anySatisfy(each -> assertThat(each.path("kind").asString()).isEqualTo("family"));
        assertThat(roster.path("teams")).anySatisfy(each -> {
            assertThat(each.path("name").asString()).isEqualTo("River watch");
            assertThat(each.path("members").asInt()).isEqualTo(10);
        });
        JsonNode firm = named("Tern Ferry and Orchard").path("licences").path(0);
        assertThat(firm.path("lines").path(0).path("area").path("radiusKm").asDouble())
                .isEqualTo(40);
        assertThat(firm.path("lines").valueStream().map(line -> line.path("stationClass")
                        .asString()))
                .contains("MO", "FB2");
        assertThat(roster.path("services"))
                .anySatisfy(each -> assertThat(each.path("byLine").asBoolean()).isTrue());
    }

    @Test
    void aLineKeepsItsClassOfStationAndOneThatIsNoneIsToldWithItsPlace() {
        String line =
                "{\"service\":\"land-mobile\",\"licenceClass\":null,\"callSign\":\"WZZB299\",\"granted\":null,\"expires\":null,\"lines\":[{\"mhz\":\"451.800\","
                        + "\"emission\":\"11K2F3E\",\"outputW\":5,\"erpW\":null,\"units\":null,\"area\":null,\"stationClass\":\"%s\"}]}";
        JsonNode made = added("Repeater keepers", line.formatted("FB2"));
        assertThat(made.path("licences")
                        .path(0)
                        .path("lines")
                        .path(0)
                        .path("stationClass")
                        .asString())
                .isEqualTo("FB2");
        HttpResponse<String> none =
                who.post("/api/groups/" + who.group() + "/parties", party("Nobody's class", line.formatted("ZZ9")));
        assertThat(none.statusCode()).as(none.body()).isEqualTo(422);
        assertThat(none.body()).contains("stationClass", "FB (base, repeater)");
    }

    @Test
    void aChangeBegunOnAnOlderVersionIsRefusedAndNothingIsLost() {
        JsonNode made = added("Vera Twofold", licence("amateur", "general", "KE9QRX", "2031-01-01"));
        String path = "/api/parties/" + made.path("id").asLong();
        String renamed = "{\"version\":1,\"party\":" + party("Vera Changed", "") + "}";
        assertThat(who.put(path, renamed).statusCode()).isEqualTo(200);
        HttpResponse<String> late = who.put(path, "{\"version\":1,\"party\":" + party("Vera Late", "") + "}");
        assertThat(late.statusCode()).isEqualTo(409);
        assertThat(late.body()).contains("Somebody else changed Vera Changed meanwhile");
        assertThat(named("Vera Changed").path("version").asInt()).isEqualTo(2);
    }

    /** What a change does is told where it was made: a licence that ends, and its renewal. */
    @Test
    void aChangeSaysWhatItDoesToListsReleasesAndRadios() {
        Fleets fleets = new Fleets(who);
        String far = licence("amateur", "technician", "KE9QRB", "2031-01-01");
        JsonNode made = added("Effie Changes", far);
        long list = who.take("Effects", Fleets.LIST);
        long out = who.take("Effects, released", Fleets.LIST);
        for (long each : List.of(list, out)) {
            assertThat(who.put(
                                    "/api/lists/" + each + "/carriers",
                                    "{\"before\":{\"carriers\":[],\"parties\":[],\"teams\":[]},\"after\":{\"carriers\":[],\"parties\":["
                                            + made.path("id").asLong() + "],\"teams\":[]}}")
                            .statusCode())
                    .isEqualTo(204);
        }
        long release = fleets.release(out, "Heron H2");
        String path = "/api/parties/" + made.path("id").asLong();
        JsonNode ended = Browserless.json(who.put(
                        path,
                        "{\"version\":1,\"party\":"
                                + party("Effie Changes", licence("amateur", "technician", "KE9QRB", "2026-01-01"))
                                + "}"))
                .path("effect");
        JsonNode effect = ended.path("lists")
                .valueStream()
                .filter(each -> each.path("list").asLong() == list)
                .findFirst()
                .orElseThrow();
        assertThat(effect.path("entries"))
                .extracting(each ->
                        each.path("name").asString() + " " + each.path("before").asString() + " "
                                + each.path("after").asString())
                .containsExactly("RIDGE clear hold", "LEVEE clear hold", "GAUGE clear hold");
        assertThat(ended.path("releases")).anySatisfy(each -> {
            assertThat(each.path("release").asLong()).isEqualTo(release);
            assertThat(each.path("stands").asBoolean()).isFalse();
        });
        JsonNode renewed = Browserless.json(
                        who.put(path, "{\"version\":2,\"party\":" + party("Effie Changes", far) + "}"))
                .path("effect");
        assertThat(renewed.path("releases"))
                .anySatisfy(each -> assertThat(each.path("stands").asBoolean()).isTrue());
        assertThat(renewed.path("lists").toString()).contains("\"before\":\"hold\",\"after\":\"clear\"");
        JsonNode noted = Browserless.json(who.put(
                        path,
                        "{\"version\":3,\"party\":"
                                + party("Effie Changes", far).replace("\"note\":\"\"", "\"note\":\"Likes tea\"") + "}"))
                .path("effect");
        assertThat(noted.path("lists")).isEmpty();
        assertThat(noted.path("releases")).isEmpty();
    }

    @Test
    void aNameIsGivenOnce() {
        added("Nils Once", "");
        HttpResponse<String> again = who.post("/api/groups/" + who.group() + "/parties", party("nils once", ""));
        assertThat(again.statusCode()).isEqualTo(422);
        assertThat(again.body()).contains("Give this one another name");
    }

    @Test
    void anUnusualCallSignIsAQuestionAndNotAStop() {
        JsonNode odd = added("Olga Odd", licence("amateur", "general", "XX9QRX", null));
        assertThat(odd.path("notes").path(0).path(0).asString()).contains("has not the usual shape");
        assertThat(added("Olga Even", licence("amateur", "general", "KE9QRY", null))
                        .path("notes")
                        .path(0))
                .isEmpty();
    }

    @Test
    void aClassThatDoesNotExistIsToldWithThoseThatDo() {
        HttpResponse<String> answer = who.post(
                "/api/groups/" + who.group() + "/parties", party("Kuno King", licence("amateur", "king", null, null)));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("novice, technician, general");
    }

    @Test
    void whoCarriesAListIsNotTakenOut() {
        JsonNode made = added("Carla Carrier", licence("gmrs", null, "WZZA777", null));
        long list = who.take("carried", "number,rx_mhz,tx_mhz,mode,power_w\n1,462.575,462.575,FM,20\n");
        String before = "{\"carriers\":[],\"parties\":[],\"teams\":[]}";
        String after = "{\"carriers\":[],\"parties\":[" + made.path("id").asLong() + "],\"teams\":[]}";
        assertThat(who.put("/api/lists/" + list + "/carriers", "{\"before\":" + before + ",\"after\":" + after + "}")
                        .statusCode())
                .isEqualTo(204);
        HttpResponse<String> refused =
                who.send("DELETE", "/api/parties/" + made.path("id").asLong() + "?version=1", null, null);
        assertThat(refused.body()).contains("Carla Carrier carries carried");
        assertThat(who.put("/api/lists/" + list + "/carriers", "{\"before\":" + after + ",\"after\":" + before + "}")
                        .statusCode())
                .isEqualTo(204);
        assertThat(who.send("DELETE", "/api/parties/" + made.path("id").asLong() + "?version=1", null, null)
                        .statusCode())
                .isEqualTo(204);
    }

    @Test
    void aChangeInTheRosterIsSeenInTheListsAtOnce() {
        JsonNode made = added("Rita Rising", licence("amateur", "technician", "KE9QRZ", null));
        long list = who.take("rising", "number,rx_mhz,tx_mhz,mode,power_w\n1,14.250,14.250,USB,100\n");
        String after = "{\"carriers\":[],\"parties\":[" + made.path("id").asLong() + "],\"teams\":[]}";
        who.put(
                "/api/lists/" + list + "/carriers",
                "{\"before\":{\"carriers\":[],\"parties\":[],\"teams\":[]},\"after\":" + after + "}");
        assertThat(Browserless.json(who.get("/api/lists/" + list))
                        .path("counts")
                        .path("hold")
                        .asInt())
                .isEqualTo(1);
        who.put(
                "/api/parties/" + made.path("id").asLong(),
                "{\"version\":1,\"party\":" + party("Rita Rising", licence("amateur", "general", "KE9QRZ", null))
                        + "}");
        assertThat(Browserless.json(who.get("/api/lists/" + list))
                        .path("counts")
                        .path("clear")
                        .asInt())
                .isEqualTo(1);
    }

    @Test
    void theRegisterTellsWhatDiffers() {
        JsonNode upgraded = Browserless.json(
                who.get("/api/parties/" + named("Tobias Marrow").path("id").asLong() + "/register"));
        assertThat(upgraded.path(0).path("against").asString()).isEqualTo("differs");
        assertThat(upgraded.path(0).path("differences").path(0).path("words").asString())
                .isEqualTo("The class is general, not technician.");
        JsonNode renamed = Browserless.json(
                who.get("/api/parties/" + named("Selma Kingfisher").path("id").asLong() + "/register"));
        assertThat(renamed.path(0).path("differences").path(0).path("part").asString())
                .isEqualTo("name");
        JsonNode expired = Browserless.json(
                who.get("/api/parties/" + named("Karl Backwater").path("id").asLong() + "/register"));
        assertThat(expired.path(0).path("differences"))
                .anySatisfy(each -> assertThat(each.path("words").asString()).contains("may not transmit"));
        JsonNode same = Browserless.json(
                who.get("/api/parties/" + named("Rosa Quill").path("id").asLong() + "/register"));
        assertThat(same)
                .allSatisfy(each -> assertThat(each.path("against").asString()).isEqualTo("same"));
        JsonNode unknown = Browserless.json(
                who.get("/api/parties/" + named("Oskar Sluice").path("id").asLong() + "/register"));
        assertThat(unknown.path(0).path("against").asString()).isEqualTo("unknown");
    }

    @Test
    void aCallSignIsLookedUp() {
        JsonNode found = Browserless.json(who.get("/api/register/kf0qut"));
        assertThat(found.path("answer").asString()).isEqualTo("found");
        assertThat(found.path("record").path("name").asString()).isEqualTo("Linnea Eddy");
        assertThat(Browserless.json(who.get("/api/register/KE9QRQ"))
                        .path("answer")
                        .asString())
                .isEqualTo("unknown");
    }

    @Test
    void aRegisterThatIsDownIsAMessage() {
        try (var alone =
                RunningServer.start(TestDatabase.newDatabase(), true, "--wache.register-url=http://127.0.0.1:9")) {
            Browserless there = Browserless.signedIn(RunningServer.addressOf(alone), "coordinator");
            HttpResponse<String> answer = there.get("/api/register/KE9QRB");
            assertThat(answer.statusCode()).isEqualTo(200);
            assertThat(Browserless.json(answer).path("answer").asString()).isEqualTo("down");
            assertThat(Browserless.json(answer).path("message").asString())
                    .contains("does not answer", "works without it");
        }
    }

    @Test
    void aNeighbourSeesNobodyOfThisRoster() {
        Browserless neighbour = Browserless.signedIn(server.address(), "neighbour");
        assertThat(Browserless.json(neighbour.get("/api/groups/" + neighbour.group() + "/roster"))
                        .path("parties"))
                .isEmpty();
        long list = neighbour.take("theirs", "number,rx_mhz\n1,162.550\n");
        String foreign = "{\"carriers\":[],\"parties\":["
                + named("Rosa Quill").path("id").asLong() + "],\"teams\":[]}";
        assertThat(neighbour
                        .put(
                                "/api/lists/" + list + "/carriers",
                                "{\"before\":{\"carriers\":[],\"parties\":[],\"teams\":[]},\"after\":" + foreign + "}")
                        .statusCode())
                .isEqualTo(404);
        assertThat(neighbour
                        .put(
                                "/api/lists/" + list + "/carriers",
                                "{\"before\":{\"carriers\":[],\"parties\":[],\"teams\":[]},\"after\":{\"carriers\":[],\"parties\":[],\"teams\":[\"River watch\"]}}")
                        .statusCode())
                .isEqualTo(204);
        assertThat(Browserless.json(neighbour.get("/api/lists/" + list)).path("holders"))
                .singleElement()
                .satisfies(each -> assertThat(each.path("name").asString()).isEqualTo("nobody"));
    }
}
