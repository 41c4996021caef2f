package org.wache.pieces;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** What is asked for when a list is proposed, and what is taken of it. */
class DemandsPiecesTest extends InPieces {

    private static final String DRAFT =
            """
            {"on": "2027-03-02", "pairs": {"set": %s}, "services": {"set": ["gmrs"]}, "calling": true, "command": true, "repeaters": {"set": ["146.94"]}, "spare": "%s",
             "listen": "162.550, 155.1 ", "kept": {"CALL": "146.52"}, "without": ["146.55"]}""";
    private static final String LINE =
            """
            {"key": "%s", "fields": {"name": "TAC1", "rxMhz": "%s", "txMhz": "%s", "zone": "A"}, "teams": ["A"], "why": ""}""";

    @Test
    void fewTeamsAllTalkAndOfManyEachTalksToTheFirst() {
        assertThat(ask("demands.usualPairs", "[{\"name\":\"C\"},{\"name\":\"A\"},{\"name\":\"B\"}]"))
                .isEqualTo(json("[\"A\\u001fC\",\"B\\u001fC\",\"A\\u001fB\"]"));
        assertThat(ask(
                        "demands.usualPairs",
                        "[{\"name\":\"A\"},{\"name\":\"B\"},{\"name\":\"C\"},{\"name\":\"D\"},{\"name\":\"E\"}]"))
                .isEqualTo(json("[\"A\\u001fB\",\"A\\u001fC\",\"A\\u001fD\",\"A\\u001fE\"]"));
        assertThat(ask("demands.usualPairs", "[{\"name\":\"A\"}]")).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"2, 2", "-3, 0", "2.7, 2", "99, 50", "'', 0", "x, 0"})
    void whatIsFilledInIsAskedAsItIsMeant(String spare, int many) {
        JsonNode asked = ask("demands.asked", DRAFT.formatted("[\"A\\u001fB\"]", spare));
        assertThat(asked.path("spare").asInt()).isEqualTo(many);
        assertThat(asked.path("mustTalk")).isEqualTo(json("[{\"one\":\"A\",\"other\":\"B\"}]"));
        assertThat(asked.path("listen")).isEqualTo(json("[\"162.550\",\"155.1\"]"));
        assertThat(asked.path("kept")).isEqualTo(json("[{\"key\":\"CALL\",\"mhz\":\"146.52\"}]"));
        assertThat(asked.path("without")).isEqualTo(json("[\"146.55\"]"));
        assertThat(asked.path("on").asString()).isEqualTo("2027-03-02");
        assertThat(asked.path("repeaters")).isEqualTo(json("[\"146.94\"]"));
        assertThat(asked.path("command").asBoolean()).isTrue();
    }

    @Test
    void anEntryIsFixedLetGoOrRefused() {
        String draft = DRAFT.formatted("[]", "1");
        String line = LINE.formatted("TAC 1", "146.5", "146.5");
        assertThat(ask("demands.fixed", draft, line).path("kept"))
                .isEqualTo(json("{\"CALL\":\"146.52\",\"TAC 1\":\"146.5\"}"));
        String call = LINE.formatted("CALL", "146.52", "146.52");
        assertThat(ask("demands.fixed", draft, call).path("kept")).isEmpty();
        JsonNode refused = ask("demands.another", draft, call);
        assertThat(refused.path("kept")).isEmpty();
        assertThat(refused.path("without")).isEqualTo(json("[\"146.55\",\"146.52\"]"));
    }

    @Test
    void whatIsTakenGetsTheNextNumbers() {
        JsonNode added = ask(
                "demands.additions",
                "[" + LINE.formatted("CALL", "146.52", "146.52") + "," + LINE.formatted("TAC 1", "146.5", "146.5")
                        + "]",
                "41");
        assertThat(added.path(0).path("after").path("number").asString()).isEqualTo("41");
        assertThat(added.path(1).path("after").path("number").asString()).isEqualTo("42");
        assertThat(added.path(1).path("after").path("rxMhz").asString()).isEqualTo("146.5");
        assertThat(added.path(1).path("kind").asString()).isEqualTo("add");
    }
}
