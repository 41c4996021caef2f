package org.wache.pieces;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** The rows of the Desk and the cells of the matrix: grouping, filters, counts, who decides. */
class RowsPiecesTest extends InPieces {

    private static final String SLIPS =
            """
            [{"id": 1, "verdict": "clear", "rule": "", "rxHz": 146940000, "txHz": 146340000, "fields": {"name": "Ridge", "number": "1", "txTone": "100.0"}},
             {"id": 2, "verdict": "hold", "rule": "edge-overrun", "rxHz": 147995000, "txHz": 147995000, "fields": {"name": "Edge", "number": "2"}},
             {"id": 3, "verdict": "listen", "rule": "", "rxHz": 162550000, "txHz": null, "fields": {"name": "Weather", "number": "3"}},
             {"id": 4, "verdict": "clear", "rule": "", "rxHz": 446000000, "txHz": 446000000, "fields": {"name": "Levee", "number": "4", "note": "pump CREWS"}},
             {"id": 5, "verdict": "query", "rule": "tone-default", "rxHz": null, "txHz": null, "fields": {"name": "What", "number": "5"}}]""";
    private static final String BANDS = "{\"1\": \"2 m\", \"2\": \"2 m\", \"3\": \"weather\", \"4\": \"70 cm\"}";
    private static final String ALL = "{\"verdicts\": [], \"search\": \"\"}";

    private List<String> rows(String settled, String filter, String grouping) {
        List<String> all = new ArrayList<>();
        ask("rows.rows", SLIPS, settled, filter, "\"" + grouping + "\"", BANDS).forEach(row -> all.add(row.asString()));
        return all;
    }

    @Test
    void whatIsWorstStandsFirst() {
        assertThat(rows("{}", ALL, "verdict"))
                .containsExactly(
                        "Hold 1+0",
                        "  Edge",
                        "Query 1+0",
                        "  What",
                        "Clear 2+0",
                        "  Ridge",
                        "  Levee",
                        "Listen 1+0",
                        "  Weather");
    }

    @Test
    void whatJustChangedStaysUnderTheHandAndIsCountedWhereItBelongs() {
        assertThat(rows("{\"4\": \"hold\"}", ALL, "verdict"))
                .startsWith("Hold 1+1", "  Edge", "  Levee", "Query 1+0")
                .endsWith("Clear 1+0", "  Ridge", "Listen 1+0", "  Weather");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "none",
            value = {
                "{\"carriers\": [], \"parties\": [], \"teams\": []} | 146340000 | {\"txMhz\": \"\", \"txTone\": \"\"} | none",
                "{\"carriers\": [], \"parties\": [], \"teams\": []} | 146340000 | {\"txMhz\": \"146.355\"} | Cure",
                "{\"carriers\": [], \"parties\": [], \"teams\": []} | 146340000 | {\"mode\": \"NFM\"} | Cure",
                "{\"carriers\": [], \"parties\": [], \"teams\": []} | null | {\"txMhz\": \"\"} | Cure",
                "{\"carriers\": [], \"parties\": [], \"teams\": [\"Levee\"]} | 146340000 | {\"txMhz\": \"\"} | Cure",
                "{\"carriers\": [\"amateur:general\"], \"parties\": [], \"teams\": []} | 146340000 | {\"txMhz\": \"\"} | Cure",
            })
    void noRowOffersToFallSilentWhileNobodyWasChosenToCarryTheList(
            String choice, String transmit, String changes, String offered) {
        String slip = "{\"txHz\": " + transmit + ", \"cure\": {\"label\": \"Cure\", \"changes\": " + changes + "}}";
        assertThat(ask("carried.rowCure", slip, choice).path("label").asString(null))
                .isEqualTo(offered);
    }

    @Test
    void bandsStandInTheOrderOfTheSpectrum() {
        assertThat(rows("{}", ALL, "band"))
                .containsExactly(
                        "2 m 2+0",
                        "  Ridge",
                        "  Edge",
                        "weather 1+0",
                        "  Weather",
                        "70 cm 1+0",
                        "  Levee",
                        "elsewhere 1+0",
                        "  What");
    }

