package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.wache.exchange.CsvLists;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Lists from file to verdict, edits, conflicts and back to a file. */
@ExtendWith(RunningServer.class)
class ListsTest {

    private static final String CSV =
            """
      number,name,rx_mhz,tx_mhz,mode,power_w,tx_tone,colour
      1,Edge,147.995,147.995,FM,5,,red
      2,Ridge,146.940,146.340,FM,5,100.0,=1+1
      3,Weather,162.550,,NFM,,,
      """;
    private static final String TECHNICIAN =
            """
      [{"name":"Technician","licences":[{"service":"amateur","licenceClass":"technician","callSign":null,"granted":null,
        "expires":null,"lines":[]}]}]""";

    /** A choice of carriers of whom none is in the roster. */
    private static String choice(String carriers) {
        return "{\"carriers\":" + carriers + ",\"parties\":[],\"teams\":[]}";
    }

    private final Browserless who;

    ListsTest(RunningServer server) {
        this.who = Browserless.signedIn(server.address(), "coordinator");
    }

    private long taken() {
        long list = who.take("test", CSV);
        HttpResponse<String> answer = who.put(
                "/api/lists/" + list + "/carriers",
                "{\"before\":" + choice("[]") + ",\"after\":" + choice(TECHNICIAN) + "}");
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(204);
        return list;
    }

    private JsonNode desk(long list) {
        return Browserless.json(who.get("/api/lists/" + list));
    }

    private HttpResponse<String> edit(long list, JsonNode slip, String before, String after) {
        return who.post(
                "/api/lists/" + list + "/changes",
                "{\"version\":1,\"changes\":[{\"kind\":\"edit\",\"entry\":"
                        + slip.path("id").asLong() + ",\"behind\":null,\"before\":" + before + ",\"after\":" + after
                        + "}]}");
    }

    @Test
    void aFileBecomesSlipsWithVerdictReasonAndCure() {
        JsonNode desk = desk(taken());
        assertThat(desk.path("counts").path("hold").asInt()).isEqualTo(1);
        JsonNode edge = desk.path("slips").path(0);
        assertThat(edge.path("verdict").asString()).isEqualTo("hold");
        assertThat(edge.path("reason").asString())
                .isEqualTo("The signal reaches 3.0 kHz past the top of the 2 m band.");
        assertThat(edge.path("edge").path("hertz").asLong()).isEqualTo(148_000_000);
        assertThat(edge.path("edge").path("upper").asBoolean()).isTrue();
        assertThat(edge.path("cure").path("changes").path("txMhz").asString()).isEqualTo("147.990");
        assertThat(desk.path("slips").path(2).path("verdict").asString()).isEqualTo("listen");
    }

    @Test
    void typingIsJudgedWithoutBeingSaved() {
        long list = taken();
        long entry = desk(list).path("slips").path(0).path("id").asLong();
        JsonNode tried = Browserless.json(who.post(
                "/api/lists/" + list + "/entries/" + entry + "/trial",
                "{\"fields\":{\"rxMhz\":\"146.550\",\"txMhz\":\"146.550\"}}"));
        assertThat(tried.path("dossier").path("slip").path("verdict").asString())
                .isEqualTo("clear");
        assertThat(tried.path("counts").path("hold").asInt()).isZero();
        assertThat(desk(list).path("counts").path("hold").asInt()).isEqualTo(1);
    }

    @Test
    void theDossierShowsTheSumTheSourceAndTheCures() {
        long list = taken();
        long entry = desk(list).path("slips").path(0).path("id").asLong();
        JsonNode finding = Browserless.json(who.get("/api/lists/" + list + "/entries/" + entry))
                .path("findings")
                .path(0);
        assertThat(finding.path("rule").asString()).isEqualTo("edge-overrun");
        assertThat(finding.path("source").asString()).isEqualTo("47 CFR 97.307(b)");
        assertThat(finding.path("sum").path(2).path("amount").asString()).isEqualTo("148.003");
        assertThat(finding.path("cures").size()).isGreaterThanOrEqualTo(2);
    }

