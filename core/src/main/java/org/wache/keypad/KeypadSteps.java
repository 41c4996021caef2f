package org.wache.keypad;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.wache.radio.Keypad;
import org.wache.radio.Keypad.Purpose;
import org.wache.radio.RadioModel;
import org.wache.signal.Frequency;
import org.wache.signal.Tone;

/**
 * The steps in which an entry is typed into a model, in the order of the trade and with the model's own keys and numbers.
 * Source of the order: common practice, no source.
 */
public final class KeypadSteps {

    private static final long KILO = 1_000;
    private static final long TENTH = 100;

    private final RadioModel model;
    private final Keypad keypad;
    private final Goal goal;
    private final List<Step> steps = new ArrayList<>();

    private KeypadSteps(RadioModel model, Goal goal) {
        this.model = model;
        this.keypad = model.keypad().orElseThrow();
        this.goal = goal;
    }

    /**
     * Why an entry cannot be typed into a model; empty when it can.
     */
    public static Optional<String> impossible(RadioModel model, Goal goal) {
        if (model.keypad().isEmpty()) {
            return Optional.of(model.name() + " takes no entries by keypad: write it over the cable.");
        }
        if (model.panel().filter(panel -> panel == RadioModel.Panel.NONE).isPresent()) {
            return Optional.of("The front panel of " + model.name() + " programs nothing: write it over the cable.");
        }
        if (goal.transmit().isEmpty()) {
            return Optional.of(
                    "Typed in by hand it could transmit, and locking the keypad does not stop the key: write it over the cable, or leave it"
                            + " out.");
        }
        boolean fits = goal.receive().hertz() % unit(model.keypad().get()) == 0
                && goal.talksOn().hertz() % unit(model.keypad().get()) == 0;
        if (!fits) {
            return Optional.of(
                    "The keypad takes " + model.keypad().get().digits() + " digits, too few for this frequency.");
        }
        Optional<Tone> lacking = java.util.stream.Stream.of(goal.sends(), goal.opensOn())
                .flatMap(Optional::stream)
                .filter(tone -> model.tones().known() && !model.tones().has(tone))
                .findFirst();
        return lacking.map(tone -> model.name() + " has no tone " + tone.text() + ".");
    }

    private static long unit(Keypad keypad) {
        return keypad.digits() == 7 ? TENTH : KILO;
    }

    /**
     * The steps for an entry.
     *
     * @throws java.util.NoSuchElementException when the model takes no entries by keypad
     */
    public static List<Step> of(RadioModel model, Goal goal) {
        KeypadSteps steps = new KeypadSteps(model, goal);
        if (steps.keypad.method() == Keypad.Method.TWO_FREQUENCIES) {
            steps.twoFrequencies();
        } else {
            steps.shift();
        }
        return List.copyOf(steps.steps);
    }

    private void twoFrequencies() {
        begin();
        clear();
        settings();
        frequency("Type where it hears, all " + keypad.digits() + " digits", goal.receive());
        store("Store it", "Stored into the empty memory, it is where the memory hears.");
        if (goal.isPair()) {
            frequency("Type where it talks, all " + keypad.digits() + " digits", goal.talksOn());
            store(
                    "Store again, into the same memory",
                    "Stored into a memory that holds something, it becomes where it talks.");
        }
        end();
    }

    private void shift() {
        begin();
        clear();
        settings();
        frequency("Type where it hears, all " + keypad.digits() + " digits", goal.receive());
        long offset = goal.talksOn().hertz() - goal.receive().hertz();
        choose(
                Purpose.SHIFT,
                "Choose the shift",
                offset == 0 ? "off" : offset > 0 ? "+" : "-",
                offset == 0
                        ? "A shift left on puts a direct channel on two frequencies."
                        : "With the wrong sign you talk where nobody listens.");
        if (offset != 0) {
            setting(Purpose.OFFSET).ifPresent(setting -> {
                String digits = String.format(Locale.ROOT, "%05d", Math.abs(offset) / KILO);
                steps.add(new Step(
                        "Type the offset",
                        keys(setting, digits(digits)),
                        digits.substring(0, 2) + "." + digits.substring(2),
                        "It is the distance between the two frequencies: " + Frequency.megahertz(Math.abs(offset))
                                + " MHz."));
            });
        }
        store("Store it", "");
        end();
    }

