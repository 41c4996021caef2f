package org.wache.radio;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * One press of a key, as a model's file writes it: {@code KEY}, {@code KEY:long} (held for a second or more),
 * {@code KEY:3x} (three short presses), {@code KEY:on} (held while the radio is switched on); and what is filled in for an
 * entry, {@code {memory}}.
 *
 * @param key the key by its identifier, or what is filled in, in braces
 * @param kind how it is pressed
 * @param times how often, 1 or more
 */
public record Press(String key, Press.Kind kind, int times) {

    /** What stands for the memory of an entry. */
    public static final String MEMORY = "{memory}";

    private static final Pattern WRITTEN = Pattern.compile("([A-Za-z0-9_-]{1,12})(?::(long|on|([1-9])x))?");

    /** How a key is pressed. */
    public enum Kind {
        SHORT,
        LONG,
        SWITCHING_ON
    }

    /** A short press. */
    public static Press of(String key) {
        return new Press(key, Kind.SHORT, 1);
    }

    /** Reads a press as it is written; empty when it is none. */
    public static Optional<Press> parse(String text) {
        if (text.equals(MEMORY)) {
            return Optional.of(of(MEMORY));
        }
        Matcher written = WRITTEN.matcher(text);
        if (!written.matches()) {
            return Optional.empty();
        }
        String how = written.group(2);
        if (how == null) {
            return Optional.of(of(written.group(1)));
        }
        return Optional.of(
                switch (how) {
                    case "long" -> new Press(written.group(1), Kind.LONG, 1);
                    case "on" -> new Press(written.group(1), Kind.SWITCHING_ON, 1);
                    default -> new Press(written.group(1), Kind.SHORT, Integer.parseInt(written.group(3)));
                });
    }

    /** As a simulated radio takes it: {@code set}, {@code set:long}, {@code set:on}. */
    public String token() {
        return switch (kind) {
            case SHORT -> key;
            case LONG -> key + ":long";
            case SWITCHING_ON -> key + ":on";
        };
    }

    /** As a paper prints it, with the key's own label. */
    public String printed(String label) {
        return switch (kind) {
            case SHORT -> times == 1 ? label : label + " " + times + "\u00d7";
            case LONG -> "hold " + label;
            case SWITCHING_ON -> "hold " + label + " while switching on";
        };
    }
}
