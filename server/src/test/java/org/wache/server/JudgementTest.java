package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Who may key, cures of a whole list, variants, place and house rules, as of a day. */
@ExtendWith(RunningServer.class)
class JudgementTest {

    private static final String NO_CHOICE = "{\"carriers\":[],\"parties\":[],\"teams\":[]}";
    private static final String CSV =
            """
      number,name,rx_mhz,tx_mhz,mode,power_w,tx_tone
      1,Calling,146.520,146.520,FM,5,
      2,Twenty,14.250,14.250,USB,100,
      3,Weather,162.550,,NFM,,
      4,Family,462.575,462.575,FM,20,
      5,Edge,147.994,147.994,FM,5,
      """;

    private final Browserless who;

    private final RunningServer server;

    JudgementTest(RunningServer server) {
        this.server = server;
        this.who = Browserless.signedIn(server.address(), "coordinator");
    }

    private JsonNode get(String path) {
        HttpResponse<String> answer = who.get(path);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return Browserless.json(answer);
    }

    private static String teams(String... names) {
        return "{\"carriers\":[],\"parties\":[],\"teams\":[\"" + String.join("\",\"", names) + "\"]}";
    }

    private long carriedBy(String csv, String choice) {
        long list = who.take("judged", csv);
        assertThat(who.put(
                                "/api/lists/" + list + "/carriers",
                                "{\"before\":" + NO_CHOICE + ",\"after\":" + choice + "}")
                        .statusCode())
                .isEqualTo(204);
        return list;
    }

    private static char cell(JsonNode matrix, String column, int entry) {
        for (JsonNode each : matrix.path("columns")) {
            if (each.path("name").asString().equals(column)) {
                return matrix.path("cells")
                        .path(each.path("cells").asInt())
                        .asString()
                        .charAt(entry);
            }
        }
        throw new AssertionError("no column " + column);
    }

    @ParameterizedTest(name = "{1} by {0}: {2}")
    @CsvSource({
        "person,Tobias Marrow,chlhq",
        "person,Ada Fenwright,cclcq",
        "person,Piers Millrace,cclhq",
        "person,Thea Rushes,hhlhh",
        "person,Frida Bankside,hhlch",
        "person,Karl Backwater,hhlhh",
        "person,Ines Lockgate,qqlhq",
        "class,Technician,chlhq",
        "class,General,cclhq",
        "class,GMRS,hhlch",
        "class,Without licence,hhlhh",
        "team,River watch,chlhq",
        "team,Levee walkers,hhlhh"
    })
    void theMatrixTellsWhoMayKeyWhat(String by, String column, String cells) {
        long list = carriedBy(CSV.replace("147.994,147.994", "147.030,147.030"), teams("River watch"));
        JsonNode matrix = get("/api/lists/" + list + "/matrix?by=" + by);
        StringBuilder found = new StringBuilder();
        for (int i = 0; i < 5; i++) {
            found.append(cell(matrix, column, i));
        }
        assertThat(found.toString()).isEqualTo(cells);
    }

    /** No page waits for verdicts: what is not there yet is told as being judged, and comes to the same as where one waits. */
    @Test
    void verdictsFillIn() throws Exception {
        String lists = "/api/groups/"
                + Browserless.signedIn(server.address(), "coordinator").group() + "/lists";
        try (var own = RunningServer.start(server.database(), false, "--wache.patience-for-verdicts=0s")) {
            Browserless waits = Browserless.signedIn(server.address(), "coordinator");
            Browserless who = Browserless.signedIn(RunningServer.addressOf(own), "coordinator");
            JsonNode first = Browserless.json(who.get(lists));
            assertThat(first.valueStream().filter(each -> each.path("pending").asBoolean()))
                    .as("nothing was judged yet")
                    .isNotEmpty()
                    .allSatisfy(each -> assertThat(each.path("name").asString()).isNotEmpty());
            JsonNode now = first;
            for (int i = 0;
                    i < 600
                            && now.valueStream()
                                    .anyMatch(each -> each.path("pending").asBoolean());
                    i++) {
                Thread.sleep(100);
                now = Browserless.json(who.get(lists));
            }
            assertThat(now).isEqualTo(Browserless.json(waits.get(lists)));
        }
    }

