package org.wache.settings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.wache.audit.context.AuditContext;
import org.wache.audit.rules.Register;
import org.wache.exchange.FileProblem;
import org.wache.exchange.HolderShorthand;
import org.wache.exchange.ProfileFile;
import org.wache.exchange.RadioReader;
import org.wache.keypad.SettingSteps;
import org.wache.keypad.Step;
import org.wache.radio.OtherSetting;
import org.wache.radio.Radio;
import org.wache.radio.RadioModel;
import org.wache.radio.SettingKind;
import org.wache.reference.Keyable;
import org.wache.rulebook.Edition;
import org.wache.rulebook.RulebookReader;
import org.wache.signal.Span;

/** Settings that belong to no channel. What is a bad habit is common practice, no source; who may key where is 47 CFR 95 and 97. */
class SettingsTest {

    private static final LocalDate DAY = LocalDate.parse("2026-11-25");
    private static final Edition EDITION = RulebookReader.shipped("us").on(DAY);
    private static final RadioModel HERON = demo("heron-h2");
    private static final RadioModel CURLEW = demo("curlew-c6");
    private static final RadioModel BADGER = demo("badger-b4");

    private static RadioModel demo(String name) {
        try {
            return RadioReader.model(Files.readAllBytes(Path.of("..", "demo", "radios", name + ".json")));
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    private static RadioModel model(String settings) {
        return RadioReader.model(("{\"format\":\"wache-radio/1\",\"model\":\"Test\",\"settings\":" + settings + "}")
                .getBytes(StandardCharsets.UTF_8));
    }

    private static SettingsProfile profile(String settings) {
        return profile("", settings);
    }

    private static SettingsProfile profile(String habits, String settings) {
        return ProfileFile.read(
                ("{\"format\":\"wache-profile/1\",\"name\":\"River\"," + habits + "\"settings\":[" + settings + "]}")
                        .getBytes(StandardCharsets.UTF_8));
    }

    private static String wish(String kind, String value) {
        return "{\"kind\":\"" + kind + "\",\"value\":\"" + value + "\",\"why\":\"because\"}";
    }

    private static List<SettingFinding> found(SettingsProfile profile, RadioModel model) {
        return ProfileCheck.of(profile, model, List.of(), (who, span) -> true);
    }

    private static List<String> rules(SettingsProfile profile, RadioModel model) {
        return found(profile, model).stream()
                .map(each -> each.rule().text() + (each.hold() ? " hold" : ""))
                .toList();
    }

    // ---- what a wish becomes in a model

    @ParameterizedTest
    @CsvSource({
        // model, kind, wished, set to, as the model calls it
        "heron-h2, squelch, 3, 3",
        "heron-h2, time-out, 180, 180",
        "heron-h2, time-out, 200 s, 180",
        "heron-h2, time-out, 59, ",
        "heron-h2, time-out, 0, off",
        "heron-h2, time-out, off, off",
        "heron-h2, roger-tone, off, none",
        "heron-h2, roger-tone, on, chirp",
        "heron-h2, talk-line, chosen, mark",
        "heron-h2, talk-line, MARK, mark",
        "heron-h2, voice-keying, on, ",
        "heron-h2, voice-keying, 3, 3",
        "heron-h2, start-text, TERN, TERN",
        "heron-h2, start-text, TERN VALLEY, ",
        "heron-h2, priority-channel, 12, 12",
        "heron-h2, priority-channel, 129, ",
        "heron-h2, band-limits, Amateur, Amateur",
        "curlew-c6, time-out, 180, 3",
        "curlew-c6, time-out, 179, ",
        "curlew-c6, time-out, 400, 5",
        "curlew-c6, squelch, 100, 100",
        "curlew-c6, weather-alert, on, ",
        "badger-b4, squelch, tight, tight",
        "badger-b4, busy-lockout, own code, own code",
    })
    void aWishBecomesWhatTheModelHas(String model, String kind, String wished, String set) {
        SettingPlan.Line line =
                SettingPlan.of(profile(wish(kind, wished)), demo(model)).lines().get(0);
        assertThat(line.value()).isEqualTo(Optional.ofNullable(set));
        assertThat(line.problem().isEmpty()).isEqualTo(set != null);
    }

    @Test
    void severalKindsOfOnAreAsked() {
        SettingPlan.Line line = SettingPlan.of(profile(wish("voice-keying", "on")), HERON)
                .lines()
                .get(0);
        assertThat(line.problem()).contains("several kinds", "1, 2, 3, 4, 5");
    }

    @Test
    void aWishForOneModelComesBeforeOneForAll() {
        SettingsProfile both =
                profile(wish("squelch", "2") + ",{\"kind\":\"squelch\",\"value\":\"4\",\"model\":\"Heron H2\"}");
        assertThat(SettingPlan.of(both, HERON).wanted()).containsExactly(Map.entry("squelch", "4"));
        assertThat(SettingPlan.of(both, demo("wren-p1")).wanted()).containsExactly(Map.entry("squelch", "2"));
    }

    @Test
    void aWishWithoutABandIsForEveryBand() {
        assertThat(SettingPlan.of(profile(wish("band-transmit", "off")), HERON).wanted())
                .containsOnlyKeys("band-transmit 136–174", "band-transmit 400–480")
                .containsValue("off");
        assertThat(SettingPlan.of(
                                profile("{\"kind\":\"band-transmit\",\"which\":\"400–480\",\"value\":\"off\"}"), HERON)
                        .wanted())
                .containsOnlyKeys("band-transmit 400–480");
    }

    @Test
    void whatAModelHasNotIsSaid() {
        SettingPlan plan = SettingPlan.of(profile(wish("weather-alert", "on")), CURLEW);
        assertThat(plan.wanted()).isEmpty();
        assertThat(plan.lines().get(0).problem()).isEqualTo("Curlew C6 has no such setting.");
        assertThat(SettingPlan.of(profile(wish("squelch", "1")), model("[]"))
                        .lines()
                        .get(0)
                        .problem())
                .contains("names no settings");
    }

    // ---- rules

    @Test
    void howARadioComesCountsWhereTheProfileIsSilent() {
        assertThat(rules(profile(""), HERON)).containsExactly("saver", "time-out-off", "roger-tone");
        assertThat(found(profile(""), HERON)).allMatch(each -> !each.fromProfile());
    }

    @Test
    void aGoodProfileHasNoFinding() {
        SettingsProfile good = profile(String.join(
                ",",
                wish("time-out", "120"),
                wish("roger-tone", "off"),
                wish("battery-saver", "off"),
                wish("squelch", "3"),
                wish("second-watch", "off")));
        assertThat(rules(good, HERON)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "time-out, off, time-out-off, 180",
        "time-out, 240, time-out-long, 180",
        "voice-keying, 3, voice-keying, off",
        "roger-tone, on, roger-tone, none",
        "busy-lockout, on, busy-lockout, off",
        "battery-saver, 1:2, saver, off",
        "squelch, 7, squelch-tight, ",
    })
    void eachBadHabitIsFoundWithItsCure(String kind, String value, String rule, String cure) {
        List<SettingFinding> all = found(profile(wish(kind, value)), HERON).stream()
                .filter(SettingFinding::fromProfile)
                .toList();
        assertThat(all).hasSize(1);
        assertThat(all.get(0).rule().text()).isEqualTo(rule);
        assertThat(all.get(0).hold()).isFalse();
        assertThat(all.get(0).cure()).isEqualTo(Optional.ofNullable(cure));
        assertThat(all.get(0).message()).isNotBlank();
    }

    @ParameterizedTest
    @CsvSource({"6, false", "7, true", "0, false", "9, true"})
    void aSquelchIsTightAboveTwoThirds(int level, boolean tight) {
        assertThat(rules(profile(wish("squelch", "" + level)), HERON).contains("squelch-tight"))
                .isEqualTo(tight);
    }

    @Test
    void forbiddenIsAHoldAndAllowedIsNothing() {
        assertThat(rules(profile("\"rogerTone\":\"forbidden\",", wish("roger-tone", "on")), HERON))
                .contains("roger-tone hold");
        assertThat(rules(profile("\"rogerTone\":\"allowed\",", wish("roger-tone", "on")), HERON))
                .doesNotContain("roger-tone", "roger-tone hold");
    }

    @Test
    void whoNeedNotBreakInMayWait() {
        assertThat(rules(profile("\"breaksIn\":false,", wish("busy-lockout", "on")), HERON))
                .doesNotContain("busy-lockout");
        assertThat(rules(profile("\"missesNothing\":false,", wish("squelch", "9")), HERON))
                .doesNotContain("squelch-tight", "saver");
        assertThat(rules(profile("\"maxTimeoutS\":300,", wish("time-out", "240")), HERON))
                .doesNotContain("time-out-long");
    }

    @Test
    void dualWatchThatTalksOnTheBusyLineIsFound() {
        assertThat(rules(profile(wish("second-watch", "on") + "," + wish("talk-line", "last-heard")), CURLEW))
                .contains("talks-last-heard");
        assertThat(rules(profile(wish("second-watch", "off") + "," + wish("talk-line", "last-heard")), CURLEW))
                .doesNotContain("talks-last-heard");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                // who | bands on which they may key nothing with a radio that is certified for nothing
                "amateur:technician |",
                "gmrs | 136–174 400–480",
                "nobody | 136–174 400–480",
            })
    void transmittingIsLockedWhereTheHolderMayKeyNothing(String licences, String bands) {
        AuditContext context = AuditContext.of(EDITION, DAY, List.of(HolderShorthand.holder(licences, EDITION)))
                .forRadios(List.of(Radio.of(HERON)));
        List<SettingFinding> open = ProfileCheck.of(
                        profile(wish("band-transmit", "on")),
                        HERON,
                        List.of("Marsh End"),
                        (who, span) -> Keyable.in(Register.ALL, context, span))
                .stream()
                .filter(each -> each.rule() == SettingRule.TRANSMIT_OPEN)
                .toList();
        assertThat(open).allMatch(SettingFinding::hold).allMatch(each -> each.cure()
                .equals(Optional.of("off")));
        assertThat(open.stream().map(SettingFinding::id))
                .containsExactlyElementsOf(
                        bands == null
                                ? List.of()
                                : Stream.of(bands.split(" "))
                                        .map(each -> "band-transmit " + each)
                                        .toList());
    }

    @Test
    void aBandOfWhichTheProfileIsSilentIsOnlyAsked() {
        assertThat(ProfileCheck.of(profile(""), HERON, List.of("Marsh End"), (who, span) -> false))
                .filteredOn(each -> each.rule() == SettingRule.TRANSMIT_OPEN)
                .hasSize(2)
                .noneMatch(SettingFinding::hold)
                .noneMatch(SettingFinding::fromProfile);
    }

    @Test
    void whatMayBeKeyedIsFoundWithinASpan() {
        AuditContext technician =
                AuditContext.of(EDITION, DAY, List.of(HolderShorthand.holder("amateur:technician", EDITION)));
        assertThat(Keyable.in(Register.ALL, technician, Span.ofMegahertz("144-148")))
                .isTrue();
        assertThat(Keyable.in(Register.ALL, technician, Span.ofMegahertz("14.0-14.35")))
                .as("a Technician has nothing on 20 m, 47 CFR 97.301(e)")
                .isFalse();
        assertThat(Keyable.in(Register.ALL, technician, Span.ofMegahertz("118-137")))
                .isFalse();
    }

    // ---- differences

    @Test
    void aRadioThatIsSetAsWishedDoesNotDiffer() {
        SettingPlan plan = SettingPlan.of(profile(wish("squelch", "3") + "," + wish("band-limits", "Amateur")), HERON);
        assertThat(SettingDifference.of(plan, Map.of("squelch", "3"), Optional.of("Amateur")))
                .isEmpty();
        assertThat(SettingDifference.of(plan, Map.of("squelch", "5"), Optional.of("Open")))
                .extracting(SettingDifference::id, SettingDifference::wanted, SettingDifference::found)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple("squelch", "3", "5"),
                        org.assertj.core.groups.Tuple.tuple("band-limits", "Amateur", "Open"));
        assertThat(SettingDifference.of(plan, Map.of(), Optional.empty()))
                .allMatch(each -> each.found().isEmpty());
    }

