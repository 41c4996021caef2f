package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Interference of a list, stations, a list abroad, and additions to a rulebook, over HTTP. */
@ExtendWith(RunningServer.class)
class OnSiteTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String NOTHING = "{\"how\":\"none\",\"bases\":[]}";
    private static final String ALL = "{\"how\":\"all\",\"bases\":[]}";
    /** Worked out on paper: 2 × 146.520 − 146.010 = 147.030, 3 × 146.520 − 2 × 146.010 = 147.540. */
    private static final String CSV =
            """
      number,name,rx_mhz,tx_mhz,mode,power_w,tx_tone,zone
      1,Calling,146.520,146.520,FM,5,,Weir
      2,Ridge,146.610,146.010,FM,5,100.0,Weir
      3,Mill,147.030,147.630,FM,5,88.5,Weir
      4,Levee,147.510,147.510,FM,5,,Landing
      """;

    private final String address;
    private final Browserless who;

    OnSiteTest(RunningServer server) {
        this.address = server.address();
        this.who = Browserless.signedIn(server.address(), "neighbour");
    }

    private JsonNode get(String path) {
        HttpResponse<String> answer = who.get(path);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return Browserless.json(answer);
    }

    private long technicians(String name, String csv) {
        long list = who.take(name, csv);
        String technician = "{\"carriers\":[{\"name\":\"T\",\"licences\":["
                + RosterTest.licence("amateur", "technician", null, null) + "]}],\"parties\":[],\"teams\":[]}";
        who.put(
                "/api/lists/" + list + "/carriers",
                "{\"before\":{\"carriers\":[],\"parties\":[],\"teams\":[]},\"after\":" + technician + "}");
        return list;
    }

    private long entry(long list, int position) {
        return get("/api/lists/" + list).path("slips").path(position).path("id").asLong();
    }

    private HttpResponse<String> key(long list, String before, String after) {
        return who.put("/api/lists/" + list + "/keying", "{\"before\":" + before + ",\"after\":" + after + "}");
    }

    @Test
    void aListIsLookedAtBeforeItIsHeldAgainstIt() {
        long list = technicians("looked at on site", CSV);
        JsonNode site = get("/api/lists/" + list + "/site");
        assertThat(site.path("shown").asString()).isEqualTo("all");
        assertThat(site.path("keyed").path("how").asString()).isEqualTo("none");
        JsonNode mill = reached(site, 0, entry(list, 2));
        assertThat(mill.path("hits"))
                .anySatisfy(hit ->
                        assertThat(hit.path("equation").asString()).isEqualTo("2 × 146.520 − 146.010 = 147.030"));
        assertThat(get("/api/lists/" + list).path("counts").path("query").asInt())
                .as("the Desk does not ask yet")
                .isZero();
        assertThat(key(list, NOTHING, ALL).statusCode()).isEqualTo(204);
        assertThat(get("/api/lists/" + list).path("slips").path(2).path("rule").asString())
                .isEqualTo("intermod");
        HttpResponse<String> late = key(list, NOTHING, NOTHING);
        assertThat(late.statusCode()).isEqualTo(409);
        assertThat(late.body()).contains("Somebody else changed what is keyed together");
        assertThat(key(list, ALL, NOTHING).statusCode()).isEqualTo(204);
        assertThat(get("/api/lists/" + list).path("counts").path("query").asInt())
                .isZero();
    }

    private static JsonNode reached(JsonNode site, int index, long entry) {
        for (JsonNode each : site.path("sites").path(index).path("reached")) {
            if (each.path("entry").asLong() == entry) {
                return each;
            }
        }
        throw new AssertionError("nothing reaches " + entry + " in " + site);
    }

    @Test
    void teamsAndBasesStandApart() {
        long list = technicians("teams on site", CSV);
        JsonNode teams = get("/api/lists/" + list + "/site?how=teams");
        assertThat(teams.path("sites"))
                .extracting(each -> each.path("name").asString())
                .containsExactly("Weir", "Landing");
        assertThat(teams.path("sites").path(1).path("reached")).isEmpty();
        String bases =
                "{\"how\":\"bases\",\"bases\":[{\"name\":\"Weir\",\"numbers\":[\"1\",\"3\"]},{\"name\":\"Landing\",\"numbers\":[\"2\",\"4\"]}]}";
        assertThat(key(list, NOTHING, bases).statusCode()).isEqualTo(204);
        JsonNode shown = get("/api/lists/" + list + "/site");
        assertThat(shown.path("keyed")
                        .path("bases")
                        .path(1)
                        .path("numbers")
                        .path(1)
                        .asString())
                .isEqualTo("4");
        assertThat(get("/api/lists/" + list).path("slips").path(2).path("rule").asString())
                .as("its sources are at two bases")
                .isNotEqualTo("intermod");
    }

    /** The least change is done through the ordinary change of an entry, and then the site has fewer hits. */
    @Test
    void theLeastChangeClearsAHit() {
        long list = technicians("cleared", CSV);
        assertThat(key(list, NOTHING, ALL).statusCode()).isEqualTo(204);
        long levee = entry(list, 3);
        JsonNode detail = get("/api/lists/" + list + "/site/" + levee);
        assertThat(detail.path("hits").path(0).path("sum")).isNotEmpty();
        JsonNode least = get("/api/lists/" + list + "/site/" + levee + "/least?kind=fifth-order")
                .path(0);
        assertThat(least.path("name").asString()).isEqualTo("Levee");
        assertThat(least.path("hitsAfter").asInt())
                .isLessThan(least.path("hitsBefore").asInt());
        String change = "{\"version\":" + get("/api/lists/" + list).path("version")
                + ",\"changes\":[{\"kind\":\"edit\",\"entry\":" + levee + ",\"behind\":null,\"before\":"
                + least.path("before") + ",\"after\":" + least.path("changes") + "}],\"order\":null}";
        assertThat(who.post("/api/lists/" + list + "/changes", change).statusCode())
                .isEqualTo(200);
        assertThat(get("/api/lists/" + list + "/site/" + levee).path("counts"))
                .noneSatisfy(each -> assertThat(each.path("kind").asString()).isEqualTo("fifth-order"));
        assertThat(get("/api/lists/" + list)
                        .path("slips")
                        .path(3)
                        .path("verdict")
                        .asString())
                .isEqualTo(least.path("verdictAfter").asString());
    }

    @Test
    void clearChannelsAreThoseThatTheCarriersMayUse() {
        long list = technicians("picked", CSV);
        JsonNode picks = get("/api/lists/" + list + "/clear-channels?power=5");
        assertThat(picks)
                .isNotEmpty()
                .allSatisfy(each -> assertThat(each.path("verdict").asString()).isNotEqualTo("hold"));
        assertThat(picks)
                .extracting(each -> each.path("place").asString())
                .contains("70 cm")
                .doesNotContain("GMRS");
        assertThat(picks).noneSatisfy(each -> assertThat(each.path("hz").asLong())
                .as("a calling channel")
                .isIn(146_520_000L, 446_000_000L, 52_525_000L));
        JsonNode choice = get("/api/lists/" + list + "/site").path("choice");
        assertThat(choice.path("who")).hasSize(1);
        assertThat(get("/api/lists/" + list + "/clear-channels?power=5&places=70%20cm"))
                .isNotEmpty()
                .allSatisfy(each -> assertThat(each.path("place").asString()).isEqualTo("70 cm"));
        assertThat(who.get("/api/lists/" + list + "/clear-channels?power=5&radios=Nosuch")
                        .body())
                .contains("None of those radios is set so any longer");
        assertThat(who.get("/api/lists/" + list + "/clear-channels?carriers=Nobody")
                        .body())
                .contains("None of those carries the list");
        assertThat(who.get("/api/lists/" + list + "/clear-channels?power=loud").body())
                .contains("no power in watts");
    }

    private static String station(String name, String watts) {
        return "{\"name\":\"" + name + "\",\"kind\":\"base\",\"outputW\":" + watts
                + ",\"line\":null,\"lineM\":0,\"otherLossDb\":0,\"gainDbd\":0,\"heightM\":9,\"keyedShare\":1,"
                + "\"processed\":false,\"otherHeightM\":1.5,\"supplyV\":13.8,\"note\":\"\"}";
    }

    @Test
    void aStationIsKeptAndItsFiguresAreWorkedOutAsItIsTyped() {
        String path = "/api/groups/" + who.group() + "/stations";
        long list = technicians("at the station", CSV.replace(",FM,5,,Weir", ",FM,50,,Weir"));
        HttpResponse<String> made = who.post(path, station("Weir", "50"));
        assertThat(made.statusCode()).as(made.body()).isEqualTo(201);
        long id = Browserless.json(made).path("id").asLong();
        assertThat(who.post(path, station("weir", "5")).body()).contains("already a station");
        assertThat(who.post(path, station("Other", "0")).body()).contains("The output is above 0 W");
        assertThat(who.put("/api/stations/" + id, "{\"version\":1,\"form\":" + station("Weir", "25") + "}")
                        .statusCode())
                .isEqualTo(204);
        HttpResponse<String> late =
                who.put("/api/stations/" + id, "{\"version\":1,\"form\":" + station("Weir", "5") + "}");
        assertThat(late.statusCode()).isEqualTo(409);
        assertThat(late.body()).contains("changed Weir meanwhile");
        JsonNode sheet = Browserless.json(who.post(
                path + "/sheet",
                "{\"form\":" + station("Weir", "50") + ",\"list\":" + list + ",\"entries\":[" + entry(list, 0)
                        + "],\"atOnce\":[]}"));
        assertThat(sheet.path("entries")).hasSize(1);
        JsonNode figures = sheet.path("entries").path(0).path("figures");
        assertThat(figures).anySatisfy(each -> {
            assertThat(each.path("id").asString()).isEqualTo("exposure-general");
            assertThat(Double.parseDouble(each.path("amount").asString()))
                    .as("OET 65: 50 W into a dipole on 2 m")
                    .isCloseTo(2.89, within(0.01));
            assertThat(each.path("sum")).isNotEmpty();
        });
        assertThat(who.send("DELETE", "/api/stations/" + id + "?version=2", null, null)
                        .statusCode())
                .isEqualTo(204);
        assertThat(get(path).path("stations"))
                .noneSatisfy(each -> assertThat(each.path("id").asLong()).isEqualTo(id));
    }

    @Test
    void anAntennaHeightAsksAboutExposure() {
        long list = technicians("mobile", CSV.replace(",FM,5,,Weir", ",FM,50,,Weir"));
        JsonNode settings = get("/api/lists/" + list).path("settings");
        String after = settings.toString().replace("\"antennaHeightM\":null", "\"antennaHeightM\":2.5");
        assertThat(who.put("/api/lists/" + list + "/settings", "{\"before\":" + settings + ",\"after\":" + after + "}")
                        .statusCode())
                .isEqualTo(204);
        assertThat(get("/api/lists/" + list).path("slips").path(0).path("rule").asString())
                .isEqualTo("exposure-distance");
        assertThat(get("/api/lists/" + list).path("assumptions"))
                .anySatisfy(each -> assertThat(each.asString()).contains("Exposure is reckoned"));
    }

    @Test
    void aListIsJudgedInAnotherCountry() {
        long list = technicians("taken along", CSV + "5,Simplex,145.500,145.500,FM,5,,\n");
        JsonNode abroad = get("/api/lists/" + list + "/abroad?rulebook=uk&as=amateur:full");
        assertThat(abroad.path("entries").path(0).path("fate").asString()).isEqualTo("dies");
        assertThat(abroad.path("entries").path(0).path("reason").asString()).contains("not amateur in Region 1");
        assertThat(abroad.path("entries").path(4).path("there").asString()).isEqualTo("clear");
        assertThat(get("/api/lists/" + list + "/abroad?rulebook=uk")
                        .path("counted")
                        .path(0)
                        .path("countsAs")
                        .isNull())
                .as("a Technician has no CEPT licence")
                .isTrue();
        assertThat(who.get("/api/lists/" + list + "/abroad?rulebook=mars").body())
                .contains("There is no rulebook mars");
        assertThat(who.get("/api/lists/" + list + "/abroad?rulebook=uk&as=king").body())
                .contains("is no licence");
    }

    /** A group in another country: its roster, its lists and its rulebook pages are of there. */
    @Test
    void aGroupMayLiveElsewhere() {
        String path = "/api/groups/" + who.group() + "/rulebook";
        assertThat(who.put(path, "{\"id\":\"au\"}").statusCode()).isEqualTo(204);
        try {
            assertThat(get("/api/groups/" + who.group() + "/roster")
                            .path("services")
                            .path(0)
                            .path("classes")
                            .toString())
                    .contains("foundation");
            long list = who.take(
                    "down under",
                    "number,name,rx_mhz,tx_mhz,mode,power_w\n1,Five,476.525,476.525,NFM,5\n2,Eleven,476.675,476.675,NFM,5\n");
            JsonNode desk = get("/api/lists/" + list);
            assertThat(desk.path("rulebook").asString()).isEqualTo("au");
            assertThat(desk.path("slips").path(0).path("rule").asString()).isEqualTo("channel-restricted");
            assertThat(desk.path("slips").path(1).path("verdict").asString()).isEqualTo("clear");
            assertThat(get("/api/groups/" + who.group() + "/home")
                            .path("edition")
                            .path("id")
                            .asString())
                    .isEqualTo("2024-02-19");
        } finally {
            assertThat(who.put(path, "{\"id\":\"us\"}").statusCode()).isEqualTo(204);
        }
        assertThat(who.put(path, "{\"id\":\"mars\"}").body()).contains("There is no rulebook");
    }

    private static final String ADDITION =
            """
      format: wache-rulebook/1
      rulebook: us
      service:
        id: marsh-net
        title: Marsh net
        part: an authority made up for this test
        kind: channels
        licence: none
        spans_mhz: [457.5-457.6]
        channels:
          - {name: "1", mhz: 457.525, allow: fm, width_khz: 12.5, watts: 2, measure: output, repeaters: false, source: paragraph 1}
      """;

    @Test
    void anAdditionIsCheckedTriedPutInForceAndTakenBack() {
        Browserless administrator = Browserless.signedIn(address, "coordinator");
        String path = "/api/installation/rulebook-additions";
        assertThat(who.get(path).statusCode()).as("not for others").isEqualTo(403);
        String body = "{\"text\":" + JSON.writeValueAsString(ADDITION) + ",\"note\":\"for the marsh\"}";
        JsonNode wrong = Browserless.json(administrator.post(
                path + "/trial",
                "{\"text\":" + JSON.writeValueAsString(ADDITION.replace("watts: 2", "wats: 2")) + "}"));
        assertThat(wrong.path("line").asInt()).isEqualTo(11);
        assertThat(wrong.path("problem").asString()).contains("line 11").contains("watts");
        long list =
                administrator.take("marsh", "number,name,rx_mhz,tx_mhz,mode,power_w\n1,Marsh,457.525,457.525,NFM,2\n");
        JsonNode trial = Browserless.json(
                administrator.post(path + "/trial", "{\"text\":" + JSON.writeValueAsString(ADDITION) + "}"));
        assertThat(trial.path("problem").isNull()).isTrue();
        assertThat(trial.path("effects").path(0).path("lists")).anySatisfy(each -> {
            assertThat(each.path("list").asLong()).isEqualTo(list);
            assertThat(each.path("changed").path(0).path("before").asString()).isEqualTo("hold");
            assertThat(each.path("changed").path(0).path("after").asString()).isEqualTo("clear");
        });
        assertThat(verdict(administrator, list)).as("only tried").isEqualTo("hold");
        HttpResponse<String> put = administrator.post(path, body);
        assertThat(put.statusCode()).as(put.body()).isEqualTo(201);
        long id = Browserless.json(put).path("id").asLong();
        try {
            assertThat(verdict(administrator, list)).isEqualTo("clear");
            assertThat(administrator.post(path, body).body()).contains("there is a service of that name");
            assertThat(Browserless.json(administrator.get(path + "/" + id + "/without"))
                            .path(0)
                            .path("lists"))
                    .anySatisfy(each -> assertThat(
                                    each.path("changed").path(0).path("after").asString())
                            .isEqualTo("hold"));
        } finally {
            assertThat(administrator
                            .post(path + "/" + id + "/taken-back", "{\"note\":\"the test is over\"}")
                            .statusCode())
                    .isEqualTo(204);
        }
        assertThat(verdict(administrator, list)).isEqualTo("hold");
        assertThat(administrator
                        .post(path + "/" + id + "/taken-back", "{\"note\":\"\"}")
                        .body())
                .contains("was taken back");
        assertThat(Browserless.json(administrator.get("/api/installation/log")).toString())
                .contains("marsh-net");
        assertThat(administrator
                        .send("DELETE", "/api/lists/" + list, null, null)
                        .statusCode())
                .isGreaterThan(400);
    }

    private static final String EDITION =
            """
      format: wache-rulebook/1
      rulebook: us
      edition: {id: "2026-06-01", from: 2026-06-01, title: A part of 2 m for Generals, source: made up for this test}
      changes:
        - in: amateur/grants
          end:
            - {band: 2 m, mhz: 144.100-148.000}
          add:
            - {band: 2 m, mhz: 144.100-148.000, class: general, allow: any, source: made up for this test}
            - {band: 2 m, mhz: 144.100-146.400, class: technician, allow: any, source: made up for this test}
      """;

    /** What went out under the rules of its day stays explainable; what speaks against it under those of today is told. */
    @Test
    void aNewEditionProposesToRecallWhatItForbids() throws Exception {
        Browserless coordinator = Browserless.signedIn(address, "coordinator");
        Fleets fleets = new Fleets(coordinator);
        long before = fleets.release(fleets.list("before the edition", Fleets.LIST), "Heron H2");
        assertThat(Browserless.json(coordinator.get("/api/releases/" + before)).path("against"))
                .isEmpty();
        HttpResponse<String> put = coordinator.post(
                "/api/installation/rulebook-additions",
                "{\"text\":" + JSON.writeValueAsString(EDITION) + ",\"note\":\"\"}");
        assertThat(put.statusCode()).as(put.body()).isEqualTo(201);
        String addition = "/api/installation/rulebook-additions/"
                + Browserless.json(put).path("id").asLong();
        long during;
        try {
            assertThat(Browserless.json(coordinator.get("/api/releases/" + before))
                            .path("against"))
                    .anySatisfy(each -> {
                        assertThat(each.path("recall").asBoolean()).isTrue();
                        assertThat(each.path("message").asString()).contains("needs General class");
                    });
            assertThat(Browserless.json(coordinator.get("/api/groups/" + coordinator.group() + "/home"))
                            .path("edition")
                            .path("id")
                            .asString())
                    .isEqualTo("2026-06-01");
            during = fleets.release(
                    fleets.list(
                            "under the edition",
                            "number,name,rx_mhz,tx_mhz,mode,power_w,timeout_s\n1,LOW,145.580,145.580,FM,5,180\n"),
                    "Heron H2");
        } finally {
            assertThat(coordinator
                            .post(addition + "/taken-back", "{\"note\":\"\"}")
                            .statusCode())
                    .isEqualTo(204);
        }
        assertThat(Browserless.json(coordinator.get("/api/releases/" + before)).path("against"))
                .isEmpty();
        HttpResponse<String> file = coordinator.get("/api/releases/" + during + "/release.json");
        assertThat(file.body()).contains("A part of 2 m for Generals");
        HttpResponse<String> verified =
                coordinator.file("/api/verification", file.body().getBytes(java.nio.charset.StandardCharsets.UTF_8));
        assertThat(Browserless.json(verified).path("good").asBoolean())
                .as(verified.body())
                .isTrue();
    }

    private static String verdict(Browserless who, long list) {
        return Browserless.json(who.get("/api/lists/" + list))
                .path("slips")
                .path(0)
                .path("verdict")
                .asString();
    }
}
