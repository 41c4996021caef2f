package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Operations: what is kept of them, what comes of them, their papers, and that no group sees or uses anything of another. */
@ExtendWith(RunningServer.class)
class OperationsTest {

    private static final String CSV =
            """
            number,name,rx_mhz,tx_mhz,mode,power_w,tx_tone,rx_tone
            1,RIDGE,146.940,146.340,FM,5,100.0,
            2,LEVEE,146.550,146.550,FM,5,,
            3,GMRS 16,462.575,462.575,FM,5,,
            """;

    private final RunningServer server;
    private Browserless who;
    private String mark;
    private long list;
    private long ada;
    private long cleo;

    OperationsTest(RunningServer server) {
        this.server = server;
    }

    @BeforeEach
    void aListThatAnAmateurAndAFamilyCarry() {
        who = Browserless.signedIn(server.address(), "neighbour");
        mark = Long.toString(System.nanoTime(), 36);
        list = who.take("Op " + mark, CSV);
        ada = person("Ada " + mark, RosterTest.licence("amateur", "technician", "KE9QRX", "2031-01-01"));
        cleo = person("Cleo " + mark, RosterTest.licence("gmrs", null, "WZZA990", "2031-01-01"));
        carriedBy(List.of(ada, cleo));
    }

    private long person(String name, String licence) {
        return Browserless.json(who.post(
                        "/api/groups/" + who.group() + "/parties",
                        "{\"kind\":\"person\",\"name\":\"" + name + "\",\"note\":\"\",\"teams\":[],\"licences\":["
                                + licence + "]}"))
                .path("party")
                .path("id")
                .asLong();
    }

    private void carriedBy(List<Long> parties) {
        String before =
                Browserless.json(who.get("/api/lists/" + list)).path("choice").toString();
        var set = who.put(
                "/api/lists/" + list + "/carriers",
                "{\"before\":" + before + ",\"after\":{\"carriers\":[],\"parties\":" + parties + ",\"teams\":[]}}");
        assertThat(set.statusCode()).as(set.body()).isLessThan(300);
    }

    private long entry(int place) {
        return Browserless.json(who.get("/api/lists/" + list))
                .path("slips")
                .path(place)
                .path("id")
                .asLong();
    }

    private String watch(long party, Integer talk, Integer fallback, String from, String until) {
        return "{\"who\":{\"team\":null,\"party\":" + party + "},\"task\":\"at the weir\",\"from\":" + hour(from)
                + ",\"until\":" + hour(until) + ",\"talk\":" + place(talk) + ",\"fallback\":" + place(fallback)
                + ",\"instead\":\"\",\"also\":[]}";
    }

    private static String hour(String hour) {
        return hour == null ? "null" : "\"" + hour + "\"";
    }

    private String place(Integer entry) {
        return entry == null ? "null" : "{\"list\":" + list + ",\"entry\":" + entry(entry) + "}";
    }

    private String form(String watches, String mustTalk) {
        return "{\"name\":\"High water " + mark
                + "\",\"purpose\":\"Watch the gauges.\",\"place\":\"Weir house\",\"from\":\"2027-03-13T07:00\",\"until\":\"2027-03-13T19:00\",\"lists\":["
                + list + "],\"watches\":[" + watches + "],\"mustTalk\":[" + mustTalk + "]}";
    }

    private String pair(long one, long other) {
        return "{\"one\":{\"team\":null,\"party\":" + one + "},\"other\":{\"team\":null,\"party\":" + other + "}}";
    }

    private String both() {
        return form(watch(ada, 0, 1, null, null) + "," + watch(cleo, 1, null, null, null), pair(ada, cleo));
    }

    private long add(String form) {
        HttpResponse<String> made = who.post("/api/groups/" + who.group() + "/operations", form);
        assertThat(made.statusCode()).as(made.body()).isEqualTo(201);
        return Browserless.json(made).path("id").asLong();
    }

    private JsonNode kept(long operation) {
        return Browserless.json(who.get("/api/operations/" + operation));
    }

    private static List<String> troubles(JsonNode sheet) {
        return sheet.path("troubles")
                .valueStream()
                .map(each -> each.path("kind").asString() + " " + each.path("watch"))
                .toList();
    }

