package org.wache.keypad;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wache.radio.Keypad;
import org.wache.radio.Keypad.Purpose;
import org.wache.signal.Frequency;
import org.wache.signal.Tone;

/** Watches a learner at a hand-held and says what went wrong and why, until the memory holds the right entry. */
public final class Coach {

    private static final String TALKS = "It talks";

    private static final List<Purpose> SETTLED =
            List.of(Purpose.MODE, Purpose.WIDTH, Purpose.POWER, Purpose.TRANSMIT, Purpose.SCAN, Purpose.NAME);

    private final Handset handset;
    private final Keypad keypad;
    private final Goal goal;
    private final String name;

    /**
     * What the coach says.
     *
     * @param weight good, wrong or note
     * @param text what happened
     * @param cure what to do now; empty when nothing
     */
    public record Said(Said.Weight weight, String text, String cure) {
        /** How it is meant. */
        public enum Weight {
            GOOD,
            WRONG,
            NOTE
        }
    }

    /**
     * Where the learner stands.
     *
     * @param screen what can be read
     * @param said what the coach says of the last press
     * @param missing what the memory still lacks, worst first; empty when it holds the right entry
     * @param right whether the memory holds the right entry
     * @param done whether it does, and the radio is back in memory mode on it
     */
    public record Standing(Screen screen, List<Said> said, List<String> missing, boolean right, boolean done) {}

    /** Watches from the first press on. */
    public Coach(Handset handset, Keypad keypad, Goal goal, String model) {
        this.handset = handset;
        this.keypad = keypad;
        this.goal = goal;
        this.name = model;
    }

    /** One press, and what is to be said of it. */
    public Standing press(String key) {
        handset.press(key);
        List<Said> said = new ArrayList<>();
        handset.events().forEach(event -> said(event).ifPresent(said::add));
        return standing(said);
    }

    /** Where the learner stands before the first press. */
    public Standing start() {
        return standing(List.of());
    }

    private Standing standing(List<Said> said) {
        List<String> missing = missing();
        boolean right = missing.isEmpty();
        boolean done = right && handset.inMemoryMode() && handset.chosen() == goal.memory();
        List<Said> all = new ArrayList<>(said);
        if (right && !done && said.stream().anyMatch(each -> each.weight() == Said.Weight.GOOD)) {
            all.add(new Said(
                    Said.Weight.GOOD,
                    "Memory " + goal.memory() + " holds the right entry.",
                    handset.inMemoryMode()
                            ? "Choose it and look at it."
                            : "Go back to memory mode with " + keypad.label("direct") + ", choose memory "
                                    + new KeyWords(handset.model()).number(goal.memory()) + " and look at it."));
        }
        return new Standing(handset.screen(), all, missing, right, done);
    }