    @Test
    void carriersComeFirstAndAmongThemTheLeastPrivileged() {
        JsonNode matrix = get("/api/lists/" + carriedBy(CSV, teams("River watch")) + "/matrix");
        JsonNode columns = matrix.path("columns");
        for (int i = 1; i < columns.size(); i++) {
            boolean before = columns.path(i - 1).path("carries").asBoolean();
            boolean now = columns.path(i).path("carries").asBoolean();
            assertThat(before || !now).isTrue();
            assertThat(before != now
                            || columns.path(i - 1).path("counts").path("hold").asInt()
                                    >= columns.path(i)
                                            .path("counts")
                                            .path("hold")
                                            .asInt())
                    .isTrue();
        }
        assertThat(columns).anySatisfy(each -> {
            assertThat(each.path("name").asString()).isEqualTo("Rosa Quill");
            assertThat(each.path("carries").asBoolean()).isTrue();
            assertThat(each.path("holds").asString()).isEqualTo("Technician and GMRS");
        });
    }

    @Test
    void aCellSaysWhyAndByWhichRoute() {
        long list = carriedBy(CSV, teams("River watch"));
        JsonNode matrix = get("/api/lists/" + list + "/matrix?by=team");
        int column = -1;
        for (JsonNode each : matrix.path("columns")) {
            column = each.path("name").asString().equals("River watch")
                    ? each.path("key").asInt()
                    : column;
        }
        String path = "/api/lists/" + list + "/matrix/";
        JsonNode twenty = get(path + matrix.path("entries").path(1).path("id").asLong() + "?by=team&column=" + column);
        assertThat(twenty.path("verdict").asString()).isEqualTo("hold");
        assertThat(twenty.path("decider").asString()).isNotEmpty();
        assertThat(twenty.path("findings").path(0).path("rule").asString()).isEqualTo("class-too-low");
        JsonNode calling = get(path + matrix.path("entries").path(0).path("id").asLong() + "?by=team&column=" + column);
        assertThat(calling.path("routes").path(0).path("taken").asBoolean()).isTrue();
        assertThat(calling.path("routes").path(0).path("authority").asString()).contains("2 m 144.100–148.000 MHz");
    }

    @Test
    void whenSeveralServicesWouldDoTheOneTakenIsTold() {
        long list = who.take(
                "both", "number,rx_mhz,tx_mhz,mode,power_w\n1,462.5625,462.5625,NFM,5\n2,462.5625,462.5625,NFM,0.5\n");
        JsonNode matrix = get("/api/lists/" + list + "/matrix?by=class");
        int gmrs = -1;
        for (JsonNode each : matrix.path("columns")) {
            gmrs = each.path("name").asString().equals("GMRS")
                    ? each.path("key").asInt()
                    : gmrs;
        }
        JsonNode five = get("/api/lists/" + list + "/matrix/"
                + matrix.path("entries").path(0).path("id").asLong() + "?by=class&column=" + gmrs);
        assertThat(five.path("routes").path(0).path("service").asString()).isEqualTo("GMRS");
        assertThat(five.path("routes").path(0).path("taken").asBoolean()).isTrue();
        assertThat(five.path("routes").path(1).path("service").asString()).isEqualTo("FRS");
        assertThat(five.path("routes").path(1).path("legal").asBoolean()).isFalse();
    }

    @Test
    void curesOfAWholeListAreProposedAsDifferencesAndTakenAsOneChange() {
        long list = carriedBy(CSV, teams("River watch"));
        JsonNode proposed = get("/api/lists/" + list + "/cures");
        assertThat(proposed.path("before").path("hold").asInt()).isEqualTo(3);
        assertThat(proposed.path("after").path("hold").asInt())
                .as("one is left: some of its carriers may key it")
                .isEqualTo(1);
        assertThat(proposed.path("cures")).anySatisfy(each -> {
            assertThat(each.path("name").asString()).isEqualTo("Edge");
            assertThat(each.path("differences").path(0).asString()).isEqualTo("NFM instead of FM");
        });
        assertThat(proposed.path("cures"))
                .noneSatisfy(each -> assertThat(each.path("name").asString()).isEqualTo("Twenty"));
        assertThat(proposed.path("left")).anySatisfy(each -> {
            assertThat(each.path("name").asString()).isEqualTo("Twenty");
            assertThat(each.path("may")).isNotEmpty();
        });
        assertThat(get("/api/lists/" + list).path("counts").path("hold").asInt())
                .as("nothing is changed")
                .isEqualTo(3);
        StringBuilder changes = new StringBuilder();
        proposed.path("cures").forEach(each -> changes.append(changes.isEmpty() ? "" : ",")
                .append("{\"kind\":\"edit\",\"entry\":")
                .append(each.path("entry").asLong())
                .append(",\"behind\":null,\"before\":")
                .append(each.path("before"))
                .append(",\"after\":")
                .append(each.path("after"))
                .append("}"));
        HttpResponse<String> taken =
                who.post("/api/lists/" + list + "/changes", "{\"version\":2,\"changes\":[" + changes + "]}");
        assertThat(taken.statusCode()).as(taken.body()).isEqualTo(200);
        assertThat(get("/api/lists/" + list).path("counts")).isEqualTo(proposed.path("after"));
    }

