package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/**
 * No radio talks in a hand that may not: before it is written, when it is handed out, after a change of the roster, and when a licence ends.
 * Law: 47 CFR 97.301 (amateur privileges), 97.7 (a licensed control operator), 95.1705 (GMRS).
 */
@ExtendWith(RunningServer.class)
class HandsTest {

    private static final String FAR = "2031-01-01";

    private final Browserless who;
    private final Fleets fleets;
    private final JdbcClient jdbc;

    HandsTest(RunningServer server) {
        this.who = Browserless.signedIn(server.address(), "coordinator");
        this.fleets = new Fleets(who);
        this.jdbc = server.bean(JdbcClient.class);
    }

    private static String person(String name, String licences) {
        return "{\"kind\":\"person\",\"name\":\"" + name + "\",\"note\":\"\",\"teams\":[],\"licences\":[" + licences
                + "]}";
    }

    private long added(String name, String licences) {
        HttpResponse<String> made = who.post("/api/groups/" + who.group() + "/parties", person(name, licences));
        assertThat(made.statusCode()).as(made.body()).isEqualTo(201);
        return Browserless.json(made).path("id").asLong();
    }

    private static String technician(String expires) {
        return RosterTest.licence("amateur", "technician", "KE9QRB", expires);
    }

    private HttpResponse<String> handOut(long unit, long party, boolean knowing) {
        return who.post(
                "/api/units/" + unit + "/hand-out",
                "{\"party\":" + party + ",\"note\":\"\",\"knowing\":" + knowing + "}");
    }

    private long inHand(String person, String licences) {
        long unit = fleets.herons(1).get(0);
        HttpResponse<String> out = handOut(unit, added(person, licences), true);
        assertThat(out.statusCode()).as(out.body()).isEqualTo(204);
        return unit;
    }

    private JsonNode loaded(long list, Map<String, Object> order) {
        JsonNode plan = fleets.planOf(list, List.of(order));
        HttpResponse<String> started = fleets.startOf(list, plan.path("release").asLong(), List.of(order));
        assertThat(started.statusCode()).as(started.body()).isEqualTo(201);
        JsonNode job =
                fleets.ended(Browserless.json(started).path("id").asLong()).path(0);
        assertThat(job.path("state").asString()).as(job.toString()).isEqualTo("good");
        return Browserless.json(who.get("/api/jobs/" + job.path("id").asLong()));
    }

    private JsonNode prospect(long unit, long party) {
        return Browserless.json(who.get("/api/units/" + unit + "/hand-out?party=" + party));
    }

    private String todos() {
        return Browserless.json(who.get("/api/groups/" + who.group() + "/home"))
                .path("todo")
                .toString();
    }

    @Test
    void beforeWritingTheBenchAsksWhatWhoeverHasTheRadioMayKey() {
        long list = fleets.released("Hands one", Fleets.LIST);
        long unit = inHand("Nobody's licence", "");
        JsonNode plan = fleets.plan(list, List.of(unit)).path("units").path(0);
        assertThat(plan.path("person").asString()).isEqualTo("Nobody's licence");
        assertThat(plan.path("open").asBoolean()).isTrue();
        assertThat(plan.path("notTheirs"))
                .extracting(each -> each.path("name").asString())
                .containsExactly("RIDGE", "LEVEE", "GAUGE");
        assertThat(plan.path("notTheirs").path(0).path("reason").asString()).isNotBlank();
        HttpResponse<String> undecided = fleets.start(
                list, fleets.plan(list, List.of(unit)).path("release").asLong(), List.of(unit));
        assertThat(undecided.statusCode()).isEqualTo(422);
        assertThat(undecided.body())
                .contains("Nobody's licence")
                .contains("1 RIDGE, 2 LEVEE, 4 GAUGE")
                .contains("Decide first");
        JsonNode report = loaded(list, Map.of("unit", unit, "choice", "listen"));
        assertThat(report.path("presses")).noneMatch(each -> each.path("keyed").asBoolean());
        assertThat(report.path("job").path("entries").asInt()).isEqualTo(4);
        assertThat(fleets.view(unit).path("notTheirs")).isEmpty();
        assertThat(fleets.view(unit).path("load").path("whom").asString()).isEqualTo("Nobody's licence");
        String log = who.get("/api/groups/" + who.group() + "/log").body();
        assertThat(log).contains("for Nobody's licence; what they may not key, 1, 2, 4, only listens");
    }