    private Optional<Said> said(Event event) {
        String at = new KeyWords(handset.model()).number(event.number());
        return switch (event.what()) {
            case CHOSE_MEMORY ->
                event.number() == goal.memory() && missing().isEmpty()
                        ? good("This is it.")
                        : note(
                                "The radio is in memory mode: the digits chose memory " + at + ".",
                                "To type a frequency go to direct frequencies first: " + keypad.label("direct") + ".");
            case NO_MEMORY ->
                wrong(
                        "The radio is in memory mode, and memory " + at + " is empty.",
                        "To type a frequency go to direct frequencies first: " + keypad.label("direct") + ".");
            case TYPED -> typed();
            case ROUNDED ->
                wrong(
                        "The radio rounded the frequency to "
                                + handset.shownNow().receive().megahertz() + ": its step is "
                                + Frequency.kilohertz(handset.shownNow().step()) + " kHz.",
                        "Set a step that divides the frequency, then type it again.");
            case OUTSIDE ->
                wrong(
                        "The radio does not go there.",
                        "Type the frequency with all of its " + keypad.digits() + " digits.");
            case DROPPED ->
                event.number() >= 3 && !handset.inMemoryMode()
                        ? wrong(
                                "Only " + event.number() + " of " + keypad.digits()
                                        + " digits were typed, so the radio dropped them.",
                                "Type all " + keypad.digits() + " digits: zeros at the end count.")
                        : Optional.empty();
            case OPENED -> Optional.empty();
            case NO_SETTING ->
                wrong(
                        "There is no setting " + event.number() + ".",
                        "The settings of the " + name + " are on its paper.");
            case KEPT -> kept();
            case LEFT ->
                wrong(
                        "You left without keeping the value.",
                        "Open the setting again, choose, and press " + keypad.label("keep") + ".");
            case KEPT_FOR_NOW ->
                wrong(
                        "In memory mode a setting does not go into the memory.",
                        "Go to direct frequencies first: " + keypad.label("direct") + ".");
            case NO_VALUE ->
                wrong(
                        "That is no value here.",
                        "Memories have three digits, continuous tones four (100.0 is 1000), codes three and "
                                + keypad.label("keep") + ".");
            case CLEARED ->
                event.number() == goal.memory()
                        ? good("Memory " + at + " is empty.")
                        : wrong(
                                "You cleared memory " + at + ", and the entry goes into memory " + goal.memory() + ".",
                                "Clear memory " + goal.memory() + " too.");
            case STORED, STORED_OVER -> stored(event.number());
            case STORED_TRANSMIT -> storedTransmit(event.number());
            case NOT_STORED ->
                wrong(
                        "In memory mode the radio stores nothing.",
                        "Go to direct frequencies first: " + keypad.label("direct") + ".");
            case STORED_OTHER ->
                wrong(
                        "The radio stored the second watch"
                                + (handset.watching() ? ", because the second watch is on." : "."),
                        handset.watching()
                                ? "Switch the second watch off and mark the first watch; then clear the memory and store again."
                                : "Mark the first watch with " + keypad.label("side")
                                        + "; then clear the memory and store again.");
            case BROKEN_OFF -> note("That press does not go on with the one before: the radio begins anew.", "");
            case LOST ->
                wrong(
                        "Programming ended without saving: nothing of it was kept.",
                        "Choose position " + goal.memory() + " and begin again; at the end hold the key that saves.");
            case NOTHING -> Optional.empty();
        };
    }

    private static Optional<Said> good(String text) {
        return Optional.of(new Said(Said.Weight.GOOD, text, ""));
    }

    private static Optional<Said> wrong(String text, String cure) {
        return Optional.of(new Said(Said.Weight.WRONG, text, cure));
    }

    private static Optional<Said> note(String text, String cure) {
        return Optional.of(new Said(Said.Weight.NOTE, text, cure));
    }

    private Optional<Said> typed() {
        Frequency now = handset.shownNow().receive();
        if (!handset.storesHere()) {
            return wrong(
                    "You typed into the second watch, and only the first one stores.",
                    "Mark the first watch with " + keypad.label("side") + " and type it again.");
        }
        boolean first = handset.memory(goal.memory())
                .filter(each -> each.receive().equals(goal.receive()))
                .isEmpty();
        if (now.equals(goal.receive())) {
            return good("This is where the entry hears.");
        }
        if (now.equals(goal.talksOn())) {
            return keypad.method() == Keypad.Method.SHIFT
                    ? wrong(
                            "This is where the entry talks. The radio wants where it hears, and makes the other with the shift.",
                            "Type " + goal.receive().megahertz() + ".")
                    : first
                            ? wrong(
                                    "This is where the entry talks. Where it hears is stored first.",
                                    "Type " + goal.receive().megahertz() + " first.")
                            : good("This is where the entry talks.");
        }
        return wrong(
                now.megahertz() + " is neither of the entry's frequencies.",
                "It hears " + goal.receive().megahertz()
                        + (goal.isPair() ? " and talks on " + goal.talksOn().megahertz() : "") + ".");
    }

    private Optional<Said> kept() {
        return handset.storesHere()
                        || keypad.setting(Keypad.Purpose.SECOND_WATCH).isEmpty()
                ? Optional.empty()
                : note(
                        "The setting is on the second watch.",
                        "Mark the first watch with " + keypad.label("side") + " before you set anything.");
    }