    // ---- papers

    @Test
    void thePaperGivesTheKeysOfEachKindOfMenu() {
        assertThat(steps(HERON, wish("time-out", "180")).get(0).keys())
                .containsExactly("PICK", "0", "4", "PICK", "MORE or LESS until 180", "TAKE");
        assertThat(steps(HERON, wish("priority-channel", "12")).get(0).keys())
                .containsExactly("PICK", "5", "4", "PICK", "1", "2", "TAKE");
        assertThat(steps(CURLEW, wish("time-out", "180")).get(0).keys())
                .containsExactly(
                        "IN",
                        "► or ◄ until Transmitter",
                        "IN",
                        "► or ◄ until Longest over",
                        "IN",
                        "► or ◄ until 3",
                        "SET IT");
        assertThat(steps(demo("plover-f2"), wish("roger-tone", "off")).get(0).keys())
                .containsExactly("STAR 3×", "▴ or ▾ until off");
    }

    @Test
    void whatIsNotReachedByKeysSaysWhere() {
        Step step = steps(BADGER, wish("time-out", "60")).get(0);
        assertThat(step.keys()).isEmpty();
        assertThat(step.see()).isEqualTo("by the programming cable");
    }

    @Test
    void theLockComesFirstBecauseItErases() {
        List<Step> steps = steps(HERON, wish("squelch", "3") + "," + wish("band-limits", "Amateur"));
        assertThat(steps.get(0).what()).isEqualTo("Band limits: Amateur");
        assertThat(steps.get(0).why()).contains("erases its memories and settings");
        assertThat(steps.get(1).why()).isEqualTo("because. Set back by a change of its lock.");
    }

