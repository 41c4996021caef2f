package org.wache.signal;

import java.util.Optional;

/**
 * A radio frequency in whole hertz, at least 1 Hz. Whole numbers, because limits are compared exactly: in binary
 * fractions 147.995 + 0.008 is not 148.003.
 *
 * @param hertz the frequency in hertz, 1 or more
 */
public record Frequency(long hertz) implements Comparable<Frequency> {

    private static final int DECIMALS = 6;
    private static final long HERTZ_IN_MEGAHERTZ = 1_000_000;
    private static final int MOST_DIGITS = 12;

    /** @throws IllegalArgumentException below 1 Hz */
    public Frequency {
        if (hertz < 1) {
            throw new IllegalArgumentException("A frequency is at least 1 Hz, not " + hertz);
        }
    }

    /**
     * Reads decimal megahertz such as {@code 146.52} or {@code 462.5625}, exact to the hertz.
     *
     * @return empty when the text is not a plain decimal number above 0 with at most six decimals
     */
    public static Optional<Frequency> ofMegahertz(String text) {
        long hertz = 0;
        int digits = 0;
        int decimals = -1;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c == '.' && decimals < 0) {
                decimals = 0;
            } else if (c >= '0' && c <= '9') {
                if (decimals == DECIMALS) {
                    if (c != '0') {
                        return Optional.empty();
                    }
                    continue;
                }
                hertz = hertz * 10 + (c - '0');
                if (++digits > MOST_DIGITS) {
                    return Optional.empty();
                }
                if (decimals >= 0) {
                    decimals++;
                }
            } else {
                return Optional.empty();
            }
        }
        if (digits == 0 || hertz == 0) {
            return Optional.empty();
        }
        for (int i = Math.max(decimals, 0); i < DECIMALS; i++) {
            hertz *= 10;
        }
        return Optional.of(new Frequency(hertz));
    }

    /** This frequency moved by so many hertz, up or (negative) down. */
    public Frequency plus(long hertzMore) {
        return new Frequency(hertz + hertzMore);
    }

    /** The distance from the other frequency to this one in hertz; negative when this one is lower. */
    public long minus(Frequency other) {
        return hertz - other.hertz;
    }

    /** Decimal megahertz with three decimals, and further ones only when they are not zero: {@code 462.5625}. */
    public String megahertz() {
        return megahertz(hertz);
    }

    /** Hertz written as decimal megahertz, as {@link #megahertz()}; for differences too, which may be negative. */
    public static String megahertz(long hertz) {
        long size = Math.abs(hertz);
        StringBuilder text = new StringBuilder(16);
        if (hertz < 0) {
            text.append('-');
        }
        text.append(size / HERTZ_IN_MEGAHERTZ).append('.');
        String fraction =
                Long.toString(HERTZ_IN_MEGAHERTZ + size % HERTZ_IN_MEGAHERTZ).substring(1);
        int end = fraction.length();
        while (end > 3 && fraction.charAt(end - 1) == '0') {
            end--;
        }
        return text.append(fraction, 0, end).toString();
    }

    /** Hertz written as kilohertz with at least one decimal: {@code 8.0}, {@code 12.65}. */
    public static String kilohertz(long hertz) {
        long size = Math.abs(hertz);
        String fraction = Long.toString(1000 + size % 1000).substring(1);
        int end = fraction.length();
        while (end > 1 && fraction.charAt(end - 1) == '0') {
            end--;
        }
        return (hertz < 0 ? "-" : "") + size / 1000 + "." + fraction.substring(0, end);
    }

    @Override
    public int compareTo(Frequency other) {
        return Long.compare(hertz, other.hertz);
    }

    @Override
    public String toString() {
        return megahertz() + " MHz";
    }
}
