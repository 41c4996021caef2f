package org.wache.signal;

import java.util.Optional;

/** A tone or code that opens a receiver: continuous tone, digital code, or burst. */
public sealed interface Tone {

    /** The text a list writes it as. */
    String text();

    /**
     * Continuous tone-coded squelch.
     *
     * @param tenths tenths of a hertz
     */
    record Ctcss(int tenths) implements Tone {
        @Override
        public String text() {
            return tenths / 10 + "." + tenths % 10;
        }
    }

    /**
     * Digital-coded squelch.
     *
     * @param code nine bits, written as three octal digits
     * @param inverted sent with inverted polarity
     */
    record Dcs(int code, boolean inverted) implements Tone {
        /** @throws IllegalArgumentException when the code has more than nine bits */
        public Dcs {
            if (code < 0 || code > 0777) {
                throw new IllegalArgumentException(
                        "A DCS code has three octal digits, not " + Integer.toOctalString(code));
            }
        }

        @Override
        public String text() {
            String octal = Integer.toOctalString(01000 + code).substring(1);
            return "D" + octal + (inverted ? "I" : "");
        }
    }

    /**
     * A short burst at the start of a transmission; transmit only.
     *
     * @param hertz hertz
     */
    record Burst(int hertz) implements Tone {
        @Override
        public String text() {
            return "B" + hertz;
        }
    }

    /**
     * Reads {@code 100.0}, {@code D023}, {@code D023I} or {@code B1750}. Whether the value stands in the tables is not
     * asked here.
     *
     * @return empty when it is none of them
     */
    static Optional<Tone> parse(String text) {
        if (text.isEmpty()) {
            return Optional.empty();
        }
        return switch (text.charAt(0)) {
            case 'D', 'd' -> dcs(text);
            case 'B', 'b' -> whole(text, 1, 4).map(Burst::new);
            default -> ctcss(text);
        };
    }

    private static Optional<Tone> dcs(String text) {
        int length = text.length();
        boolean inverted = length == 5 && (text.charAt(4) == 'I' || text.charAt(4) == 'i');
        if (length != 4 && !inverted) {
            return Optional.empty();
        }
        int code = 0;
        for (int i = 1; i < 4; i++) {
            char c = text.charAt(i);
            if (c < '0' || c > '7') {
                return Optional.empty();
            }
            code = code * 8 + (c - '0');
        }
        return Optional.of(new Dcs(code, inverted));
    }

    private static Optional<Tone> ctcss(String text) {
        int point = text.indexOf('.');
        if (point < 0) {
            return whole(text, 0, 4).map(hertz -> new Ctcss(hertz * 10));
        }
        Optional<Integer> hertz = whole(text.substring(0, point), 0, 4);
        Optional<Integer> tenths = whole(text.substring(point + 1), 0, 1);
        return hertz.isPresent() && tenths.isPresent()
                ? Optional.of(new Ctcss(hertz.get() * 10 + tenths.get()))
                : Optional.empty();
    }

    private static Optional<Integer> whole(String text, int from, int most) {
        int digits = text.length() - from;
        if (digits < 1 || digits > most) {
            return Optional.empty();
        }
        int value = 0;
        for (int i = from; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c < '0' || c > '9') {
                return Optional.empty();
            }
            value = value * 10 + (c - '0');
        }
        return Optional.of(value);
    }
}