    @Test
    void aVariantFollowsItsParentAndSaysWhatItSilenced() {
        long list = carriedBy(CSV, teams("Net control"));
        String technician = "{\"carriers\":[{\"name\":\"Technician\",\"licences\":["
                + RosterTest.licence("amateur", "technician", null, null) + "]}],\"parties\":[],\"teams\":[]}";
        JsonNode made = Browserless.json(who.post(
                "/api/lists/" + list + "/variants", "{\"name\":\"For Technicians\",\"carriers\":" + technician + "}"));
        JsonNode variant = get("/api/lists/" + made.path("id").asLong());
        assertThat(variant.path("parent").path("id").asLong()).isEqualTo(list);
        assertThat(variant.path("counts").path("hold").asInt()).isZero();
        JsonNode twenty = variant.path("slips").path(1);
        assertThat(twenty.path("verdict").asString()).isEqualTo("listen");
        assertThat(twenty.path("fields").path("note").asString())
                .startsWith("Listen only: ")
                .contains("General");
        JsonNode calling = variant.path("slips").path(0);
        assertThat(calling.path("verdict").asString()).isEqualTo("clear");

        HttpResponse<String> refused = who.post(
                "/api/lists/" + made.path("id").asLong() + "/changes",
                "{\"version\":1,\"changes\":[{\"kind\":\"edit\",\"entry\":"
                        + calling.path("id").asLong() + ",\"behind\":null,\"before\":{},\"after\":{\"name\":\"x\"}}]}");
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("follows judged");

        who.post(
                "/api/lists/" + list + "/changes",
                "{\"version\":2,\"changes\":[{\"kind\":\"edit\",\"entry\":"
                        + calling.path("id").asLong()
                        + ",\"behind\":null,\"before\":{},\"after\":{\"rxMhz\":\"14.300\",\"txMhz\":\"14.300\",\"mode\":\"USB\"}}]}");
        JsonNode after =
                get("/api/lists/" + made.path("id").asLong()).path("slips").path(0);
        assertThat(after.path("verdict").asString()).as("kept in step").isEqualTo("listen");
        assertThat(who.get("/api/lists/" + made.path("id").asLong() + "/export.csv")
                        .body())
                .contains("14.300,,USB");
    }

    private static String settings(String place, String units) {
        return "{\"place\":" + place
                + ",\"antennaGainDbd\":null,\"feedLossDb\":null,\"directTones\":null,\"maxTimeoutS\":null,"
                + "\"twoMetreRasterKhz\":null,\"unitsInUse\":" + units + "}";
    }

    private static String site(double latitude, double longitude) {
        return "{\"latitude\":" + latitude + ",\"longitude\":" + longitude
                + ",\"radiusKm\":0,\"south\":null,\"west\":null," + "\"north\":null,\"east\":null,\"region\":null}";
    }

