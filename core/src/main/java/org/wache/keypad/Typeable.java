package org.wache.keypad;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.wache.radio.Keypad;
import org.wache.radio.Keypad.Purpose;
import org.wache.radio.RadioModel;
import org.wache.signal.Frequency;
import org.wache.signal.Tone;

/** Whether an entry can be typed into a model by hand, and how a memory that only listens is kept from talking. */
public final class Typeable {

    private Typeable() {}

    /** How a memory that only listens is kept from talking. */
    enum Silence {
        /** The radio does not talk there at all. */
        CANNOT_KEY,
        /** A setting of the memory switches it off. */
        BY_SETTING,
        /** Nothing on the keypad does. */
        NOT_BY_HAND
    }

    static Silence silence(RadioModel model, Goal goal) {
        boolean fixedListening = goal.memory() > 0
                && goal.memory() <= model.tuning().fixed().size()
                && model.tuning().fixed().get(goal.memory() - 1).transmit().isEmpty();
        boolean outside = !model.coverage().transmit().isEmpty()
                && model.coverage().transmit().stream().noneMatch(span -> span.contains(goal.receive()));
        return fixedListening || outside
                ? Silence.CANNOT_KEY
                : model.keypad()
                                .flatMap(keypad -> keypad.setting(Purpose.TRANSMIT))
                                .isPresent()
                        ? Silence.BY_SETTING
                        : Silence.NOT_BY_HAND;
    }

    /** Why an entry cannot be typed into a model; empty when it can. */
    public static Optional<String> impossible(RadioModel model, Goal goal) {
        return panel(model, goal)
                .or(() -> frequencies(model, goal))
                .or(() -> listening(model, goal))
                .or(() -> tones(model, goal));
    }

    private static Optional<String> panel(RadioModel model, Goal goal) {
        if (model.keypad().isEmpty()) {
            return Optional.of(model.name() + " takes no entries by keypad: write it over the cable.");
        }
        return model.panel().flatMap(panel -> switch (panel) {
            case NONE ->
                Optional.of("The front panel of " + model.name() + " programs nothing: write it over the cable.");
            case LISTENING_ONLY ->
                goal.transmit().isEmpty()
                        ? Optional.empty()
                        : Optional.of("The front panel of " + model.name()
                                + " programs listening entries only: write it over the cable.");
            case ALL -> Optional.empty();
        });
    }

    private static Optional<String> frequencies(RadioModel model, Goal goal) {
        Keypad keypad = model.keypad().orElseThrow();
        return switch (keypad.method()) {
            case TWO_FREQUENCIES -> digits(keypad, goal);
            case SHIFT ->
                goal.isPair()
                                && (keypad.setting(Purpose.SHIFT).isEmpty()
                                        || keypad.setting(Purpose.OFFSET).isEmpty())
                        ? Optional.of("Its keypad sets no shift: two frequencies cannot be typed in.")
                        : digits(keypad, goal);
            case FIXED_CHANNELS ->
                goal.memory() == 0
                        ? Optional.of("The channels of " + model.name() + " are fixed, and none has "
                                + (goal.isPair() || goal.transmit().isEmpty()
                                        ? "these frequencies."
                                        : "this frequency."))
                        : Optional.empty();
            case BY_NUMBER ->
                Stream.of(goal.receive(), goal.talksOn())
                        .filter(each -> model.tuning().index(each) == 0)
                        .findFirst()
                        .map(each -> each + " is not in the table of " + model.name() + ".")
                        .or(() -> goal.isPair()
                                        && keypad.setting(Purpose.FREQUENCY_SENT)
                                                .isEmpty()
                                ? Optional.of(model.name() + " has one frequency for a channel, and this entry two.")
                                : Optional.empty());
        };
    }

    private static Optional<String> digits(Keypad keypad, Goal goal) {
        long unit = KeypadSteps.unit(keypad);
        return goal.receive().hertz() % unit == 0 && goal.talksOn().hertz() % unit == 0
                ? Optional.empty()
                : Optional.of("The keypad takes " + keypad.digits() + " digits, too few for this frequency.");
    }

    private static Optional<String> listening(RadioModel model, Goal goal) {
        return goal.transmit().isEmpty() && silence(model, goal) == Silence.NOT_BY_HAND
                ? Optional.of("It must only listen. Typed in by hand it could transmit: no setting of " + model.name()
                        + " switches that off, and locking its keys does not stop the key that talks. Write it over the cable, or leave"
                        + " it out.")
                : Optional.empty();
    }

    private static Optional<String> tones(RadioModel model, Goal goal) {
        Keypad keypad = model.keypad().orElseThrow();
        Optional<Tone> lacking = Stream.of(goal.sends(), goal.opensOn())
                .flatMap(Optional::stream)
                .filter(tone -> model.tones().known() && !model.tones().has(tone))
                .findFirst();
        if (lacking.isPresent()) {
            return lacking.map(tone -> model.name() + " has no tone " + tone.text() + ".");
        }
        boolean oneForBoth = keypad.setting(Purpose.TONE_KIND).isPresent()
                || keypad.setting(Purpose.TONE).isPresent()
                        && keypad.setting(Purpose.TONE_SENT).isEmpty();
        return oneForBoth
                ? oneTone(keypad, goal)
                : side(keypad, goal.sends(), "it sends", Purpose.TONE_SENT, Purpose.CTCSS_SENT, Purpose.DCS_SENT)
                        .or(() -> side(
                                keypad,
                                goal.opensOn(),
                                "it opens with",
                                Purpose.TONE_RECEIVED,
                                Purpose.CTCSS_RECEIVED,
                                Purpose.DCS_RECEIVED));
    }

    /** A model with one tone for both sides. */
    private static Optional<String> oneTone(Keypad keypad, Goal goal) {
        String kind = Wanted.kind(goal);
        Optional<Keypad.Setting> kinds = keypad.setting(Purpose.TONE_KIND);
        boolean has = kinds.isEmpty()
                || kinds.get().values().isEmpty()
                || kinds.get().means().contains(kind)
                || kinds.get().values().contains(kind);
        boolean sentOnly = kinds.isPresent() && kind.equals("sent");
        boolean alike = goal.sends().equals(goal.opensOn());
        return has && (alike || sentOnly)
                ? Optional.empty()
                : Optional.of("It has one tone for sending and opening, and this entry "
                        + (goal.opensOn().isEmpty()
                                ? "opens without one."
                                : goal.sends().isEmpty() ? "sends none." : "two different ones."));
    }

    private static Optional<String> side(
            Keypad keypad, Optional<Tone> tone, String words, Purpose any, Purpose continuous, Purpose digital) {
        List<Purpose> fitting = tone.map(each -> List.of(any, each instanceof Tone.Dcs ? digital : continuous))
                .orElse(List.of());
        return tone.isPresent()
                        && fitting.stream()
                                .allMatch(each -> keypad.setting(each).isEmpty())
                ? Optional.of("Its keypad has no setting for the tone " + words + ".")
                : Optional.empty();
    }

    /** A frequency as its digits are typed. */
    static String digits(Keypad keypad, Frequency frequency) {
        return String.format(
                java.util.Locale.ROOT, "%0" + keypad.digits() + "d", frequency.hertz() / KeypadSteps.unit(keypad));
    }
}
