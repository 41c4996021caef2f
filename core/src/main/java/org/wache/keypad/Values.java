package org.wache.keypad;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.wache.radio.Keypad;
import org.wache.radio.Keypad.Purpose;
import org.wache.radio.Keypad.Setting;
import org.wache.radio.PowerLevels;
import org.wache.radio.RadioModel;
import org.wache.signal.Frequency;
import org.wache.signal.Tone;

/** What the settings of a model offer, as its display writes it. */
final class Values {

    private final RadioModel model;
    private final List<Tone> tones;

    /** @param tones the tones of a model that has no table of its own */
    Values(RadioModel model, List<Tone> tones) {
        this.model = model;
        this.tones = model.tones().table().isEmpty()
                ? tones.stream()
                        .filter(tone -> !model.tones().known() || model.tones().has(tone))
                        .toList()
                : model.tones().table();
    }

    /** The values of a setting on a frequency; empty where a number, a memory or a text is entered. */
    List<String> of(Setting setting, Frequency at) {
        if (!setting.values().isEmpty()) {
            return setting.values();
        }
        return switch (setting.purpose()) {
            case TONE_SENT, TONE_RECEIVED -> tones(true, true);
            case CTCSS_SENT, CTCSS_RECEIVED, TONE -> tones(true, false);
            case DCS_SENT, DCS_RECEIVED, CODE -> tones(false, true);
            case STEP ->
                model.tuning().stepsHz().stream()
                        .map(step -> Frequency.kilohertz(step).replaceFirst("\\.0$", ""))
                        .toList();
            case MODE -> model.tuning().modes().stream().map(Enum::name).toList();
            case POWER ->
                model.powerAt(at)
                        .map(levels -> levels.levels().stream()
                                .map(PowerLevels.Level::name)
                                .toList())
                        .orElse(List.of("high"));
            case WIDTH -> List.of("wide", "narrow");
            case SHIFT -> List.of("off", "+", "-");
            case SECOND_WATCH, SCAN, TRANSMIT, OPTION -> List.of("off", "on");
            case TONE_KIND -> List.of("none", "sent", "both", "code");
            case FREQUENCY -> numbers(1, model.tuning().table().size());
            case FREQUENCY_SENT -> numbers(0, model.tuning().table().size());
            case OFFSET, NAME, CLEAR, STORE -> List.of();
        };
    }

    private static List<String> numbers(int from, int to) {
        return IntStream.rangeClosed(from, to).mapToObj(Integer::toString).toList();
    }

    /** By its number where the model has a table of tones and names them by it. */
    private List<String> tones(boolean continuous, boolean digital) {
        List<String> all = new ArrayList<>(List.of("off"));
        boolean byNumber = model.keypad()
                .filter(keypad -> keypad.method() == Keypad.Method.BY_NUMBER)
                .isPresent();
        for (int i = 0; i < tones.size(); i++) {
            Tone tone = tones.get(i);
            if (tone instanceof Tone.Ctcss ? continuous : tone instanceof Tone.Dcs && digital) {
                all.add(byNumber ? Integer.toString(i + 1) : tone.text());
            }
        }
        return all;
    }

    /** A value of a setting as Wache says it: a tone by its text even where the radio names it by number. */
    String meaning(Setting setting, String value) {
        boolean tone = isTone(setting.purpose());
        boolean number = tone
                && setting.values().isEmpty()
                && value.matches("[0-9]{1,3}")
                && !model.tones().table().isEmpty();
        return number ? model.tones().table().get(Integer.parseInt(value) - 1).text() : setting.meaning(value);
    }

    /** A meaning as the radio shows it. */
    String shown(Setting setting, String meaning) {
        boolean byNumber = model.keypad()
                .filter(keypad -> keypad.method() == Keypad.Method.BY_NUMBER)
                .isPresent();
        if (byNumber && isTone(setting.purpose()) && setting.values().isEmpty() && !meaning.equals("off")) {
            return Tone.parse(meaning)
                    .map(tone -> Integer.toString(model.tones().index(tone)))
                    .orElse(meaning);
        }
        return setting.called(meaning);
    }

    static boolean isTone(Purpose purpose) {
        return switch (purpose) {
            case TONE_SENT, TONE_RECEIVED, CTCSS_SENT, CTCSS_RECEIVED, DCS_SENT, DCS_RECEIVED, TONE, CODE -> true;
            default -> false;
        };
    }
}
