package org.wache.measure;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.wache.rulebook.Edition;
import org.wache.rulebook.RulebookReader;
import org.wache.signal.Frequency;

/** Measurements against the limits. Values from memory of the sections named; each row says which. */
class ToleranceTest {

    private static final Edition EDITION = RulebookReader.shipped("us").on(LocalDate.of(2026, 11, 25));

    @ParameterizedTest(name = "{0} {1} {2} MHz {3}: {5} of {4} is {6} ({7})")
    @CsvSource(
            textBlock =
                    """
      SPURIOUS, amateur, 146.52, wide, 5, 53.0, in, 97.307(e): 5 W needs 53 dB (25 µW)
      SPURIOUS, amateur, 146.52, wide, 5, 52.5, out, 97.307(e): 5 W needs 53 dB (25 µW)
      SPURIOUS, amateur, 146.52, wide, 0.1, 40, in, 97.307(e): 0.1 W needs 40 dB (10 µW)
      SPURIOUS, amateur, 146.52, wide, 0.1, 39.5, out, 97.307(e): 0.1 W needs 40 dB (10 µW)
      SPURIOUS, amateur, 146.52, wide, 50, 60, in, 97.307(e): 50 W needs 60 dB (50 µW)
      SPURIOUS, amateur, 146.52, wide, 50, 59, out, 97.307(e): 50 W needs 60 dB (50 µW)
      SPURIOUS, amateur, 146.52, wide, 0.01, 30, in, 97.307(e): never needing to be under 10 µW
      SPURIOUS, amateur, 14.2, wide, 100, 43, in, 97.307(d): 43 dB below 30 MHz
      SPURIOUS, amateur, 14.2, wide, 100, 42.9, out, 97.307(d): 43 dB below 30 MHz
      SPURIOUS, amateur, 446.0, wide, 4, 52.1, in, good practice as 97.307(e)
      SPURIOUS, gmrs, 462.55, wide, 50, 60, in, 95.1779: 43 + 10 log 50 = 60.0
      SPURIOUS, gmrs, 462.55, wide, 50, 59, out, 95.1779: 43 + 10 log 50 = 60.0
      SPURIOUS, land-mobile, 451.8, narrow, 4, 56.1, in, 90.210(d): 50 + 10 log 4 = 56.0
      SPURIOUS, land-mobile, 451.8, narrow, 4, 55.5, out, 90.210(d): 50 + 10 log 4 = 56.0
      SPURIOUS, land-mobile, 451.8, narrow, 500, 70, in, 90.210(d): 70 dB is enough
      OUTPUT_POWER, amateur, 146.52, wide, 5, 6.2, in, common practice: within 1 dB (0.93)
      OUTPUT_POWER, amateur, 146.52, wide, 5, 6.4, out, common practice: within 1 dB (1.07)
      OUTPUT_POWER, amateur, 146.52, wide, 5, 3.9, out, common practice: within 1 dB (-1.08)
      OUTPUT_POWER, land-mobile, 451.8, narrow, 4, 4.8, in, 90.205: 20 percent over (0.79 dB)
      OUTPUT_POWER, land-mobile, 451.8, narrow, 4, 4.9, out, 90.205: 20 percent over
      FREQUENCY_ERROR, amateur, 146.52, wide, 146.52, 146.520365, in, signals: 2.5 ppm is 366 Hz at 146.52
      FREQUENCY_ERROR, amateur, 146.52, wide, 146.52, 146.520370, out, signals: 2.5 ppm is 366 Hz at 146.52
      FREQUENCY_ERROR, gmrs, 462.55, wide, 462.55, 462.552300, in, 95.1765: 5 ppm is 2313 Hz
      FREQUENCY_ERROR, gmrs, 462.55, wide, 462.55, 462.552400, out, 95.1765: 5 ppm is 2313 Hz
      FREQUENCY_ERROR, gmrs, 467.5625, narrow, 467.5625, 467.563700, out, 95.1765: 2.5 ppm on 12.5 kHz channels
      FREQUENCY_ERROR, land-mobile, 154.57, narrow, 154.57, 154.570700, in, 90.213: 5 ppm VHF high
      FREQUENCY_ERROR, land-mobile, 451.8, narrow, 451.8, 451.801200, out, 90.213: 2.5 ppm UHF
      PEAK_DEVIATION, gmrs, 462.55, wide, 0, 5.0, in, 95.1775
      PEAK_DEVIATION, gmrs, 467.5625, narrow, 0, 2.6, out, 95.1775
      PEAK_DEVIATION, frs, 462.5625, wide, 0, 2.6, out, 95.575: always narrow
      PEAK_DEVIATION, amateur, 146.52, wide, 0, 5.2, out, common practice
      PEAK_DEVIATION, cb, 27.185, wide, 0, 2.1, out, 95.975
      TONE_DEVIATION, land-mobile, 451.8, narrow, 0, 350, in, common practice
      TONE_DEVIATION, land-mobile, 451.8, narrow, 0, 600, out, common practice
      TONE_DEVIATION, amateur, 146.52, wide, 0, 500, in, common practice
      TONE_DEVIATION, amateur, 146.52, wide, 0, 200, out, common practice
      """)
    void limits(
            Measurement.Kind kind,
            String service,
            String mhz,
            String width,
            double nominal,
            double measured,
            String verdict,
            String source) {
        Judged judged = new Tolerance(EDITION, service)
                .judge(new Measurement(
                        kind, Frequency.ofMegahertz(mhz).orElseThrow(), width.equals("narrow"), nominal, measured))
                .orElseThrow();
        assertThat(judged.in()).isEqualTo(verdict.equals("in"));
        assertThat(judged.source()).isNotBlank();
        assertThat(judged.sum().lines()).isNotEmpty();
    }

    private static Measurement spur(String at, String spur, double decibels) {
        return new Measurement(
                Measurement.Kind.SPURIOUS,
                Frequency.ofMegahertz(at).orElseThrow(),
                false,
                5,
                decibels,
                Frequency.ofMegahertz(spur));
    }

    /** 47 CFR 87.173: 121.5 MHz is the emergency frequency of aircraft; a spur on 446 falls into the amateurs' own band. */
    @Test
    void aSpurIsJudgedAndWhoseItIsIsSaid() {
        Tolerance amateur = new Tolerance(EDITION, "amateur");
        Judged aircraft = amateur.judge(spur("146.520", "121.500", 41)).orElseThrow();
        assertThat(aircraft.in()).isFalse();
        assertThat(aircraft.message()).startsWith("The spur on 121.500 MHz").contains("belongs to");
        assertThat(amateur.judge(spur("146.520", "439.560", 60)).orElseThrow().message())
                .startsWith("The spur on 439.560 MHz, in ")
                .contains("60 dB below the fundamental");
    }

    @Test
    void whatHasNoLimitIsSaidToBeUnjudged() {
        Edition uk = org.wache.rulebook.RulebookReader.shipped("uk").on(java.time.LocalDate.parse("2026-11-25"));
        Tolerance tolerance = new Tolerance(uk, "amateur");
        assertThat(tolerance.judge(spur("145.500", "291.000", 50))).isEmpty();
        assertThat(tolerance.unjudged(spur("145.500", "291.000", 50))).contains("291.000", "50 dB below", "not judged");
    }
}
