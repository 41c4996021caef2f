package org.wache.distance;

import java.util.Locale;
import org.wache.audit.finding.Sum;
import org.wache.signal.Decibels;
import org.wache.signal.Frequency;

/**
 * Whether a signal carries over a distance: a word and the sum behind it.
 *
 * @param word how it looks over smooth ground
 * @param sum from the power to what is left over
 * @param beyond whether the other antenna is behind the horizon
 */
public record Carries(Carries.Word word, Sum sum, boolean beyond) {

    /** How it looks. */
    public enum Word {
        /** So much is left over that hills and houses may take some of it. */
        IN_REACH,
        /** It would do over smooth ground; what stands in the way decides. */
        DOUBTFUL,
        /** Not even over smooth ground. */
        NOT
    }

    /** What a receiver for speech needs, in dBm: 0.25 µV at 50 Ω. Common practice, no source. */
    public static final double NEEDED_DBM = -119;
    /** What noise of engines and houses, a hand over the antenna and fading take. Common practice, no source. */
    public static final double RESERVE_DB = 20;

    private static final double MILLIWATTS = 1_000;

    /**
     * One end.
     *
     * @param heightM the antenna above the ground, metres, above 0
     * @param gainDbd the antenna, dBd
     * @param feedDb what its cable takes, dB, 0 or more
     */
    public record End(double heightM, double gainDbd, double feedDb) {

        public End {
            if (!(heightM > 0)) {
                throw new IllegalArgumentException("An antenna is above the ground.");
            }
        }

        private double isotropicDb() {
            return gainDbd + Decibels.DIPOLE_OVER_ISOTROPIC.value() - feedDb;
        }
    }

    /**
     * Works it out; what loses most of free space, plane earth and bending counts.
     *
     * @param watts what the transmitter puts out, above 0
     * @param km the distance, above 0
     */
    public static Carries of(Frequency frequency, double watts, End talks, End hears, double km) {
        double mhz = frequency.hertz() / 1e6;
        double horizon = PathLoss.horizonKm(talks.heightM(), hears.heightM());
        boolean beyond = km > horizon;
        double free = PathLoss.freeSpaceDb(mhz, km);
        double plane = PathLoss.planeEarthDb(km, talks.heightM(), hears.heightM());
        double bent = beyond ? free + PathLoss.bendingDb(mhz, km, talks.heightM(), hears.heightM()) : 0;
        double loss = Math.max(free, Math.max(plane, bent));
        double power = 10 * Math.log10(watts * MILLIWATTS);
        double arrives = power + talks.isotropicDb() - loss + hears.isotropicDb();
        double left = arrives - NEEDED_DBM;
        Sum sum = Sum.of(figure(power), "dBm", number(watts) + " W")
                .step(
                        sign(talks.isotropicDb()),
                        figure(Math.abs(talks.isotropicDb())),
                        "dB",
                        "antenna and cable of who talks")
                .step("−", figure(loss), "dB", words(loss, free, plane, km, horizon))
                .step(
                        sign(hears.isotropicDb()),
                        figure(Math.abs(hears.isotropicDb())),
                        "dB",
                        "antenna and cable of who hears")
                .gives(figure(arrives), "dBm", "arrives")
                .limit(figure(NEEDED_DBM), "dBm", "is needed for speech (common practice)");
        return new Carries(left >= RESERVE_DB ? Word.IN_REACH : left >= 0 ? Word.DOUBTFUL : Word.NOT, sum, beyond);
    }

    /** Further than anything here carries, km. */
    private static final double FAR_KM = 500;

    /**
     * How far a word holds, km: up to there it is no worse. 0 where it never holds.
     *
     * @param word in reach, or doubtful
     */
    public static double farthestKm(Frequency frequency, double watts, End talks, End hears, Word word) {
        double near = 0;
        double far = FAR_KM;
        while (far - near > 0.05) {
            double between = (near + far) / 2;
            if (of(frequency, watts, talks, hears, between).word().compareTo(word) <= 0) {
                near = between;
            } else {
                far = between;
            }
        }
        return near;
    }

    private static String words(double loss, double free, double plane, double km, double horizon) {
        String way = number(km) + " km, the horizon is at " + number(horizon) + " km";
        if (loss == free) {
            return "free space over " + way + " (ITU-R P.525)";
        }
        return loss == plane
                ? "along plane ground over " + way
                : "bent round a smooth earth over " + way + " (ITU-R P.526)";
    }

    private static String sign(double decibels) {
        return decibels < 0 ? "−" : "+";
    }

    private static String figure(double decibels) {
        return String.format(Locale.ROOT, "%.1f", decibels).replace('-', '−');
    }

    private static String number(double of) {
        return of >= 10 || of == Math.rint(of) ? Long.toString(Math.round(of)) : String.format(Locale.ROOT, "%.1f", of);
    }
}