    @Test
    void anEditIsKeptAndAnOlderOneOfTheSameFieldIsAConflictWithBothVersions() {
        long list = taken();
        JsonNode slip = desk(list).path("slips").path(1);
        assertThat(edit(list, slip, "{\"txTone\":\"100.0\"}", "{\"txTone\":\"103.5\"}")
                        .statusCode())
                .isEqualTo(200);
        assertThat(edit(list, slip, "{\"name\":\"Ridge\"}", "{\"name\":\"Ridge Rpt\"}")
                        .statusCode())
                .isEqualTo(200);
        HttpResponse<String> late = edit(list, slip, "{\"txTone\":\"100.0\"}", "{\"txTone\":\"88.5\"}");
        assertThat(late.statusCode()).isEqualTo(409);
        JsonNode conflict = Browserless.json(late).path("conflicts").path(0);
        assertThat(conflict.path("mine").path("txTone").asString()).isEqualTo("88.5");
        assertThat(conflict.path("theirs").path("txTone").asString()).isEqualTo("103.5");
        assertThat(desk(list)
                        .path("slips")
                        .path(1)
                        .path("fields")
                        .path("txTone")
                        .asString())
                .isEqualTo("103.5");
    }

    @Test
    void carriersThatSomebodyElseChangedAreNotOverwritten() {
        long list = taken();
        String extra = TECHNICIAN.replace("Technician", "Extra").replace("technician", "extra");
        HttpResponse<String> late = who.put(
                "/api/lists/" + list + "/carriers",
                "{\"before\":" + choice("[]") + ",\"after\":" + choice(extra) + "}");
        assertThat(late.statusCode()).isEqualTo(409);
        assertThat(late.body()).contains("Somebody else changed who carries the list");
        assertThat(who.put(
                                "/api/lists/" + list + "/carriers",
                                "{\"before\":" + choice(TECHNICIAN) + ",\"after\":" + choice(extra) + "}")
                        .statusCode())
                .isEqualTo(204);
    }

    @Test
    void aLicenceThatDoesNotExistIsToldWithThoseThatDo() {
        long list = taken();
        HttpResponse<String> answer = who.put(
                "/api/lists/" + list + "/carriers",
                "{\"before\":" + choice(TECHNICIAN) + ",\"after\":"
                        + choice(TECHNICIAN.replace("\"technician\"", "\"king\"")) + "}");
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("king", "novice, technician, general");
    }

    @Test
    void aNewEntryStandsBehindTheOneNamed() {
        long list = taken();
        long first = desk(list).path("slips").path(0).path("id").asLong();
        HttpResponse<String> answer = who.post(
                "/api/lists/" + list + "/changes",
                "{\"version\":2,\"changes\":[{\"kind\":\"add\"," + "\"entry\":null,\"behind\":" + first
                        + ",\"before\":{},\"after\":{\"name\":\"New\",\"rxMhz\":\"146.550\"}}]}");
        long added = Browserless.json(answer).path("added").path(0).asLong();
        JsonNode second = desk(list).path("slips").path(1);
        assertThat(second.path("id").asLong()).isEqualTo(added);
        assertThat(second.path("verdict").asString()).isEqualTo("listen");
    }

    @Test
    void severalChangesAreOneStepOrNone() {
        long list = taken();
        JsonNode slips = desk(list).path("slips");
        String both =
                "{\"version\":2,\"changes\":[{\"kind\":\"edit\",\"entry\":%d,\"behind\":null,\"before\":{\"name\":\"Edge\"},"
                        + "\"after\":{\"name\":\"A\"}},{\"kind\":\"edit\",\"entry\":%d,\"behind\":null,\"before\":{\"name\":\"wrong\"},"
                        + "\"after\":{\"name\":\"B\"}}]}";
        HttpResponse<String> answer = who.post(
                "/api/lists/" + list + "/changes",
                both.formatted(
                        slips.path(0).path("id").asLong(),
                        slips.path(1).path("id").asLong()));
        assertThat(answer.statusCode()).isEqualTo(409);
        assertThat(desk(list).path("slips").path(0).path("fields").path("name").asString())
                .isEqualTo("Edge");
    }

    @Test
    void whatFollowsFromAnEditIsWhatAWholeAuditSays(RunningServer server) {
        long list = taken();
        JsonNode slip = desk(list).path("slips").path(1);
        edit(
                list,
                slip,
                "{\"rxMhz\":\"146.940\",\"txMhz\":\"146.340\"}",
                "{\"rxMhz\":\"147.995\",\"txMhz\":\"147.995\"}");
        JsonNode now = desk(list);
        try (org.springframework.context.ConfigurableApplicationContext second =
                RunningServer.start(server.database(), true)) {
            JsonNode fresh =
                    Browserless.json(who.at(RunningServer.addressOf(second)).get("/api/lists/" + list));
            assertThat(now).isEqualTo(fresh);
            assertThat(now.path("slips").path(0).path("rule").asString()).isEqualTo("edge-overrun");
            assertThat(now.path("slips").path(0).path("more").asInt()).isPositive();
        }
    }

