package org.wache.station;

import java.util.Locale;

/** Lengths of wire antennas, and how lengths are written. */
public final class Lengths {

    /** Common practice: a half wave shortened by the end effect, feet and metres at 1 MHz. */
    private static final double HALF_WAVE_FT = 468;

    private static final double HALF_WAVE_M = 142.65;
    private static final double QUARTER_WAVE_FT = 234;
    private static final double QUARTER_WAVE_M = 71.3;
    private static final int INCHES = 12;
    private static final int EIGHTHS = 8;
    private static final String[] FRACTIONS = {"", "⅛", "¼", "⅜", "½", "⅝", "¾", "⅞"};

    private Lengths() {}

    /** A half-wave dipole in all, feet. */
    public static double halfWaveFt(double mhz) {
        return HALF_WAVE_FT / mhz;
    }

    /** A half-wave dipole in all, metres. */
    public static double halfWaveM(double mhz) {
        return HALF_WAVE_M / mhz;
    }

    /** A quarter-wave whip, feet. */
    public static double quarterWaveFt(double mhz) {
        return QUARTER_WAVE_FT / mhz;
    }

    /** A quarter-wave whip, metres. */
    public static double quarterWaveM(double mhz) {
        return QUARTER_WAVE_M / mhz;
    }

    /** Feet and inches to the eighth: {@code 8 ft 2⅞ in}. */
    public static String feetAndInches(double feet) {
        long eighths = Math.round(feet * INCHES * EIGHTHS);
        long whole = eighths / (INCHES * EIGHTHS);
        long inches = eighths / EIGHTHS % INCHES;
        String fraction = FRACTIONS[(int) (eighths % EIGHTHS)];
        String rest = inches == 0 && !fraction.isEmpty() ? fraction : inches + fraction;
        return (whole > 0 ? whole + " ft " : "") + rest + " in";
    }

    /** Metres with the decimals that one can measure. */
    public static String metres(double metres) {
        return String.format(Locale.ROOT, metres >= 100 ? "%.1f" : metres >= 3 ? "%.2f" : "%.3f", metres);
    }
}
