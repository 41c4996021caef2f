package org.wache.keypad;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.exchange.RadioReader;
import org.wache.radio.RadioModel;
import org.wache.rulebook.RulebookReader;
import org.wache.rulebook.ToneTable;
import org.wache.signal.Tone;

/** Entries typed into hand-helds of both methods. The order is common practice, no source; the numbers are the demo models' own. */
class KeypadTest {

    private static Channel entry(
            String receive, String transmit, String mode, String power, String sends, String opens) {
        return Channel.of(Map.of(
                Field.NAME,
                "RIDGE",
                Field.RX_MHZ,
                receive,
                Field.TX_MHZ,
                transmit,
                Field.MODE,
                mode,
                Field.POWER_W,
                power,
                Field.TX_TONE,
                sends,
                Field.RX_TONE,
                opens));
    }

    private static RadioModel model(String file) {
        try {
            return RadioReader.model(Files.readAllBytes(Path.of("..", "demo", "radios", file + ".json")));
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    private static List<Tone> tones() {
        ToneTable table =
                RulebookReader.shipped("us").on(LocalDate.of(2026, 11, 25)).tones();
        List<Tone> all = new ArrayList<>(table.ctcss());
        all.addAll(table.dcs());
        return all;
    }

    /** A learner who does what the paper says. */
    private static final class Learner {
        private final RadioModel model;
        private final Coach coach;
        private final List<Coach.Said> said = new ArrayList<>();
        private Coach.Standing standing;

        Learner(RadioModel model, Goal goal) {
            this.model = model;
            this.coach = new Coach(new Handset(model, tones()), model.keypad().orElseThrow(), goal, model.name());
            this.standing = coach.start();
        }

        Learner press(String... keys) {
            for (String key : keys) {
                standing = coach.press(key);
                said.addAll(standing.said());
            }
            return this;
        }

        /** Presses what is printed on the paper. */
        void follow(Step step) {
            var keys = model.keypad().orElseThrow().keys();
            if (step.what().startsWith("Mark the upper display")
                    && standing.screen().upperMarked()) {
                return;
            }
            for (String printed : step.keys()) {
                if (printed.contains(" until ")) {
                    String wanted = printed.substring(printed.indexOf(" until ") + 7);
                    for (int i = 0; i < 200 && !standing.screen().menu().endsWith(": " + wanted); i++) {
                        press("up");
                    }
                } else if (printed.length() == 1 && Character.isDigit(printed.charAt(0))) {
                    press(printed);
                } else {
                    press(
                            printed.equals(keys.set())
                                    ? "set"
                                    : printed.equals(keys.keep())
                                            ? "keep"
                                            : printed.equals(keys.direct()) ? "direct" : "side");
                }
            }
        }

        List<String> wrongs() {
            return said.stream()
                    .filter(each -> each.weight() == Coach.Said.Weight.WRONG)
                    .map(Coach.Said::text)
                    .toList();
        }
    }

    private static Goal goal(RadioModel model, Channel channel, int memory) {
        return Goal.of(channel, memory, model).orElseThrow();
    }

    @ParameterizedTest(name = "{0}: {1}/{2} {3} {4} W {5}/{6} in memory {7}")
    @CsvSource({
        "heron-h2, 146.940, 146.340, FM, 5, 100.0, '', 5", "heron-h2, 146.550, 146.550, FM, 5, 103.5, 103.5, 9",
        "heron-h2, 444.150, 449.150, FM, 4, D023, D023, 2", "heron-h2, 462.5625, 462.5625, NFM, 1, 67.0, '', 100",
        "heron-h2, 146.520, 146.520, FM, 5, '', '', 8", "otter-m5, 462.600, 467.600, FM, 50, 141.3, '', 3",
        "otter-m5, 462.550, 462.550, NFM, 5, '', '', 1", "curlew-c6, 29.640, 29.540, FM, 100, 100.0, '', 12",
        "curlew-c6, 146.940, 146.340, FM, 50, 100.0, '', 4"
    })
    void whoFollowsThePaperIsNeverCorrectedAndEndsWithTheRightEntry(
            String file,
            String receive,
            String transmit,
            String mode,
            String power,
            String sends,
            String opens,
            int memory) {
        RadioModel model = model(file);
        Goal goal = goal(model, entry(receive, transmit, mode, power, sends, opens), memory);
        assertThat(KeypadSteps.impossible(model, goal)).isEmpty();
        Learner learner = new Learner(model, goal);
        KeypadSteps.of(model, goal).forEach(learner::follow);
        assertThat(learner.wrongs()).isEmpty();
        assertThat(learner.standing.right()).isTrue();
        learner.press(String.format("%03d", memory).split(""));
        assertThat(learner.standing.done()).isTrue();
    }

    private static final RadioModel HERON = model("heron-h2");
    private static final Goal RIDGE = goal(HERON, entry("146.940", "146.340", "FM", "5", "100.0", ""), 5);

    private static String[] keys(String text) {
        List<String> keys = new ArrayList<>();
        for (String word : text.split(" ")) {
            keys.addAll(word.chars().allMatch(Character::isDigit) ? List.of(word.split("")) : List.of(word));
        }
        return keys.toArray(String[]::new);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "1469400 | memory mode",
                "direct 1469400 | lower display",
                "direct side 14694 set | Only 5 of 7 digits",
                "direct side 9999999 | does not go there",
                "direct side set 02 set up back | without keeping",
                "direct side set 99 | no setting 99",
                "set 11 set up keep | In memory mode a setting",
                "set 24 set 005 keep | In memory mode the radio stores nothing",
                "direct side 1469400 set 24 set 005 keep | second watch is on",
                "direct set 02 set up keep set 21 set 005 keep 1469400 set 24 set 005 keep | stored the lower display",
                "direct side set 02 set up keep 1469400 set 24 set 005 keep | Memory 5 was not empty",
                "direct side set 02 set up keep set 21 set 005 keep 1463400 | Where it hears is stored first",
                "direct side set 02 set up keep 1469400 set 24 set 007 keep | You stored into memory 7",
                "direct side set 02 set up keep 1469400 set 24 set 003 keep | that memory is spoilt",
                "direct side set 02 set up keep set 21 set 006 keep | You cleared memory 006",
                "direct side set 02 set up keep set 21 set 005 keep 1469400 set 24 set 005 keep | It sends no tone instead of 100.0",
                "direct side set 14 set 1009 | no value here",
                "direct side set 02 set up keep set 05 set up up up keep 1469412 | rounded the frequency"
            })
    void whatGoesWrongIsSaidWithItsCure(String presses, String said) {
        Learner learner = new Learner(HERON, RIDGE).press(keys(presses.strip()));
        assertThat(learner.said).anySatisfy(each -> {
            assertThat(each.text() + " " + each.cure()).contains(said.strip());
            assertThat(each.cure().isBlank() && each.weight() == Coach.Said.Weight.WRONG)
                    .isFalse();
        });
        assertThat(learner.standing.done()).isFalse();
    }

    @Test
    void afterAMistakeTheEntryCanStillBeFinished() {
        Learner learner =
                new Learner(HERON, RIDGE).press(keys("direct side set 02 set up keep 1469400 set 24 set 005 keep"));
        assertThat(learner.standing.right()).isFalse();
        learner.press(keys("set 14 set 1000 keep set 21 set 005 keep 1469400 set 24 set 005 keep"));
        assertThat(learner.standing.missing()).singleElement().asString().contains("talks on 146.940");
        learner.press(keys("1463400 set 24 set 005 keep direct 005"));
        assertThat(learner.standing.done()).isTrue();
    }

    @Test
    void theWrongShiftIsSaid() {
        RadioModel otter = model("otter-m5");
        Goal relay = goal(otter, entry("462.600", "467.600", "FM", "50", "141.3", ""), 3);
        Learner learner = new Learner(otter, relay)
                .press(
                        keys(
                                "direct set 03 set keep set 09 set 1413 keep 4626000 set 06 set down keep set 07 set 05000 keep set 15 set 003 keep"));
        assertThat(learner.standing.missing()).first().asString().contains("talks on 457.600");
    }

    @ParameterizedTest
    @ValueSource(strings = {"wren-p1", "badger-b4", "plover-f2"})
    void modelsThatTakeNothingByHandSaySo(String file) {
        RadioModel model = model(file);
        assertThat(KeypadSteps.impossible(model, goal(model, entry("462.550", "462.550", "NFM", "2", "", ""), 1)))
                .isPresent();
    }

    @Test
    void aListeningEntryIsNotTypedInByHand() {
        assertThat(KeypadSteps.impossible(HERON, goal(HERON, entry("155.025", "", "NFM", "", "", ""), 1)))
                .hasValueSatisfying(why -> assertThat(why).contains("could transmit"));
    }

    @Test
    void thePaperNamesTheModelsOwnNumbers() {
        assertThat(KeypadSteps.of(HERON, RIDGE))
                .extracting(Step::what)
                .containsSubsequence(
                        "Go to direct frequencies",
                        "Mark the upper display: only it stores",
                        "Second watch: off",
                        "Clear memory 5",
                        "Set the width: wide",
                        "Set the power: high",
                        "Set the tone it sends: 100.0",
                        "Set the tone it opens on: off",
                        "Type where it hears, all 7 digits",
                        "Store it: memory 5",
                        "Type where it talks, all 7 digits",
                        "Store again, into the same memory: memory 5",
                        "Back to memory mode");
        assertThat(KeypadSteps.of(HERON, RIDGE))
                .filteredOn(step -> step.what().startsWith("Set the tone it sends"))
                .singleElement()
                .satisfies(step ->
                        assertThat(step.keys()).containsExactly("SET", "1", "4", "SET", "1", "0", "0", "0", "KEEP"));
    }

    /** Whatever is pressed, the hand-held goes on, and is never done without the right entry. */
    @Test
    void anyPressesDoNoHarm() {
        java.util.Random random = new java.util.Random(3);
        String[] all = {
            "0", "1", "2", "4", "5", "6", "7", "8", "9", "set", "up", "down", "keep", "back", "direct", "side"
        };
        for (String file : List.of("heron-h2", "otter-m5", "curlew-c6")) {
            RadioModel model = model(file);
            Learner learner = new Learner(model, goal(model, entry("146.940", "146.340", "FM", "5", "100.0", ""), 5));
            for (int i = 0; i < 5_000; i++) {
                learner.press(all[random.nextInt(all.length)]);
                assertThat(learner.standing.screen().upper()).isNotBlank();
                assertThat(learner.standing.done() && !learner.standing.right()).isFalse();
            }
        }
        assertThat(Optional.of(RIDGE).map(Goal::isPair)).contains(true);
    }
}