    @Test
    void anEntryTakenOutComesBackWhereItWas() {
        long list = taken();
        long entry = desk(list).path("slips").path(1).path("id").asLong();
        String change = "{\"version\":2,\"changes\":[{\"kind\":\"%s\",\"entry\":" + entry
                + ",\"behind\":null,\"before\":{},\"after\":{}}]}";
        who.post("/api/lists/" + list + "/changes", change.formatted("remove"));
        assertThat(desk(list).path("slips").size()).isEqualTo(2);
        who.post("/api/lists/" + list + "/changes", change.formatted("restore"));
        assertThat(desk(list).path("slips").path(1).path("id").asLong()).isEqualTo(entry);
    }

    @Test
    void exportsAreReadAgainWithoutLossAndFormulasAreHarmless() {
        long list = taken();
        String csv = who.get("/api/lists/" + list + "/export.csv").body();
        assertThat(csv).contains("'=1+1");
        assertThat(CsvLists.read(csv.getBytes(StandardCharsets.UTF_8), "test"))
                .isEqualTo(CsvLists.read(CSV.getBytes(StandardCharsets.UTF_8), "test"));
        long again = who.take("again", csv);
        assertThat(who.get("/api/lists/" + again + "/export.csv").body()).isEqualTo(csv);
        byte[] json = who.get("/api/lists/" + list + "/export.json").body().getBytes(StandardCharsets.UTF_8);
        assertThat(who.file("/api/groups/" + who.group() + "/lists?name=x", json)
                        .statusCode())
                .isEqualTo(201);
    }

    @Test
    void aFileThatCannotBeReadIsToldByPlaceAndCure() {
        String path = "/api/groups/" + who.group() + "/lists?name=bad";
        assertThat(who.file(path, "a,b\n1,2\n".getBytes(StandardCharsets.UTF_8)).body())
                .contains("Line 1", "rx_mhz");
        assertThat(who.file(path, "rx_mhz,tx_mhz\n1,2\n146,52,146,52\n".getBytes(StandardCharsets.UTF_8))
                        .body())
                .contains("Line 3, column 3", "decimal comma");
        assertThat(who.file(path, "{\"format\":\"wache-list/1\",\n \"channels\": 5}".getBytes(StandardCharsets.UTF_8))
                        .body())
                .contains("array");
        assertThat(who.file(path, new byte[] {'r', 'x', (byte) 0xC3, 0x28}).body())
                .contains("UTF-8");
        HttpResponse<String> empty = who.file(path, new byte[0]);
        assertThat(empty.statusCode()).isEqualTo(422);
        assertThat(empty.body()).contains("empty");
    }

    @Test
    void theDemoHoldsTheSlipsOfPractice() {
        JsonNode lists = Browserless.json(who.get("/api/groups/" + who.group() + "/lists"));
        assertThat(lists).anySatisfy(each -> {
            assertThat(each.path("name").asString()).startsWith("Factory");
            assertThat(each.path("entries").asInt()).isEqualTo(16);
            assertThat(each.path("counts").path("hold").asInt()).isEqualTo(16);
        });
        assertThat(lists).anySatisfy(each -> {
            assertThat(each.path("name").asString()).startsWith("Volunteers");
            assertThat(each.path("counts").path("hold").asInt()).isBetween(15, 30);
            assertThat(each.path("counts").path("query").asInt()).isBetween(10, 25);
        });
    }

    @Test
    void theDescriptionOfTheApiIsCurrent() throws Exception {
        Path file = Path.of("..", "web", "openapi.json");
        JsonMapper json = JsonMapper.builder()
                .enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS)
                .build();
        ObjectNode now = (ObjectNode) Browserless.json(who.get("/api/openapi.json"));
        now.remove("servers"); // the address of this run
        if (Boolean.getBoolean("wache.write")) {
            Files.writeString(file, json.writerWithDefaultPrettyPrinter().writeValueAsString(now) + "\n");
        }
        assertThat(json.readTree(Files.readString(file)).equals(now))
                .as("web/openapi.json is current")
                .isTrue();
    }
}
