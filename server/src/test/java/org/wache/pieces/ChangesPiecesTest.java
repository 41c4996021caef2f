package org.wache.pieces;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.Route;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Changes of a list, their clashes, and what is typed and not saved yet: nothing is ever written over unseen. */
class ChangesPiecesTest extends InPieces {

    private static final String SLIP =
            """
            {"id": 7, "fields": {"name": "Ridge", "rxMhz": "146.940", "txMhz": "146.340", "powerW": "5"}}""";
    private static final String CLASH =
            """
            {"step": {"label": "raster", "changes": [
               {"kind": "edit", "entry": 7, "behind": null, "before": {"rxMhz": "146.94", "note": ""}, "after": {"rxMhz": "146.955", "note": "mine"}},
               {"kind": "edit", "entry": 8, "behind": null, "before": {"rxMhz": "147.0"}, "after": {"rxMhz": "147.015"}},
               {"kind": "remove", "entry": 9, "behind": null, "before": {}, "after": {}},
               {"kind": "edit", "entry": 10, "behind": null, "before": {"mode": "FM"}, "after": {"mode": "NFM"}}]},
             "conflict": {"title": "Somebody else", "detail": "", "conflicts": [
               {"entry": 7, "name": "Ridge", "theirs": {"rxMhz": "146.970"}, "mine": {"rxMhz": "146.955"}},
               {"entry": 8, "name": "Levee", "theirs": {"rxMhz": "147.030"}, "mine": {"rxMhz": "147.015"}}]}}""";

    @Test
    void anEditSaysWhatStoodThere() {
        JsonNode change = ask("changes.edit", SLIP, "{\"powerW\": \"2\", \"note\": \"low\"}");
        assertThat(change.get("before")).isEqualTo(json("{\"powerW\": \"5\", \"note\": \"\"}"));
        assertThat(change.get("after")).isEqualTo(json("{\"powerW\": \"2\", \"note\": \"low\"}"));
        assertThat(change.get("entry").asInt()).isEqualTo(7);
    }

    @Test
    void whereTheirsStayOnlyWhatMetNothingIsSaved() {
        JsonNode left = ask("changes.settled", CLASH, "{\"set\": []}");
        assertThat(left.size()).as("entry 8 had nothing else to save").isEqualTo(3);
        assertThat(left.get(0).get("after")).isEqualTo(json("{\"note\": \"mine\"}"));
        assertThat(left.get(0).get("before")).isEqualTo(json("{\"note\": \"\"}"));
        assertThat(left.get(1).get("kind").asString()).isEqualTo("remove");
        assertThat(left.get(2).get("entry").asInt()).isEqualTo(10);
    }

    @Test
    void whereMineIsKeptItGoesOverTheirsAndSaysSo() {
        JsonNode left = ask("changes.settled", CLASH, "{\"set\": [8]}");
        assertThat(left.size()).isEqualTo(4);
        assertThat(left.get(0).get("after").has("rxMhz")).as("7 stays theirs").isFalse();
        assertThat(left.get(1).get("before")).isEqualTo(json("{\"rxMhz\": \"147.030\"}"));
        assertThat(left.get(1).get("after")).isEqualTo(json("{\"rxMhz\": \"147.015\"}"));
    }

    @Test
    void aListTakesInWhatTheServerNamedAndItsOrder() {
        JsonNode list = ask(
                "changes.takenIn",
                """
                {"name": "River", "version": 3, "counts": {}, "slips": [{"id": 1, "verdict": "hold"}, {"id": 2, "verdict": "clear"}]}""",
                """
                {"version": 4, "counts": {"hold": 0}, "order": [3, 1], "slips": [{"id": 1, "verdict": "clear"}, {"id": 3, "verdict": "query"}], "added": [3]}""");
        assertThat(list)
                .isEqualTo(
                        json(
                                """
                {"name": "River", "version": 4, "counts": {"hold": 0}, "slips": [{"id": 3, "verdict": "query"}, {"id": 1, "verdict": "clear"}]}"""));
    }

    private final List<String> sent = new ArrayList<>();

    /** What the server says to the next requests, one after the other. */
    private void answers(String... bodies) {
        List<String> left = new ArrayList<>(List.of(bodies));
        page.route(ADDRESS + "api/**", route -> {
            sent.add(route.request().method() + " "
                    + route.request().url().substring(ADDRESS.length()) + " "
                    + route.request().postData());
            String body = left.remove(0);
            int status = Integer.parseInt(body.substring(0, 3));
            route.fulfill(new Route.FulfillOptions()
                    .setStatus(status)
                    .setContentType("application/json")
                    .setBody(body.substring(4)));
        });
    }

    private void holdList() {
        hold("changes", "7");
        page.evaluate("() => queries.setQueryData(['list', 7], { version: 3 })");
    }

    private static final String STEP =
            "{label: '2 W', changes: [{kind: 'edit', entry: 7, behind: null, before: {powerW: '5'}, after: {powerW: '2'}}]}";

