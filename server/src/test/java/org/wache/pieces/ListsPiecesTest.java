package org.wache.pieces;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** The lists of a group: which are meant by what is looked for, in which order they stand, and what a copy is called. */
class ListsPiecesTest extends InPieces {

    private static String list(
            int id, String name, Integer parent, int hold, int query, String changed, String carrier) {
        return """
            {"id":%d,"name":"%s","parent":%s,"counts":{"hold":%d,"query":%d,"clear":0,"listen":0},"changedAt":"2026-11-%sT10:00:00Z","carriers":["%s"],"unjudged":null}"""
                .formatted(id, name, parent, hold, query, changed, carrier);
    }

    private static final String UNJUDGED = list(6, "Cannot be judged", null, 0, 0, "01", "Nobody")
            .replace("\"unjudged\":null", "\"unjudged\":\"no rules\"");
    private static final String LISTS = List.of(
                    list(1, "Volunteers", null, 3, 1, "05", "Ada Fenwright"),
                    list(2, "Volunteers 10", null, 3, 2, "09", "Jonas Weirley"),
                    list(3, "Volunteers 9", null, 0, 0, "07", "Ada Fenwright"),
                    list(4, "For Technicians", 1, 9, 0, "08", "Karl Backwater"),
                    list(5, "Households", null, 0, 4, "06", "Bridge Street"),
                    UNJUDGED)
            .stream()
            .collect(Collectors.joining(",", "[", "]"));

    private String order(String sort, String search) {
        JsonNode placed = ask("lists.arranged", LISTS, "\"" + sort + "\"", "\"" + search + "\"");
        return placed.valueStream()
                .map(each -> (each.path("under").asBoolean() ? ">" : "")
                        + each.path("list").path("id").asInt())
                .collect(Collectors.joining(" "));
    }

    @ParameterizedTest
    @CsvSource({
        // What cannot be judged first, then most on hold, then most queries; what follows a list under it.
        "worst, '', 6 2 1 >4 5 3",
        "name, '', 6 5 1 >4 3 2",
        "changed, '', 2 3 5 1 >4 6",
        // Looked for by its own name, it stands for itself.
        "worst, technicians, 4",
        "worst, 'ada  VOLUNTEERS', 1 3",
        "worst, karl, 4",
        "worst, nowhere, ''",
    })
    void listsAreFoundAndPutInOrder(String sort, String search, String wanted) {
        assertThat(order(sort, search)).isEqualTo(wanted);
    }

    @Test
    void aCopyHasANameOfItsOwn() {
        String taken = "[{\"name\":\"A\"},{\"name\":\"A, copy\"},{\"name\":\"A, copy 2\"},{\"name\":\"B\"}]";
        assertThat(ask("lists.copyName", "\"A\"", taken).asString()).isEqualTo("A, copy 3");
        assertThat(ask("lists.copyName", "\"B\"", taken).asString()).isEqualTo("B, copy");
    }

    @ParameterizedTest
    @CsvSource({
        // Chicago is six hours behind in November: 5 UTC is still the day before.
        "2026-11-28T05:30:00Z, 2026-11-28T12:00:00Z, '27 Nov 2026'",
        "2026-11-28T15:05:00Z, 2026-11-28T20:00:00Z, 'today, 09:05'",
        "2025-11-28T15:05:00Z, 2026-11-28T20:00:00Z, '28 Nov 2025'",
    })
    void aMomentIsToldInShortInTheReadersOwnZone(String at, String now, String wanted) {
        assertThat(ask("dates.latelyAt", "\"" + at + "\"", "\"" + now + "\"").asString())
                .isEqualTo(wanted);
    }

    private static final String MATRIX =
            """
            {"entries":[{"id":1,"number":"1","name":"Calling","txHz":146520000},{"id":2,"number":"2","name":"Weather","txHz":null},
                        {"id":3,"number":"30","name":"Top edge","txHz":147995000},{"id":4,"number":"4","name":"Ridge","txHz":146340000}],
             "cells":["clhq","hlcc"]}""";

    private String rows(String find, String column) {
        JsonNode seen = ask("matrix.arranged", MATRIX, "\"" + find + "\"", column);
        return seen.path("entries")
                        .valueStream()
                        .map(each -> each.path("number").asString())
                        .collect(Collectors.joining(" "))
                + " " + seen.path("cells").path(0).asString();
    }

    /** Who may key: entries are found by name, number and frequency, and a column puts its worst first; cells go with their rows. */
    @ParameterizedTest
    @CsvSource({
        "'', null, 1 2 30 4 clhq",
        "'', '{\"cells\":0}', 30 4 2 1 hqlc",
        "'', '{\"cells\":1}', 1 2 30 4 clhq",
        "edge, null, 30 h",
        "146.3, null, 4 q",
        "146, '{\"cells\":0}', 4 1 qc",
        "3, null, 30 h",
    })
    void theMatrixIsFoundAndSorted(String find, String column, String wanted) {
        assertThat(rows(find, column)).isEqualTo(wanted);
    }

    @Test
    void aReasonIsCopiedAsLinesForALetter() {
        assertThat(ask(
                                "reasons.reasonText",
                                "{\"name\":\"Top edge\",\"number\":\"1\",\"txHz\":147995000}",
                                "{\"name\":\"Ada\",\"holds\":\"General\"}",
                                """
                                {"verdict":"hold","routes":[{"service":"Amateur","legal":false,"authority":"","source":"","taken":true}],
                                 "findings":[{"message":"The signal reaches 3.0 kHz past the top.","source":"47 CFR 97.307(b)",
                                   "sum":[{"sign":" ","amount":"147.995","unit":"MHz","label":"talks on"},{"sign":"+","amount":"8","unit":"kHz","label":"half"}]}]}""")
                        .asString())
                .isEqualTo(
                        """
                        Top edge, talks on 147.995 MHz, for Ada (General): Hold.
                        - Amateur: does not do
                        The signal reaches 3.0 kHz past the top. (47 CFR 97.307(b))
                             147.995 MHz talks on
                            + 8 kHz half""");
    }

    @Test
    void namesAreFittedToTheDisplayThatShowsLeast() {
        String displays = ask("displays.displayOf", "{\"model\":\"A\",\"nameLength\":6,\"nameLetters\":\"ascii\"}")
                + "," + ask("displays.displayOf", "{\"model\":\"B\",\"nameLength\":10,\"nameLetters\":\"capitals\"}");
        assertThat(ask("displays.narrowest", "[" + displays + "]"))
                .isEqualTo(json("{\"model\":\"A\",\"length\":6,\"letters\":\"capitals\"}"));
        assertThat(ask("displays.displayOf", "{\"model\":\"C\",\"nameLength\":0}")
                        .isNull())
                .isTrue();
        assertThat(ask("displays.narrowest", "[]").isNull()).isTrue();
    }
}