    @Test
    void whatTheyMayNotKeyCanStayOutAsWell() {
        long list = fleets.released("Hands two", Fleets.LIST);
        long unit = inHand("Without one", "");
        JsonNode report = loaded(list, Map.of("unit", unit, "choice", "leave-out"));
        assertThat(report.path("job").path("entries").asInt()).isEqualTo(1);
        assertThat(report.path("leftOut"))
                .extracting(each -> each.path("name").asString())
                .containsExactly("RIDGE", "LEVEE", "GAUGE");
    }

    @Test
    void whoMayKeyAllOfItNeedsNoDecision() {
        long list = fleets.released("Hands three", Fleets.LIST);
        long unit = inHand("Technician one", technician(FAR));
        JsonNode plan = fleets.plan(list, List.of(unit)).path("units").path(0);
        assertThat(plan.path("open").asBoolean()).isFalse();
        assertThat(plan.path("talks").asInt()).isEqualTo(3);
        assertThat(plan.path("listens").asInt()).isEqualTo(1);
    }

    @Test
    void aVariantThatFitsIsOfferedAndWhatSomebodyCarriesIsTaken() {
        long list = fleets.list("Hands four", Fleets.LIST);
        long carrier = added("Carries the variant", "");
        HttpResponse<String> made = who.post(
                "/api/lists/" + list + "/variants",
                "{\"name\":\"Hands four, listening\",\"carriers\":{\"carriers\":[],\"parties\":[" + carrier
                        + "],\"teams\":[]}}");
        assertThat(made.statusCode()).as(made.body()).isEqualTo(201);
        fleets.release(list, "Heron H2");
        long theirs = fleets.herons(1).get(0);
        assertThat(handOut(theirs, carrier, true).statusCode()).isEqualTo(204);
        JsonNode carried = fleets.plan(list, List.of(theirs)).path("units").path(0);
        assertThat(carried.path("part").asString()).isEqualTo("Hands four, listening");
        assertThat(carried.path("open").asBoolean()).isFalse();
        assertThat(carried.path("talks").asInt()).isZero();
        long other = inHand("Carries nothing", "");
        JsonNode plan = fleets.plan(list, List.of(other)).path("units").path(0);
        assertThat(plan.path("fits"))
                .extracting(each -> each.path("name").asString())
                .containsExactly("Hands four, listening");
        JsonNode report = loaded(list, Map.of("unit", other, "part", "Hands four, listening"));
        assertThat(report.path("presses")).noneMatch(each -> each.path("keyed").asBoolean());
        assertThat(fleets.view(other).path("load").path("name").asString()).isEqualTo("Hands four, listening");
    }

    @Test
    void aRadioOnTheShelfIsWrittenForNobodyAndHeldAgainstWhoeverItIsHandedTo() {
        long list = fleets.released("Hands five", Fleets.LIST);
        long unit = fleets.herons(1).get(0);
        loaded(list, Map.of("unit", unit));
        assertThat(fleets.view(unit).path("load").path("whom").isNull()).isTrue();
        long without = added("Hands out without", "");
        JsonNode refused = prospect(unit, without);
        assertThat(refused.path("notTheirs")).hasSize(3);
        assertThat(refused.path("refused").asString())
                .contains("Hands out without may not key")
                .contains("1 RIDGE");
        HttpResponse<String> no = handOut(unit, without, true);
        assertThat(no.statusCode()).as("knowing does not help").isEqualTo(422);
        assertThat(no.body()).contains("Write it for them on the bench first");
        long with = added("Hands out with", technician(FAR));
        assertThat(prospect(unit, with).path("talks").asInt()).isEqualTo(3);
        assertThat(handOut(unit, with, false).statusCode()).isEqualTo(204);
    }

    @Test
    void aRadioOnTheShelfCanBeWrittenForSomebody() {
        long list = fleets.released("Hands six", Fleets.LIST);
        long unit = fleets.herons(1).get(0);
        long without = added("Gets it later", "");
        assertThat(fleets.planOf(list, List.of(Map.of("unit", unit, "party", without)))
                        .path("units")
                        .path(0)
                        .path("open")
                        .asBoolean())
                .isTrue();
        loaded(list, Map.of("unit", unit, "party", without, "choice", "listen"));
        assertThat(handOut(unit, without, false).statusCode()).isEqualTo(204);
        assertThat(fleets.view(unit).path("notTheirs")).isEmpty();
    }

