package org.wache.radio;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import org.wache.signal.Span;

/**
 * A setting of a radio that belongs to no channel.
 *
 * @param kind what it is for
 * @param which which of several of its kind: the name of a side key, a band in MHz; empty for the only one
 * @param band the band that it is for, when it is for one
 * @param title what the radio calls it
 * @param values what can be chosen, in the radio's order; empty where a number or a text is entered
 * @param means what each of the values means in plain words; empty where they are the same
 * @param range the numbers that can be entered; empty where none are
 * @param length letters of a text; 0 where none is entered
 * @param unit of its values, such as {@code s}; empty for none
 * @param way how it is reached
 * @param erasedBy what sets it back to how the radio comes, such as {@code lock}; usually nothing
 * @param usual how the radio comes, one of its values; empty when not known
 */
public record OtherSetting(
        SettingKind kind,
        String which,
        Optional<Span> band,
        String title,
        List<String> values,
        List<String> means,
        Optional<Range> range,
        int length,
        String unit,
        Way way,
        List<String> erasedBy,
        Optional<String> usual) {

    /** What is entered as a number, both ends included. */
    public record Range(int least, int most) {

        /** Whether a text is a whole number within it. */
        public boolean holds(String text) {
            return text.matches("[0-9]{1,9}") && Integer.parseInt(text) >= least && Integer.parseInt(text) <= most;
        }
    }

    /**
     * How a setting is reached.
     *
     * @param number its number in a numbered menu; empty when it has none
     * @param path titles of the levels above it in a nested menu, from the top
     * @param press presses that open it, where it has ones of its own
     * @param hiddenBy title of the option that must be on before it is shown; empty for none
     * @param place where it is otherwise, in words: on a programming cable, a switch on the side
     */
    public record Way(OptionalInt number, List<String> path, List<Press> press, String hiddenBy, String place) {

        public Way {
            path = List.copyOf(path);
            press = List.copyOf(press);
        }

        /** Whether it is reached by the radio's own keys. */
        public boolean byKeys() {
            return number.isPresent() || !path.isEmpty() || !press.isEmpty();
        }
    }

    public OtherSetting {
        values = List.copyOf(values);
        means = List.copyOf(means);
        erasedBy = List.copyOf(erasedBy);
    }

    /** What tells it from the model's other settings. */
    public String id() {
        return kind.text() + (which.isEmpty() ? "" : " " + which);
    }

    /** For people: what it is for, and which. */
    public String label() {
        return kind.label() + (which.isEmpty() ? "" : " " + which);
    }

    /** What a value of the radio means; the value itself where nothing is said. */
    public String meaning(String value) {
        int at = means.isEmpty() ? -1 : values.indexOf(value);
        return at < 0 ? value : means.get(at);
    }

    /** Whether it can hold a value. */
    public boolean takes(String value) {
        return values.contains(value)
                || range.filter(each -> each.holds(value)).isPresent()
                || length > 0 && value.length() <= length && value.chars().allMatch(c -> c >= ' ' && c < 127);
    }

    /** Whether a value switches it off. */
    public boolean isOff(String value) {
        String meaning = meaning(value).toLowerCase(Locale.ROOT);
        return meaning.equals("off") || kind.form() == SettingKind.Form.SECONDS && meaning.equals("0");
    }

    /** What can be set, in words. */
    public String choices() {
        String unitAfter = unit.isEmpty() ? "" : " " + unit;
        if (!values.isEmpty()) {
            return String.join(", ", values) + unitAfter;
        }
        return range.map(each -> each.least() + " to " + each.most() + unitAfter)
                .orElse("up to " + length + " letters");
    }
}
