package org.wache.pieces;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** An operation as it is filled in: hours on a line, who is on it, who must talk to whom. */
class OperationPiecesTest extends InPieces {

    private static String watch(String who, String from, String until, String talk) {
        return """
                {"who": %s, "task": "", "from": %s, "until": %s, "talk": %s, "fallback": null, "instead": "", "also": [{"list": 2, "entry": 5}]}"""
                .formatted(who, from, until, talk);
    }

    private static String team(String name) {
        return "{\"team\": \"" + name + "\", \"party\": null}";
    }

    private static String form(String from, String until, String pairs, String... watches) {
        return """
                {"name": "High water", "purpose": "", "place": "", "from": "%s", "until": "%s", "lists": [1, 2], "watches": [%s], "mustTalk": [%s]}"""
                .formatted(from, until, String.join(",", watches), pairs);
    }

    private static String pair(String one, String other) {
        return "{\"one\": " + team(one) + ", \"other\": " + team(other) + "}";
    }

    private static final String DAY =
            form("2027-03-13T07:00:00", "2027-03-13T19:00:00", "", watch(team("A"), "null", "null", "null"));

    @ParameterizedTest
    @CsvSource({
        "null, null, 0, 1",
        "'\"2027-03-13T10:00\"', null, 0.25, 0.75",
        "'\"2027-03-13T10:00:00\"', '\"2027-03-13T13:00:00\"', 0.25, 0.25",
        "'\"2027-03-13T01:00\"', '\"2027-03-13T13:00\"', 0, 0.5",
    })
    void aWatchStandsOnTheLineWhereItsHoursAre(String from, String until, double start, double length) {
        JsonNode lane = ask("operation.lane", DAY, watch(team("A"), from, until, "null"));
        assertThat(lane.path("start").asDouble()).isEqualTo(start);
        assertThat(lane.path("length").asDouble()).isEqualTo(length);
    }

    /** Marks have room for their words; a day is written where it begins, and over the hours beside it. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2027-03-13T07:00 | 2027-03-13T19:00 | 07:00 08:00 09:00 10:00 11:00 12:00 13:00 14:00 15:00 16:00 17:00 18:00",
                "2027-03-13T07:00 | 2027-03-14T19:00 | 09:00 12:00 15:00 18:00 21:00 Sun 14 Mar 06:00 09:00 12:00 15:00",
                "2027-03-13T07:00 | 2027-03-18T19:00 | 12:00 Sun 14 Mar Mon 15 Mar Tue 16 Mar",
            })
    void theScaleHasRoomForItsWords(String from, String until, String words) {
        String said = String.join(
                " ",
                ask("operation.marks", form(from, until, ""))
                        .valueStream()
                        .map(mark -> mark.path("words").asString().replace(",", ""))
                        .filter(each -> !each.isEmpty())
                        .toList());
        assertThat(said).startsWith(words);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2027-03-13T07:00 | 2027-03-13T19:00 | Sat 13 Mar, 07:00 to 19:00",
                "2027-03-13T07:00:00 | 2027-03-14T06:30:00 | Sat 13 Mar, 07:00 to Sun 14 Mar, 06:30",
            })
    void hoursSayTheDayOnceWhereItIsOne(String from, String until, String words) {
        assertThat(ask("operation.hours", text(from), text(until))
                        .asString()
                        .replace("Sat, ", "Sat ")
                        .replace("Sun, ", "Sun "))
                .isEqualTo(words);
    }

    @Test
    void whoIsOnNoWatchAnyMoreMustTalkToNobody() {
        String form = form(
                "2027-03-13T07:00",
                "2027-03-13T19:00",
                pair("A", "B") + "," + pair("B", "C"),
                watch(team("A"), "null", "null", "null"),
                watch(team("B"), "null", "null", "null"),
                watch(team("C"), "null", "null", "null"));
        assertThat(ask("operation.withWatch", form, "0", "null").path("mustTalk"))
                .isEqualTo(json("[" + pair("B", "C") + "]"));
        // Who is put in somebody's place takes over whom they must talk to, and nobody must talk to themselves.
        assertThat(ask("operation.withWatch", form, "0", watch(team("D"), "null", "null", "null"))
                        .path("mustTalk"))
                .isEqualTo(json("[" + pair("D", "B") + "," + pair("B", "C") + "]"));
        assertThat(ask("operation.withWatch", form, "0", watch(team("B"), "null", "null", "null"))
                        .path("mustTalk"))
                .isEqualTo(json("[" + pair("B", "C") + "]"));
    }

    @Test
    void aPairIsTheSameEitherWayRound() {
        String form = form("2027-03-13T07:00", "2027-03-13T19:00", pair("A", "B"));
        assertThat(ask("operation.mustTalk", form, team("B"), team("A")).asBoolean())
                .isTrue();
        assertThat(ask("operation.withPair", form, team("B"), team("A"), "false")
                        .path("mustTalk"))
                .isEmpty();
        assertThat(ask("operation.withPair", form, team("B"), team("A"), "true").path("mustTalk"))
                .hasSize(1);
    }

    @Test
    void whatWasOnAListThatIsTakenOutIsOnNothing() {
        String form = form(
                "2027-03-13T07:00",
                "2027-03-13T19:00",
                "",
                watch(team("A"), "null", "null", "{\"list\": 1, \"entry\": 4}"));
        JsonNode without = ask("operation.withoutList", form, "1");
        assertThat(without.path("lists")).isEqualTo(json("[2]"));
        assertThat(without.path("watches").path(0).path("talk").isNull()).isTrue();
        assertThat(without.path("watches").path(0).path("also")).hasSize(1);
        assertThat(ask("operation.withoutList", form, "2")
                        .path("watches")
                        .path(0)
                        .path("also"))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "2027-03-13T07:00, 2027-03-13T19:00, null, ''",
        "2027-03-13T07:00, 2027-03-13T07:00, null, It ends before it begins.",
        "'', 2027-03-13T07:00, null, Say when it begins and when it ends.",
        "2027-03-13T07:00, 2027-03-13T19:00, '\"2027-03-13T19:00\"', Row 1 ends before it begins.",
    })
    void whatCannotBeIsSaidBeforeItIsSent(String from, String until, String starts, String problem) {
        JsonNode told = ask("operation.problemOf", form(from, until, "", watch(team("A"), starts, "null", "null")));
        assertThat(told.asString("")).isEqualTo(problem);
    }

    @ParameterizedTest
    @CsvSource({"2026-11-28, 2026-12-05", "2026-11-25, 2026-11-28", "2026-11-29, 2026-12-05"})
    void aNewOneStartsOnTheNextSaturday(String today, String day) {
        assertThat(ask("operation.usualHours", text(today)))
                .isEqualTo(json("{\"from\": \"" + day + "T07:00\", \"until\": \"" + day + "T19:00\"}"));
        assertThat(ask("operation.weekLater", text("2027-03-13T07:00:00")).asString())
                .isEqualTo("2027-03-20T07:00");
    }

    @Test
    void aChoiceIsReadBackAsItWasWritten() {
        for (String who : new String[] {team("party 7"), "{\"team\": null, \"party\": 12}"}) {
            String key = ask("operation.whoKey", who).asString();
            assertThat(ask("operation.whoOf", text(key))).isEqualTo(json(who));
        }
        assertThat(ask("operation.entryOf", text("3 14"))).isEqualTo(json("{\"list\": 3, \"entry\": 14}"));
        assertThat(ask("operation.entryOf", text("")).isNull()).isTrue();
    }

    private static String text(String words) {
        return "\"" + words + "\"";
    }
}