    @Test
    void ofWhatWasNotWrittenFromHereWhoeverHandsItOutHasToKnow() {
        long unit = fleets.herons(1).get(0);
        long party = added("Gets the unknown", technician(FAR));
        assertThat(prospect(unit, party).path("asks").asString()).contains("was not written from here");
        HttpResponse<String> no = handOut(unit, party, false);
        assertThat(no.statusCode()).isEqualTo(422);
        assertThat(no.body()).contains("say that you know");
        assertThat(handOut(unit, party, true).statusCode()).isEqualTo(204);
    }

    @Test
    void aChangeOfTheRosterIsHeldAgainstTheRadiosThatAreOut() {
        long list = fleets.released("Hands seven", Fleets.LIST);
        long party = added("Loses a licence", technician(FAR));
        long unit = fleets.herons(1).get(0);
        assertThat(handOut(unit, party, true).statusCode()).isEqualTo(204);
        loaded(list, Map.of("unit", unit));
        assertThat(fleets.view(unit).path("notTheirs")).isEmpty();
        HttpResponse<String> changed =
                who.put("/api/parties/" + party, "{\"version\":1,\"party\":" + person("Loses a licence", "") + "}");
        assertThat(changed.statusCode()).as(changed.body()).isEqualTo(200);
        assertThat(fleets.view(unit).path("notTheirs")).hasSize(3);
        assertThat(todos()).contains("is in the hands of Loses a licence, who may not key 3 entries that it talks on");
        HttpResponse<String> gone = who.send("DELETE", "/api/parties/" + party + "?version=2", null, null);
        assertThat(gone.statusCode()).isEqualTo(422);
        assertThat(gone.body()).contains("Take it back first");
    }

    @Test
    void soIsTheEndOfALicence() {
        long list = fleets.released("Hands eight", Fleets.LIST);
        long party = added("Licence ends", technician(FAR));
        long unit = fleets.herons(1).get(0);
        assertThat(handOut(unit, party, true).statusCode()).isEqualTo(204);
        loaded(list, Map.of("unit", unit));
        assertThat(who.put(
                                "/api/parties/" + party,
                                "{\"version\":1,\"party\":" + person("Licence ends", technician("2026-01-01")) + "}")
                        .statusCode())
                .isEqualTo(200);
        assertThat(fleets.view(unit).path("notTheirs").path(0).path("message").asString())
                .contains("ended on 1 Jan 2026");
    }

    @Test
    void whatWasLoadedBeforeItWasKeptOnWhatItTalksIsHeldInFull() {
        long list = fleets.released("Hands nine", Fleets.LIST);
        long unit = fleets.herons(1).get(0);
        loaded(list, Map.of("unit", unit));
        jdbc.sql("update unit_load set talks = null, listens = null where unit_id = :unit")
                .param("unit", unit)
                .update();
        assertThat(prospect(unit, added("After the old load", "")).path("notTheirs"))
                .hasSize(3);
    }

    @Test
    void aTransmitterThatIsNoLongerOffIsHeldAgainstWhoeverHasTheRadio() {
        long list = fleets.released("Hands ten", Fleets.LIST);
        long unit = fleets.unit("Heron H2", "Amateur", true);
        long child = added("A child", "");
        loaded(list, Map.of("unit", unit, "party", child));
        assertThat(handOut(unit, child, false).statusCode()).isEqualTo(204);
        assertThat(fleets.view(unit).path("notTheirs")).isEmpty();
        JsonNode now = fleets.view(unit);
        String on = Fleets.draft(
                now.path("model").asLong(),
                now.path("serial").asString(),
                now.path("label").asString(),
                "Amateur",
                false);
        assertThat(who.put(
                                "/api/units/" + unit,
                                "{\"version\":" + now.path("version").asInt() + ",\"unit\":" + on + "}")
                        .statusCode())
                .isEqualTo(204);
        assertThat(fleets.view(unit).path("notTheirs")).hasSize(3);
    }

