package org.wache.keypad;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.wache.radio.Keypad;
import org.wache.radio.Keypad.Choosing;
import org.wache.radio.Keypad.Menu;
import org.wache.radio.Keypad.Purpose;
import org.wache.radio.Press;
import org.wache.radio.RadioModel;
import org.wache.radio.Tuning;
import org.wache.signal.Tone;

/** Presses as a paper prints them, with what stands on the model's own keys. */
final class KeyWords {

    private final RadioModel model;
    private final Keypad keypad;
    private final Values values;

    KeyWords(RadioModel model) {
        this.model = model;
        this.keypad = model.keypad().orElseThrow();
        this.values = new Values(model, List.of());
    }

    static List<String> digits(String text) {
        return text.chars().mapToObj(each -> String.valueOf((char) each)).toList();
    }

    /** A memory with all of its digits. */
    String number(int memory) {
        return String.format(Locale.ROOT, "%0" + keypad.memoryDigits() + "d", memory);
    }

    /** How a memory is chosen. */
    List<String> memory(int memory) {
        return switch (keypad.choose()) {
            case DIGITS -> digits(number(memory));
            case ARROWS -> List.of(arrows(called(memory)));
            case KNOB -> List.of("turn " + keypad.label("knob") + " to " + memory);
        };
    }

    /** A memory as the display shows it: a fixed channel has a name of its own. */
    String called(int memory) {
        List<Tuning.FixedMemory> fixed = model.tuning().fixed();
        return memory >= 1 && memory <= fixed.size() ? fixed.get(memory - 1).name() : number(memory);
    }

    private String arrows(String value) {
        return keypad.label("up") + " or " + keypad.label("down") + " until " + value;
    }

    /** A sequence of presses; what is filled in stands for the memory. */
    List<String> printed(List<Press> presses, int memory) {
        List<String> all = new ArrayList<>();
        for (Press press : presses) {
            if (press.key().equals(Press.MEMORY)) {
                all.addAll(memory(memory));
            } else {
                all.add(press.printed(keypad.label(press.key())));
            }
        }
        boolean together =
                presses.size() > 1 && presses.stream().allMatch(press -> press.kind() == Press.Kind.SWITCHING_ON);
        return together
                ? List.of("hold "
                        + String.join(
                                " and ",
                                presses.stream()
                                        .map(press -> keypad.label(press.key()))
                                        .toList())
                        + " while switching on")
                : all;
    }

    /** The whole way to a setting, its value, and what keeps it. */
    List<String> setting(Keypad.Setting setting, List<String> value) {
        List<String> keys = new ArrayList<>();
        switch (keypad.menu()) {
            case NUMBERED -> {
                keys.add(keypad.label("set"));
                keys.addAll(digits(String.format(Locale.ROOT, "%02d", setting.number())));
                keys.add(keypad.label("set"));
            }
            case NESTED -> {
                keys.add(keypad.label("set"));
                for (String level : setting.path()) {
                    keys.add(arrows(level));
                    keys.add(keypad.label("set"));
                }
                keys.add(arrows(setting.title()));
                keys.add(keypad.label("set"));
            }
            default -> setting.press().forEach(press -> keys.add(press.printed(keypad.label(press.key()))));
        }
        keys.addAll(value);
        if (keypad.keeps()) {
            keys.add(keypad.label("keep"));
        }
        return keys;
    }

    /** What is pressed for a value of a setting that is open. */
    List<String> value(Keypad.Setting setting, String meaning) {
        String shown = shown(setting, meaning);
        if (setting.purpose() == Purpose.OFFSET) {
            return digits(meaning);
        }
        if (setting.purpose() == Purpose.NAME) {
            List<String> keys = new ArrayList<>();
            for (int i = 0; i < meaning.length(); i++) {
                String letter = meaning.substring(i, i + 1);
                keys.add(arrows(letter.equals(" ") ? "a blank" : letter));
                if (i < meaning.length() - 1) {
                    keys.add(keypad.label("next"));
                }
            }
            return keys;
        }
        if (setting.taps()) {
            return shown.matches("[1-9][0-9]*") ? List.of(keypad.label("up") + " " + shown + "\u00d7") : List.of();
        }
        boolean typed = keypad.menu() == Menu.NUMBERED
                && keypad.choose() == Choosing.DIGITS
                && Values.isTone(setting.purpose())
                && setting.values().isEmpty();
        if (typed
                && Tone.parse(meaning).orElse(null) instanceof Tone.Ctcss continuous
                && continuous.tenths() < 10_000) {
            return digits(String.format(Locale.ROOT, "%04d", continuous.tenths()));
        }
        return List.of(keypad.blind() ? arrows("it says " + shown) : arrows(shown));
    }

    /** What the radio shows, or says, for a value. */
    String shown(Keypad.Setting setting, String meaning) {
        return values.shown(setting, meaning);
    }

    /** How one knows that a setting is open. */
    String open(Keypad.Setting setting) {
        return (keypad.blind() ? "it says “" + setting.title() + "”" : setting.title())
                + (setting.light().isEmpty() ? "" : ", the light is " + setting.light());
    }

    String what(Purpose purpose) {
        return switch (purpose) {
            case SECOND_WATCH -> "Second watch";
            case STEP -> "Step in kHz";
            case MODE -> "Set the mode";
            case WIDTH -> "Set the width";
            case POWER -> "Set the power";
            case TONE_SENT -> "Set the tone it sends";
            case TONE_RECEIVED -> "Set the tone it opens with";
            case CTCSS_SENT -> "Set the continuous tone it sends";
            case CTCSS_RECEIVED -> "Set the continuous tone it opens with";
            case DCS_SENT -> "Set the code it sends";
            case DCS_RECEIVED -> "Set the code it opens with";
            case TONE_KIND -> "Say which tones count";
            case TONE -> "Set the tone";
            case CODE -> "Set the code";
            case SHIFT -> "Choose the shift";
            case OFFSET -> "Type the offset";
            case NAME -> "Write the name";
            case SCAN -> "Set the scan";
            case TRANSMIT -> "Transmitting";
            case FREQUENCY -> "Choose the frequency by its number";
            case FREQUENCY_SENT -> "Choose the frequency it talks on by its number";
            case OPTION -> "Switch on";
            case CLEAR -> "Clear";
            case STORE -> "Store";
        };
    }
}
