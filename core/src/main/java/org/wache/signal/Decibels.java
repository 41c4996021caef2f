package org.wache.signal;

import java.util.Locale;

/**
 * A ratio of powers in decibels; of an antenna, in dBd (against a half-wave dipole).
 *
 * @param value decibels
 */
public record Decibels(double value) {

    /** Equal powers. */
    public static final Decibels NONE = new Decibels(0);

    /** What an isotropic radiator is below a half-wave dipole: dBi = dBd + 2.15 (ERP × 1.64 = EIRP). */
    public static final Decibels DIPOLE_OVER_ISOTROPIC = new Decibels(2.15);

    /** The sum of two. */
    public Decibels plus(Decibels more) {
        return new Decibels(value + more.value);
    }

    /** The difference of two. */
    public Decibels minus(Decibels less) {
        return new Decibels(value - less.value);
    }

    @Override
    public String toString() {
        return String.format(Locale.ROOT, "%.1f dB", value);
    }
}
