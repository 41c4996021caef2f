package org.wache.signal;

import java.util.Locale;
import java.util.Optional;

/**
 * A power in watts, above zero.
 *
 * @param value watts
 */
public record Watts(double value) {

    /** @throws IllegalArgumentException when not a number above zero */
    public Watts {
        if (!(value > 0) || Double.isInfinite(value)) {
            throw new IllegalArgumentException("A power is above 0 W, not " + value);
        }
    }

    /** Reads a plain decimal number of watts; empty when it is not one above zero. */
    public static Optional<Watts> parse(String text) {
        boolean digit = false;
        boolean point = false;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c >= '0' && c <= '9') {
                digit = true;
            } else if (c == '.' && !point) {
                point = true;
            } else {
                return Optional.empty();
            }
        }
        if (!digit || text.length() > 12) {
            return Optional.empty();
        }
        double value = Double.parseDouble(text);
        return value > 0 ? Optional.of(new Watts(value)) : Optional.empty();
    }

    /** This power after a gain (or a loss, below zero) in decibels. */
    public Watts after(Decibels gain) {
        return new Watts(value * Math.pow(10, gain.value() / 10));
    }

    /** So many times this power. */
    public Watts times(double factor) {
        return new Watts(value * factor);
    }

    /** In dBm: 10·log10(W·1000). */
    public double dbm() {
        return 10 * Math.log10(value * 1000);
    }

    /** The number without needless zeros, at most three figures after the point: {@code 5}, {@code 0.5}, {@code 9.15}. */
    public String number() {
        long whole = (long) value;
        if (whole == value) {
            return Long.toString(whole);
        }
        String text = String.format(Locale.ROOT, value < 10 ? "%.3f" : value < 100 ? "%.2f" : "%.1f", value);
        int end = text.length();
        while (text.charAt(end - 1) == '0') {
            end--;
        }
        return text.substring(0, text.charAt(end - 1) == '.' ? end - 1 : end);
    }

    @Override
    public String toString() {
        return number() + " W";
    }
}