    @Test
    void aRadioInOneHandIsForNobodyElseAndALicenceOfAnotherGroupIsNone() {
        long list = fleets.released("Hands eleven", Fleets.LIST);
        long unit = inHand("Has it", "");
        long extra = added("Would have it", RosterTest.licence("amateur", "extra", "KE9QRC", FAR));
        HttpResponse<String> other = who.post(
                "/api/lists/" + list + "/bench-plan", "{\"units\":[{\"unit\":" + unit + ",\"party\":" + extra + "}]}");
        assertThat(other.statusCode()).isEqualTo(422);
        assertThat(other.body()).contains("in the hands of Has it");
        long shelf = fleets.herons(1).get(0);
        long elsewhere = jdbc.sql(
                        "insert into party (club_id, kind, name, note, teams, licences) select id, 'person', 'Elsewhere', '', '{}', '[]' from club where name like 'Marsh End%' returning id")
                .query(Long.class)
                .single();
        try {
            assertThat(who.post(
                                    "/api/lists/" + list + "/bench-plan",
                                    "{\"units\":[{\"unit\":" + shelf + ",\"party\":" + elsewhere + "}]}")
                            .statusCode())
                    .isEqualTo(422);
            assertThat(who.get("/api/units/" + shelf + "/hand-out?party=" + elsewhere)
                            .statusCode())
                    .isEqualTo(404);
            assertThat(handOut(shelf, elsewhere, true).statusCode()).isEqualTo(404);
        } finally {
            jdbc.sql("delete from party where id = :id").param("id", elsewhere).update();
        }
        HttpResponse<String> none = who.post(
                "/api/lists/" + list + "/bench-plan",
                "{\"units\":[{\"unit\":" + shelf + ",\"part\":\"No such part\"}]}");
        assertThat(none.statusCode()).isEqualTo(422);
    }

    @Test
    void aRadioThatCannotListenOnSingleEntriesIsNotAskedTo() {
        long list = fleets.released("Hands twelve", Fleets.LIST);
        String model = "Robin R" + System.nanoTime();
        assertThat(who.post(
                                "/api/groups/" + who.group() + "/models",
                                "{\"body\":{\"format\":\"wache-radio/1\",\"model\":\"" + model
                                        + "\",\"transmitInhibit\":[\"radio\"],\"channels\":20}}")
                        .statusCode())
                .isEqualTo(201);
        long unit = fleets.unit(model, "", false);
        long party = added("Has a Robin", "");
        JsonNode plan = fleets.planOf(list, List.of(Map.of("unit", unit, "party", party, "choice", "listen")))
                .path("units")
                .path(0);
        assertThat(plan.path("notTheirs")).hasSize(3);
        assertThat(plan.path("cannotListen").asString()).contains("cannot be kept from talking");
        assertThat(plan.path("open").asBoolean()).isTrue();
    }

    @Test
    void theCardBeginsWithWhatIsInTheirOwnRadio() {
        long list = fleets.released("Hands thirteen", Fleets.LIST);
        JsonNode people = Browserless.json(who.get("/api/groups/" + who.group() + "/roster"))
                .path("parties");
        long rosa = people.valueStream()
                .filter(each -> each.path("name").asString().equals("Rosa Quill"))
                .findFirst()
                .orElseThrow()
                .path("id")
                .asLong();
        long unit = fleets.herons(1).get(0);
        loaded(list, Map.of("unit", unit, "party", rosa));
        assertThat(handOut(unit, rosa, false).statusCode()).isEqualTo(204);
        JsonNode card = Browserless.json(
                Browserless.signedIn(who.address(), "member").get("/api/groups/" + who.group() + "/card"));
        JsonNode mine = card.path("radios")
                .valueStream()
                .filter(each -> each.path("list").path("name").asString().equals("Hands thirteen"))
                .findFirst()
                .orElseThrow();
        assertThat(mine.path("list").path("entries"))
                .extracting(each ->
                        each.path("name").asString() + " " + each.path("talks").asBoolean())
                .containsExactly("RIDGE true", "LEVEE true", "WX false", "GAUGE true");
    }

    @Test
    void theBenchOffersOnlyWhatWasReleased() {
        long list = fleets.list("Hands, not released", Fleets.LIST);
        long released = fleets.released("Hands, released", Fleets.LIST);
        JsonNode lists = Browserless.json(who.get("/api/groups/" + who.group() + "/bench-lists"));
        assertThat(lists)
                .extracting(each -> each.path("list").asLong())
                .contains(released)
                .doesNotContain(list);
    }
}
