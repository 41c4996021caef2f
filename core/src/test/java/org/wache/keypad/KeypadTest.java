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
            if (step.what().startsWith("Mark the first watch")
                    && standing.screen().storing()) {
                return;
            }
            step.keys().forEach(this::printed);
        }

        private void printed(String printed) {
            if (printed.endsWith(" while switching on")) {
                for (String label : printed.substring(5, printed.length() - 19).split(" and ")) {
                    press(key(label) + ":on");
                }
            } else if (printed.startsWith("hold ")) {
                press(key(printed.substring(5)) + ":long");
            } else if (printed.endsWith("\u00d7")) {
                int blank = printed.lastIndexOf(' ');
                int times = Integer.parseInt(printed.substring(blank + 1, printed.length() - 1));
                for (int i = 0; i < times; i++) {
                    press(key(printed.substring(0, blank)));
                }
            } else if (printed.startsWith("turn ")) {
                String wanted = printed.substring(printed.lastIndexOf(' ') + 1);
                for (int i = 0; i < 200 && !standing.screen().says().equals(wanted); i++) {
                    press("knob");
                }
            } else if (printed.contains(" until ")) {
                until(printed.substring(printed.indexOf(" until ") + 7));
            } else {
                press(printed.matches("[0-9]") ? printed : key(printed));
            }
        }

        private void until(String wanted) {
            String spoken = wanted.replaceFirst("^it says ", "");
            String letter = wanted.equals("a blank") ? " " : wanted;
            for (int i = 0; i < 1_200; i++) {
                Screen now = standing.screen();
                boolean there = !wanted.equals(spoken) && now.says().equals(spoken)
                        || now.menu().endsWith(": " + wanted)
                        || now.menu().endsWith("\u203a " + wanted)
                        || now.menu().equals(wanted)
                        || now.menu().matches(".*(Name|Tag): .*") && now.menu().endsWith(letter)
                        || now.menu().isEmpty() && now.main().startsWith(wanted)
                        || now.menu().isEmpty()
                                && wanted.matches("[0-9]{2}")
                                && now.main().equals(Integer.toString(Integer.parseInt(wanted)));
                if (there) {
                    return;
                }
                press("up");
            }
            throw new AssertionError("never showed " + wanted + ": " + standing.screen());
        }

        private String key(String label) {
            List<String> all = Handset.keysOf(model).stream()
                    .filter(id -> model.keypad().orElseThrow().label(id).equals(label))
                    .toList();
            assertThat(all).as("a key printed " + label).isNotEmpty();
            return all.get(0);
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
        // numbered menus, one setting for each side
        "heron-h2, 146.940, 146.340, FM, 5, 100.0, '', 5",
        "heron-h2, 146.550, 146.550, FM, 5, 103.5, 103.5, 9",
        "heron-h2, 444.150, 449.150, FM, 4, D023, D023, 2",
        "heron-h2, 462.5625, 462.5625, NFM, 1, 67.0, '', 100",
        "heron-h2, 146.520, 146.520, FM, 5, '', '', 8",
        // numbered menus, four settings for tones and codes
        "wren-p1, 462.600, 467.600, FM, 5, 141.3, '', 3",
        "wren-p1, 462.600, 467.600, FM, 5, D023, 88.5, 3",
        "wren-p1, 462.550, 462.550, NFM, 0.5, '', '', 1",
        "wren-p1, 162.550, '', FM, '', '', '', 54",
        // keys of their own, a name, and one tone for both sides
        "otter-m5, 462.600, 467.600, FM, 50, 141.3, '', 3",
        "otter-m5, 462.550, 462.550, NFM, 5, '', '', 1",
        "otter-m5, 462.650, 467.650, FM, 15, 88.5, 88.5, 12",
        // nested menus, hidden until an option is on
        "curlew-c6, 29.640, 29.540, FM, 100, 100.0, '', 12",
        "curlew-c6, 146.940, 146.340, FM, 50, 100.0, '', 4",
        "curlew-c6, 14.250, 14.250, USB, 100, '', '', 7",
        "curlew-c6, 156.800, '', FM, '', '', '', 9",
        "curlew-c6, 146.520, '', FM, '', '', '', 9",
        // fixed channels
        "plover-f2, 462.5625, 462.5625, NFM, 2, 67.0, 67.0, 30",
        "plover-f2, 467.6125, 467.6125, NFM, 0.5, '', '', 1",
        // by number, voice and lights
        "badger-b4, 451.800, 456.800, NFM, 4, 114.8, 114.8, 3",
        "badger-b4, 464.550, 464.550, NFM, 2, '', '', 8"
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
        RadioModel model = typeable(file);
        Goal goal = goal(model, entry(receive, transmit, mode, power, sends, opens), memory);
        assertThat(Typeable.impossible(model, goal)).isEmpty();
        Learner learner = new Learner(model, goal);
        KeypadSteps.of(model, goal).forEach(learner::follow);
        assertThat(learner.wrongs()).isEmpty();
        assertThat(learner.standing.right()).isTrue();
        assertThat(learner.standing.done()).isTrue();
    }

    /** A demo model; the Wren's panel takes listening entries only, which is left out here. */
    private static RadioModel typeable(String file) {
        RadioModel model = model(file);
        return new RadioModel(
                model.name(),
                model.kind(),
                model.certifiedFor(),
                model.coverage(),
                model.tuning(),
                model.power(),
                model.antennaGainDbd(),
                model.memory(),
                model.display(),
                model.tones(),
                model.guard(),
                Optional.empty(),
                model.keypad(),
                model.otherSettings());
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
                "direct 1469400 | second watch",
                "direct side 14694 set | Only 5 of 7 digits",
                "direct side 9999999 | does not go there",
                "direct side set 41 set up back | without keeping",
                "direct side set 99 | no setting 99",
                "set 13 set up keep | In memory mode a setting",
                "set 62 set 005 keep | In memory mode the radio stores nothing",
                "direct side 1469400 set 62 set 005 keep | second watch is on",
                "direct set 41 set up keep set 61 set 005 keep 1469400 set 62 set 005 keep | stored the second watch",
                "direct side set 41 set up keep 1469400 set 62 set 005 keep | Memory 5 was not empty",
                "direct side set 41 set up keep set 61 set 005 keep 1463400 | Where it hears is stored first",
                "direct side set 41 set up keep 1469400 set 62 set 007 keep | You stored into memory 7",
                "direct side set 41 set up keep 1469400 set 62 set 003 keep | that memory is spoilt",
                "direct side set 41 set up keep set 61 set 006 keep | You cleared memory 006",
                "direct side set 41 set up keep set 61 set 005 keep 1469400 set 62 set 005 keep | It sends no tone instead of 100.0",
                "direct side set 31 set 1009 | no value here",
                "direct side set 41 set up keep set 12 set up up up keep 1469412 | rounded the frequency"
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
                new Learner(HERON, RIDGE).press(keys("direct side set 41 set up keep 1469400 set 62 set 005 keep"));
        assertThat(learner.standing.right()).isFalse();
        learner.press(keys("set 31 set 1000 keep set 61 set 005 keep 1469400 set 62 set 005 keep"));
        assertThat(learner.standing.missing()).singleElement().asString().contains("talks on 146.940");
        learner.press(keys("1463400 set 62 set 005 keep direct 005"));
        assertThat(learner.standing.done()).isTrue();
    }

    @Test
    void theWrongShiftIsSaid() {
        RadioModel otter = model("otter-m5");
        Goal relay = goal(otter, entry("462.600", "467.600", "FM", "50", "141.3", ""), 3);
        Learner learner = new Learner(otter, relay)
                .press(keys("direct 4626000 gap down keep gap:long 05000 keep mem:long up up mem"));
        assertThat(learner.standing.missing()).first().asString().contains("talks on 457.600");
    }

    @ParameterizedTest
    @ValueSource(strings = {"wren-p1"})
    void modelsThatTakeOnlyListeningByHandSaySo(String file) {
        RadioModel model = model(file);
        assertThat(Typeable.impossible(model, goal(model, entry("462.550", "462.550", "NFM", "2", "", ""), 1)))
                .isPresent();
    }

    @Test
    void aListeningEntryIsNotTypedInByHand() {
        assertThat(Typeable.impossible(HERON, goal(HERON, entry("155.025", "", "NFM", "", "", ""), 1)))
                .hasValueSatisfying(why -> assertThat(why).contains("could transmit"));
    }

    @Test
    void thePaperNamesTheModelsOwnNumbers() {
        assertThat(KeypadSteps.of(HERON, RIDGE))
                .extracting(Step::what)
                .containsSubsequence(
                        "Go to direct frequencies",
                        "Mark the first watch: only it stores",
                        "Second watch: off",
                        "Clear memory 5",
                        "Set the width: wide",
                        "Set the power: high",
                        "Set the tone it sends: 100.0",
                        "Set the tone it opens with: off",
                        "Type where it hears, all 7 digits",
                        "Store it: memory 5",
                        "Type where it talks, all 7 digits",
                        "Store again, into the same memory: memory 5",
                        "Back to memory mode");
        assertThat(KeypadSteps.of(HERON, RIDGE))
                .filteredOn(step -> step.what().startsWith("Set the tone it sends"))
                .singleElement()
                .satisfies(step ->
                        assertThat(step.keys()).containsExactly("PICK", "3", "1", "PICK", "1", "0", "0", "0", "TAKE"));
    }

    /** Whatever is pressed, the hand-held goes on, and is never done without the right entry. */
    @Test
    void anyPressesDoNoHarm() {
        java.util.Random random = new java.util.Random(3);
        for (String file : List.of("heron-h2", "otter-m5", "curlew-c6", "wren-p1", "plover-f2", "badger-b4")) {
            RadioModel model = model(file);
            Learner learner = new Learner(model, goal(model, entry("146.940", "146.340", "FM", "5", "100.0", ""), 5));
            List<String> keys = Handset.keysOf(model);
            for (int i = 0; i < 5_000; i++) {
                String how = List.of("", "", "", ":long", ":on").get(random.nextInt(5));
                learner.press(keys.get(random.nextInt(keys.size())) + how);
                assertThat(learner.standing.screen().main()
                                + learner.standing.screen().says())
                        .isNotBlank();
                assertThat(learner.standing.done() && !learner.standing.right()).isFalse();
            }
        }
        assertThat(Optional.of(RIDGE).map(Goal::isPair)).contains(true);
    }

    private static List<String> whats(List<Step> steps) {
        return steps.stream().map(Step::what).toList();
    }

    @Test
    void aListeningEntryIsTypedWhereTheRadioCannotKeyOrASettingStopsIt() {
        RadioModel curlew = model("curlew-c6");
        assertThat(whats(KeypadSteps.of(curlew, goal(curlew, entry("162.550", "", "FM", "", "", ""), 3))))
                .anyMatch(what -> what.contains("cannot key here"));
        assertThat(whats(KeypadSteps.of(curlew, goal(curlew, entry("146.520", "", "FM", "", "", ""), 3))))
                .contains("Transmitting: never")
                .anyMatch(what -> what.contains("it must stay silent"));
        RadioModel wren = model("wren-p1");
        assertThat(Typeable.impossible(wren, goal(wren, entry("162.550", "", "FM", "", "", ""), 3)))
                .isEmpty();
    }

    @Test
    void anEntryIsUsedWithoutAMemoryWhereThatGoes() {
        RadioModel otter = model("otter-m5");
        assertThat(whats(KeypadSteps.atOnce(otter, goal(otter, entry("462.550", "462.550", "FM", "5", "", ""), 1))))
                .containsSubsequence(
                        "Go to direct frequencies",
                        "Type where it hears, all 7 digits",
                        "Choose the shift: off",
                        "Say which tones count: \u2014")
                .anyMatch(what -> what.startsWith("Look before you key"));
        assertThat(KeypadSteps.atOnce(HERON, RIDGE))
                .as("two frequencies need a memory")
                .isEmpty();
        RadioModel plover = model("plover-f2");
        assertThat(KeypadSteps.atOnce(plover, goal(plover, entry("462.5625", "462.5625", "NFM", "2", "", ""), 1)))
                .isEmpty();
    }

    @Test
    void theKeysAreUnlockedBeforeAndLockedAfter() {
        assertThat(KeypadSteps.before(HERON)).singleElement().satisfies(step -> {
            assertThat(step.keys()).containsExactly("hold DROP");
            assertThat(step.why()).isEqualTo("It erases nothing.");
        });
        assertThat(KeypadSteps.after(HERON)).singleElement().satisfies(step -> assertThat(step.why())
                .contains("The key that talks is not locked"));
        assertThat(KeypadSteps.before(model("wren-p1"))).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "otter-m5, 462.600, 467.600, 141.3, 88.5, two different ones",
        "otter-m5, 462.600, 467.600, '', 88.5, sends none",
        "plover-f2, 462.5625, 462.5625, 67.0, '', opens without one",
        "plover-f2, 462.600, 467.600, '', '', are fixed",
        "badger-b4, 462.600, 462.600, '', '', not in the table",
        "curlew-c6, 146.940, 146.340, D023, '', no tone D023"
    })
    void whatAModelCannotDoIsSaid(
            String file, String receive, String transmit, String sends, String opens, String why) {
        RadioModel model = model(file);
        assertThat(Typeable.impossible(model, goal(model, entry(receive, transmit, "NFM", "2", sends, opens), 1)))
                .hasValueSatisfying(said -> assertThat(said).contains(why));
    }

    @Test
    void aRoundThatIsNotSavedLosesEverything() {
        RadioModel badger = model("badger-b4");
        Goal ferry = goal(badger, entry("451.800", "456.800", "NFM", "4", "114.8", "114.8"), 2);
        Learner learner = new Learner(badger, ferry).press("knob", "next:on", "up:on", "up", "next:on");
        assertThat(learner.wrongs()).anySatisfy(said -> assertThat(said).contains("without saving"));
        assertThat(learner.standing.screen().light()).isEmpty();
        assertThat(learner.standing.right()).isFalse();
    }

    @Test
    void aHiddenSettingIsThereOnlyWhenItsOptionIsOn() {
        RadioModel curlew = model("curlew-c6");
        Learner learner = new Learner(curlew, goal(curlew, entry("29.640", "29.540", "FM", "100", "100.0", ""), 2));
        learner.press("direct", "set", "up", "set");
        assertThat(learner.standing.screen().menu()).isEqualTo("Relay \u203a Relay work");
        learner.press("up");
        assertThat(learner.standing.screen().menu())
                .as("the only one of its level")
                .isEqualTo("Relay \u203a Relay work");
        learner.press("set", "up", "keep", "set", "up", "set", "up");
        assertThat(learner.standing.screen().menu()).isEqualTo("Relay \u203a Way");
    }
}