    private void begin() {
        steps.add(new Step(
                "Go to direct frequencies",
                List.of(keypad.keys().direct()),
                "a frequency, no memory number",
                "In memory mode digits choose a memory, and settings are not kept."));
        if (setting(Purpose.SECOND_WATCH).isPresent()) {
            steps.add(new Step(
                    "Mark the upper display: only it stores",
                    List.of(keypad.keys().side()),
                    "the mark stands at the upper line",
                    "Otherwise the lower display's frequency is stored."));
            choose(Purpose.SECOND_WATCH, "Second watch", "off", "With it on the radio stores the other display.");
        }
        List<Integer> all = model.tuning().stepsHz();
        all.stream()
                .filter(step ->
                        goal.receive().hertz() % step == 0 && goal.talksOn().hertz() % step == 0)
                .max(Comparator.naturalOrder())
                .ifPresent(step -> choose(
                        Purpose.STEP,
                        "Step in kHz",
                        Frequency.kilohertz(step).replaceFirst("\\.0$", ""),
                        "On a step that does not fit the radio rounds the frequency."));
    }

    private void clear() {
        setting(Purpose.CLEAR)
                .ifPresent(setting -> steps.add(new Step(
                        "Clear memory " + goal.memory(),
                        keys(setting, digits(memory())),
                        "memory " + memory() + " is empty",
                        keypad.method() == Keypad.Method.TWO_FREQUENCIES
                                ? "A memory that holds something takes what you store as its transmit frequency."
                                : "")));
    }

    private void settings() {
        choose(Purpose.WIDTH, "Set the width", goal.narrow() ? "narrow" : "wide", "");
        goal.power().ifPresent(level -> choose(Purpose.POWER, "Set the power", level, ""));
        tone(Purpose.TONE_SENT, "Set the tone it sends", goal.sends());
        tone(Purpose.TONE_RECEIVED, "Set the tone it opens on", goal.opensOn());
    }

    private void tone(Purpose purpose, String what, Optional<Tone> tone) {
        if (tone.isPresent() && tone.get() instanceof Tone.Ctcss continuous && continuous.tenths() < 10_000) {
            String typed = String.format(Locale.ROOT, "%04d", continuous.tenths());
            setting(purpose)
                    .ifPresent(setting -> steps.add(new Step(
                            what + ": " + tone.get().text(),
                            keys(setting, digits(typed)),
                            tone.get().text(),
                            "Without the right tone nobody opens.")));
        } else {
            choose(
                    purpose,
                    what,
                    tone.map(Tone::text).orElse("off"),
                    tone.isEmpty() && purpose == Purpose.TONE_RECEIVED
                            ? "With a tone left here you hear only who sends it."
                            : "");
        }
    }

    private void choose(Purpose purpose, String what, String value, String why) {
        setting(purpose)
                .ifPresent(setting -> steps.add(new Step(
                        what + ": " + value,
                        keys(
                                setting,
                                List.of(keypad.keys().up() + " or "
                                        + keypad.keys().down() + " until " + value)),
                        value,
                        why)));
    }

    private void frequency(String what, Frequency frequency) {
        String typed = String.format(Locale.ROOT, "%0" + keypad.digits() + "d", frequency.hertz() / unit(keypad));
        steps.add(new Step(what, digits(typed), typed.substring(0, 3) + "." + typed.substring(3), ""));
    }

    private void store(String what, String why) {
        setting(Purpose.STORE)
                .ifPresent(setting -> steps.add(
                        new Step(what + ": memory " + goal.memory(), keys(setting, digits(memory())), "", why)));
    }

    private void end() {
        steps.add(new Step("Back to memory mode", List.of(keypad.keys().direct()), "memory " + memory(), ""));
        steps.add(new Step(
                "Try it: antenna on, listen, identify",
                List.of(),
                goal.isPair() ? "the repeater answers with its tail" : "a colleague hears you",
                "Never key without an antenna or a dummy load."));
    }

    private String memory() {
        return String.format(Locale.ROOT, "%03d", goal.memory());
    }

    private Optional<Keypad.Setting> setting(Purpose purpose) {
        return keypad.setting(purpose);
    }

    private List<String> keys(Keypad.Setting setting, List<String> value) {
        List<String> keys = new ArrayList<>();
        keys.add(keypad.keys().set());
        keys.addAll(digits(String.format(Locale.ROOT, "%02d", setting.number())));
        keys.add(keypad.keys().set());
        keys.addAll(value);
        keys.add(keypad.keys().keep());
        return keys;
    }

    private static List<String> digits(String text) {
        return text.chars().mapToObj(each -> String.valueOf((char) each)).toList();
    }
}