    @Test
    void whatSetsAllOfThemBackIsSaidOnce() {
        List<Step> steps =
                steps(HERON, String.join(",", wish("squelch", "3"), wish("time-out", "180"), wish("key-beep", "off")));
        assertThat(steps).hasSize(4);
        assertThat(steps).filteredOn(each -> each.why().contains("Set back")).isEmpty();
        assertThat(steps.get(3).what()).isEqualTo("After a change of its lock, set all of these again");
    }

    @Test
    void whatCannotBeSetSaysSoOnThePaper() {
        assertThat(steps(CURLEW, wish("weather-alert", "on")).get(0).why()).contains("has no such setting");
    }

    private static List<Step> steps(RadioModel model, String wishes) {
        return SettingSteps.of(model, SettingPlan.of(profile(wishes), model));
    }

    // ---- files

    @Test
    void aProfileIsReadAsItWasWritten() {
        SettingsProfile one = profile(
                "\"rogerTone\":\"forbidden\",\"breaksIn\":false,\"missesNothing\":false,\"maxTimeoutS\":120,",
                wish("squelch", "3")
                        + ",{\"kind\":\"side-key\",\"which\":\"upper\",\"value\":\"lamp\",\"model\":\"Heron H2\"}");
        assertThat(ProfileFile.read(ProfileFile.write(one).getBytes(StandardCharsets.UTF_8)))
                .isEqualTo(one);
    }

