package org.wache.distance;

/**
 * Losses between two antennas over a smooth earth without hills, trees or houses, between isotropic antennas, in decibels. The
 * formulas are from memory: check against the Recommendations.
 */
public final class PathLoss {

    /** The radius of the earth as waves see it that bend in a usual atmosphere: 4/3 of 6 371 km, ITU-R P.310. */
    static final double EARTH_KM = 8_495;
    /** How far the horizon is, in km, for the root of a height of one metre: √(2 · 8 495 km · 1 m). */
    public static final double HORIZON = 4.12;

    private PathLoss() {}

    /**
     * From how far two antennas see each other over the bulge of the earth: 4.12 · (√h₁ + √h₂).
     *
     * @param oneM height of one above the ground, metres, 0 or more
     * @param otherM of the other
     * @return kilometres
     */
    public static double horizonKm(double oneM, double otherM) {
        return HORIZON * (Math.sqrt(oneM) + Math.sqrt(otherM));
    }

    /**
     * Free space, ITU-R P.525: 32.4 + 20 log f + 20 log d.
     *
     * @param mhz frequency, above 0
     * @param km distance, above 0
     */
    public static double freeSpaceDb(double mhz, double km) {
        return 32.4 + 20 * Math.log10(mhz) + 20 * Math.log10(km);
    }

    /**
     * Over a plane earth, where the wave along the ground takes from the direct one: 120 + 40 log d − 20 log h₁ − 20 log h₂, d in km and
     * h in m. It says nothing about near distances, where free space loses more.
     */
    public static double planeEarthDb(double km, double oneM, double otherM) {
        return 120 + 40 * Math.log10(km) - 20 * Math.log10(oneM) - 20 * Math.log10(otherM);
    }

    /**
     * What bending round a smooth earth takes beyond free space, ITU-R P.526, section 3.1.1, first term of the residue series, for
     * horizontal polarization or above some 20 MHz over land, where the ground hardly matters (β = 1).
     *
     * @return decibels, 0 or more
     */
    public static double bendingDb(double mhz, double km, double oneM, double otherM) {
        double x = 2.188 * Math.cbrt(mhz) * Math.pow(EARTH_KM, -2.0 / 3) * km;
        double field = along(x) + height(y(mhz, oneM)) + height(y(mhz, otherM));
        return Math.max(0, -field);
    }

    private static double y(double mhz, double metres) {
        return 9.575e-3 * Math.pow(mhz, 2.0 / 3) * Math.pow(EARTH_KM, -1.0 / 3) * metres;
    }

    /** The distance term F(X), P.526 equations 17 and 17a. */
    static double along(double x) {
        return x >= 1.6 ? 11 + 10 * Math.log10(x) - 17.6 * x : -20 * Math.log10(x) - 5.6488 * Math.pow(x, 1.425);
    }

    /** The height gain G(Y), P.526 equations 18 and 18a. */
    static double height(double y) {
        return y > 2 ? 17.6 * Math.sqrt(y - 1.1) - 5 * Math.log10(y - 1.1) - 8 : 20 * Math.log10(y + 0.1 * y * y * y);
    }
}
