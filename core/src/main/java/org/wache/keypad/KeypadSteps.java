package org.wache.keypad;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.wache.radio.Keypad;
import org.wache.radio.Keypad.Menu;
import org.wache.radio.Keypad.Purpose;
import org.wache.radio.Press;
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
    /** Tones that are switched off come before the one that is set: of four settings the last one counts. */
    private static final List<Purpose> SET_BEFORE = List.of(
            Purpose.MODE,
            Purpose.WIDTH,
            Purpose.POWER,
            Purpose.TONE_KIND,
            Purpose.TONE,
            Purpose.CODE,
            Purpose.CTCSS_SENT,
            Purpose.DCS_SENT,
            Purpose.CTCSS_RECEIVED,
            Purpose.DCS_RECEIVED,
            Purpose.TONE_SENT,
            Purpose.TONE_RECEIVED,
            Purpose.SCAN,
            Purpose.TRANSMIT,
            Purpose.NAME);

    private final RadioModel model;
    private final Keypad keypad;
    private final Goal goal;
    private final KeyWords words;
    private final List<Step> steps = new ArrayList<>();
    private final Set<String> shown = new HashSet<>();

    private KeypadSteps(RadioModel model, Goal goal) {
        this.model = model;
        this.keypad = model.keypad().orElseThrow();
        this.goal = goal;
        this.words = new KeyWords(model);
    }

    static long unit(Keypad keypad) {
        return keypad.digits() == 7 ? TENTH : KILO;
    }

    /**
     * The steps for an entry.
     *
     * @throws java.util.NoSuchElementException when the model takes no entries by keypad
     */
    public static List<Step> of(RadioModel model, Goal goal) {
        KeypadSteps steps = new KeypadSteps(model, goal);
        if (steps.keypad.menu() == Menu.ROUND) {
            steps.round();
        } else if (steps.keypad.method() == Keypad.Method.FIXED_CHANNELS) {
            steps.fixed();
        } else {
            steps.filled();
        }
        steps.end();
        return List.copyOf(steps.steps);
    }

    /** What comes before the first entry: the keys are unlocked. */
    public static List<Step> before(RadioModel model) {
        return model.keypad()
                .flatMap(Keypad::lock)
                .filter(lock -> !lock.open().isEmpty())
                .map(lock -> List.of(new Step(
                        "Unlock the keys", new KeyWords(model).printed(lock.open(), 0), "", erases(lock.erases()))))
                .orElse(List.of());
    }

    /** What comes after the last entry: the keys are locked. */
    public static List<Step> after(RadioModel model) {
        return model.keypad()
                .flatMap(Keypad::lock)
                .filter(lock -> !lock.close().isEmpty())
                .map(lock -> List.of(new Step(
                        "Lock the keys",
                        new KeyWords(model).printed(lock.close(), 0),
                        "",
                        "The key that talks is not locked by it. " + erases(lock.erases()))))
                .orElse(List.of());
    }

    private static String erases(List<String> what) {
        return what.isEmpty() ? "It erases nothing." : "It erases " + String.join(" and ", what) + ".";
    }

    /**
     * How an entry is used without a memory: the frequency is set, what may be left from before is switched off, and it is keyed.
     * Empty where the model cannot: its channels are fixed or numbered, or two frequencies need a memory.
     */
    public static List<Step> atOnce(RadioModel model, Goal goal) {
        KeypadSteps steps = new KeypadSteps(model, goal);
        boolean free = steps.keypad.method() == Keypad.Method.SHIFT
                || steps.keypad.method() == Keypad.Method.TWO_FREQUENCIES && !goal.isPair();
        if (!free || goal.transmit().isEmpty()) {
            return List.of();
        }
        steps.begin();
        steps.type("Type where it hears", goal.receive());
        steps.set(Purpose.SHIFT);
        steps.set(Purpose.OFFSET);
        SET_BEFORE.stream()
                .filter(purpose -> purpose != Purpose.NAME && purpose != Purpose.SCAN)
                .forEach(steps::set);
        steps.steps.add(new Step(
                "Look before you key: " + steps.summary(),
                List.of(),
                goal.receive().megahertz(),
                "What was set for another frequency stays: a shift or a tone left on."));
        steps.tryIt();
        return List.copyOf(steps.steps);
    }

    private void filled() {
        begin();
        clear();
        if (keypad.method() == Keypad.Method.BY_NUMBER) {
            set(Purpose.FREQUENCY);
            set(Purpose.FREQUENCY_SENT);
        }
        SET_BEFORE.forEach(this::set);
        switch (keypad.method()) {
            case TWO_FREQUENCIES -> {
                type("Type where it hears", goal.receive());
                store("Store it", "Stored into the empty memory, it is where the memory hears.");
                if (goal.isPair()) {
                    type("Type where it talks", goal.talksOn());
                    store(
                            "Store again, into the same memory",
                            "Stored into a memory that holds something, it becomes where it talks.");
                }
            }
            case SHIFT -> {
                type("Type where it hears", goal.receive());
                set(Purpose.SHIFT);
                set(Purpose.OFFSET);
                store("Store it", "");
            }
            default -> store("Store it", "");
        }
    }

    private void fixed() {
        choose();
        SET_BEFORE.forEach(this::set);
        if (!keypad.fixed().save().isEmpty()) {
            steps.add(new Step("Keep it", words.printed(keypad.fixed().save(), goal.memory()), "", ""));
        }
    }

    /** One setting after the other in the order of the radio, and a press at the end that keeps them all. */
    private void round() {
        choose();
        steps.add(new Step(
                "Begin programming",
                words.printed(keypad.fixed().begin(), goal.memory()),
                words.open(keypad.settings().get(0)),
                "Switching off before the end loses everything."));
        boolean first = true;
        for (Keypad.Setting setting : keypad.settings()) {
            Optional<String> wanted = Wanted.of(setting.purpose(), goal, model);
            List<String> keys = new ArrayList<>();
            if (!first) {
                keys.add(keypad.label("next"));
            }
            String value = wanted.map(each -> words.shown(setting, each)).orElse("");
            if (wanted.isPresent()) {
                keys.addAll(words.value(setting, wanted.get()));
            }
            steps.add(new Step(
                    wanted.isPresent() ? words.what(setting.purpose()) + ": " + value : "Pass over " + setting.title(),
                    keys,
                    words.open(setting) + (value.isEmpty() ? "" : ", “" + value + "”"),
                    first || setting.light().isEmpty() ? "" : "If the light has another colour, you are elsewhere."));
            first = false;
        }
        steps.add(new Step(
                "Save it",
                words.printed(keypad.fixed().save(), goal.memory()),
                keypad.fixed().heard(),
                "Let go too early and everything is lost: begin again with position " + goal.memory() + "."));
    }

    private void begin() {
        List<Press> begin = keypad.fixed().begin().isEmpty()
                ? List.of(Press.of("direct"))
                : keypad.fixed().begin();
        steps.add(new Step(
                "Go to direct frequencies",
                words.printed(begin, goal.memory()),
                "a frequency, no memory number",
                "In memory mode digits choose a memory, and settings are not kept."));
        if (keypad.setting(Purpose.SECOND_WATCH).isPresent()) {
            steps.add(new Step(
                    "Mark the first watch: only it stores",
                    List.of(keypad.label("side")),
                    "the mark of the first watch",
                    "Otherwise the other watch's frequency is stored."));
            set(Purpose.SECOND_WATCH);
        }
        if (keypad.method() != Keypad.Method.BY_NUMBER) {
            set(Purpose.STEP);
        }
    }

    private void clear() {
        keypad.setting(Purpose.CLEAR)
                .ifPresent(setting -> steps.add(new Step(
                        "Clear memory " + goal.memory(),
                        words.setting(setting, words.memory(goal.memory())),
                        "memory " + words.number(goal.memory()) + " is empty",
                        keypad.method() == Keypad.Method.TWO_FREQUENCIES
                                ? "A memory that holds something takes what you store as its transmit frequency."
                                : "")));
    }

    private void choose() {
        String name = model.tuning().fixed().isEmpty()
                ? "position " + goal.memory()
                : "channel " + model.tuning().fixed().get(goal.memory() - 1).name();
        steps.add(new Step(
                "Choose " + name,
                words.memory(goal.memory()),
                keypad.blind() ? "" : name,
                keypad.blind() ? "The knob says which memory is programmed." : ""));
    }

    private void set(Purpose purpose) {
        Optional<Keypad.Setting> there = keypad.setting(purpose);
        Optional<String> wanted = Wanted.of(purpose, goal, model);
        if (there.isEmpty() || wanted.isEmpty()) {
            return;
        }
        Keypad.Setting setting = there.get();
        if (!setting.hiddenBy().isEmpty() && shown.add(setting.hiddenBy())) {
            keypad.option(setting.hiddenBy())
                    .ifPresent(option -> steps.add(new Step(
                            "Switch on “" + option.title() + "”",
                            words.setting(option, words.value(option, "on")),
                            words.shown(option, "on"),
                            "Until it is on the menu does not show " + setting.title() + ".")));
        }
        String value = words.shown(setting, wanted.get());
        steps.add(new Step(
                words.what(purpose) + ": "
                        + (purpose == Purpose.OFFSET
                                ? Frequency.megahertz(Long.parseLong(wanted.get()) * KILO) + " MHz"
                                : value),
                words.setting(setting, words.value(setting, wanted.get())),
                purpose == Purpose.OFFSET ? value.substring(0, 2) + "." + value.substring(2) : value,
                why(purpose, wanted.get())));
    }

    private String why(Purpose purpose, String wanted) {
        return switch (purpose) {
            case SECOND_WATCH -> "With it on the radio stores the other display.";
            case STEP -> "On a step that does not fit the radio rounds the frequency.";
            case SHIFT ->
                wanted.equals("off")
                        ? "A shift left on puts a direct channel on two frequencies."
                        : "With the wrong sign you talk where nobody listens.";
            case OFFSET ->
                "It is the distance between the two frequencies: " + Frequency.megahertz(Long.parseLong(wanted) * KILO)
                        + " MHz.";
            case TRANSMIT -> wanted.equals("off") ? "Nobody may key here: this is what stops the key." : "";
            case TONE_RECEIVED, CTCSS_RECEIVED, DCS_RECEIVED ->
                wanted.equals("off") ? "With a tone left here you hear only who sends it." : "";
            case TONE_SENT, CTCSS_SENT, DCS_SENT, TONE, CODE ->
                wanted.equals("off") ? "" : "Without the right tone nobody opens.";
            default -> "";
        };
    }

    private void type(String what, Frequency frequency) {
        String typed = Typeable.digits(keypad, frequency);
        steps.add(new Step(
                what + ", all " + keypad.digits() + " digits",
                KeyWords.digits(typed),
                typed.substring(0, 3) + "." + typed.substring(3),
                ""));
    }

    private void store(String what, String why) {
        List<String> keys = keypad.fixed().store().isEmpty()
                ? keypad.setting(Purpose.STORE)
                        .map(setting -> words.setting(setting, words.memory(goal.memory())))
                        .orElse(List.of())
                : words.printed(keypad.fixed().store(), goal.memory());
        steps.add(new Step(what + ": memory " + goal.memory(), keys, "", why));
    }

    private void end() {
        boolean hasOwn = !keypad.fixed().listenBack().isEmpty();
        if (keypad.method() != Keypad.Method.FIXED_CHANNELS && !keypad.blind()) {
            steps.add(new Step(
                    "Back to memory mode",
                    List.of(keypad.label("direct")),
                    "memory " + words.number(goal.memory()),
                    ""));
        }
        steps.add(new Step(
                (keypad.blind() ? "Listen back: " : "Check it: ") + summary(),
                hasOwn
                        ? words.printed(keypad.fixed().listenBack(), goal.memory())
                        : keypad.method() == Keypad.Method.FIXED_CHANNELS ? List.of() : words.memory(goal.memory()),
                keypad.blind() || hasOwn
                        ? keypad.fixed().heard()
                        : model.tuning().fixed().isEmpty() ? goal.receive().megahertz() : words.called(goal.memory()),
                "Each tone of both sides, the width and the power: what was left from before shows here."));
        if (goal.transmit().isEmpty()) {
            steps.add(
                    Typeable.silence(model, goal) == Typeable.Silence.CANNOT_KEY
                            ? new Step(
                                    "Nothing to switch off: " + model.name() + " cannot key here",
                                    List.of(),
                                    "",
                                    "It does not transmit on " + goal.receive() + " at all.")
                            : new Step(
                                    "Press the key for an instant, on a dummy load: it must stay silent",
                                    List.of(),
                                    "no sign of transmitting",
                                    "Locking the keys does not stop the key that talks."));
        } else {
            tryIt();
        }
    }

    private void tryIt() {
        steps.add(new Step(
                "Try it: antenna on, listen, identify",
                List.of(),
                goal.isPair() ? "the repeater answers with its tail" : "a colleague hears you",
                "Never key without an antenna or a dummy load."));
    }

    private String summary() {
        List<String> all = new ArrayList<>();
        all.add("hears " + goal.receive().megahertz());
        all.add(
                goal.transmit().isEmpty()
                        ? "only listens"
                        : goal.isPair() ? "talks on " + goal.talksOn().megahertz() : "talks there too");
        if (goal.transmit().isPresent()) {
            all.add("sends " + goal.sends().map(Tone::text).orElse("no tone"));
        }
        all.add("opens with " + goal.opensOn().map(Tone::text).orElse("anything"));
        if (keypad.setting(Purpose.WIDTH).isPresent()
                || keypad.setting(Purpose.MODE).isPresent()) {
            all.add(goal.mode().map(Enum::name).orElse(goal.narrow() ? "narrow" : "wide"));
        }
        goal.power().ifPresent(level -> all.add("power " + level));
        return String.join(", ", all);
    }
}
