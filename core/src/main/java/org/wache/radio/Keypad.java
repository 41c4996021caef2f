package org.wache.radio;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How entries are typed into a radio by hand. Numbers, names and keys are the model's own.
 *
 * @param method how a memory comes to its two frequencies
 * @param menu how its settings are reached
 * @param digits digits that a frequency is typed with, 6 (whole kilohertz) or 7 (tenths of them)
 * @param memoryDigits digits that a memory is typed with, 2 or 3
 * @param choose how a memory is chosen
 * @param keys what is printed on the keys, by their identifiers
 * @param settings the settings, in the order of the menu
 * @param fixed sequences of presses that the model has a way of its own for
 * @param lock how its keys are locked; empty when they are not
 */
public record Keypad(
        Method method,
        Menu menu,
        int digits,
        int memoryDigits,
        Choosing choose,
        Map<String, String> keys,
        List<Keypad.Setting> settings,
        Sequences fixed,
        Optional<Keypad.Lock> lock) {

    /** How a memory comes to its frequencies. */
    public enum Method {
        /** The receive frequency is stored, then the transmit frequency into the same memory. */
        TWO_FREQUENCIES("two-frequencies"),
        /** One frequency is entered, and a shift with its direction makes the other. */
        SHIFT("shift"),
        /** The channels are fixed; only what else belongs to them can be set. */
        FIXED_CHANNELS("fixed-channels"),
        /** Frequencies and tones are named by their numbers in the model's printed tables. */
        BY_NUMBER("by-number");

        private final String text;

        Method(String text) {
            this.text = text;
        }

        /** As written in files. */
        public String text() {
            return text;
        }
    }

    /** How a setting is reached. */
    public enum Menu {
        /** The menu is opened, and the setting's number typed. */
        NUMBERED("numbered"),
        /** The menu is opened, and walked by arrows from level to level. */
        NESTED("nested"),
        /** Each setting has a key, or a press of one, of its own. */
        KEYS("keys"),
        /** One way in, then a key from setting to setting in a fixed order; all is saved at the end, or nothing. */
        ROUND("round");

        private final String text;

        Menu(String text) {
            this.text = text;
        }

        /** As written in files. */
        public String text() {
            return text;
        }
    }

    /** How a memory is chosen. */
    public enum Choosing {
        DIGITS("digits"),
        ARROWS("arrows"),
        KNOB("knob");

        private final String text;

        Choosing(String text) {
            this.text = text;
        }

        /** As written in files. */
        public String text() {
            return text;
        }
    }

    /** What a setting is for. */
    public enum Purpose {
        SECOND_WATCH("second-watch"),
        STEP("step"),
        MODE("mode"),
        WIDTH("width"),
        POWER("power"),
        /** Tone and code sent, in one setting. */
        TONE_SENT("tone-sent"),
        /** Tone and code that open, in one setting. */
        TONE_RECEIVED("tone-received"),
        CTCSS_SENT("ctcss-sent"),
        CTCSS_RECEIVED("ctcss-received"),
        DCS_SENT("dcs-sent"),
        DCS_RECEIVED("dcs-received"),
        /** Whether the tone counts when sending, both ways, or the code does. */
        TONE_KIND("tone-kind"),
        /** The one tone of both sides. */
        TONE("tone"),
        /** The one code of both sides. */
        CODE("code"),
        SHIFT("shift"),
        OFFSET("offset"),
        NAME("name"),
        SCAN("scan"),
        /** Whether the memory may be keyed. */
        TRANSMIT("transmit"),
        /** Where it hears, by its number in the model's table. */
        FREQUENCY("frequency"),
        /** Where it talks, by its number in the model's table; 0 as where it hears. */
        FREQUENCY_SENT("frequency-sent"),
        /** Something that must be on before a hidden setting is shown. */
        OPTION("option"),
        CLEAR("clear"),
        STORE("store");

        private final String text;

        Purpose(String text) {
            this.text = text;
        }

        /** As written in files. */
        public String text() {
            return text;
        }
    }

    /**
     * A setting.
     *
     * @param purpose what it is for
     * @param number the number it is opened with, two digits; 0 where the menu has no numbers
     * @param path the titles of the levels above it, from the top
     * @param press the presses that open it, where it has ones of its own
     * @param title what the display, or the voice, calls it
     * @param values what can be chosen, in the radio's order; empty where a number or a text is entered
     * @param means what each of the values means in Wache's words; empty where they are the same
     * @param hiddenBy the title of the option that must be on before it is shown; empty for one that is always shown
     * @param light the colour of the light while it is open; empty without a light
     * @param taps whether its number is entered by so many taps of the up key
     */
    public record Setting(
            Purpose purpose,
            int number,
            List<String> path,
            List<Press> press,
            String title,
            List<String> values,
            List<String> means,
            String hiddenBy,
            String light,
            boolean taps) {

        public Setting {
            path = List.copyOf(path);
            press = List.copyOf(press);
            values = List.copyOf(values);
            means = List.copyOf(means);
        }

        /** How the radio calls a value; the value itself where it has no word of its own for it. */
        public String called(String meaning) {
            int at = means.indexOf(meaning);
            return at < 0 ? meaning : values.get(at);
        }

        /** What a value of the radio means. */
        public String meaning(String value) {
            int at = means.isEmpty() ? -1 : values.indexOf(value);
            return at < 0 ? value : means.get(at);
        }
    }

    /**
     * Presses that the model has its own way for; empty lists where the usual one goes: a setting that stores, the key that goes to
     * direct frequencies.
     *
     * @param begin into direct entry, or into programming
     * @param store stores what is shown
     * @param save ends programming and keeps it all
     * @param listenBack shows or speaks what a memory holds
     * @param heard what is then seen or heard
     */
    public record Sequences(
            List<Press> begin, List<Press> store, List<Press> save, List<Press> listenBack, String heard) {

        /** None of them. */
        public static final Sequences USUAL = new Sequences(List.of(), List.of(), List.of(), List.of(), "");

        public Sequences {
            begin = List.copyOf(begin);
            store = List.copyOf(store);
            save = List.copyOf(save);
            listenBack = List.copyOf(listenBack);
        }
    }

    /**
     * How the keys are locked.
     *
     * @param open unlocks them
     * @param close locks them
     * @param erases what locking or unlocking erases; usually nothing
     */
    public record Lock(List<Press> open, List<Press> close, List<String> erases) {

        public Lock {
            open = List.copyOf(open);
            close = List.copyOf(close);
            erases = List.copyOf(erases);
        }
    }

    public Keypad {
        keys = Map.copyOf(keys);
        settings = List.copyOf(settings);
    }

    /** What is printed on a key; its identifier where nothing is said. */
    public String label(String key) {
        return keys.getOrDefault(key, key);
    }

    /** The setting for a purpose. */
    public Optional<Setting> setting(Purpose purpose) {
        return settings.stream().filter(each -> each.purpose() == purpose).findFirst();
    }

    /** The option with a title. */
    public Optional<Setting> option(String title) {
        return settings.stream()
                .filter(each -> each.purpose() == Purpose.OPTION && each.title().equals(title))
                .findFirst();
    }

    /** Whether a value is kept by a key of its own; where there is none it counts at once. */
    public boolean keeps() {
        return keys.containsKey("keep");
    }

    /** Whether it says what it does by voice or light, and has no display. */
    public boolean blind() {
        return menu == Menu.ROUND;
    }
}
