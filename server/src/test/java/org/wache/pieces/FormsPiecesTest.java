package org.wache.pieces;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What is typed into forms: what it is taken for, what is told beside it, and what is refused before it is sent. */
class FormsPiecesTest extends InPieces {

    private static String text(String typed) {
        return "\"" + typed + "\"";
    }

    /** 0 dBm is 1 mW and 0 dBW is 1 W, by definition. */
    @ParameterizedTest
    @CsvSource({
        "50, 50",
        "50 W, 50",
        "500 mW, 0.5",
        "'1,5 kW', 1500",
        "30 dBm, 1",
        "47 dBm, 50.119",
        "17 dBW, 50.119",
        "-10 dBm, 0.0001",
        "−3 dBW, 0.501"
    })
    void aPowerIsReadInItsUnit(String typed, double watts) {
        assertThat(ask("station.watts", text(typed)).asDouble()).isCloseTo(watts, within(watts / 1000));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "fifty", "50 V", "50 W W", "1.2.3", "5 5"})
    void whatIsNoPowerIsNone(String typed) {
        assertThat(ask("station.watts", text(typed)).isNull()).isTrue();
    }

    /** A half-wave dipole has 2.15 dBi (ITU-R BS.599, annex 1). */
    @ParameterizedTest
    @CsvSource({"3, 3", "3 dBd, 3", "3 dB, 3", "5.15 dBi, 3", "0 dBi, -2.15", "'-3,0', -3"})
    void aGainIsReadOverADipole(String typed, double dbd) {
        assertThat(ask("station.dbd", text(typed)).asDouble()).isCloseTo(dbd, within(1e-9));
    }

    @Test
    void theSameIsToldInTheOtherUnits() {
        assertThat(ask("station.powerWords", text("50 W")).asString()).isEqualTo("50 W = 47.0 dBm = 17.0 dBW");
        assertThat(ask("station.powerWords", text("5")).asString()).isEqualTo("5 W = 37.0 dBm = 7.0 dBW");
        assertThat(ask("station.powerWords", text("x")).asString()).startsWith("such as");
        assertThat(ask("station.gainWords", text("3 dBd")).asString())
                .isEqualTo("3 dBd = 5.15 dBi, 2 times the power of a dipole");
        assertThat(ask("station.gainWords", text("200")).asString()).startsWith("An antenna has between -60 and 60");
    }

    private static String station(String key, String typed) {
        ObjectNode draft = (ObjectNode)
                json(
                        """
                {"name": " Levee base ", "kind": "base", "output": "50 W", "line": "RG-213", "lineM": "20", "otherLoss": "0,5",
                 "gain": "3 dBd", "heightM": "9", "keyed": "20", "processed": false, "peopleM": "", "otherHeightM": "1.5",
                 "supplyV": "13.8", "efficiency": "", "batteryAh": "", "position": "45.2012, -93.1034", "note": ""}""");
        if (!key.isEmpty()) {
            draft.put(key, typed);
        }
        return draft.toString();
    }

    @Test
    void aStationIsReadAsItIsMeant() {
        JsonNode form = ask("station.formOf", station("", "")).get("form");
        assertThat(form.get("name").asString()).isEqualTo("Levee base");
        assertThat(form.get("otherLossDb").asDouble()).isEqualTo(0.5);
        assertThat(form.get("keyedShare").asDouble()).isEqualTo(0.2);
        assertThat(form.get("latitude").asDouble()).isEqualTo(45.2012);
        assertThat(form.get("longitude").asDouble()).isEqualTo(-93.1034);
        assertThat(form.get("efficiency").isNull()).isTrue();
        assertThat(ask("station.formOf", station("line", ""))
                        .get("form")
                        .get("lineM")
                        .asInt())
                .as("no line has no length")
                .isZero();
        assertThat(ask("station.formOf", station("efficiency", "45"))
                        .get("form")
                        .get("efficiency")
                        .asDouble())
                .isEqualTo(0.45);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "output|lots|The output should be a power such as 50 W or 47 dBm.",
                "output|0|The output should be a power such as 50 W or 47 dBm.",
                "gain|high|The gain should be a figure such as 3 dBd or 5.15 dBi.",
                "lineM|20 ft|The length of the line should be a number.",
                "heightM||The height of the antenna should be a number.",
                "keyed|often|The share of time keyed should be a number.",
                "peopleM|near|How near people may come should be a number.",
                "batteryAh|7 Ah|The battery should be a number.",
                "position|by the mill|The position is a latitude and a longitude, such as 45.2012, -93.1034.",
                "position|91, 10|The position is a latitude and a longitude, such as 45.2012, -93.1034."
            })
    void whatIsWrongInAStationIsToldByItsName(String key, String typed, String words) {
        assertThat(ask("station.formOf", station(key, typed == null ? "" : typed))
                        .get("problem")
                        .asString())
                .isEqualTo(words);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "45.2012 N 93.1034 W|45.2012|-93.1034",
                "45.2012 -93.1034|45.2012|-93.1034",
                "45.2012 N; -93.1034 W|45.2012|-93.1034",
                "−33.5, 151|-33.5|151"
            })
    void aPositionIsReadAsPeopleWriteIt(String typed, double latitude, double longitude) {
        JsonNode form = ask("station.formOf", station("position", typed)).get("form");
        assertThat(form.get("latitude").asDouble()).isEqualTo(latitude);
        assertThat(form.get("longitude").asDouble()).isEqualTo(longitude);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Levee|45.2, -93.1|2 km|",
                "Levee|45.2 N 93.1 W|2,0|",
                "''|45.2, -93.1|2|Choose the team.",
                "Levee|by the mill|2|The middle is a latitude and a longitude, such as 45.2012, -93.1034.",
                "Levee|45.2, -93.1|0|How far they go is a number of kilometres, 0.1 to 500.",
                "Levee|45.2, -93.1|501|How far they go is a number of kilometres, 0.1 to 500.",
                "Levee|45.2, -93.1|2 mi|How far they go is a number of kilometres, 0.1 to 500."
            })
    void anAreaIsReadOrToldByItsName(String team, String position, String radius, String problem) {
        String draft = "{\"team\":\"%s\",\"position\":\"%s\",\"radius\":\"%s\"}".formatted(team, position, radius);
        JsonNode read = ask("area.areaForm", draft);
        if (problem != null) {
            assertThat(read.path("problem").asString()).isEqualTo(problem);
            return;
        }
        JsonNode form = read.path("form");
        assertThat(form).isEqualTo(json("{\"name\":\"Levee\",\"latitude\":45.2,\"longitude\":-93.1,\"radiusKm\":2}"));
        assertThat(ask("area.areaForm", ask("area.areaDraft", form.toString()).toString())
                        .path("form"))
                .isEqualTo(form);
    }

    @Test
    void aStationComesBackAsItWasTyped() {
        JsonNode form = ask("station.formOf", station("efficiency", "45")).get("form");
        JsonNode draft = ask("station.draftOf", form.toString());
        assertThat(draft.get("output").asString()).isEqualTo("50 W");
        assertThat(draft.get("keyed").asString()).isEqualTo("20");
        assertThat(draft.get("efficiency").asString()).isEqualTo("45");
        assertThat(draft.get("position").asString()).isEqualTo("45.2012, -93.1034");
        assertThat(draft.get("peopleM").asString()).isEmpty();
        assertThat(ask("station.formOf", draft.toString()).get("form")).isEqualTo(form);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "transmit|144–148, 420-450|[[\"144\",\"148\"],[\"420\",\"450\"]]|144–148, 420–450",
                "stepsKhz|5; 6.25,12.5|[\"5\",\"6.25\",\"12.5\"]|5, 6.25, 12.5",
                "certifiedFor|95E, 90|[\"95E\",\"90\"]|95E, 90",
                "certifiedFor|nothing|[]|nothing",
                "lockModes|Amateur: 144–148 \\ Open: 136–174|[{\"name\":\"Amateur\",\"transmit\":[[\"144\",\"148\"]]},{\"name\":\"Open\",\"transmit\":[[\"136\",\"174\"]]}]|Amateur: 144–148 \\ Open: 136–174",
                "powerBands|136–174: 1 low, 5 high|[{\"mhz\":[\"136\",\"174\"],\"levelsW\":[\"1\",\"5\"],\"levelNames\":[\"low\",\"high\"]}]|136–174: 1 low, 5 high",
                "powerBands|400–480: 4|[{\"mhz\":[\"400\",\"480\"],\"levelsW\":[\"4\"]}]|400–480: 4",
                "channels| 128 |\"128\"|128"
            })
    void aLineOfAModelIsReadAndWrittenAlike(String key, String typed, String value, String shown) {
        String asTyped = typed.replace('\\', '|');
        assertThat(ask("models.made", text(key), text(asTyped))).isEqualTo(json(value));
        assertThat(ask("models.shown", text(key), value).asString()).isEqualTo(shown.replace('\\', '|'));
    }

    @Test
    void aLineLeftEmptyIsNotInTheFile() {
        assertThat(ask("models.changed", "{\"model\": \"Heron\", \"channels\": \"128\"}", text("channels"), text(" ")))
                .isEqualTo(json("{\"model\": \"Heron\"}"));
        assertThat(ask("models.changed", "{\"modes\": [\"FM\"]}", text("modes"), text("")))
                .isEqualTo(json("{}"));
        assertThat(ask("models.changed", "{}", text("certifiedFor"), text("nothing")))
                .as("without any certification is something")
                .isEqualTo(json("{\"certifiedFor\": []}"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "stepsKhz[1] should be a number.|Steps, kHz (number 2): should be a number.",
                "channels should be whole.|Memories: should be whole.",
                "oddity should be known.|oddity should be known.",
                "The file is no JSON.|The file is no JSON."
            })
    void aMessageAboutAKeyNamesTheLine(String message, String words) {
        assertThat(ask("models.inWords", text(message)).asString()).isEqualTo(words);
    }

    private static String slip(String rx, String tx) {
        return "{\"fields\": {\"rxMhz\": \"%s\", \"txMhz\": \"%s\"}}".formatted(rx, tx);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "none",
            value = {
                "146.940|146.340|146.955|146.355",
                "146.520|146.520|147,42|147.42",
                "462.5625|462.5625|467.7125|467.7125",
                "146.940||146.955|none",
                "146.940|146.340|146.|none",
                "147.000|147.600|7.123456|7.723456",
                "x|146.340|146.955|none"
            })
    void aPairKeepsItsOffsetAndADirectChannelMovesAsAWhole(String rx, String tx, String typed, String talks) {
        JsonNode follows = ask("follow.follows", slip(rx, tx == null ? "" : tx), text(typed));
        assertThat(follows.isNull() ? null : follows.asString()).isEqualTo(talks);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "none",
            value = {
                "5|none",
                "50|none",
                "147.42|147.42 W is written like a frequency.",
                "462,55|462,55 W is written like a frequency.",
                "150|150 W is more than a hand-held or a mobile gives.",
                "0.25|none",
                "five|none"
            })
    void aPowerThatIsAFrequencyIsAskedAbout(String typed, String words) {
        JsonNode odd = ask("follow.oddPower", text(typed));
        assertThat(odd.isNull() ? null : odd.asString()).isEqualTo(words);
    }

    private static String licence(String expires) {
        return "{\"expires\": %s}".formatted(expires == null ? "null" : text(expires));
    }

    @Test
    void whereLicencesStandIsSaidByTheWorst() {
        String today = text("2026-04-01");
        assertThat(ask("licences.state", "[]", today).asString()).isEqualTo("none");
        assertThat(ask("licences.state", "[" + licence(null) + "]", today).asString())
                .isEqualTo("well");
        assertThat(ask("licences.state", "[" + licence("2026-04-01") + "]", today)
                        .asString())
                .as("its last day")
                .isEqualTo("ending");
        assertThat(ask("licences.state", "[" + licence("2026-06-30") + "]", today)
                        .asString())
                .as("90 days")
                .isEqualTo("ending");
        assertThat(ask("licences.state", "[" + licence("2026-07-01") + "]", today)
                        .asString())
                .isEqualTo("well");
        assertThat(ask("licences.state", "[" + licence("2027-01-01") + "," + licence("2026-03-31") + "]", today)
                        .asString())
                .isEqualTo("ended");
    }

    private static String holder(String name, String... licences) {
        return "{\"name\": %s, \"licences\": [%s]}".formatted(text(name), String.join(",", licences));
    }

    private static String licence(String service, String expires) {
        return "{\"service\": %s, \"expires\": %s}".formatted(text(service), expires == null ? "null" : text(expires));
    }

    @Test
    void whatEndsFirstStandsFirstAndARenewedLicenceIsNotDue() {
        String parties = "["
                + String.join(
                        ",",
                        holder("Never", licence("amateur", null)),
                        holder("Zoe", licence("amateur", "2026-04-10")),
                        holder("Amos", licence("amateur", "2026-04-10"), licence("gmrs", "2026-03-31")),
                        holder("Renewed", licence("gmrs", "2026-03-01"), licence("gmrs", "2036-03-01")),
                        holder("For ever", licence("land-mobile", "2026-03-01"), licence("land-mobile", null)),
                        holder("Nobody"))
                + "]";
        assertThat(ask("licences.endings", parties, text("2026-04-01"))
                        .valueStream()
                        .map(each -> each.path("party").path("name").asString() + " "
                                + each.path("licence").path("service").asString() + " "
                                + each.path("left").asInt()))
                .containsExactly("Amos gmrs -1", "Amos amateur 9", "Zoe amateur 9", "Renewed gmrs 3622");
    }

    @Test
    void aNewLicenceBeginsWithWhatMostBeginWith() {
        assertThat(ask(
                                "roster.newLicence",
                                "{\"id\": \"amateur\", \"classes\": [\"novice\", \"technician\"], \"byLine\": false}")
                        .get("licenceClass")
                        .asString())
                .isEqualTo("technician");
        JsonNode fleet = ask("roster.newLicence", "{\"id\": \"land-mobile\", \"classes\": [], \"byLine\": true}");
        assertThat(fleet.get("licenceClass").isNull()).isTrue();
        assertThat(fleet.get("lines").get(0).get("emission").asString()).isEqualTo("11K2F3E");
    }

    private static String unit(String over) {
        ObjectNode unit = (ObjectNode)
                json(
                        """
                {"held": null, "notTheirs": [], "bench": null, "facts": [], "inhibited": false, "carrier": null, "load": null}""");
        ((ObjectNode) json("{" + over + "}")).properties().forEach(each -> unit.set(each.getKey(), each.getValue()));
        return unit.toString();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"held\": \"measured off\"|hold|Held: measured off",
                "\"notTheirs\": [{}, {}], \"carrier\": {\"name\": \"Mira\"}|hold|Mira may not key 2 entries that it talks on.",
                "\"notTheirs\": [{}]|hold|Whoever has it may not key an entry that it talks on.",
                "\"bench\": \"failed\", \"load\": {\"verified\": true}|hold|The last work on the bench failed.",
                "\"bench\": \"waiting\"||On the bench just now.",
                "\"facts\": [{\"warning\": false, \"text\": \"a\"}, {\"warning\": true, \"text\": \"was never measured\"}]|query|was never measured",
                "\"inhibited\": true|listen|Its transmitter is to be off: the bench switches it off and tries it.",
                "\"load\": {\"verified\": true, \"whom\": null}|clear|Written, read back and tried; for nobody in particular.",
                "\"load\": {\"verified\": false}||Nothing was written into it yet."
            })
    void howARadioStandsIsSaidByTheWorst(String over, String verdict, String words) {
        JsonNode standing = ask("radios.standing", unit(over));
        assertThat(standing.get("verdict").asString()).isEqualTo(verdict == null ? "" : verdict);
        assertThat(standing.get("words").asString()).isEqualTo(words);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "null|nothing from here",
                "{\"name\": \"River\", \"number\": 3, \"newest\": 3}|River, release 3",
                "{\"name\": \"River\", \"number\": 3, \"newest\": 4}|River, release 3 (release 4 is out)",
                "{\"name\": \"River\", \"number\": 3, \"recalled\": true, \"newest\": 4}|River, release 3, recalled",
                "{\"name\": \"River\", \"number\": null, \"version\": 7}|River, version 7, before there were releases"
            })
    void whatIsInARadioSaysItsRelease(String load, String words) {
        assertThat(ask("radios.inside", unit("\"load\": " + load)).asString()).isEqualTo(words);
    }

    private static String planned(String over) {
        ObjectNode unit = (ObjectNode)
                json(
                        """
                {"unit": 9, "label": "River 9", "party": 4, "custody": false, "part": null, "talks": 3, "fits": [], "cannotListen": null, "open": false, "blocked": null}""");
        ((ObjectNode) json("{" + over + "}")).properties().forEach(each -> unit.set(each.getKey(), each.getValue()));
        return unit.toString();
    }

    @Test
    void theHolderGetsTheMostThatIsTheirs() {
        JsonNode better =
                ask("orders.fitting", planned("\"fits\": [{\"part\": 1, \"talks\": 2}, {\"part\": 2, \"talks\": 5}]"));
        assertThat(better.get("part").asInt()).isEqualTo(2);
        assertThat(better.get("choice").isNull()).isTrue();
        assertThat(ask("orders.fitting", planned("\"fits\": [{\"part\": 1, \"talks\": 2}]"))
                        .get("choice")
                        .asString())
                .as("this list listens, and still talks on more than the other")
                .isEqualTo("listen");
        assertThat(ask("orders.fitting", planned("\"cannotListen\": \"it keys everywhere\""))
                        .get("choice")
                        .asString())
                .isEqualTo("leave-out");
        assertThat(ask("orders.fitting", planned("\"custody\": true"))
                        .get("party")
                        .isNull())
                .as("on the shelf")
                .isTrue();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "none",
            value = {
                "|[]|null|W1|Choose the list first.",
                "3|[]|null|W1|Choose the radios below.",
                "3|[{}]|null|W1|What goes into each is being worked out.",
                "3|[{}]|[{\"label\": \"River 9\", \"open\": true, \"blocked\": null}]|W1|River 9 waits for your decision.",
                "3|[{}]|[{\"open\": true}, {\"open\": true}]|W1|2 radios wait for your decision.",
                "3|[{}]|[{\"label\": \"River 9\", \"open\": false, \"blocked\": \"held\"}]|W1|River 9 cannot be written: leave it out.",
                "3|[{}]|[{\"open\": false, \"blocked\": null}]| |Say with which call sign keys are tried.",
                "3|[{}]|[{\"open\": false, \"blocked\": null}]|W1|none"
            })
    void whatKeepsARunFromBeginningIsSaid(String list, String chosen, String plan, String sign, String words) {
        JsonNode missing = "null".equals(plan)
                ? ask("orders.missing", text(list == null ? "" : list), chosen)
                : ask("orders.missing", text(list), chosen, plan, text(sign == null ? " " : sign));
        assertThat(missing.isNull() ? null : missing.asString()).isEqualTo(words);
    }

    @Test
    void aDayIsADayEverywhereAndAMomentIsTheReadersOwn() {
        assertThat(ask("dates.day", text("2026-04-01")).asString()).isEqualTo("1 Apr 2026");
        assertThat(ask("dates.moment", text("2026-04-01T03:30:00Z")).asString())
                .as("in Chicago it is the evening before")
                .isEqualTo("31 Mar 2026, 22:30 GMT-5");
    }

    private static final String PROFILE =
            """
            {"name":"A","rogerTone":"unwanted","breaksIn":true,"missesNothing":true,"maxTimeoutS":null,"settings":[
             {"kind":"roger-tone","which":"","value":"on","why":"x","model":null},
             {"kind":"band-transmit","which":"","value":"on","why":"","model":null}]}""";

    private static String finding(String kind, String which, boolean fromProfile, String model) {
        return """
                {"rule":"%s","hold":false,"model":"%s","setting":"","title":"","value":"on","fromProfile":%s,"message":"m","source":"",
                 "holders":[],"cure":"off","kind":"%s","which":"%s"}"""
                .formatted(kind, model, fromProfile, kind, which);
    }

    /** The wish that made it is changed; one band of several is taken out of a wish for all; silence becomes a wish for every model. */
    @ParameterizedTest
    @CsvSource({
        "roger-tone, '', true, 2, 'roger-tone/off/null'",
        "band-transmit, 400–480, true, 3, 'band-transmit/off/Heron'",
        "battery-saver, '', false, 3, 'battery-saver/off/null'",
    })
    void aCureOfASettingChangesTheProfileWhereItSpeaks(
            String kind, String which, boolean fromProfile, int settings, String cured) {
        JsonNode body = ask("profiles.cured", PROFILE, finding(kind, which, fromProfile, "Heron"));
        assertThat(body.path("settings")).hasSize(settings);
        assertThat(body.path("settings")
                        .valueStream()
                        .map(each -> each.path("kind").asString() + "/"
                                + each.path("value").asString() + "/"
                                + (each.path("model").isNull()
                                        ? "null"
                                        : each.path("model").asString())))
                .contains(cured);
    }

    @Test
    void whatIsWrongInSeveralModelsIsToldOnceAndHoldsFirst() {
        String hold = finding("band-transmit", "400–480", true, "Heron").replace("\"hold\":false", "\"hold\":true");
        JsonNode told = ask(
                "profiles.toldOnce",
                "[" + finding("roger-tone", "", true, "Heron") + "," + finding("roger-tone", "", true, "Wren") + ","
                        + hold + "]");
        assertThat(told).hasSize(2);
        assertThat(told.path(0).path("finding").path("hold").asBoolean()).isTrue();
        assertThat(told.path(1).path("models").valueStream().map(JsonNode::asString))
                .containsExactly("Heron", "Wren");
    }

    /** Degrees as they are written on charts, and with the sign of ISO 6709. */
    @ParameterizedTest
    @CsvSource({
        "93.1 W, EW, -93.1",
        "93.1° W, EW, -93.1",
        "'93,1w', EW, -93.1",
        "-93.1, EW, -93.1",
        "−93.1, EW, -93.1",
        "93.1, EW, 93.1",
        "45.2° N, NS, 45.2",
        "33 S, NS, -33",
        "45.2 W, NS,",
        "-93.1 W, EW,",
        "north, NS,",
        "93.1 W 4, EW,",
    })
    void degreesAreReadAsPeopleWriteThem(String typed, String letters, Double wanted) {
        JsonNode read = ask("places.degrees", "\"" + typed + "\"", "\"" + letters + "\"");
        if (wanted == null) {
            assertThat(read.isNull()).isTrue();
        } else {
            assertThat(read.asDouble()).isEqualTo(wanted);
        }
    }

    @Test
    void degreesAreShownWithTheirLetter() {
        assertThat(ask("places.degreesText", "-93.1", "\"EW\"").asString()).isEqualTo("93.1° W");
        assertThat(ask("places.degreesText", "45.25", "\"NS\"").asString()).isEqualTo("45.25° N");
        assertThat(ask("places.degreesText", "null", "\"NS\"").asString()).isEmpty();
    }
}
