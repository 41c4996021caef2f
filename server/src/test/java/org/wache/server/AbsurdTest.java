package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.wache.server.database.Sweeps;
import tools.jackson.databind.JsonNode;

/** Values that nobody means, files that nobody has, and many people at one instant. */
@ExtendWith(RunningServer.class)
class AbsurdTest {

    private static final String NO_SETTINGS =
            "\"place\":null,\"antennaGainDbd\":null,\"feedLossDb\":null,\"directTones\":null,\"maxTimeoutS\":null,\"twoMetreRasterKhz\":null,\"unitsInUse\":null";
    private final Browserless who;
    private final JdbcClient jdbc;

    AbsurdTest(RunningServer server) {
        this.who = Browserless.signedIn(server.address(), "neighbour");
        this.jdbc = server.bean(JdbcClient.class);
    }

    private long list(String name) {
        return who.take(name, "number,name,rx_mhz,tx_mhz,mode\n1,A,146.520,146.520,FM\n2,B,146.550,146.550,FM\n");
    }

    private HttpResponse<String> settings(long list, String key, String value) {
        return who.put(
                "/api/lists/" + list + "/settings",
                "{\"before\":{" + NO_SETTINGS + "},\"after\":{"
                        + NO_SETTINGS.replaceFirst("\"" + key + "\":null", "\"" + key + "\":" + value)
                        + (NO_SETTINGS.contains("\"" + key + "\"") ? "" : ",\"" + key + "\":" + value) + "}}");
    }

