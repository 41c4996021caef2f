package org.wache.radio;

import java.util.List;
import java.util.Optional;

/**
 * How entries are typed into a radio by hand. Numbers and names are the model's own.
 *
 * @param method how a repeater's two frequencies are entered
 * @param digits digits that a frequency is typed with, 6 (whole kilohertz) or 7 (tenths of them)
 * @param keys what is printed on the keys
 * @param settings the settings, by number
 */
public record Keypad(Method method, int digits, Keys keys, List<Keypad.Setting> settings) {

    /** The two ways of entering a repeater. */
    public enum Method {
        /** The receive frequency is stored, then the transmit frequency into the same memory. */
        TWO_FREQUENCIES("two-frequencies"),
        /** One frequency is entered, and a shift with its direction makes the other. */
        SHIFT("shift");

        private final String text;

        Method(String text) {
            this.text = text;
        }

        /** As written in files. */
        public String text() {
            return text;
        }
    }

    /**
     * What is printed on the keys.
     *
     * @param set opens the settings, and takes the setting shown to change it
     * @param up the next value
     * @param down the value before
     * @param keep takes the value shown
     * @param back leaves without
     * @param direct changes between frequencies and memories
     * @param side changes between the two displays
     */
    public record Keys(String set, String up, String down, String keep, String back, String direct, String side) {}

    /** What a setting is for. */
    public enum Purpose {
        SECOND_WATCH("second-watch"),
        STEP("step"),
        WIDTH("width"),
        POWER("power"),
        TONE_SENT("tone-sent"),
        TONE_RECEIVED("tone-received"),
        SHIFT("shift"),
        OFFSET("offset"),
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
     * @param number the number it is opened with, two digits
     * @param title what the display calls it
     * @param values what can be chosen, in the radio's order; empty where a number or memory is typed
     */
    public record Setting(Purpose purpose, int number, String title, List<String> values) {

        public Setting {
            values = List.copyOf(values);
        }
    }

    public Keypad {
        settings = List.copyOf(settings);
    }

    /** The setting for a purpose. */
    public Optional<Setting> setting(Purpose purpose) {
        return settings.stream().filter(each -> each.purpose() == purpose).findFirst();
    }
}
