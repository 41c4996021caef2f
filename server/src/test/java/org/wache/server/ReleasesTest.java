package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
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
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Trying to release what should not go, releases that stay as they were, recalls, and what is printed of them. */
@ExtendWith(RunningServer.class)
class ReleasesTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String CLEAN =
            """
      number,name,rx_mhz,tx_mhz,mode,power_w,tx_tone,rx_tone,scan,timeout_s
      1,RIDGE,146.940,146.340,FM,5,100.0,,yes,180
      2,LEVEE,146.550,146.550,FM,5,103.5,103.5,yes,180
      3,WX,162.550,,NFM,,,,no,
      """;
    private static final String QUERIED = CLEAN + "4,PUMPS,147.570,147.570,FM,,103.5,103.5,yes,180\n";

    /** A model of which nothing is known: everything fits it. */
    private static final String PLAIN = "Plain P1";

    private final RunningServer server;
    private final Browserless who;
    private final Browserless reviewer;
    private final Fleets fleets;

    ReleasesTest(RunningServer server) {
        this.server = server;
        this.who = Browserless.signedIn(server.address(), "coordinator");
        this.reviewer = Browserless.signedIn(server.address(), "reviewer");
        this.fleets = new Fleets(who);
        who.post(
                "/api/groups/" + who.group() + "/models",
                "{\"body\":{\"format\":\"wache-radio/1\",\"model\":\"" + PLAIN + "\"}}"); // the first time
    }

    private long list(String name, String csv) {
        long list = fleets.list(name, csv);
        fleets.choose(list, PLAIN);
        return list;
    }

    private List<String> missing(long list) {
        List<String> missing = new ArrayList<>();
        fleets.gate(list).path("missing").forEach(each -> missing.add(each.asString()));
        return missing;
    }

    private HttpResponse<String> waive(Browserless by, long list, String reason) {
        List<String> open = new ArrayList<>();
        fleets.gate(list)
                .path("matters")
                .forEach(each -> open.add(each.path("print").asString()));
        return by.post(
                "/api/lists/" + list + "/waivers", JSON.writeValueAsString(Map.of("prints", open, "reason", reason)));
    }

    private HttpResponse<String> sign(Browserless by, long list) {
        return by.post(
                "/api/lists/" + list + "/signature",
                JSON.writeValueAsString(
                        Map.of("state", fleets.gate(list).path("state").asString(), "note", "")));
    }

    private void edit(long list, String field, String before, String after) {
        JsonNode desk = Browserless.json(who.get("/api/lists/" + list));
        long entry = desk.path("slips").path(1).path("id").asLong();
        HttpResponse<String> changed = who.post(
                "/api/lists/" + list + "/changes",
                JSON.writeValueAsString(Map.of(
                        "version",
                        desk.path("version").asInt(),
                        "changes",
                        List.of(Map.of(
                                "kind",
                                "edit",
                                "entry",
                                entry,
                                "before",
                                Map.of(field, before),
                                "after",
                                Map.of(field, after))))));
        assertThat(changed.statusCode()).as(changed.body()).isEqualTo(200);
    }

    @Test
    void aListOnHoldDoesNotGoOutWhateverIsTried() {
        long list = list("Held back", CLEAN + "4,EDGE,147.995,147.995,FM,5,103.5,103.5,yes,180\n");
        assertThat(missing(list)).anySatisfy(each -> assertThat(each).contains("1 entry is on hold"));
        assertThat(waive(who, list, "Let it go, please").body()).contains("A hold is cured, never waived");
        assertThat(sign(reviewer, list).body()).contains("comes first");
        HttpResponse<String> released = fleets.releaseNow(list);
        assertThat(released.statusCode()).isEqualTo(422);
        assertThat(released.body()).contains("It cannot go out yet", "on hold");
        assertThat(fleets.start(list, 1, List.of(fleets.unit(PLAIN, "", false))).body())
                .contains("was never released");
    }

    @Test
    void aQueryIsWaivedByNameWithAReasonAndForTheFindingAsItWas() {
        long list = list("Queried", QUERIED);
        assertThat(missing(list))
                .anySatisfy(each -> assertThat(each).contains("query that is neither cured nor waived"));
        assertThat(waive(who, list, "ok").body()).contains("Say in a sentence");
        assertThat(waive(who, list, "The pump crews keep to 5 W").statusCode()).isEqualTo(204);
        assertThat(missing(list)).containsExactly("a second person has not signed");
        JsonNode waiver = fleets.gate(list).path("matters").path(0).path("waiver");
        assertThat(waiver.path("by").asString()).isEqualTo("Ada Fenwright");
        assertThat(waiver.path("reason").asString()).isEqualTo("The pump crews keep to 5 W");
        JsonNode desk = Browserless.json(who.get("/api/lists/" + list));
        long pumps = desk.path("slips").path(3).path("id").asLong();
        who.post(
                "/api/lists/" + list + "/changes",
                "{\"version\":" + desk.path("version").asInt() + ",\"changes\":[{\"kind\":\"edit\",\"entry\":" + pumps
                        + ",\"before\":{\"rxMhz\":\"147.570\",\"txMhz\":\"147.570\"},\"after\":{\"rxMhz\":\"147.420\",\"txMhz\":\"147.420\"}}]}");
        assertThat(missing(list)).as("it was waived for another frequency").anySatisfy(each -> assertThat(each)
                .contains("query"));
    }

    @Test
    void aWaiverThatIsOverCountsForNothing() {
        long list = list("Until yesterday", QUERIED);
        List<String> prints = new ArrayList<>();
        fleets.gate(list)
                .path("matters")
                .forEach(each -> prints.add(each.path("print").asString()));
        String body =
                JSON.writeValueAsString(Map.of("prints", prints, "reason", "Only for a while", "until", "2020-01-01"));
        assertThat(who.post("/api/lists/" + list + "/waivers", body).body()).contains("that day is over");
        assertThat(who.post("/api/lists/" + list + "/waivers", body.replace("2020-01-01", "2099-01-01"))
                        .statusCode())
                .isEqualTo(204);
        long waiver = fleets.gate(list)
                .path("matters")
                .path(0)
                .path("waiver")
                .path("id")
                .asLong();
        assertThat(Browserless.signedIn(server.address(), "neighbour")
                        .send("DELETE", "/api/waivers/" + waiver, null, null)
                        .statusCode())
                .isEqualTo(404);
        assertThat(reviewer.send("DELETE", "/api/waivers/" + waiver, null, null).statusCode())
                .isEqualTo(204);
        assertThat(missing(list)).anySatisfy(each -> assertThat(each).contains("query"));
    }

    @Test
    void whoChangedItLastOrWaivedCannotSign() {
        long list = list("Own work", QUERIED);
        assertThat(waive(reviewer, list, "The pump crews keep to 5 W").statusCode())
                .isEqualTo(204);
        assertThat(sign(who, list).body()).contains("You made the last change of it");
        assertThat(sign(reviewer, list).body()).contains("You gave the waiver for entry 4 yourself");
        assertThat(Browserless.signedIn(server.address(), "technician")
                        .post("/api/lists/" + list + "/signature", "{\"state\":\"x\",\"note\":\"\"}")
                        .statusCode())
                .isEqualTo(403);
    }

    @Test
    void aSignatureCountsForWhatWasLookedAtAndNothingElse() {
        long list = list("Signed", CLEAN);
        String looked = fleets.gate(list).path("state").asString();
        edit(list, "note", "", "changed after the look");
        assertThat(reviewer.post("/api/lists/" + list + "/signature", "{\"state\":\"" + looked + "\",\"note\":\"\"}")
                        .body())
                .contains("were changed since you looked");
        assertThat(sign(reviewer, list).statusCode()).isEqualTo(204);
        assertThat(missing(list)).isEmpty();
        edit(list, "powerW", "5", "4");
        assertThat(missing(list)).containsExactly("a second person has not signed");
        assertThat(fleets.gate(list).path("signatureOutdated").asBoolean()).isTrue();
        assertThat(fleets.releaseNow(list).statusCode()).isEqualTo(422);
    }

    @Test
    void aChangeOfALicenceTakesTheSignatureBackToo() {
        String party = "{\"kind\":\"person\",\"name\":\"%s\",\"note\":\"\",\"teams\":[],\"licences\":["
                + RosterTest.licence("amateur", "technician", "KE9QRB", "%s") + "]}";
        long person = Browserless.json(who.post(
                        "/api/groups/" + who.group() + "/parties", party.formatted("Signed for", "2035-01-01")))
                .path("id")
                .asLong();
        long list = who.take("By licence", CLEAN);
        String nobody = "{\"carriers\":[],\"parties\":[],\"teams\":[]}";
        who.put(
                "/api/lists/" + list + "/carriers",
                "{\"before\":" + nobody + ",\"after\":{\"carriers\":[],\"parties\":[" + person + "],\"teams\":[]}}");
        fleets.choose(list, PLAIN);
        assertThat(sign(reviewer, list).statusCode()).isEqualTo(204);
        who.put(
                "/api/parties/" + person,
                "{\"version\":1,\"party\":" + party.formatted("Signed for", "2036-01-01") + "}");
        assertThat(missing(list)).containsExactly("a second person has not signed");
        assertThat(sign(reviewer, list).statusCode()).isEqualTo(204);
        JsonNode released = Browserless.json(fleets.releaseNow(list));
        long release = released.path("id").asLong();
        assertThat(Browserless.json(who.get("/api/releases/" + release)).path("against"))
                .isEmpty();

        who.put(
                "/api/parties/" + person,
                "{\"version\":2,\"party\":" + party.formatted("Signed for", "2026-01-01") + "}");
        JsonNode lapsed = Browserless.json(who.get("/api/releases/" + release));
        assertThat(lapsed.path("against").path(0).path("recall").asBoolean()).isTrue();
        assertThat(lapsed.path("against").path(0).path("message").asString()).contains("ended on");
        assertThat(who.get("/api/groups/" + who.group() + "/home").body())
                .contains("By licence, release 1", "no longer stands");
        assertThat(Browserless.signedIn(server.address(), "reviewer")
                        .post("/api/releases/" + release + "/recall", "{\"reason\":\"The licence lapsed\"}")
                        .statusCode())
                .isEqualTo(403);
        assertThat(who.post("/api/releases/" + release + "/recall", "{\"reason\":\"The licence lapsed\"}")
                        .statusCode())
                .isEqualTo(204);
        assertThat(who.post("/api/releases/" + release + "/recall", "{\"reason\":\"The licence lapsed\"}")
                        .body())
                .contains("recalled already");
        assertThat(fleets.start(list, release, List.of(fleets.unit(PLAIN, "", false)))
                        .body())
                .contains("was recalled");
    }

    @Test
    void aRadioThatChangesCallsTheReleaseBack() {
        String body = "{\"format\":\"wache-radio/1\",\"model\":\"Changing C1\"%s}";
        long model = Browserless.json(
                        who.post("/api/groups/" + who.group() + "/models", "{\"body\":" + body.formatted("") + "}"))
                .path("id")
                .asLong();
        long list = fleets.list("For a radio that changes", CLEAN);
        long release = fleets.release(list, "Changing C1");
        assertThat(Browserless.json(who.get("/api/releases/" + release)).path("against"))
                .isEmpty();
        String narrower = body.formatted(",\"transmit\":[[\"420\",\"450\"]],\"receive\":[[\"100\",\"500\"]]");
        assertThat(who.put("/api/models/" + model, "{\"version\":1,\"body\":" + narrower + "}")
                        .statusCode())
                .isEqualTo(204);
        JsonNode against = Browserless.json(who.get("/api/releases/" + release)).path("against");
        assertThat(against).hasSize(2).allSatisfy(each -> {
            assertThat(each.path("recall").asBoolean()).isTrue();
            assertThat(each.path("model").asString()).isEqualTo("Changing C1");
        });
    }

    @Test
    void aReleaseStaysAsItWasAndIsVerifiedFromItsFile() {
        long list = list("Frozen", CLEAN);
        long release = fleets.release(list, PLAIN);
        assertThat(fleets.releaseNow(list).body()).contains("Nothing of it was changed");
        String file = who.get("/api/releases/" + release + "/release.json").body();
        edit(list, "name", "LEVEE", "DYKE");
        who.put("/api/lists/" + list + "/name", "{\"name\":\"Renamed\"}");
        assertThat(who.get("/api/releases/" + release + "/release.json").body())
                .isEqualTo(file)
                .contains("LEVEE")
                .doesNotContain("DYKE");
        JsonNode good = Browserless.json(who.file("/api/verification", file.getBytes(StandardCharsets.UTF_8)));
        assertThat(good.path("good").asBoolean()).as(good.toString()).isTrue();
        JsonNode bad = Browserless.json(
                who.file("/api/verification", file.replace("LEVEE", "LEVEES").getBytes(StandardCharsets.UTF_8)));
        assertThat(bad.path("good").asBoolean()).isFalse();
        assertThat(who.file("/api/verification", "number,rx_mhz\n".getBytes(StandardCharsets.UTF_8))
                        .statusCode())
                .isEqualTo(422);
        assertThat(Browserless.json(who.get("/api/lists/" + list + "/gate"))
                        .path("newest")
                        .path("number")
                        .asInt())
                .isEqualTo(1);
        long second = fleets.release(list, PLAIN);
        assertThat(Browserless.json(who.get("/api/releases/" + second))
                        .path("line")
                        .path("number")
                        .asInt())
                .isEqualTo(2);
        assertThat(Browserless.json(who.get("/api/releases/" + release))
                        .path("current")
                        .asBoolean())
                .isFalse();
        assertThat(text(who.bytes("/api/releases/" + release + "/letter.pdf").body()))
                .contains("It is the first release of this list", "Hand out the cards");
        assertThat(text(who.bytes("/api/releases/" + second + "/letter.pdf?paper=a4")
                        .body()))
                .contains("Since release 1: 1 changed", "DYKE", "LEVEE", "Take back the cards");
    }

    private static String text(byte[] pdf) {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(document);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    @Test
    void aVariantGoesOutWithItsListAndIsLoadedByItself() {
        long list = list("With variant", CLEAN + "4,EXTRA,7.150,7.150,LSB,5,,,no,180\n");
        String extra = "{\"carriers\":[{\"name\":\"E\",\"licences\":["
                + RosterTest.licence("amateur", "extra", "KE9QRC", "2031-01-01") + "]}],\"parties\":[],\"teams\":[]}";
        JsonNode choice = Browserless.json(who.get("/api/lists/" + list)).path("choice");
        who.put("/api/lists/" + list + "/carriers", "{\"before\":" + choice + ",\"after\":" + extra + "}");
        long variant = Browserless.json(who.post(
                        "/api/lists/" + list + "/variants",
                        "{\"name\":\"For technicians\",\"carriers\":" + choice + "}"))
                .path("id")
                .asLong();
        assertThat(fleets.gate(variant).path("detail").asString()).contains("goes out together with With variant");
        long release = fleets.release(list, PLAIN);
        JsonNode parts = Browserless.json(who.get("/api/releases/" + release)).path("parts");
        assertThat(parts.path(0).path("talking").asInt()).isEqualTo(3);
        assertThat(parts.path(1).path("name").asString()).isEqualTo("For technicians");
        assertThat(parts.path(1).path("talking").asInt()).isEqualTo(2);
        JsonNode plan = fleets.plan(variant, List.of(fleets.unit(PLAIN, "", false)));
        assertThat(plan.path("name").asString()).isEqualTo("For technicians");
        assertThat(plan.path("release").asLong()).isEqualTo(release);
    }

    @ParameterizedTest
    @CsvSource({
        "cards.pdf",
        "cards.pdf?size=badge&paper=a4",
        "cards.pdf?size=windscreen",
        "list.pdf?paper=a4&zone=Europe/Berlin",
        "edges.pdf",
        "loads.pdf",
        "letter.pdf",
        "communications-plan.pdf",
        "inventory.pdf?paper=a4"
    })
    void papersArePrintedWithTheirRelease(String paper) {
        HttpResponse<byte[]> pdf = who.bytes("/api/releases/1/" + paper);
        assertThat(pdf.statusCode()).isEqualTo(200);
        assertThat(new String(pdf.body(), 0, 5, StandardCharsets.ISO_8859_1)).isEqualTo("%PDF-");
        assertThat(pdf.body().length).isGreaterThan(5_000);
        assertThat(Browserless.signedIn(server.address(), "neighbour")
                        .get("/api/releases/1/" + paper)
                        .statusCode())
                .isEqualTo(404);
        assertThat(Browserless.signedIn(server.address(), "member")
                        .get("/api/releases/1/" + paper)
                        .statusCode())
                .isEqualTo(403);
    }

    /** The demo: Rosa Quill is a Technician with GMRS; her card says talk for what her licence lets her key, under no other account's eyes. */
    @Test
    void aMemberSeesTheirCardAndNothingElse() {
        Browserless member = Browserless.signedIn(server.address(), "member");
        JsonNode card = Browserless.json(member.get("/api/groups/" + member.group() + "/card"));
        assertThat(card.path("name").asString()).isEqualTo("Rosa Quill");
        JsonNode list = card.path("lists").path(0);
        assertThat(list.path("entries")).anySatisfy(each -> {
            assertThat(each.path("name").asString()).isEqualTo("RIDGE");
            assertThat(each.path("talks").asBoolean()).isTrue();
            assertThat(each.path("shift").asString()).isEqualTo("−0.6");
        });
        assertThat(list.path("entries"))
                .filteredOn(each -> each.path("name").asString().equals("WX 1"))
                .allSatisfy(each -> assertThat(each.path("talks").asBoolean()).isFalse());
        for (String path : List.of("/lists", "/roster", "/radios", "/log", "/people", "/home", "/releases")) {
            assertThat(member.get("/api/groups/" + member.group() + path).statusCode())
                    .as(path)
                    .isEqualTo(403);
        }
        assertThat(member.get("/api/lists/7").statusCode()).isEqualTo(403);
    }

    @Test
    void theAddressOnACardOpensThatCardUntilItIsEnded() throws Exception {
        assertThat(who.bytes("/api/releases/1/cards.pdf").statusCode()).isEqualTo(200);
        JsonNode holder =
                Browserless.json(who.get("/api/releases/1")).path("holders").path(0);
        String token = token(holder.path("party").asLong());
        Browserless stranger = new Browserless(server.address());
        stranger.get("/api/session");
        HttpResponse<String> card = stranger.post("/api/card", "{\"token\":\"" + token + "\"}");
        assertThat(Browserless.json(card).path("name").asString())
                .isEqualTo(holder.path("name").asString());
        assertThat(who.bytes("/api/releases/1/cards.pdf").statusCode()).isEqualTo(200);
        assertThat(token(holder.path("party").asLong()))
                .as("printed again, it is the same")
                .isEqualTo(token);
        assertThat(who.send("DELETE", "/api/parties/" + holder.path("party").asLong() + "/card-link", null, null)
                        .statusCode())
                .isEqualTo(204);
        assertThat(stranger.post("/api/card", "{\"token\":\"" + token + "\"}").statusCode())
                .isEqualTo(422);
        assertThat(stranger.get("/api/lists/7").statusCode()).isEqualTo(401);
    }

    private String token(long party) throws java.sql.SQLException {
        try (var connection = java.sql.DriverManager.getConnection(server.database(), "wache", "");
                var found = connection
                        .createStatement()
                        .executeQuery("select token from card_link where ended_at is null and party_id = " + party)) {
            assertThat(found.next()).isTrue();
            return found.getString(1);
        }
    }

    /** RFC 5545: the lines that a calendar program needs, read back with the same library in another role. */
    @Test
    void theCalendarHasTheDaysOnWhichLicencesAndWaiversEnd() throws Exception {
        long list = list("In the calendar", QUERIED);
        List<String> prints = new ArrayList<>();
        fleets.gate(list)
                .path("matters")
                .forEach(each -> prints.add(each.path("print").asString()));
        who.post(
                "/api/lists/" + list + "/waivers",
                JSON.writeValueAsString(
                        Map.of("prints", prints, "reason", "Only for the spring", "until", "2027-05-31")));
        String path = Browserless.json(who.post("/api/groups/" + who.group() + "/calendar", "{}"))
                .path("path")
                .asString();
        HttpResponse<String> ics = new Browserless(server.address()).get(path);
        assertThat(ics.headers().firstValue("content-type"))
                .hasValueSatisfying(type -> assertThat(type).startsWith("text/calendar"));
        assertThat(ics.body())
                .startsWith("BEGIN:VCALENDAR\r\n")
                .contains(
                        "VERSION:2.0\r\n",
                        "DTSTART;VALUE=DATE:20320402",
                        "DTSTART;VALUE=DATE:20270531",
                        "TRIGGER:-P14D");
        var read = new net.fortuna.ical4j.data.CalendarBuilder().build(new java.io.StringReader(ics.body()));
        read.validate();
        assertThat(read.getComponents("VEVENT")).hasSizeGreaterThan(10);
        String other = Browserless.json(who.post("/api/groups/" + who.group() + "/calendar", "{}"))
                .path("path")
                .asString();
        assertThat(new Browserless(server.address()).get(path).statusCode())
                .as("a new address ends the one before")
                .isEqualTo(404);
        assertThat(new Browserless(server.address()).get(other).statusCode()).isEqualTo(200);
    }

    /** Two servers on one database: one sees what the other saved, a conflict is one, and a number is given once. */
    @Test
    void twoServersBehaveAsOne() throws Exception {
        try (ConfigurableApplicationContext other = RunningServer.start(server.database(), true)) {
            Browserless there = who.at(RunningServer.addressOf(other));
            long list = list("On both", CLEAN);
            long entry = Browserless.json(there.get("/api/lists/" + list))
                    .path("slips")
                    .path(1)
                    .path("id")
                    .asLong();
            int version = Browserless.json(there.get("/api/lists/" + list))
                    .path("version")
                    .asInt();
            String change = "{\"version\":" + version + ",\"changes\":[{\"kind\":\"edit\",\"entry\":" + entry
                    + ",\"before\":{\"name\":\"LEVEE\"},\"after\":{\"name\":\"%s\"}}]}";
            assertThat(who.post("/api/lists/" + list + "/changes", change.formatted("HERE"))
                            .statusCode())
                    .isEqualTo(200);
            HttpResponse<String> conflict = there.post("/api/lists/" + list + "/changes", change.formatted("THERE"));
            assertThat(conflict.statusCode()).isEqualTo(409);
            assertThat(conflict.body()).contains("HERE", "THERE");
            JsonNode here = Browserless.json(
                    who.put("/api/lists/" + list + "/presence", "{\"page\":\"one\",\"entry\":" + entry + "}"));
            assertThat(here.path("others")).isEmpty();
            Browserless reviewerThere = reviewer.at(RunningServer.addressOf(other));
            JsonNode seen = Browserless.json(
                    reviewerThere.put("/api/lists/" + list + "/presence", "{\"page\":\"two\",\"entry\":null}"));
            assertThat(seen.path("others").path(0).path("name").asString()).isEqualTo("Ada Fenwright");
            assertThat(seen.path("others").path(0).path("entry").asString()).isEqualTo("2 HERE");
            assertThat(sign(reviewerThere, list).statusCode()).isEqualTo(204);
            String state = "{\"state\":\"" + fleets.gate(list).path("state").asString() + "\"}";
            List<Integer> statuses = java.util.stream.Stream.of(who, there, who, there)
                    .parallel()
                    .map(each ->
                            each.post("/api/lists/" + list + "/releases", state).statusCode())
                    .toList();
            JsonNode releases = Browserless.json(there.get("/api/groups/" + who.group() + "/releases"))
                    .path("releases");
            List<Integer> numbers = new ArrayList<>();
            releases.forEach(each -> {
                if (each.path("line").path("list").asLong() == list) {
                    numbers.add(each.path("line").path("number").asInt());
                }
            });
            assertThat(statuses).containsExactlyInAnyOrder(201, 422, 422, 422);
            assertThat(numbers).containsExactly(1);
        }
    }
}
