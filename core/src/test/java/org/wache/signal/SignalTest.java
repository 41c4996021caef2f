package org.wache.signal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Frequencies, designators and spans against the published worked examples of 47 CFR 2.202(g). */
class SignalTest {

    @ParameterizedTest
    @CsvSource({
        "146.52,146520000",
        "462.5625,462562500",
        "0.1357,135700",
        "5.3585,5358500",
        "146,146000000",
        "146.520000,146520000",
        "146.5200000000,146520000",
        ".5,500000"
    })
    void megahertzAreReadToTheHertz(String text, long hertz) {
        assertThat(Frequency.ofMegahertz(text)).contains(new Frequency(hertz));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"", "146,52", "146.52 MHz", "-146.52", "1e8", "146.5200001", "0", "0.000", ".", "1.2.3", "١٤٦"})
    void whatIsNoPlainDecimalNumberIsNoFrequency(String text) {
        assertThat(Frequency.ofMegahertz(text)).isEmpty();
    }

    @Test
    void sumsOfFrequenciesAreExact() {
        // In binary fractions 147.995 + 0.008 is 148.00300000000001.
        assertThat(Frequency.ofMegahertz("147.995").orElseThrow().plus(8_000).megahertz())
                .isEqualTo("148.003");
    }

    /** Widths of the worked examples of 47 CFR 2.202(g). */
    @ParameterizedTest
    @CsvSource({"16K0F3E,16000", "2K70J3E,2700", "6K00A3E,6000", "100HA1A,100", "304HF1B,304"})
    void publishedExamplesHaveTheirWidths(String designator, long hertz) {
        assertThat(Emission.of(designator).bandwidth()).isEqualTo(hertz);
        assertThat(Emission.bandwidthText(hertz)).isEqualTo(designator.substring(0, 4));
    }

    /** The letter stands at the decimal point, wherever that is. */
    @ParameterizedTest
    @CsvSource({
        "60H0J2B,60",
        "H500A1A,1",
        "4H25A1A,5",
        "11K2F3E,11200",
        "1M25F9W,1250000",
        "2G50F9W,2500000000",
        "8K10F1E,8100"
    })
    void theLetterStandsAtTheDecimalPoint(String designator, long hertz) {
        assertThat(Emission.of(designator).bandwidth()).isEqualTo(hertz);
    }

    /** The sums behind the same examples. */
    @Test
    void publishedExamplesComeOutOfTheirFormulas() {
        assertThat(2 * 3000 + 2 * 5000).isEqualTo(16_000); // Bn = 2M + 2D
        assertThat(Emission.of("16K0F3E").deviation()).isEqualTo(5_000);
        assertThat(Math.round(2 * 50 + 2 * 85 * 1.2)).isEqualTo(304); // Bn = 2M + 2DK, M = B/2
        assertThat(20 * 5).isEqualTo(100); // Bn = BK
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "16KF3E",
                "16K0",
                "16K0F3",
                "0K50F3E",
                "K160F3E",
                "16.0F3E",
                "16K0Y3E",
                "16K0F4E",
                "16K0F3Z",
                "1600F3E",
                "1K6KF3E",
                "16K0F3EJNQQ",
                "16k0f3e"
            })
    void designatorsAreReadStrictly(String text) {
        assertThat(Emission.parse(text)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "FM,-8000,8000",
        "NFM,-5600,5600",
        "AM,-3000,3000",
        "CW,-75,75",
        "DMR,-3800,3800",
        "P25,-4050,4050",
        "NXDN,-2000,2000",
        "DV,-5600,5600",
        "PKT,-8000,8000",
        "USB,100,2900",
        "DATA,100,2900"
    })
    void modesFillWhatTheyAreSaidToFill(Mode mode, long low, long high) {
        assertThat(mode.emission().aroundDial(false)).isEqualTo(new Span(low, high));
    }

    @Test
    void theLowerSidebandIsTheMirrorImageAndTheNarrowExampleStartsAt300Hertz() {
        assertThat(Mode.LSB.emission().aroundDial(true)).isEqualTo(new Span(-2900, -100));
        assertThat(Emission.of("2K70J3E").aroundDial(false)).isEqualTo(new Span(300, 3000));
        assertThat(Emission.of("2K40J3E").aroundDial(false)).isEqualTo(new Span(100, 2500));
        assertThat(Emission.of("2K70J3C").aroundDial(false)).isEqualTo(new Span(300, 3000));
        assertThat(Emission.of("60H0J2B").aroundDial(false)).isEqualTo(new Span(-30, 30));
    }

    @Test
    void narrowVoiceHasALowIndexAndWideVoiceHasNot() {
        assertThat(Emission.of("11K2F3E").is(Content.PHONE_LOW_INDEX)).isTrue();
        assertThat(Emission.of("12K0F3E").is(Content.PHONE_LOW_INDEX)).isTrue();
        assertThat(Emission.of("16K0F3E").is(Content.PHONE_LOW_INDEX)).isFalse();
        assertThat(Emission.of("7K60FXE").is(Content.DIGITAL_VOICE)).isTrue();
        assertThat(Emission.of("7K60FXW").is(Content.DIGITAL_VOICE)).isTrue();
        assertThat(Emission.of("6K25F7W").is(Content.DIGITAL_VOICE)).isTrue();
        assertThat(Emission.of("100HA1B").is(Content.CW)).isTrue();
        assertThat(Emission.of("500HF1B").is(Content.DATA)).isTrue();
        assertThat(Emission.of("2K80J2D").is(Content.DATA)).isTrue();
        assertThat(Emission.of("6M00C3F").is(Content.IMAGE)).isTrue();
    }

    @Test
    void aDecibelIsADecibel() {
        assertThat(new Watts(8).dbm() - new Watts(5).dbm()).isCloseTo(2.0, within(0.05)); // 10·log10(8/5) = 2.04
        assertThat(new Watts(5).after(new Decibels(3)).value()).isCloseTo(9.98, within(0.01));
        assertThat(new Watts(9.15).after(Decibels.DIPOLE_OVER_ISOTROPIC).value())
                .isCloseTo(15.0, within(0.02));
        assertThat(new Watts(0.5).number()).isEqualTo("0.5");
        assertThat(new Watts(9.15).number()).isEqualTo("9.15");
        assertThat(new Watts(1500).number()).isEqualTo("1500");
    }

    @Test
    void impossibleValuesAreRefused() {
        assertThatThrownBy(() -> new Frequency(0)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Span(2, 1)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Watts(0)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Watts(Double.NaN)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Tone.Dcs(01000, false)).isInstanceOf(IllegalArgumentException.class);
    }
}