    @Test
    void asInTheListNothingIsHeaded() {
        assertThat(rows("{}", ALL, "list")).containsExactly("  Ridge", "  Edge", "  Weather", "  Levee", "  What");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "crews|Levee",
                " RIDGE |Ridge",
                "100.0|Ridge",
                "edge-over|Edge",
                "e|Ridge,Edge,Weather,Levee,What",
                "nothing of it|"
            })
    void whatIsLookedForIsInATextOrInTheRule(String search, String names) {
        List<String> wanted = names == null ? List.of() : List.of(names.split(","));
        assertThat(rows("{}", "{\"verdicts\": [], \"search\": \"%s\"}".formatted(search), "list"))
                .containsExactlyElementsOf(
                        wanted.stream().map(each -> "  " + each).toList());
    }

    @Test
    void aFilterGoesByWhereAnEntryStands() {
        assertThat(rows("{\"4\": \"hold\"}", "{\"verdicts\": [\"hold\"], \"search\": \"\"}", "list"))
                .containsExactly("  Edge", "  Levee");
    }

    @Test
    void curesThatEndInTheSameEntryHaveOneDigit() {
        JsonNode of = ask(
                "cures.numbered",
                """
                [{"cures": [{"label": "NFM", "changes": {"mode": "NFM"}}, {"label": "Listen", "changes": {"txMhz": ""}}]},
                 {"cures": [{"label": "Listen only", "changes": {"txMhz": ""}}, {"label": "5 W", "changes": {"powerW": "5"}}]},
                 {"cures": []}]""");
        assertThat(of).isEqualTo(json("[[\"1 NFM\", \"2 Listen\"], [\"3 5 W\"], []]"));
    }

    private static final String MATRIX =
            """
            {"entries": [{"name": "a"}, {"name": "b"}, {"name": "c"}],
             "cells": ["hqc", "ccc", "lqh"]}""";

    private static String column(String name, int cells, boolean carries) {
        return "{\"name\": \"%s\", \"cells\": %d, \"carries\": %s}".formatted(name, cells, carries);
    }

    @Test
    void theLeastPrivilegedWhoCarriesDecidesAnEntry() {
        JsonNode by = ask(
                "matrix.byRow",
                MATRIX,
                "[%s, %s, %s]".formatted(column("Mira", 0, true), column("Full", 1, true), column("Guest", 2, false)));
        assertThat(by.get(0))
                .isEqualTo(json("{\"verdict\": \"hold\", \"name\": \"Mira\", \"many\": 1, \"all\": false}"));
        assertThat(by.get(2).get("verdict").asString())
                .as("a guest carries nothing")
                .isEqualTo("clear");
        assertThat(by.get(2).get("all").asBoolean()).isTrue();
    }

    @Test
    void whereNobodyCarriesAllDecide() {
        JsonNode by =
                ask("matrix.byRow", MATRIX, "[%s, %s]".formatted(column("Mira", 0, false), column("Guest", 2, false)));
        assertThat(by.get(1))
                .isEqualTo(json("{\"verdict\": \"query\", \"name\": \"Mira\", \"many\": 2, \"all\": true}"));
        assertThat(by.get(2).get("name").asString()).isEqualTo("Guest");
        assertThat(ask("matrix.byRow", MATRIX, "[]").get(0).get("verdict").asString())
                .isEqualTo("clear");
    }

    @Test
    void aCellHasTheVerdictOfItsLetter() {
        assertThat(ask("matrix.verdictAt", MATRIX, column("x", 2, true), "0").asString())
                .isEqualTo("listen");
        assertThat(ask("matrix.verdictAt", MATRIX, column("x", 0, true), "1").asString())
                .isEqualTo("query");
    }

    private static final String FIT =
            """
            {"list": 7, "name": "River", "parent": null,
             "entries": [{"name": "a"}, {"name": "b"}, {"name": "c"}],
             "cells": ["fff", "fhq"],
             "columns": [{"key": 0, "name": "Heron H2", "lock": "Amateur", "inhibited": false, "units": 1, "cells": 0, "counts": {}},
                         {"key": 1, "name": "Otter M5", "lock": null, "inhibited": true, "units": 0, "cells": 1, "counts": {}}]}""";

    @Test
    void theFitIsDrawnAsAMatrixOfModelsAsTheyAreSet() {
        JsonNode matrix = ask("fit.asMatrix", FIT, "false");
        assertThat(matrix.get("cells")).isEqualTo(json("[\"ccc\", \"chq\"]"));
        assertThat(matrix.get("columns").get(0).get("name").asString()).isEqualTo("Heron H2, Amateur");
        assertThat(matrix.get("columns").get(0).get("holds").asString()).isEqualTo("1 radio");
        assertThat(matrix.get("columns").get(1).get("name").asString()).isEqualTo("Otter M5, transmitter off");
        assertThat(matrix.get("columns").get(1).get("carries").asBoolean()).isFalse();
    }

    @Test
    void onlyWhatHasTroubleIsLeft() {
        JsonNode matrix = ask("fit.asMatrix", FIT, "true");
        assertThat(matrix.get("entries")).isEqualTo(json("[{\"name\": \"b\"}, {\"name\": \"c\"}]"));
        assertThat(matrix.get("cells")).isEqualTo(json("[\"cc\", \"hq\"]"));
    }

    /** A pair has its output direct and its input to listen to; common practice, no source. */
    @Test
    void aRepeaterHasTwoCompanions() {
        JsonNode two = ask(
                "companion.companions",
                """
                {"name": "RIDGE", "number": "4", "rxMhz": "146.940", "txMhz": "146.340", "mode": "FM", "powerW": "5",
                 "txTone": "100.0", "rxTone": "127.3", "use": "repeater", "note": "open"}""");
        assertThat(two.get(0).get("fields"))
                .isEqualTo(
                        json(
                                """
                {"name": "RIDGE direct", "rxMhz": "146.940", "txMhz": "146.940", "mode": "FM", "powerW": "5", "txTone": "127.3", "rxTone": "127.3"}"""));
        assertThat(two.get(1).get("fields"))
                .isEqualTo(
                        json(
                                """
                {"name": "RIDGE input", "rxMhz": "146.340", "txMhz": "", "mode": "FM", "powerW": "5"}"""));
        assertThat(ask("companion.companions", "{\"rxMhz\": \"146.52\", \"txMhz\": \"146.52\"}")
                        .size())
                .isZero();
        assertThat(ask("companion.companions", "{\"rxMhz\": \"162.55\", \"txMhz\": \"\"}")
                        .size())
                .isZero();
    }

    @Test
    void aDigitalChannelIsToldInFewWords() {
        assertThat(ask(
                                "digital.digital",
                                "{\"colourCode\": \"1\", \"timeSlot\": \"2\", \"talkGroup\": \"3100\", \"contact\": \"Valley\"}")
                        .asString())
                .isEqualTo("colour 1, slot 2, group 3100 Valley");
        assertThat(ask("digital.digital", "{\"accessCode\": \"293\"}").asString())
                .isEqualTo("code 293");
        assertThat(ask("digital.digital", "{\"txTone\": \"100.0\"}").asString()).isEmpty();
    }
}