    private Optional<Said> stored(int memory) {
        if (memory != goal.memory()) {
            return wrong(
                    "You stored into memory " + memory + "; the entry goes into memory " + goal.memory() + ".",
                    "Store it into memory " + goal.memory() + ".");
        }
        List<String> missing = missing();
        if (missing.isEmpty()) {
            return good("Stored.");
        }
        boolean transmitComes = keypad.method() == Keypad.Method.TWO_FREQUENCIES && goal.isPair();
        Optional<String> wrong = missing.stream()
                .filter(each -> !transmitComes || !each.startsWith(TALKS))
                .findFirst();
        return wrong.isEmpty()
                ? Optional.of(new Said(
                        Said.Weight.GOOD,
                        "Where it hears is stored, with its settings.",
                        "Now type where it talks, " + goal.talksOn().megahertz()
                                + ", and store again into the same memory."))
                : wrong(
                        "Stored, but not right: " + wrong.get(),
                        "A memory takes the settings as they are when it is first stored. Set what is wrong, clear memory "
                                + goal.memory() + " and store again.");
    }

    private Optional<Said> storedTransmit(int memory) {
        if (memory != goal.memory()) {
            return wrong(
                    "Memory " + memory
                            + " held something already: your frequency became where it talks, and that memory is spoilt.",
                    "Write down that memory " + memory + " has to be entered anew. The entry goes into memory "
                            + goal.memory() + ".");
        }
        if (missing().isEmpty()) {
            return good("Stored: it is complete.");
        }
        boolean old = handset.memory(memory)
                .filter(each -> each.receive().equals(goal.receive()))
                .isEmpty();
        return old
                ? wrong(
                        "Memory " + memory
                                + " was not empty: the radio took your frequency as where it talks, and kept hearing "
                                + handset.memory(memory)
                                        .map(each -> each.receive().megahertz())
                                        .orElse("") + ".",
                        "Clear memory " + memory + " first, then store where it hears.")
                : wrong(
                        "Stored, but not right: " + missing().get(0),
                        "Clear memory " + memory + " and begin again with where it hears.");
    }

    /** What the memory lacks, worst first. */
    private List<String> missing() {
        Optional<Typed> there = handset.memory(goal.memory());
        if (there.isEmpty()) {
            return List.of("Memory " + goal.memory() + " is empty.");
        }
        Typed now = there.get();
        List<String> missing = new ArrayList<>();
        if (!now.receive().equals(goal.receive())) {
            missing.add("It hears " + now.receive().megahertz() + " instead of "
                    + goal.receive().megahertz() + ".");
        }
        if (!now.transmit().equals(goal.talksOn())) {
            missing.add(TALKS + " on " + now.transmit().megahertz() + " instead of "
                    + goal.talksOn().megahertz() + ".");
        }
        for (Purpose purpose : SETTLED) {
            keypad.setting(purpose)
                    .flatMap(any -> Wanted.of(purpose, goal, handset.model()))
                    .filter(wanted -> !wanted.equals(now.on(purpose, "")))
                    .ifPresent(wanted -> missing.add(wrong(purpose, now.on(purpose, ""), wanted)));
        }
        tone(missing, "It sends ", now.sends(), goal.sends());
        tone(missing, "It opens with ", now.opensOn(), goal.opensOn());
        return missing;
    }

    private static String wrong(Purpose purpose, String now, String wanted) {
        String is = now.isEmpty() ? "not set" : now;
        return switch (purpose) {
            case WIDTH -> "It is " + is + " instead of " + wanted + ".";
            case TRANSMIT ->
                wanted.equals("off") ? "It can be keyed, and must not." : "It cannot be keyed: transmitting is off.";
            case SCAN -> wanted.equals("on") ? "It is not in the scan." : "It is in the scan, and should not be.";
            default -> "Its " + purpose.text() + " is " + is + " instead of " + wanted + ".";
        };
    }

    private static void tone(List<String> missing, String what, Optional<Tone> now, Optional<Tone> wanted) {
        if (!now.equals(wanted)) {
            missing.add(what + now.map(Tone::text).orElse("no tone") + " instead of "
                    + wanted.map(Tone::text).orElse("none") + ".");
        }
    }
}