    /** 47 CFR 95.1705, 97.301(e): Cleo may not key the amateur entry that she was put on, and both hear all. */
    @Test
    void whatIsKeptComesBackWithWhatDoesNotWork() {
        JsonNode kept = kept(add(both()));
        assertThat(kept.path("form").path("place").asString()).isEqualTo("Weir house");
        assertThat(kept.path("sheet").path("on").asString()).isEqualTo("2027-03-13");
        assertThat(troubles(kept.path("sheet"))).contains("may-not-talk 1", "no-fallback 1", "not-out null");
        assertThat(kept.path("sheet").path("people").valueStream().map(each -> each.path("carries")
                        .path(0)
                        .asString()))
                .containsOnly("Op " + mark);
        assertThat(kept.path("sheet")
                        .path("lists")
                        .path(0)
                        .path("entries")
                        .path(0)
                        .path("words")
                        .asString())
                .isEqualTo("146.940, talks on 146.340, 100.0");
        assertThat(Browserless.json(who.get("/api/groups/" + who.group() + "/operations"))
                        .valueStream()
                        .filter(each -> each.path("name").asString().endsWith(mark))
                        .toList())
                .singleElement()
                .satisfies(head -> assertThat(head.path("fails").asInt()).isPositive());
    }

    /** Whoever does not carry the list has nothing of it; why, and what would change it, is said. */
    @Test
    void whoCarriesNoListIsReachedByNobodyAndTheLeastIsTheList() {
        carriedBy(List.of(ada));
        JsonNode sheet = Browserless.json(who.post("/api/groups/" + who.group() + "/operations/sheet", both()));
        JsonNode alone = sheet.path("troubles")
                .valueStream()
                .filter(each -> each.path("kind").asString().equals("alone"))
                .findFirst()
                .orElseThrow();
        assertThat(alone.path("why").path(0).asString()).endsWith(" carries none of the lists.");
        assertThat(alone.path("least").valueStream().map(JsonNode::asString))
                .anyMatch(each -> each.startsWith("Op " + mark + " for "));
    }

    @Test
    void withoutAListOneThingIsSaid() {
        JsonNode sheet = Browserless.json(who.post(
                "/api/groups/" + who.group() + "/operations/sheet",
                form(watch(ada, null, null, null, null) + "," + watch(cleo, null, null, null, null), pair(ada, cleo))
                        .replace("\"lists\":[" + list + "]", "\"lists\":[]")));
        assertThat(troubles(sheet)).containsExactly("nothing-to-talk-on null");
    }

    /** A variant gives the list to those who carry it, and that shows at once, though the list itself was not changed. */
    @Test
    void whoCarriesAVariantHasTheList() {
        carriedBy(List.of(ada));
        long operation = add(both());
        assertThat(kept(operation).path("sheet").path("people").path(1).path("carries"))
                .isEmpty();
        HttpResponse<String> variant = who.post(
                "/api/lists/" + list + "/variants",
                "{\"name\":\"Variant " + mark + "\",\"carriers\":{\"carriers\":[],\"parties\":[" + cleo
                        + "],\"teams\":[]}}");
        assertThat(variant.statusCode()).as(variant.body()).isLessThan(300);
        JsonNode sheet = kept(operation).path("sheet");
        assertThat(sheet.path("people").path(1).path("carries").path(0).asString())
                .isEqualTo("Op " + mark);
        assertThat(troubles(sheet)).doesNotContain("alone 1", "deaf 1").contains("may-not-talk 1");
    }

    @Test
    void whatIsTriedIsNotKept() {
        int before = Browserless.json(who.get("/api/groups/" + who.group() + "/operations"))
                .size();
        assertThat(who.post("/api/groups/" + who.group() + "/operations/sheet", both())
                        .statusCode())
                .isEqualTo(200);
        assertThat(Browserless.json(who.get("/api/groups/" + who.group() + "/operations")))
                .hasSize(before);
    }

    @Test
    void anEntryThatIsGoneIsTold() {
        long operation = add(both());
        JsonNode slip =
                Browserless.json(who.get("/api/lists/" + list)).path("slips").path(0);
        HttpResponse<String> removed = who.post(
                "/api/lists/" + list + "/changes",
                "{\"version\":1,\"label\":\"x\",\"changes\":[{\"kind\":\"remove\",\"entry\":" + slip.path("id")
                        + ",\"before\":" + slip.path("fields") + ",\"after\":{}}]}");
        assertThat(removed.statusCode()).as(removed.body()).isEqualTo(200);
        assertThat(troubles(kept(operation).path("sheet"))).contains("gone 0");
    }