    @Test
    void aChangeIsSentAgainstTheVersionThatIsSeen() {
        holdList();
        answers("200 {\"version\": 4, \"added\": []}");
        assertThat(held("it.act(" + STEP + ")").get("version").asInt()).isEqualTo(4);
        assertThat(sent)
                .singleElement()
                .asString()
                .startsWith("POST api/lists/7/changes ")
                .contains("\"version\":3");
        assertThat(held("it.problem").isNull()).isTrue();
        assertThat(held("it.busy").asBoolean()).isFalse();
    }

    @Test
    void aClashIsShownAndNothingIsSavedUntilItIsSettled() {
        holdList();
        answers(
                """
                409 {"title": "Ada changed it", "detail": "", "conflicts": [{"entry": 7, "name": "Ridge", "theirs": {"powerW": "1"}, "mine": {"powerW": "2"}}]}""",
                "200 {\"version\": 6, \"added\": []}");
        assertThat(held("it.act(" + STEP + ")").isNull()).isTrue();
        page.waitForFunction("() => held().clash !== undefined");
        assertThat(held("it.clash.conflict.title").asString()).isEqualTo("Ada changed it");
        page.evaluate("() => queries.setQueryData(['list', 7], { version: 5 })");
        assertThat(held("it.settle(new Set([7]))").get("label").asString()).isEqualTo("2 W");
        assertThat(sent.get(1)).contains("\"version\":5").contains("\"before\":{\"powerW\":\"1\"}");
        page.waitForFunction("() => held().clash === undefined");
    }

    @Test
    void theirsKeptAskNothingOfTheServer() {
        holdList();
        answers(
                """
                409 {"title": "Ada changed it", "detail": "", "conflicts": [{"entry": 7, "name": "Ridge", "theirs": {"powerW": "1"}, "mine": {"powerW": "2"}}]}""");
        held("it.act(" + STEP + ")");
        page.waitForFunction("() => held().clash !== undefined");
        assertThat(held("it.settle(new Set())").isNull()).isTrue();
        assertThat(sent).hasSize(1);
    }

    @Test
    void aRefusalIsToldInTheServersWords() {
        holdList();
        answers("422 {\"detail\": \"Entry 4: the power should be a number.\"}", "200 {\"version\": 4}");
        assertThat(held("it.act(" + STEP + ")").isNull()).isTrue();
        page.waitForFunction("() => held().problem === 'Entry 4: the power should be a number.'");
        held("it.act(" + STEP + ")");
        page.waitForFunction("() => held().problem === undefined"); // what is saved takes the words away
    }

    @Test
    void theWayBackNamesItsVersionAndSaysWhenItIsClosed() {
        holdList();
        answers("200 {}", "409 {\"detail\": \"Ada changed Ridge since.\"}");
        assertThat(held("it.back(false, 4)").asBoolean()).isTrue();
        assertThat(sent.get(0)).endsWith("{\"again\":false,\"version\":4}");
        assertThat(held("it.back(true, null)").asBoolean()).isFalse();
        assertThat(sent.get(1)).endsWith("{\"again\":true,\"version\":null}");
        page.waitForFunction("() => held().problem === 'Ada changed Ridge since.'");
    }

    @Test
    void withoutAnAnswerWhatIsTypedIsSaidToBeThere() {
        holdList();
        page.route(ADDRESS + "api/**", Route::abort);
        assertThat(held("it.act(" + STEP + ")").isNull()).isTrue();
        page.waitForFunction(
                "() => held().problem?.startsWith('The server does not answer. What you typed is still here')");
    }

    /** The first answer was under way when something was changed: it may be from before, and another is asked for. */
    @Test
    void aFirstAnswerFromBeforeAChangeDoesNotStay() {
        List<Route> asked = new ArrayList<>();
        page.route(ADDRESS + "api/**", asked::add);
        hold("question", "1");
        page.waitForCondition(() -> asked.size() == 1);
        page.evaluate("() => held().changed()");
        page.waitForCondition(() -> asked.size() == 2);
        asked.get(1).fulfill(answer("{\"now\": \"after\"}"));
        page.waitForFunction("() => held().answer?.now === 'after'");
        try {
            asked.get(0).fulfill(answer("{\"now\": \"before\"}"));
        } catch (PlaywrightException calledOff) {
            return; // the page does not even wait for it
        }
        assertThat(held("it.answer.now").asString()).isEqualTo("after");
    }