    /** Each number of the settings has a range, and says it. */
    @ParameterizedTest
    @CsvSource({
        "antennaGainDbd, 3100, from -60 to 60 dBd",
        "antennaGainDbd, -3100, from -60 to 60 dBd",
        "feedLossDb, -1, from 0 to 100 dB",
        "feedLossDb, 1e300, from 0 to 100 dB",
        "maxTimeoutS, 0, from 1 to 3600",
        "maxTimeoutS, 2000000000, from 1 to 3600",
        "twoMetreRasterKhz, 0, from 1 to 1000",
        "unitsInUse, -5, from 1 to 1000000",
        "antennaHeightM, 1e9, from -500 to 30000 m"
    })
    void anAbsurdSettingIsToldAndNotKept(String key, String value, String told) {
        long list = list("Settings");
        HttpResponse<String> answer = settings(list, key, value);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(422);
        assertThat(answer.body()).contains(told).doesNotContain("site.", "houseRules.");
        assertThat(Browserless.json(who.get("/api/lists/" + list))
                        .path("settings")
                        .path(key)
                        .isNull())
                .isTrue();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{\"latitude\":1e99,\"longitude\":0}",
                "{\"latitude\":45,\"longitude\":-93,\"radiusKm\":1e12}",
                "{\"latitude\":45,\"longitude\":\"x\"}",
                "{\"region\":[]}",
                "[]",
                "7"
            })
    void anAbsurdPlaceIsToldAndNotKept(String place) {
        long list = list("Place");
        assertThat(settings(list, "place", place).statusCode()).isIn(400, 422);
        assertThat(who.get("/api/lists/" + list).statusCode()).isEqualTo(200);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"antennaGainDbd\":3100|antennaGainDbd should be a number from -60 to 60 dBd",
                "\"frequencyErrorPpm\":-1|frequencyErrorPpm should be a number from 0 to 1000 ppm",
                "\"channels\":0|channels should be a whole number",
                "\"transmit\":[[\"148\",\"144\"]]|transmit[0] should be two frequencies",
                "\"powerLevelsW\":[-5]|powerLevelsW should be powers",
                "\"lockModes\":7|lockModes should be a list",
                "\"lockModes\":[7]|lockModes[0] should be an object",
                "\"keypad\":[]|keypad should be an object",
                "\"stepsKhz\":[\"1e9\"]|stepsKhz should be steps"
            })
    void anAbsurdModelIsToldAndNotKept(String fields, String told) {
        HttpResponse<String> answer =
                who.post("/api/groups/" + who.group() + "/models", "{\"body\":{\"model\":\"Absurd\"," + fields + "}}");
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains(told);
    }

    /** What was kept before it was checked: that list says so in its own row, every other page goes on, and it can be mended where it says. */
    @Test
    void oneListThatCannotBeJudgedTakesDownNoOther() {
        long good = list("Good one");
        long bad = list("Bad one");
        jdbc.sql(
                        "update channel_list set context = context || '{\"site\":{\"antennaGainDbd\":3100}}', version = version + 1 where id = :list")
                .param("list", bad)
                .update();
        JsonNode lists = Browserless.json(who.get("/api/groups/" + who.group() + "/lists"));
        for (JsonNode each : lists) {
            if (each.path("id").asLong() == bad) {
                assertThat(each.path("unjudged").asString())
                        .contains(
                                "the antenna gain should be a number from -60 to 60 dBd",
                                "Mend it on its page Place and rules");
            } else if (each.path("id").asLong() == good) {
                assertThat(each.path("unjudged").isNull()).isTrue();
                assertThat(each.path("entries").asInt()).isEqualTo(2);
            }
        }
        for (String page : List.of("home", "lists", "radios", "releases", "roster", "overlay", "stations", "log")) {
            assertThat(who.get("/api/groups/" + who.group() + "/" + page).statusCode())
                    .as(page)
                    .isEqualTo(200);
        }
        for (String page : List.of("matrix", "fit", "cures", "gate", "site", "export.pdf", "versions")) {
            HttpResponse<String> answer = who.get("/api/lists/" + bad + "/" + page);
            assertThat(answer.statusCode()).as(page + ": " + answer.body()).isIn(200, 422);
        }
        assertThat(who.get("/api/lists/" + bad + "/matrix").body()).contains("This list cannot be judged");
        JsonNode desk = Browserless.json(who.get("/api/lists/" + bad));
        assertThat(desk.path("unjudged").asString()).contains("the antenna gain");
        HttpResponse<String> mended = who.put(
                "/api/lists/" + bad + "/settings",
                "{\"before\":" + desk.path("settings") + ",\"after\":{" + NO_SETTINGS + "}}");
        assertThat(mended.statusCode()).as(mended.body()).isEqualTo(204);
        assertThat(Browserless.json(who.get("/api/lists/" + bad))
                        .path("unjudged")
                        .isNull())
                .isTrue();
    }

    @Test
    void oneModelThatCannotBeReadTakesDownNoOther() {
        who.post("/api/groups/" + who.group() + "/models", "{\"body\":{\"model\":\"Old absurd\"}}");
        jdbc.sql(
                        "update radio_model set body = '{\"model\":\"Old absurd\",\"antennaGainDbd\":3100}' where name = 'Old absurd'")
                .update();
        jdbc.sql("update club set radios_version = radios_version + 1 where id = :club")
                .param("club", who.group())
                .update();
        HttpResponse<String> radios = who.get("/api/groups/" + who.group() + "/radios");
        assertThat(radios.statusCode()).isEqualTo(200);
        assertThat(radios.body()).contains("Cannot be read", "antennaGainDbd should be");
        assertThat(who.get("/api/lists/" + list("Beside it") + "/fit").statusCode())
                .isEqualTo(200);
        assertThat(who.get("/api/groups/" + who.group() + "/home").statusCode()).isEqualTo(200);
    }

    /** Texts where lists belong and the other way round: told with the place, never a fault of the program. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "POST|/api/groups/{g}/parties|{\"kind\":\"person\",\"name\":\"x\",\"note\":\"\",\"teams\":\"x\",\"licences\":[]}|teams",
                "PUT|/api/lists/{l}/name|{\"name\":[\"x\"]}|name",
                "PUT|/api/lists/{l}/name|{\"name\":{}}|name",
                "POST|/api/lists/{l}/changes|{\"version\":1,\"changes\":\"x\"}|changes",
                "POST|/api/lists/{l}/changes|{\"version\":\"x\",\"changes\":[]}|version",
                "POST|/api/lists/{l}/changes|{\"version\":1,\"changes\":[{\"kind\":\"add\",\"before\":{},\"after\":{\"rxMhz\":[1]}}]}|after",
                "PUT|/api/lists/{l}/name|{\"name\":\"a\"|line 1",
                "PUT|/api/lists/{l}/name|[]|",
                "POST|/api/lists/{l}/understood|{\"lines\":{\"a\":1}}|lines",
                "PUT|/api/lists/{l}/carriers|{\"before\":7,\"after\":7}|before"
            })
    void whatHasTheWrongShapeIsToldWithItsPlace(String method, String path, String body, String place) {
        HttpResponse<String> answer = who.send(
                method,
                path.replace("{g}", "" + who.group()).replace("{l}", "" + list("Shape")),
                "application/json",
                body.getBytes(java.nio.charset.StandardCharsets.UTF_8));
        assertThat(answer.statusCode()).as(answer.body()).isIn(400, 422);
        assertThat(Browserless.json(answer).path("detail").asString())
                .contains(place == null ? "" : place)
                .doesNotContain("Exception", "tools.jackson", "org.wache");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/api/lists/x",
                "/api/lists/999999999999999999999",
                "/api/lists/-1",
                "/api/lists/{l}?on=soon",
                "/api/lists/{l}?on=-999999999-01-01",
                "/api/lists/{l}?on=%2B999999999-12-31",
                "/api/lists/{l}/difference?from=x",
                "/api/rulebook/at?mhz=1e999",
                "/api/rulebook/at",
                "/api/rulebook/at?mhz=%F0%9F%93%BB",
                "/api/rulebook/edges?class=general&send=cw&slots=1e9",
                "/api/ruler?as=amateur:king",
                "/api/ruler?group=x",
                "/api/groups/{g}/log?from=x",
                "/api/lists/{l}/clear-channels?carriers=tea",
                "/api/lists/{l}/directory?withinKm=NaN",
                "/api/lists/{l}/directory?withinKm=-1e308"
            })
    void whatTheAddressSaysWrongIsTold(String path) {
        HttpResponse<String> answer =
                who.get(path.replace("{g}", "" + who.group()).replace("{l}", "" + list("Address")));
        assertThat(answer.statusCode()).as(answer.body()).isIn(200, 400, 404, 422);
        assertThat(answer.body()).doesNotContain("Exception", "org.wache", "java.");
    }

    /** A fault of the program is no “try again”: it has a reference, and the sufferer is told nothing of its insides. */
    @Test
    void aFaultHasAReferenceAndADatabaseThatIsAwayDoesNot() {
        var fault = org.wache.server.web.Fault.of(new IllegalStateException("secret"));
        assertThat(fault.status().value()).isEqualTo(500);
        assertThat(fault.words())
                .containsPattern("reference [2-9A-Z]{4}-[2-9A-Z]{4}")
                .doesNotContain("secret", "Try again");
        var away = org.wache.server.web.Fault.of(new org.springframework.jdbc.CannotGetJdbcConnectionException("away"));
        assertThat(away.status().value()).isEqualTo(503);
        assertThat(away.words()).contains("Try again").doesNotContain("away");
        var met = org.wache.server.web.Fault.of(new RuntimeException(new java.sql.SQLException("deadlock", "40P01")));
        assertThat(met.status().value()).isEqualTo(503);
        var gone = org.wache.server.web.Fault.of(new org.springframework.transaction.TransactionSystemException(
                "JDBC rollback failed", new java.sql.SQLException("Connection is closed")));
        assertThat(gone.status().value()).isEqualTo(503);
        var wrong = org.wache.server.web.Fault.of(new RuntimeException(new java.sql.SQLException("syntax", "42601")));
        assertThat(wrong.status().value()).isEqualTo(500);
    }

    /** Two who save at the same instant both get through, or one is told of the other: the list is there for both. */
    @Test
    void fiftyWhoSaveOneListAtOnceAllFindIt(RunningServer server) {
        Browserless ada = Browserless.signedIn(server.address(), "coordinator");
        Browserless jonas = Browserless.signedIn(server.address(), "reviewer");
        long list = ada.take("At one instant", "number,name,rx_mhz\n1,A,162.550\n");
        int before = version(ada, list);
        List<HttpResponse<String>> answers = together(50, i -> (i % 2 == 0 ? ada : jonas)
                .put("/api/lists/" + list + "/name", "{\"name\":\"Name " + i + "\"}"));
        assertThat(answers)
                .allSatisfy(answer ->
                        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(204));
        assertThat(version(ada, list)).isEqualTo(before + 50);
    }

    /** A crowd at one list that cannot be saved for a while waits its turn, and nobody at another list feels it. */
    @Test
    void aCrowdAtOneListDoesNotShutOutTheOthers(RunningServer server) throws Exception {
        Browserless ada = Browserless.signedIn(server.address(), "coordinator");
        long crowded = ada.take("Crowded", "number,name,rx_mhz\n1,A,162.550\n");
        long quiet = ada.take("Quiet", "number,name,rx_mhz\n1,A,162.550\n");
        java.util.concurrent.CompletableFuture<List<HttpResponse<String>>> crowd;
        try (java.sql.Connection held = java.sql.DriverManager.getConnection(server.database(), "wache", "")) {
            held.setAutoCommit(false);
            try (java.sql.Statement statement = held.createStatement()) {
                statement.execute("select id from channel_list where id = " + crowded + " for update");
            }
            crowd = java.util.concurrent.CompletableFuture.supplyAsync(() ->
                    together(30, i -> ada.put("/api/lists/" + crowded + "/name", "{\"name\":\"Crowd " + i + "\"}")));
            Thread.sleep(6_000); // longer than anybody waits for a connection
            assertThat(ada.put("/api/lists/" + quiet + "/name", "{\"name\":\"Still\"}")
                            .statusCode())
                    .isEqualTo(204);
            held.rollback();
        }
        assertThat(crowd.get())
                .allSatisfy(answer ->
                        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(204));
    }

    @Test
    void thoseWhoChangeTheSameFieldAreToldOfEachOther(RunningServer server) {
        Browserless ada = Browserless.signedIn(server.address(), "coordinator");
        Browserless jonas = Browserless.signedIn(server.address(), "reviewer");
        long list = ada.take("One field", "number,name,rx_mhz\n1,A,162.550\n");
        long entry = Browserless.json(ada.get("/api/lists/" + list))
                .path("slips")
                .path(0)
                .path("id")
                .asLong();
        List<HttpResponse<String>> answers = together(40, i -> (i % 2 == 0 ? ada : jonas)
                .post(
                        "/api/lists/" + list + "/changes",
                        "{\"version\":1,\"changes\":[{\"kind\":\"edit\",\"entry\":" + entry
                                + ",\"before\":{\"name\":\"A\"},\"after\":{\"name\":\"N" + i + "\"}}]}"));
        assertThat(answers.stream().filter(answer -> answer.statusCode() == 200))
                .hasSize(1);
        assertThat(answers.stream().filter(answer -> answer.statusCode() == 409))
                .hasSize(39);
    }

    @Test
    void thoseWhoChangeOneStationOrOnePartyAreToldOfEachOther(RunningServer server) {
        Browserless ada = Browserless.signedIn(server.address(), "coordinator");
        String party = "{\"kind\":\"person\",\"name\":\"At once\",\"note\":\"%s\",\"teams\":[],\"licences\":[]}";
        long id = Browserless.json(ada.post("/api/groups/" + ada.group() + "/parties", party.formatted("")))
                .path("id")
                .asLong();
        List<HttpResponse<String>> answers = together(
                20, i -> ada.put("/api/parties/" + id, "{\"version\":1,\"party\":" + party.formatted("n" + i) + "}"));
        assertThat(answers.stream().map(HttpResponse::statusCode).filter(status -> status == 200))
                .hasSize(1);
        assertThat(answers.stream().map(HttpResponse::statusCode).filter(status -> status == 409))
                .hasSize(19);
        JsonNode station = Browserless.json(ada.get("/api/groups/" + ada.group() + "/stations"))
                .path("stations")
                .path(0);
        Browserless jonas = Browserless.signedIn(server.address(), "reviewer");
        List<HttpResponse<String>> stations = together(20, i -> (i % 2 == 0 ? ada : jonas)
                .put(
                        "/api/stations/" + station.path("id").asLong(),
                        "{\"version\":" + station.path("version").asInt() + ",\"form\":" + station.path("form") + "}"));
        assertThat(stations)
                .noneSatisfy(answer -> assertThat(answer.statusCode()).isEqualTo(404));
        assertThat(stations.stream().filter(answer -> answer.statusCode() == 204))
                .hasSize(1);
    }

    private static int version(Browserless who, long list) {
        return Browserless.json(who.get("/api/lists/" + list)).path("version").asInt();
    }

    private interface Numbered {
        HttpResponse<String> send(int number);
    }

    private static List<HttpResponse<String>> together(int many, Numbered request) {
        var pool = java.util.concurrent.Executors.newFixedThreadPool(many);
        try {
            Stream<java.util.concurrent.CompletableFuture<HttpResponse<String>>> begun = IntStream.range(0, many)
                    .mapToObj(i -> java.util.concurrent.CompletableFuture.supplyAsync(() -> request.send(i), pool))
                    .toList()
                    .stream();
            return begun.map(java.util.concurrent.CompletableFuture::join).toList();
        } finally {
            pool.shutdown();
        }
    }

    /** 180 kB with a further key in each entry: refused in one reading, and nothing is kept of it. */
    @Test
    void manyFurtherKeysAreRefusedAtTheFirstTooMany() {
        StringBuilder many = new StringBuilder("{\"format\":\"wache-list/1\",\"channels\":[");
        for (int i = 0; i < 6_000; i++) {
            many.append(i == 0 ? "" : ",")
                    .append("{\"rxMhz\":\"146.52\",\"k")
                    .append(i)
                    .append("\":\"v\"}");
        }
        byte[] file = many.append("]}").toString().getBytes(java.nio.charset.StandardCharsets.UTF_8);
        for (String where : List.of("/lists?name=keys", "/intakes?name=keys")) {
            HttpResponse<String> answer = who.file("/api/groups/" + who.group() + where, file);
            assertThat(answer.statusCode()).isEqualTo(422);
            assertThat(answer.body()).contains("up to 100 columns or keys");
        }
    }

    @Test
    void aListHoldsSoManyEntriesHoweverTheyCome() {
        byte[] file =
                ("number,rx_mhz\n" + "1,162.550\n".repeat(20_001)).getBytes(java.nio.charset.StandardCharsets.UTF_8);
        assertThat(who.file("/api/groups/" + who.group() + "/lists?name=long", file)
                        .body())
                .contains("up to 20000 entries");
        long full = who.take("Full", "number,rx_mhz\n" + "1,162.550\n".repeat(19_999));
        String add = "{\"kind\":\"add\",\"before\":{},\"after\":{\"rxMhz\":\"162.550\"}}";
        assertThat(who.post("/api/lists/" + full + "/changes", "{\"version\":1,\"changes\":[" + add + "," + add + "]}")
                        .body())
                .contains("holds up to 20000 entries");
        assertThat(who.post("/api/lists/" + full + "/changes", "{\"version\":1,\"changes\":[" + add + "]}")
                        .statusCode())
                .isEqualTo(200);
    }

    /** A group has its room, and no more; another group's is not touched by that. */
    @Test
    void aGroupKeepsSoMuch(RunningServer server) {
        try (var small = RunningServer.start(
                TestDatabase.newDatabase(),
                true,
                "--wache.quota.entries=200",
                "--wache.quota.characters=100000",
                "--wache.quota.files=3")) {
            Browserless neighbour = Browserless.signedIn(RunningServer.addressOf(small), "neighbour");
            String path = "/api/groups/" + neighbour.group() + "/lists?name=q";
            byte[] hundred =
                    ("number,rx_mhz\n" + "1,162.550\n".repeat(100)).getBytes(java.nio.charset.StandardCharsets.UTF_8);
            int kept = 0;
            HttpResponse<String> answer = neighbour.file(path, hundred);
            while (answer.statusCode() == 201 && kept < 5) {
                kept++;
                answer = neighbour.file(path, hundred);
            }
            assertThat(kept).isBetween(1, 2);
            assertThat(answer.statusCode()).isEqualTo(422);
            assertThat(answer.body())
                    .contains("A group keeps up to 200 entries in all of its lists", "ask the administrator");
            JsonNode last = Browserless.json(neighbour.get("/api/groups/" + neighbour.group() + "/lists"))
                    .path(0);
            JsonNode slips = Browserless.json(
                            neighbour.get("/api/lists/" + last.path("id").asLong()))
                    .path("slips");
            String removals = IntStream.range(0, 40)
                    .mapToObj(i -> "{\"kind\":\"remove\",\"entry\":"
                            + slips.path(i).path("id").asLong() + ",\"before\":{},\"after\":{}}")
                    .collect(java.util.stream.Collectors.joining(","));
            assertThat(neighbour
                            .post(
                                    "/api/lists/" + last.path("id").asLong() + "/changes",
                                    "{\"version\":1,\"changes\":[" + removals + "]}")
                            .statusCode())
                    .as("to take out makes room")
                    .isEqualTo(200);
            byte[] table = "Freq,Name\n146.52,A\n".getBytes(java.nio.charset.StandardCharsets.UTF_8);
            String intakes = "/api/groups/" + neighbour.group() + "/intakes?name=t";
            List<Integer> brought = IntStream.range(0, 4)
                    .mapToObj(i -> neighbour.file(intakes, table).statusCode())
                    .toList();
            assertThat(brought).containsExactly(201, 201, 201, 422);
            small.getBean(JdbcClient.class)
                    .sql("update intake set made_at = now() - interval '2 hours'")
                    .update();
            assertThat(neighbour.file(intakes, table).statusCode())
                    .as("the oldest go")
                    .isEqualTo(201);
        }
    }

    @Test
    void whatWasBroughtInAndNeverTakenGoesAfterAWeek(RunningServer server) {
        long old = Browserless.json(who.file(
                        "/api/groups/" + who.group() + "/intakes?name=t",
                        "Freq,Name\n146.52,A\n".getBytes(java.nio.charset.StandardCharsets.UTF_8)))
                .path("id")
                .asLong();
        long young = Browserless.json(who.file(
                        "/api/groups/" + who.group() + "/intakes?name=t",
                        "Freq,Name\n146.55,B\n".getBytes(java.nio.charset.StandardCharsets.UTF_8)))
                .path("id")
                .asLong();
        jdbc.sql("update intake set made_at = now() - interval '8 days' where id = :id")
                .param("id", old)
                .update();
        jdbc.sql(
                        "insert into sign_in_try (key, tries, blocked_until, last_at) values ('name long-ago', 3, now() - interval '3 days', now() - interval '3 days')")
                .update();
        int swept = Sweeps.now(server.bean(Sweeps.DAILY));
        assertThat(swept).isGreaterThanOrEqualTo(2);
        assertThat(who.get("/api/intakes/" + old).statusCode()).isEqualTo(404);
        assertThat(who.get("/api/intakes/" + young).statusCode()).isEqualTo(200);
    }
}
