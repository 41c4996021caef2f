package org.wache.signal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What designators mean, by 47 CFR 2.201 and 2.202 and the definitions of 97.3(c); quoted from memory. */
class EmissionTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "150HA1A|CW",
                "150HJ2A|CW",
                "2K00A2A|MCW",
                "2K00F2A|MCW",
                "500HQ2A|OTHER",
                "150HF0A|OTHER",
                "304HF1B|DATA",
                "60H0J2B|DATA",
                "150HA1B|CW",
                "2K00F2B|MCW",
                "2K00Q2B|OTHER",
                "16K0F2D|DATA",
                "16K0F0D|OTHER",
                "2K70J2C|IMAGE",
                "6M00C3F|IMAGE",
                "11K2F3E|PHONE PHONE_LOW_INDEX FM",
                "16K0F3E|PHONE FM",
                "16K0G3E|PHONE FM",
                "2K70J3E|PHONE PHONE_LOW_INDEX SSB SSB_REDUCED",
                "2K70R3E|PHONE PHONE_LOW_INDEX SSB SSB_REDUCED",
                "3K00H3E|PHONE PHONE_LOW_INDEX SSB",
                "6K00A3E|PHONE PHONE_LOW_INDEX AM",
                "6K00C3E|PHONE PHONE_LOW_INDEX",
                "7K60FXE|PHONE PHONE_LOW_INDEX DIGITAL_VOICE",
                "8K10F1E|PHONE PHONE_LOW_INDEX DIGITAL_VOICE",
                "16K0F1E|PHONE DIGITAL_VOICE",
                "16K0D1E|PHONE PHONE_LOW_INDEX DIGITAL_VOICE",
                "7K60FXW|PHONE PHONE_LOW_INDEX DIGITAL_VOICE",
                "20K0G7W|PHONE DIGITAL_VOICE",
                "12K0F9W|PHONE PHONE_LOW_INDEX DIGITAL_VOICE",
                "12K1F9W|PHONE DIGITAL_VOICE",
                "16K0F3W|OTHER",
                "16K0F8W|OTHER",
                "10K0N0N|OTHER",
                "10K0F3X|OTHER"
            })
    void aDesignatorCarriesWhatTheDefinitionsSay(String designator, String contents) {
        Emission emission = Emission.of(designator);
        assertThat(java.util.Arrays.stream(Content.values())
                        .filter(emission::is)
                        .map(Enum::name)
                        .toList())
                .containsExactly(contents.split(" "));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "11K2F3",
                "11K2F3EEEE",
                "0K20F3E",
                "K112F3E",
                "11K2@3E",
                "11K2[3E",
                "11K2FaE",
                "11K2F/E",
                "11K2F:E",
                "11K2F@E",
                "11K2F[E",
                "11K2F3@",
                "11K2F3EQQ",
                "11K2F3[",
                "1K1KF3E",
                "1112F3E",
                "11X2F3E"
            })
    void whatIsNoDesignatorIsNone(String text) {
        assertThat(Emission.parse(text)).isEmpty();
        assertThatThrownBy(() -> Emission.of(text)).hasMessageContaining(text);
    }

    @ParameterizedTest
    @ValueSource(strings = {"11K2A0A", "11K2X9X", "9K99F3E", "11K2F3EJN", "11K2F3EJ"})
    void theEndsOfTheAlphabetAndOfTheFiguresAreIn(String text) {
        assertThat(Emission.parse(text)).isPresent();
    }

    @ParameterizedTest
    @CsvSource({
        "1,1H00",
        "60,60H0",
        "999,999H",
        "1000,1K00",
        "9990,9K99",
        "9991,10K0",
        "9999,10K0",
        "11200,11K2",
        "11201,11K3",
        "999000,999K",
        "999001,1M00",
        "1250000,1M25",
        "999000000,999M",
        "1000000000,1G00",
        "999000000000,999G"
    })
    void aWidthIsWrittenInThreeFiguresRoundedUp(long hertz, String text) {
        assertThat(Emission.bandwidthText(hertz)).isEqualTo(text);
        assertThat(Emission.of(text + "F3E").bandwidth())
                .as("never less than it is")
                .isGreaterThanOrEqualTo(hertz);
    }

    @ParameterizedTest
    @ValueSource(longs = {0, -1, 999_000_000_001L})
    void aWidthOutsideTheFiguresIsRefused(long hertz) {
        assertThatThrownBy(() -> Emission.bandwidthText(hertz)).isInstanceOf(IllegalArgumentException.class);
    }

    @ParameterizedTest
    @CsvSource({
        "11K2F3E,false,-5600,5600",
        "11K2F3E,true,-5600,5600",
        "6K00A3E,false,-3000,3000",
        "2K80J3E,false,100,2900",
        "2K80J3E,true,-2900,-100",
        "2K70J3E,false,300,3000",
        "2K70J3E,true,-3000,-300",
        "3K00H3E,false,0,3000",
        "3K00H3E,true,-3000,0",
        "150HJ2A,false,-75,75",
        "6M00C3F,false,-1250000,4750000"
    })
    void aSignalLiesAroundTheDialAsItsKindDoes(String designator, boolean lower, long from, long to) {
        Emission emission = Emission.of(designator);
        assertThat(emission.aroundDial(lower)).isEqualTo(new Span(from, to));
        assertThat(emission.symmetrical()).isEqualTo(from == -to);
    }

    @Test
    void twoThatAreWrittenAlikeAreEqual() {
        assertThat(Emission.of("11K2F3E"))
                .isEqualTo(Emission.of("11K2F3E"))
                .hasSameHashCodeAs(Emission.of("11K2F3E"))
                .isNotEqualTo(Emission.of("11K0F3E"))
                .isNotEqualTo("11K2F3E")
                .hasToString("11K2F3E");
        assertThat(Emission.of("11K2F3E").hashCode()).isNotZero();
    }

    /** Pairs that sound alike, one of them inverted: the table printed with many radios, from memory. */
    @ParameterizedTest
    @CsvSource({
        "023,047", "025,244", "026,464", "031,627", "032,051", "043,445", "053,452", "054,413", "065,271", "071,306",
        "072,245", "073,506", "074,174", "114,712", "115,152", "116,754", "125,365", "131,364", "132,546", "134,223",
        "143,412", "155,731", "156,265", "162,503", "165,251", "205,263", "226,411", "243,351", "311,664", "315,423"
    })
    void anInvertedCodeSoundsLikeItsPartner(String code, String partner) {
        GolayWord word = GolayWord.of(Integer.parseInt(code, 8));
        GolayWord other = GolayWord.of(Integer.parseInt(partner, 8));
        assertThat(word.inverted().sound()).isEqualTo(other.sound()).isNotEqualTo(word.sound());
        assertThat(other.inverted().sound()).isEqualTo(word.sound());
    }

    @Test
    void aSoundIsTheLowestOfTheTwentyThreeTurns() {
        Map<Integer, Integer> bySound = new HashMap<>();
        for (int code = 0; code < 512; code++) {
            GolayWord word = GolayWord.of(code);
            int turned = word.bits();
            int lowest = turned;
            for (int i = 0; i < 23; i++) {
                turned = (turned << 1 | turned >> 22) & 0x7FFFFF;
                lowest = Math.min(lowest, turned);
            }
            assertThat(word.sound()).isEqualTo(lowest);
            bySound.merge(lowest, 1, Integer::sum);
        }
        assertThat(bySound.values())
                .as("each code and those that sound like it")
                .allMatch(count -> count <= 23);
    }

    @Test
    void contentsAreSaidInWords() {
        assertThat(Content.words(Content.bits("cw data"))).containsExactly("CW", "data");
        assertThat(Content.words(Content.bits("phone ssb fm image"))).containsExactly("voice", "images");
        assertThat(Content.words(Content.bits("phone-low-index")))
                .singleElement()
                .asString()
                .contains("index up to 1");
        assertThat(Content.words(Content.bits("ssb am fm digital-voice")))
                .containsExactly("single sideband", "AM", "analogue FM voice", "digital voice");
        assertThat(Content.words(Content.bits("ssb-reduced"))).containsExactly("single sideband (J3E, R3E)");
        assertThat(Content.words(Content.bits("any"))).containsExactly("CW", "data", "voice", "images");
    }

    @Test
    void decibelsAddAndPowersFollowThem() {
        Decibels three = new Decibels(3);
        assertThat(three.plus(Decibels.DIPOLE_OVER_ISOTROPIC)).hasToString("5.2 dB");
        assertThat(three.minus(new Decibels(0.5)).value()).isEqualTo(2.5);
        assertThat(new Watts(1).dbm()).isEqualTo(30);
        assertThat(new Watts(50).dbm()).isCloseTo(46.99, org.assertj.core.api.Assertions.within(0.005));
        assertThat(List.of(new Watts(9.999), new Watts(10), new Watts(99.99), new Watts(100), new Watts(0.5)))
                .extracting(Watts::number)
                .containsExactly("9.999", "10", "99.99", "100", "0.5");
        assertThat(Watts.parse("123456789012")).isPresent();
        assertThat(Watts.parse("1234567890123")).isEmpty();
    }

    @Test
    void spansShareMoreThanAnEnd() {
        Span band = Span.ofMegahertz("144-148");
        assertThat(band.overlaps(Span.ofMegahertz("148-150"))).isFalse();
        assertThat(band.overlaps(Span.ofMegahertz("140-144"))).isFalse();
        assertThat(band.overlaps(Span.ofMegahertz("147.9999-150"))).isTrue();
        assertThat(Span.ofMegahertz("146.52")).isEqualTo(new Span(146_520_000, 146_520_000));
    }
}