    /** The page was left before the new answer was there: whoever comes back does not see the old one. */
    @ParameterizedTest
    @ValueSource(strings = {"changed", "othersChanged"})
    void whatWasLeftBehindIsNotShownAgain(String change) {
        List<Route> asked = new ArrayList<>();
        page.route(ADDRESS + "api/**", asked::add);
        hold("question", "1");
        page.waitForCondition(() -> asked.size() == 1);
        asked.get(0).fulfill(answer("{\"now\": \"before\"}"));
        page.waitForFunction("() => held().answer?.now === 'before'");
        page.evaluate("change => held()[change]()", change);
        page.evaluate("() => held().ask(2)");
        page.waitForFunction("() => held().answer === undefined");
        page.waitForTimeout(50);
        page.evaluate("() => held().ask(1)");
        page.waitForTimeout(50);
        assertThat(held("it.answer").isNull()).isTrue();
        Route last = asked.get(asked.size() - 1);
        assertThat(last.request().url()).contains("/groups/1/");
        last.fulfill(answer("{\"now\": \"after\"}"));
        page.waitForFunction("() => held().answer?.now === 'after'");
    }

    private static Route.FulfillOptions answer(String body) {
        return new Route.FulfillOptions().setContentType("application/json").setBody(body);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/api/lists/3/entries/4/trial",
                "/api/lists/3/bench-plan",
                "/api/lists/3/presence",
                "/api/models/3/practice",
                "/api/session",
                "/api/lists/3/understood",
                "/api/lists/3/proposals/tones"
            })
    void whatOnlyAsksChangesNothing(String path) {
        assertThat(ask("fresh.changes", "\"POST\"", "\"" + path + "\"").asBoolean())
                .isFalse();
    }

    @ParameterizedTest
    @CsvSource({
        "POST, /api/lists/3/changes",
        "PUT, /api/parties/3",
        "DELETE, /api/waivers/3",
        "POST, /api/groups/1/intakes",
        "POST, /api/lists/3/undo"
    })
    void whatIsWrittenIsAChange(String method, String path) {
        assertThat(ask("fresh.changes", "\"" + method + "\"", "\"" + path + "\"")
                        .asBoolean())
                .isTrue();
        assertThat(ask("fresh.changes", "\"GET\"", "\"" + path + "\"").asBoolean())
                .isFalse();
    }

    @Test
    void anAdditionToARulebookSettlesNothing() {
        assertThat(ask("fresh.altersRulebooks", "\"/api/installation/rulebook-additions\"")
                        .asBoolean())
                .isTrue();
        assertThat(ask("fresh.altersRulebooks", "\"/api/installation/rulebook-additions/3/taken\"")
                        .asBoolean())
                .isTrue();
        assertThat(ask("fresh.altersRulebooks", "\"/api/lists/3/changes\"").asBoolean())
                .isFalse();
    }

    @Test
    void whatIsTypedStaysUntilItIsSaved() {
        hold("drafts", "3");
        held("it.type(" + SLIP + ", {powerW: '2', note: 'low'})");
        page.waitForFunction("() => held().open.length === 1");
        assertThat(held("it.texts(7)")).isEqualTo(json("{\"powerW\": \"2\", \"note\": \"low\"}"));
        assertThat(held("it.change(7)").get("before")).isEqualTo(json("{\"powerW\": \"5\", \"note\": \"\"}"));
        held("it.type(" + SLIP + ", {powerW: '1'})");
        page.waitForFunction("() => held().texts(7).powerW === '1'");
        held("it.saved(7, {powerW: '2', note: 'low'})");
        page.waitForFunction("() => held().texts(7).note === undefined");
        assertThat(held("it.texts(7)"))
                .as("typed while the other was being saved")
                .isEqualTo(json("{\"powerW\": \"1\"}"));
        held("it.drop(7)");
        page.waitForFunction("() => held().open.length === 0");
        assertThat(held("it.change(7)").isNull()).isTrue();
    }

    @Test
    void whatIsTypedBackIsNothing() {
        hold("drafts", "3");
        held("it.type(" + SLIP + ", {powerW: '2'})");
        page.waitForFunction("() => held().open.length === 1");
        held("it.type(" + SLIP + ", {powerW: '5'})");
        page.waitForFunction("() => held().open.length === 0");
    }

    @Test
    void anotherPageOrALoadLosesNothingAndListsAreKeptApart() {
        hold("drafts", "3");
        held("it.type(" + SLIP + ", {powerW: '2'})");
        page.waitForFunction("() => sessionStorage.getItem('wache-typed-3') !== null");
        hold("drafts", "4");
        assertThat(held("it.open").size()).isZero();
        hold("drafts", "3");
        assertThat(held("it.texts(7)")).isEqualTo(json("{\"powerW\": \"2\"}"));
    }

    @Test
    void whatOthersSavedMeanwhileIsNotTakenForWhatStoodThere() {
        hold("drafts", "3");
        held("it.type(" + SLIP + ", {powerW: '2'})");
        page.waitForFunction("() => held().open.length === 1");
        held("it.type({id: 7, fields: {powerW: '1'}}, {powerW: '3'})");
        page.waitForFunction("() => held().texts(7).powerW === '3'");
        assertThat(held("it.change(7).before.powerW").asString())
                .as("so that the server sees the clash")
                .isEqualTo("5");
    }
}
