package org.wache.typed;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.wache.rulebook.RulebookReader;
import org.wache.rulebook.ToneTable;
import org.wache.signal.Tone;

/** Single figures as people write them. Common practice, no source. */
class WrittenTest {

    private static final ToneTable TONES =
            RulebookReader.shipped("us").on(LocalDate.parse("2026-11-25")).tones();

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "146.52 | 146520000",
                "146,52 | 146520000",
                "146.520 MHz | 146520000",
                "146520 | 146520000",
                "146520 kHz | 146520000",
                "146520000 | 146520000",
                "146.520.000 | 146520000",
                "146,520,000 | 146520000",
                "462.5625 | 462562500",
                "462562.5 | 462562500",
                "462.562,5 kHz | 462562500",
                "462,562.5 | 462562500",
                "7268 | 7268000",
                "3.885 | 3885000",
                "14285 | 14285000",
                "1.2961 GHz | 1296100000",
                "1296.1 | 1296100000",
                "1,296.100 | 1296100000",
                "146 520 | 146520000",
                "\u00a0146.52\u00a0 | 146520000",
                "446 | 446000000",
                ".600 | 600000",
                "27.185m | 27185000"
            })
    void frequencies(String text, long hertz) {
        assertThat(WrittenFrequency.read(text, Optional.empty())
                        .orElseThrow()
                        .frequency()
                        .hertz())
                .isEqualTo(hertz);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "x",
                "14x.2",
                "146.5.2",
                "146.52-",
                "1.2.3.4",
                "0",
                "-146",
                "146.5200001",
                "1,2,3",
                "99999999999999999"
            })
    void noFrequencies(String text) {
        assertThat(WrittenFrequency.read(text, Optional.empty())).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "146520 | KILOHERTZ | 146520000",
                "146.52 | KILOHERTZ | 146520000",
                "1296.1 | MEGAHERTZ | 1296100000",
                "7200 | MEGAHERTZ | 7200000000",
                "146520 | MEGAHERTZ | 146520000"
            })
    void theColumnsUnitIsBelievedWhereItCanBe(String text, Unit unit, long hertz) {
        assertThat(WrittenFrequency.read(text, Optional.of(unit))
                        .orElseThrow()
                        .frequency()
                        .hertz())
                .isEqualTo(hertz);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "+ | + ",
                "- | - ",
                "− | - ",
                "– | - ",
                "(-) | - ",
                "+0.6 | + 600000",
                "-0.6 | - 600000",
                "0.6- | - 600000",
                "-600 | - 600000",
                "600k | ? 600000",
                "+600 kHz | + 600000",
                "5 | ? 5000000",
                "+5 MHz | + 5000000",
                "-5.000 | - 5000000",
                "-1,6 | - 1600000",
                "600000 | ? 600000",
                "simplex | = ",
                "S | = ",
                "0 | = ",
                "0.000 | = ",
                "none | = ",
                "minus | - ",
                "plus 0.6 | + 600000",
                "DUP+ | + ",
                "-100 | - 100000",
                "25 | ? 25000000"
            })
    void shifts(String text, String expected) {
        Shift shift = Shift.read(text, Optional.empty()).orElseThrow();
        String sign = shift.direct() ? "=" : shift.sign() > 0 ? "+" : shift.sign() < 0 ? "-" : "?";
        assertThat((sign + " " + shift.hertz().map(String::valueOf).orElse("")).strip())
                .isEqualTo(expected.strip());
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "up there", "++", "+0.6-", "146.34x", "?"})
    void noShifts(String text) {
        assertThat(Shift.read(text, Optional.empty())).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "100 | 100.0",
                "100.0 | 100.0",
                "100,0 | 100.0",
                "100.00 | 100.0",
                "PL 100 | 100.0",
                "PL100.0 | 100.0",
                "T100 | 100.0",
                "CTCSS 88.5 Hz | 88.5",
                "88.5hz | 88.5",
                "Tone: 103.5 | 103.5",
                "1000 | 100.0",
                "1035 | 103.5",
                "1148 | 114.8",
                "D023N | D023",
                "D023 | D023",
                "D023I | D023I",
                "D023R | D023I",
                "DCS 023 | D023",
                "DCS 23 | D023",
                "DPL 754 | D754",
                "023N | D023",
                "023 | D023",
                "754i | D754I",
                "dcs-023 | D023",
                "code 27 | 167.9",
                "#12 | 100.0",
                "12 | 100.0",
                "1 | 67.0",
                "38 | 250.3",
                "B1750 | B1750",
                "1750 Hz | B1750",
                "1750 | B1750",
                "67 | 67.0",
                "254.1 | 254.1",
                "(100.0) | 100.0",
                "69.4 | 69.4"
            })
    void tones(String text, String tone) {
        assertThat(WrittenTone.read(text, TONES).flatMap(WrittenTone::tone).map(Tone::text))
                .contains(tone);
    }

    @ParameterizedTest
    @ValueSource(strings = {"none", "-", "CSQ", "off", "0", "Carrier", "N/A", "no tone"})
    void noneIsSaid(String text) {
        assertThat(WrittenTone.read(text, TONES))
                .get()
                .extracting(WrittenTone::tone)
                .isEqualTo(Optional.empty());
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "ask", "code 39", "45", "12.34", "D089", "D1234", "5000", "1e2", "100.0 127.3"})
    void noTones(String text) {
        assertThat(WrittenTone.read(text, TONES)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "5W | 5",
                "5 W | 5",
                "50 watts | 50",
                "0.5 | 0.5",
                "0,5W | 0.5",
                "500mW | 0.5",
                "1.5 kW | 1500",
                "37 dBm | 5.01",
                "30 dBm | 1",
                "5.0 | 5"
            })
    void powers(String text, String watts) {
        assertThat(WrittenPower.read(text).flatMap(WrittenPower::watts)).contains(watts);
    }

    @ParameterizedTest
    @CsvSource({"High,HIGH", "H,HIGH", "hi,HIGH", "Low power,LOW", "L,LOW", "Mid,MIDDLE", "MED,MIDDLE"})
    void levels(String text, WrittenPower.Level level) {
        assertThat(WrittenPower.read(text).flatMap(WrittenPower::level)).contains(level);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "0", "5A", "lots", "-5", "5/1"})
    void noPowers(String text) {
        assertThat(WrittenPower.read(text)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "FM | FM",
                "nfm | NFM narrow",
                "FM-N | NFM narrow",
                "Narrow FM | NFM narrow",
                "N | narrow",
                "narrow | narrow",
                "W | wide",
                "25 kHz | wide",
                "25 | wide",
                "20k | wide",
                "12.5 | narrow",
                "12,5 kHz | narrow",
                "12k5 | narrow",
                "6.25 | narrow",
                "11K2F3E | 11K2F3E",
                "16k0f3e | 16K0F3E",
                "DMR | DMR",
                "analog | FM",
                "SSB | ssb",
                "usb | USB",
                "Wide FM | FM wide",
                "P25 | P25",
                "FM (12.5) | narrow"
            })
    void modes(String text, String expected) {
        WrittenMode mode = WrittenMode.read(text).orElseThrow();
        String shown = mode.mode().map(Enum::name).orElse("")
                + mode.narrow().map(narrow -> narrow ? " narrow" : " wide").orElse("")
                + mode.emission().orElse("")
                + (mode.sideband() ? "ssb" : "");
        assertThat(shown.strip()).isEqualTo(expected);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "5", "50", "both", "99K9Z9", "?"})
    void noModes(String text) {
        assertThat(WrittenMode.read(text)).isEmpty();
    }
}