    @Test
    void twoWhoChangeItAtOnceAreToldAndACopyMovesItsHours() {
        long operation = add(form(watch(ada, 0, 1, "2027-03-13T08:00", "2027-03-13T12:30"), ""));
        String change = "{\"version\":1,\"form\":" + both() + "}";
        assertThat(who.put("/api/operations/" + operation, change).statusCode()).isEqualTo(204);
        HttpResponse<String> late = who.put("/api/operations/" + operation, change);
        assertThat(late.statusCode()).isEqualTo(409);
        assertThat(Browserless.json(late).path("detail").asString()).contains("Nothing was saved");
        assertThat(who.delete("/api/operations/" + operation + "?version=1").statusCode())
                .isEqualTo(409);

        long first = add(form(watch(ada, 0, 1, "2027-03-13T08:00", null), "").replace("High water", "First"));
        HttpResponse<String> copied = who.post(
                "/api/operations/" + first + "/copy", "{\"name\":\"Next " + mark + "\",\"from\":\"2027-03-20T06:00\"}");
        JsonNode next = kept(Browserless.json(copied).path("id").asLong()).path("form");
        assertThat(next.path("from").asString()).startsWith("2027-03-20T06:00");
        assertThat(next.path("until").asString()).startsWith("2027-03-20T18:00");
        assertThat(next.path("watches").path(0).path("from").asString()).startsWith("2027-03-20T07:00");
        assertThat(next.path("watches").path(0).path("until").isNull()).isTrue();
        assertThat(who.delete("/api/operations/" + first + "?version=1").statusCode())
                .isEqualTo(204);
        assertThat(who.get("/api/operations/" + first).statusCode()).isEqualTo(404);
    }

