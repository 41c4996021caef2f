package org.wache.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.wache.audit.Audits;
import org.wache.rulebook.ExposureLimits;
import org.wache.rulebook.ExposureLimits.Group;
import org.wache.signal.Frequency;

/** Distances by OET Bulletin 65, equation 6, and 47 CFR 1.1307(b)(3). */
class ExposureTest {

    private static final ExposureLimits LIMITS = Audits.edition(Audits.DAY).exposure();

    private static Frequency at(String megahertz) {
        return Frequency.ofMegahertz(megahertz).orElseThrow();
    }

    /** Half-wave dipole, 2.15 dBi; worked by hand from equation 6, R = √(0.64 · EIRP ÷ (π · S)). */
    @ParameterizedTest
    @CsvSource({
        "50,1,146.0,GENERAL,2.89",
        "50,1,146.0,OCCUPATIONAL,1.29",
        "50,1,462.6,GENERAL,2.33",
        "100,0.2,28.4,GENERAL,1.73"
    })
    void distanceOfADipole(double watts, double duty, String megahertz, Group group, double metres) {
        double eirp = watts * Exposure.ISOTROPIC_OVER_DIPOLE * duty;
        double limit = LIMITS.limit(group, at(megahertz)).orElseThrow().at(at(megahertz));
        assertThat(String.format(Locale.ROOT, "%.2f", Exposure.distanceM(eirp, limit)))
                .isEqualTo(String.format(Locale.ROOT, "%.2f", metres));
    }

    @Test
    void atItsDistanceTheLimitIsJustReached() {
        assertThat(Exposure.density(82, Exposure.distanceM(82, 0.2))).isCloseTo(0.2, within(1e-12));
    }

    /** 47 CFR 1.1307(b)(3)(i)(C), table: 50 W ERP. */
    @ParameterizedTest
    @CsvSource({"50,146.0,3.61", "50,462.6,2.91", "1,3.9,12.2"})
    void exemptFrom(double erp, String megahertz, double metres) {
        double factor = LIMITS.exemption(at(megahertz)).orElseThrow().at(at(megahertz));
        double mhz = at(megahertz).hertz() / 1e6;
        assertThat(Exposure.exemptM(erp, factor, mhz)).isCloseTo(metres, within(0.05));
    }

    /** Limits of 47 CFR 1.1310, table 1: f²-law below 30 MHz, f-law above 300 MHz; at a joint both sides agree. */
    @ParameterizedTest
    @CsvSource({
        "GENERAL,3.0,20.0",
        "GENERAL,29.999999,0.2",
        "GENERAL,30.0,0.2",
        "GENERAL,299.0,0.2",
        "GENERAL,300.0,0.2",
        "GENERAL,450.0,0.3",
        "GENERAL,1500.0,1.0",
        "OCCUPATIONAL,3.0,100.0",
        "OCCUPATIONAL,30.0,1.0",
        "OCCUPATIONAL,450.0,1.5",
        "OCCUPATIONAL,1500.0,5.0"
    })
    void limitOf(Group group, String megahertz, double milliwatts) {
        assertThat(LIMITS.limit(group, at(megahertz)).orElseThrow().at(at(megahertz)))
                .isCloseTo(milliwatts, within(1e-4));
    }
}