    @Test
    void thePlaceOfAListDecidesWhatGoesByPlace() {
        long list = carriedBy("number,rx_mhz,tx_mhz,mode,power_w\n1,427.000,427.000,NFM,5\n", teams("Net control"));
        assertThat(get("/api/lists/" + list).path("slips").path(0).path("rule").asString())
                .isEqualTo("restricted-area");
        assertThat(get("/api/lists/" + list)
                        .path("slips")
                        .path(0)
                        .path("verdict")
                        .asString())
                .isEqualTo("query");
        String detroit = settings(site(42.33, -83.05), "null");
        assertThat(who.put(
                                "/api/lists/" + list + "/settings",
                                "{\"before\":" + settings("null", "null") + ",\"after\":" + detroit + "}")
                        .statusCode())
                .isEqualTo(204);
        assertThat(get("/api/lists/" + list)
                        .path("slips")
                        .path(0)
                        .path("verdict")
                        .asString())
                .isEqualTo("hold");
        HttpResponse<String> late = who.put(
                "/api/lists/" + list + "/settings",
                "{\"before\":" + settings("null", "null") + ",\"after\":" + settings(site(45, -93), "null") + "}");
        assertThat(late.statusCode()).isEqualTo(409);
        assertThat(late.body()).contains("Somebody else changed the place");
        HttpResponse<String> off = who.put(
                "/api/lists/" + list + "/settings",
                "{\"before\":" + detroit + ",\"after\":" + settings(site(95, 0), "null") + "}");
        assertThat(off.body()).contains("The latitude should be a number from -90 to 90");
    }

    @Test
    void moreUnitsInUseThanLicensedAreHeld() {
        String firm =
                "{\"carriers\":[{\"name\":\"Fleet\",\"licences\":[{\"service\":\"land-mobile\",\"licenceClass\":null,"
                        + "\"callSign\":\"WZZB202\",\"granted\":null,\"expires\":null,\"lines\":[{\"mhz\":\"451.800\",\"emission\":\"11K2F3E\","
                        + "\"outputW\":5,\"erpW\":5,\"units\":20,\"area\":null}]}]}],\"parties\":[],\"teams\":[]}";
        long list = carriedBy("number,rx_mhz,tx_mhz,mode,power_w\n1,451.800,451.800,NFM,5\n", firm);
        assertThat(get("/api/lists/" + list).path("counts").path("clear").asInt())
                .isEqualTo(1);
        who.put(
                "/api/lists/" + list + "/settings",
                "{\"before\":" + settings("null", "null") + ",\"after\":" + settings("null", "21") + "}");
        assertThat(get("/api/lists/" + list)
                        .path("slips")
                        .path(0)
                        .path("reason")
                        .asString())
                .isEqualTo("The licence WZZB202 does not cover 21 units in use: the line says 20.");
    }

    @Test
    void aListIsSeenAsOfADay() {
        long list = carriedBy("number,rx_mhz,tx_mhz,mode,power_w\n1,5.357,5.357,USB,9\n", teams("Net control"));
        JsonNode before = get("/api/lists/" + list + "?on=2026-02-12");
        JsonNode now = get("/api/lists/" + list + "?on=2026-11-25");
        assertThat(before.path("edition").asString()).isEqualTo("2024-01-08");
        assertThat(before.path("counts").path("hold").asInt()).isEqualTo(1);
        assertThat(now.path("slips").path(0).path("reason").asString()).doesNotContain("nearest");
        assertThat(who.get("/api/lists/" + list + "?on=soon").statusCode()).isEqualTo(400);
    }

    @Test
    void homeTellsWhatEndsAndWhatAnEditionChanged() {
        JsonNode home = get("/api/groups/" + who.group() + "/home");
        assertThat(home.path("edition").path("id").asString()).isEqualTo("2026-02-13");
        assertThat(home.path("licences")).anySatisfy(each -> {
            assertThat(each.path("name").asString()).isEqualTo("Karl Backwater");
            assertThat(each.path("days").asLong()).isNegative();
        });
        assertThat(home.path("lists")).anySatisfy(each -> {
            assertThat(each.path("name").asString()).isEqualTo("HF desk");
            assertThat(each.path("changed").size()).isEqualTo(2);
        });
    }

    @Test
    void aListThatWasLookedAtIsNotToldAgainNorIsOneThatFollowsIt() {
        long list = carriedBy("number,rx_mhz,tx_mhz,mode,power_w\n1,5.354,5.354,USB,9\n", teams("HF desk"));
        JsonNode variant = Browserless.json(who.post(
                "/api/lists/" + list + "/variants", "{\"name\":\"follows\",\"carriers\":" + teams("HF desk") + "}"));
        for (long each : new long[] {list, variant.path("id").asLong()}) {
            assertThat(who.put("/api/lists/" + each + "/edition-seen", "{}").statusCode())
                    .isEqualTo(204);
            assertThat(get("/api/groups/" + who.group() + "/home").path("lists"))
                    .noneMatch(told -> told.path("list").asLong() == each);
        }
    }
}