    @Test
    void aCopyDoesNotTakeANameThatIsThere() {
        long operation = add(both());
        HttpResponse<String> copied = who.post(
                "/api/operations/" + operation + "/copy",
                "{\"name\":\"high WATER " + mark + "\",\"from\":\"2027-03-20T06:00\"}");
        assertThat(copied.statusCode()).isEqualTo(422);
        assertThat(copied.body()).contains("There is already an operation");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"until\":\"2027-03-13T19:00\" | \"until\":\"2027-03-13T07:00\" | ends before it begins",
                "\"until\":\"2027-03-13T19:00\" | \"until\":\"2027-12-13T19:00\" | up to 60 days",
                "\"from\":null | \"from\":\"2027-03-13T06:00\" | Row 1: its hours are outside",
                "\"until\":null | \"until\":\"2027-03-13T07:00\" | Row 1: it ends before it begins",
                "\"team\":null | \"team\":\"Both\" | Row 1: choose a team or a person",
                "\"lists\":[ | \"lists\":[1, | not there, or not yours",
            })
    void whatCannotBeIsRefusedWithItsPlace(String part, String instead, String told) {
        HttpResponse<String> answer = who.post(
                "/api/groups/" + who.group() + "/operations",
                both().replaceFirst(
                                java.util.regex.Pattern.quote(part),
                                java.util.regex.Matcher.quoteReplacement(instead)));
        assertThat(answer.statusCode()).as(answer.body()).isBetween(400, 422);
        assertThat(answer.body()).contains(told);
    }

    /** A list of another group is not seen through an operation, neither when it is kept nor when it is tried. */
    @Test
    void nothingOfAnotherGroupIsSeenThroughAnOperation() {
        Browserless valley = Browserless.signedIn(server.address(), "coordinator");
        HttpResponse<String> kept = valley.post("/api/groups/" + valley.group() + "/operations", both());
        assertThat(kept.statusCode()).isEqualTo(404);
        HttpResponse<String> tried = valley.post("/api/groups/" + valley.group() + "/operations/sheet", both());
        assertThat(tried.body())
                .doesNotContain("RIDGE")
                .doesNotContain("Op " + mark)
                .doesNotContain("Cleo");
        long operation = add(both());
        assertThat(valley.get("/api/operations/" + operation).statusCode()).isEqualTo(404);
        assertThat(valley.get("/api/operations/" + operation + "/sheet.pdf").statusCode())
                .isEqualTo(404);
        // Somebody who is in both groups does not carry a list of one into an operation of the other.
        HttpResponse<String> foreign = who.post(
                "/api/groups/" + who.group() + "/operations", both().replace("\"lists\":[" + list, "\"lists\":[1"));
        assertThat(foreign.statusCode()).isBetween(400, 422);
    }

    @Test
    void aListThatFollowsAnotherIsNotChosen() {
        JsonNode variant = Browserless.json(who.post(
                "/api/lists/" + list + "/variants",
                "{\"name\":\"Variant " + mark + "\",\"carriers\":{\"carriers\":[],\"parties\":[" + ada
                        + "],\"teams\":[]}}"));
        HttpResponse<String> answer = who.post(
                "/api/groups/" + who.group() + "/operations",
                form("", "").replace("\"lists\":[" + list, "\"lists\":[" + variant.path("id")));
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(422);
        assertThat(answer.body()).contains("choose the one that it follows");
    }

    @Test
    void whoReachesWhomIsOfAllItsListsAndSaysWhy() {
        long operation = add(both());
        JsonNode reach = Browserless.json(who.get("/api/operations/" + operation + "/reach"));
        assertThat(reach.path("list").isNull()).isTrue();
        assertThat(reach.path("entries").path(0).path("list").asLong()).isEqualTo(list);
        assertThat(reach.path("links")).hasSize(2);
        assertThat(who.get("/api/operations/" + operation + "/reach/gap?from=0&to=1")
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    void thePlanForTheWallSaysWhoIsOnWhatAndWhatIsNotSettled() throws IOException {
        long operation = add(form(
                watch(ada, 0, 1, "2027-03-13T08:00", "2027-03-13T12:30") + "," + watch(cleo, 1, null, null, null),
                pair(ada, cleo)));
        String text;
        try (PDDocument document = Loader.loadPDF(who.bytes("/api/operations/" + operation + "/sheet.pdf?paper=a4")
                .body())) {
            text = new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
            assertThat(document.getNumberOfPages()).isEqualTo(1);
        }
        assertThat(text)
                .contains("High water " + mark, "Sat 13 Mar, 07:00 to 19:00, Weir house", "Watch the gauges.")
                .contains("Ada " + mark, "08:00 to 12:30", "throughout")
                .contains("1 RIDGE: 146.940, talks on 146.340, 100.0", "2 LEVEE: 146.550")
                .contains("Ada " + mark + " and Cleo " + mark)
                .contains("Does not work", "Nobody on it may talk on 2 LEVEE.", "version 1");
    }

    @Test
    void thereAreNoCardsOfWhatHasNotGoneOut() {
        HttpResponse<String> cards = who.get("/api/operations/" + add(both()) + "/cards.pdf");
        assertThat(cards.statusCode()).isEqualTo(422);
        assertThat(cards.body()).contains("nobody of the operation carries a list of it that has gone out");
        Browserless valley = Browserless.signedIn(server.address(), "coordinator");
        long demo = Browserless.json(valley.get("/api/groups/" + valley.group() + "/operations"))
                .valueStream()
                .filter(each -> each.path("name").asString().equals("Spring high water"))
                .findFirst()
                .orElseThrow()
                .path("id")
                .asLong();
        assertThat(valley.bytes("/api/operations/" + demo + "/cards.pdf").statusCode())
                .isEqualTo(200);
    }

    /** The demo's own: one team that nobody reaches, one that hears and cannot answer, one person on two watches. */
    @Test
    void theDemosOperationShowsWhatItIsFor() {
        Browserless valley = Browserless.signedIn(server.address(), "coordinator");
        JsonNode head = Browserless.json(valley.get("/api/groups/" + valley.group() + "/operations"))
                .path(0);
        JsonNode troubles = Browserless.json(
                        valley.get("/api/operations/" + head.path("id").asLong()))
                .path("sheet")
                .path("troubles");
        Map<String, String> told = Map.of(
                "Shelters", "and nobody else reaches it",
                "Households", "it hears others and cannot answer",
                "Hanne Oxbow", "at once, on different entries");
        told.forEach((subject, words) -> assertThat(troubles.valueStream())
                .anyMatch(each -> each.path("subject").asString().equals(subject)
                        && each.path("message").asString().contains(words)));
    }
}
