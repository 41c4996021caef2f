package org.wache.site;

/**
 * Distances for exposure to radio waves. The formulas are those of OET Bulletin 65 and 47 CFR 1.1307(b)(3); both are
 * guides, and the station's licensee answers for the evaluation.
 */
public final class Exposure {

    /** EIRP over ERP: what a half-wave dipole gains over an isotropic radiator, 2.15 dB. */
    public static final double ISOTROPIC_OVER_DIPOLE = 1.64;
    /** OET Bulletin 65, equation 6: ground reflection makes the field 1.6 times, the power 2.56 times as strong; 2.56 ÷ 4. */
    private static final double WITH_REFLECTION = 0.64;

    private static final double MILLIWATTS = 1000;
    private static final double CENTIMETRES = 100;
    private static final double LIGHT_MHZ_M = 299.792458;

    private Exposure() {}

    /**
     * From how far a limit is kept: R = √(0.64 · EIRP ÷ (π · S)), OET Bulletin 65 equation 6 turned round.
     *
     * @param averageEirpW EIRP averaged over the time that the limit is for, watts
     * @param limit the limit, mW/cm²
     * @return metres
     */
    public static double distanceM(double averageEirpW, double limit) {
        return Math.sqrt(WITH_REFLECTION * averageEirpW * MILLIWATTS / (Math.PI * limit)) / CENTIMETRES;
    }

    /**
     * The power density at a distance, OET Bulletin 65 equation 6.
     *
     * @param averageEirpW averaged EIRP, watts
     * @param metres distance, above 0
     * @return mW/cm²
     */
    public static double density(double averageEirpW, double metres) {
        double centimetres = metres * CENTIMETRES;
        return WITH_REFLECTION * averageEirpW * MILLIWATTS / (Math.PI * centimetres * centimetres);
    }

    /**
     * From how far a station is exempt from a routine evaluation: √(ERP ÷ k), and not nearer than λ/2π, where the table of
     * 1.1307(b)(3)(i)(C) decides nothing.
     *
     * @param averageErpW averaged ERP, watts
     * @param factor k of the table at the frequency
     * @param mhz the frequency
     * @return metres
     */
    public static double exemptM(double averageErpW, double factor, double mhz) {
        return Math.max(Math.sqrt(averageErpW / factor), nearFieldM(mhz));
    }

    /**
     * From how far people are kept away: the distance of the formula, but not nearer than λ/2π, where a formula for the far field says
     * nothing; rounded up to tenths of a metre.
     *
     * @param formulaM what {@link #distanceM} gives
     * @param mhz the frequency
     * @return metres
     */
    public static double keepAwayM(double formulaM, double mhz) {
        return Math.ceil(Math.max(formulaM, nearFieldM(mhz)) * 10 - 1e-9) / 10;
    }

    /** λ/2π in metres. */
    public static double nearFieldM(double mhz) {
        return LIGHT_MHZ_M / mhz / (2 * Math.PI);
    }
}
