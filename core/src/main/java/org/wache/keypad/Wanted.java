package org.wache.keypad;

import java.util.Comparator;
import java.util.Locale;
import java.util.Optional;
import org.wache.radio.Keypad.Purpose;
import org.wache.radio.RadioModel;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;
import org.wache.signal.Tone;

/** What each setting of a model must stand on for an entry, in Wache's words. */
final class Wanted {

    private static final long KILO = 1_000;

    private Wanted() {}

    /** Empty where it does not matter, or where the setting stores nothing of an entry. */
    static Optional<String> of(Purpose purpose, Goal goal, RadioModel model) {
        return switch (purpose) {
            case SECOND_WATCH -> Optional.of("off");
            case STEP -> step(goal, model);
            case MODE -> goal.mode().map(Mode::name);
            case WIDTH -> Optional.of(goal.narrow() ? "narrow" : "wide");
            case POWER -> goal.power();
            case TONE_SENT -> Optional.of(text(goal.sends()));
            case TONE_RECEIVED -> Optional.of(text(goal.opensOn()));
            case CTCSS_SENT -> Optional.of(ofKind(goal.sends(), false));
            case DCS_SENT -> Optional.of(ofKind(goal.sends(), true));
            case CTCSS_RECEIVED -> Optional.of(ofKind(goal.opensOn(), false));
            case DCS_RECEIVED -> Optional.of(ofKind(goal.opensOn(), true));
            case TONE_KIND -> Optional.of(kind(goal));
            case TONE -> tone(goal, false, model);
            case CODE -> tone(goal, true, model);
            case SHIFT ->
                Optional.of(
                        goal.isPair() ? goal.talksOn().hertz() > goal.receive().hertz() ? "+" : "-" : "off");
            case OFFSET ->
                Optional.of(Math.abs(goal.talksOn().hertz() - goal.receive().hertz()))
                        .filter(size -> size > 0)
                        .map(size -> String.format(Locale.ROOT, "%05d", size / KILO));
            case NAME -> goal.label();
            case SCAN -> Optional.of(goal.scanned() ? "on" : "off");
            case TRANSMIT -> Optional.of(goal.transmit().isPresent() ? "on" : "off");
            case FREQUENCY -> Optional.of(Integer.toString(model.tuning().index(goal.receive())));
            case FREQUENCY_SENT ->
                Optional.of(Integer.toString(goal.isPair() ? model.tuning().index(goal.talksOn()) : 0));
            case OPTION, CLEAR, STORE -> Optional.empty();
        };
    }

    /** How one setting for both sides must stand: sent only, both ways, the code, or none. */
    static String kind(Goal goal) {
        return goal.sends().isEmpty()
                ? "none"
                : goal.sends().get() instanceof Tone.Dcs
                        ? "code"
                        : goal.opensOn().isEmpty() ? "sent" : "both";
    }

    /** The one tone of both sides: without a setting of its kind beside it, off where there is none. */
    private static Optional<String> tone(Goal goal, boolean digital, RadioModel model) {
        boolean byKind = model.keypad()
                .flatMap(keypad -> keypad.setting(Purpose.TONE_KIND))
                .isPresent();
        return byKind
                ? goal.sends()
                        .filter(tone -> tone instanceof Tone.Dcs == digital)
                        .map(Tone::text)
                : Optional.of(text(goal.sends()));
    }

    private static String text(Optional<Tone> tone) {
        return tone.map(Tone::text).orElse("off");
    }

    private static String ofKind(Optional<Tone> tone, boolean digital) {
        return tone.filter(each -> each instanceof Tone.Dcs == digital)
                .map(Tone::text)
                .orElse("off");
    }

    private static Optional<String> step(Goal goal, RadioModel model) {
        return model.tuning().stepsHz().stream()
                .filter(step ->
                        goal.receive().hertz() % step == 0 && goal.talksOn().hertz() % step == 0)
                .max(Comparator.naturalOrder())
                .map(step -> Frequency.kilohertz(step).replaceFirst("\\.0$", ""));
    }
}
