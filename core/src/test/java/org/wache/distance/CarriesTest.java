package org.wache.distance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.wache.signal.Frequency;

/** Distances over smooth ground, held against what textbooks and the ITU-R Recommendations give; all from memory. */
class CarriesTest {

    private static final Frequency TWO_METRES = Frequency.ofMegahertz("146.520").orElseThrow();

    private static Carries.End hand() {
        return new Carries.End(1.5, -5, 0);
    }

    /** 4.12 · (√h₁ + √h₂) km over an earth of 4/3 of its radius, ITU-R P.310; worked by hand. */
    @ParameterizedTest
    @CsvSource({"1.5, 1.5, 10.1", "30, 1.5, 27.6", "100, 100, 82.4", "0, 9, 12.4"})
    void theHorizonIsWhereTheBulgeOfTheEarthPutsIt(double one, double other, double km) {
        assertThat(PathLoss.horizonKm(one, other)).isCloseTo(km, within(0.1));
    }

    /** ITU-R P.525: 32.4 + 20 log f + 20 log d; 1 km at 100 MHz is 72.4 dB, and twice as far is 6 dB more. */
    @ParameterizedTest
    @CsvSource({"100, 1, 72.4", "100, 2, 78.4", "1000, 10, 112.4", "146.52, 5, 89.7"})
    void freeSpaceLosesAsTheRecommendationSays(double mhz, double km, double loss) {
        assertThat(PathLoss.freeSpaceDb(mhz, km)).isCloseTo(loss, within(0.1));
    }

    /** The two-ray formula L = 40 log d − 20 log h₁h₂ with metres; 10 km between 30 m and 1.5 m is 126.9 dB. */
    @ParameterizedTest
    @CsvSource({"10, 30, 1.5, 126.9", "1, 1.5, 1.5, 113.0", "20, 30, 1.5, 139.0"})
    void planeGroundLosesFortyDecibelsForTenTimesTheDistance(double km, double one, double other, double loss) {
        assertThat(PathLoss.planeEarthDb(km, one, other)).isCloseTo(loss, within(0.1));
    }

    /** P.526: where the two branches of F and G meet they agree, and beyond the horizon every kilometre takes more. */
    @Test
    void bendingGrowsSteadilyBeyondTheHorizon() {
        assertThat(PathLoss.along(1.5999)).isCloseTo(PathLoss.along(1.6), within(0.1));
        assertThat(PathLoss.height(2.0001)).isCloseTo(PathLoss.height(2), within(0.2));
        double[] losses = DoubleStream.iterate(30, km -> km <= 100, km -> km + 5)
                .map(km -> PathLoss.bendingDb(146, km, 30, 1.5))
                .toArray();
        assertThat(losses).isSorted();
        assertThat(losses[0]).isGreaterThan(6);
        // a higher antenna sees further round
        assertThat(PathLoss.bendingDb(146, 60, 100, 1.5)).isLessThan(PathLoss.bendingDb(146, 60, 10, 1.5));
    }

    /** What people find in the field with hand-helds over open ground. Common practice, no source. */
    @ParameterizedTest
    @CsvSource({"0.5, IN_REACH", "4, DOUBTFUL", "40, NOT"})
    void twoHandHeldsOnTwoMetres(double km, Carries.Word word) {
        assertThat(Carries.of(TWO_METRES, 5, hand(), hand(), km).word()).isEqualTo(word);
    }

    @Test
    void aRepeaterOnAHillReachesWhatAHandHeldDoesNot() {
        Carries.End hill = new Carries.End(60, 6, 2);
        assertThat(Carries.of(TWO_METRES, 5, hand(), hand(), 12).word()).isNotEqualTo(Carries.Word.IN_REACH);
        assertThat(Carries.of(TWO_METRES, 25, hill, hand(), 12).word()).isEqualTo(Carries.Word.IN_REACH);
    }

    @Test
    void theSumComesToWhatArrives() {
        Carries found = Carries.of(TWO_METRES, 5, new Carries.End(10, 0, 1), hand(), 3);
        double total = 0;
        for (var line : found.sum().lines()) {
            double amount = Double.parseDouble(line.amount().replace('−', '-'));
            switch (line.role()) {
                case TERM -> total += line.sign().equals("−") ? -amount : amount;
                case TOTAL -> assertThat(amount).isCloseTo(total, within(0.15));
                default -> assertThat(amount).isEqualTo(Carries.NEEDED_DBM);
            }
        }
        assertThat(found.beyond()).isFalse();
        assertThat(Carries.of(TWO_METRES, 5, hand(), hand(), 30).beyond()).isTrue();
    }

    /** However it is asked, more power, more height and less distance never make it worse. */
    @Test
    void moreNeverMakesItWorse() {
        for (double km = 0.2; km < 90; km *= 1.3) {
            for (double metres : new double[] {1.5, 5, 20, 80}) {
                Carries.End mast = new Carries.End(metres, 0, 0);
                int word = Carries.of(TWO_METRES, 5, mast, hand(), km).word().ordinal();
                assertThat(Carries.of(TWO_METRES, 50, mast, hand(), km).word().ordinal())
                        .isLessThanOrEqualTo(word);
                assertThat(Carries.of(TWO_METRES, 5, new Carries.End(metres * 2, 0, 0), hand(), km)
                                .word()
                                .ordinal())
                        .isLessThanOrEqualTo(word);
                assertThat(Carries.of(TWO_METRES, 5, mast, hand(), km * 1.2)
                                .word()
                                .ordinal())
                        .isGreaterThanOrEqualTo(word);
            }
        }
    }

    @Test
    void anAntennaInTheGroundIsNone() {
        assertThatThrownBy(() -> new Carries.End(0, 0, 0)).isInstanceOf(IllegalArgumentException.class);
    }

    /** Where a word ends is found as a walk in small steps finds it. */
    @ParameterizedTest
    @CsvSource({"30, IN_REACH", "30, DOUBTFUL", "1.5, IN_REACH", "1.5, DOUBTFUL", "150, DOUBTFUL"})
    void howFarAWordHoldsIsWhereAWalkEndsToo(double metres, Carries.Word word) {
        Carries.End base = new Carries.End(metres, 3, 1);
        double walked = 0;
        while (Carries.of(TWO_METRES, 5, base, hand(), walked + 0.1).word().compareTo(word) <= 0) {
            walked += 0.1;
        }
        assertThat(Carries.farthestKm(TWO_METRES, 5, base, hand(), word)).isCloseTo(walked, within(0.2));
    }
}