    @ParameterizedTest
    @MethodSource("wrongSettings")
    void aWrongSettingIsToldWithItsPlace(String settings, String message) {
        assertThatThrownBy(() -> model(settings))
                .isInstanceOf(FileProblem.class)
                .hasMessageContaining(message);
    }

    static Stream<org.junit.jupiter.params.provider.Arguments> wrongSettings() {
        return Stream.of(
                        List.of("[{\"kind\":\"volume\",\"values\":[\"1\"]}]", "settings[0].kind"),
                        List.of("[{\"kind\":\"squelch\"}]", "settings[0].values"),
                        List.of("[{\"kind\":\"squelch\",\"values\":[\"1\",\"1\"]}]", "settings[0].values"),
                        List.of("[{\"kind\":\"squelch\",\"values\":[\"1\",\" \"]}]", "settings[0].values"),
                        List.of("[{\"kind\":\"squelch\",\"values\":[\"1\"],\"length\":3}]", "settings[0].values"),
                        List.of(
                                "[{\"kind\":\"squelch\",\"values\":[\"1\"],\"means\":[\"a\",\"b\"]}]",
                                "settings[0].means"),
                        List.of("[{\"kind\":\"squelch\",\"values\":[\"1\"],\"usual\":\"2\"}]", "settings[0].usual"),
                        List.of("[{\"kind\":\"squelch\",\"least\":5}]", "settings[0].most"),
                        List.of("[{\"kind\":\"squelch\",\"least\":5,\"most\":4}]", "settings[0].most"),
                        List.of("[{\"kind\":\"side-key\",\"values\":[\"1\"]}]", "settings[0].which"),
                        List.of("[{\"kind\":\"band-transmit\",\"values\":[\"off\",\"on\"]}]", "settings[0].mhz"),
                        List.of(
                                "[{\"kind\":\"band-transmit\",\"mhz\":[\"148\",\"144\"],\"values\":[\"off\"]}]",
                                "settings[0].mhz"),
                        List.of(
                                "[{\"kind\":\"band-transmit\",\"mhz\":[\"144\",\"148\"],\"values\":[\"yes\"]}]",
                                "settings[0].values"),
                        List.of(
                                "[{\"kind\":\"squelch\",\"values\":[\"1\"],\"press\":[\"nokey\"]}]",
                                "settings[0].press[0]"),
                        List.of(
                                "[{\"kind\":\"squelch\",\"values\":[\"1\"]},{\"kind\":\"squelch\",\"values\":[\"2\"]}]",
                                "settings[1].kind"))
                .map(each -> org.junit.jupiter.params.provider.Arguments.of(each.get(0), each.get(1)));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{} | name",
                "{\"name\":\"A\",\"rogerTone\":\"never\"} | rogerTone",
                "{\"name\":\"A\",\"maxTimeoutS\":0} | maxTimeoutS",
                "{\"name\":\"A\",\"settings\":[{\"kind\":\"loudness\",\"value\":\"1\"}]} | settings[0].kind",
                "{\"name\":\"A\",\"settings\":[{\"kind\":\"squelch\"}]} | settings[0].value",
                "{\"format\":\"wache-list/1\",\"name\":\"A\"} | wache-profile/1",
            })
    void aWrongProfileIsToldWithItsPlace(String text, String message) {
        assertThatThrownBy(() -> ProfileFile.read(text.getBytes(StandardCharsets.UTF_8)))
                .isInstanceOf(FileProblem.class)
                .hasMessageContaining(message);
    }

    @Test
    void everySettingOfTheDemoRadiosIsWhole() {
        for (String name : List.of("heron-h2", "wren-p1", "otter-m5", "badger-b4", "curlew-c6", "plover-f2")) {
            RadioModel model = demo(name);
            assertThat(model.otherSettings()).as(name).isNotEmpty();
            for (OtherSetting each : model.otherSettings()) {
                assertThat(each.way().byKeys() || !each.way().place().isEmpty())
                        .as(name + " " + each.id() + " is reached somehow")
                        .isTrue();
                assertThat(SettingKind.of(each.kind().text())).contains(each.kind());
            }
        }
    }
}
