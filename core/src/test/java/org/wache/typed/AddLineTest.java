package org.wache.typed;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.wache.audit.context.HouseRules;
import org.wache.channel.Field;
import org.wache.rulebook.Edition;
import org.wache.rulebook.RulebookReader;

/**
 * Lines as people write them. Frequencies of personal radio are those of 47 CFR 95.563, 95.1763, 95.2763 and 95.963;
 * offsets those of the voluntary band plan; consumer codes and the numbering of weather channels are common practice, no
 * source; marine numbers follow the formula of the ITU Radio Regulations, Appendix 18. All from memory.
 */
class AddLineTest {

    private static final Edition EDITION = RulebookReader.shipped("us").on(LocalDate.parse("2026-11-25"));

    private static Understood read(String line) {
        return AddLine.read(line, EDITION, HouseRules.NONE).best();
    }

    private static String shown(Understood understood) {
        return understood.problem().orElseGet(() -> Stream.of(
                        Field.RX_MHZ, Field.TX_MHZ, Field.MODE, Field.TX_TONE, Field.RX_TONE)
                .map(field -> understood.fields().getOrDefault(field, "-"))
                .collect(Collectors.joining(" ")));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                // the pair by the plan
                "146.94 - 100                  | 146.940 146.340 FM 100.0 -",
                "147.135 100.0                 | 147.135 147.735 FM 100.0 -",
                "29.62 100                     | 29.620 29.520 FM 100.0 -",
                "146.94                        | 146.940 146.340 FM - -",
                "146.94-                       | 146.940 146.340 FM - -",
                "146.940(-) PL 100.0           | 146.940 146.340 FM 100.0 -",
                "146.94 (-) 100.0              | 146.940 146.340 FM 100.0 -",
                "146.94 minus 100 hz           | 146.940 146.340 FM 100.0 -",
                "146.94 600 100                | 146.940 146.340 FM 100.0 -",
                "146.94 -600 100               | 146.940 146.340 FM 100.0 -",
                "146.94 -0.6 t100              | 146.940 146.340 FM 100.0 -",
                "146.94 - 0.6 100              | 146.940 146.340 FM 100.0 -",
                "146.94 -600k 100              | 146.940 146.340 FM 100.0 -",
                "146,94 - 100,0                | 146.940 146.340 FM 100.0 -",
                "146940 - 100                  | 146.940 146.340 FM 100.0 -",
                "146.940 146.340 100           | 146.940 146.340 FM 100.0 -",
                "146.340/146.940 100           | 146.940 146.340 FM 100.0 -",
                "146.34/94 100                 | 146.940 146.340 FM 100.0 -",
                "146.94 − 88.5 Hz              | 146.940 146.340 FM 88.5 -",
                "224.94 100                    | 224.940 223.340 FM 100.0 -",
                "444.225+5 131.8               | 444.225 449.225 FM 131.8 -",
                "442.1 114.8                   | 442.100 447.100 FM 114.8 -",
                "449.425 -5 pl100              | 449.425 444.425 FM 100.0 -",
                "53.55 - 100                   | 53.550 53.050 FM 100.0 -",
                "927.1 127.3                   | 927.100 902.100 FM 127.3 -",
                "453.1 rpt 100                 | 453.100 458.100 NFM 100.0 -",
                // tones on both sides, and by kind
                "146.94 - 100.0/127.3          | 146.940 146.340 FM 100.0 127.3",
                "146.94 - T100 R127.3          | 146.940 146.340 FM 100.0 127.3",
                "146.94 - d023i                | 146.940 146.340 FM D023I -",
                "451.8 n d023                  | 451.800 451.800 NFM D023 D023",
                "446.0 100                     | 446.000 446.000 FM 100.0 -",
                // personal radio by channel
                "gmrs 16 rpt 141.3             | 462.575 467.575 FM 141.3 -",
                "gmrs 16                       | 462.575 462.575 FM - -",
                "GMRS RPT20                    | 462.675 467.675 FM - -",
                "gmrs 24 100                   | 462.575 467.575 FM 100.0 -",
                "R2                            | 462.575 467.575 FM - -",
                "24                            | 462.575 467.575 FM - -",
                "20r 141.3                     | 462.675 467.675 FM 141.3 -",
                "16 rpt                        | 462.575 467.575 FM - -",
                "16                            | 462.575 462.575 NFM - -",
                "462.675 + 141.3               | 462.675 467.675 FM 141.3 -",
                "frs 14 code 27                | 467.7125 467.7125 NFM 167.9 167.9",
                "frs 8-12                      | 467.5625 467.5625 NFM 100.0 100.0",
                "14-27                         | 467.7125 467.7125 NFM 167.9 167.9",
                "murs 3                        | 151.940 151.940 NFM - -",
                "murs 5                        | 154.600 154.600 FM - -",
                "cb 19                         | 27.185 27.185 AM - -",
                // listening
                "wx 2                          | 162.400 - FM - -",
                "WX1                           | 162.550 - FM - -",
                "marine 16                     | 156.800 - FM - -",
                "marine 22a                    | 157.100 - FM - -",
                "marine 1022                   | 157.100 - FM - -",
                "454.55 listen                 | 454.550 - NFM - -",
                "118.3                         | 118.300 - AM - -",
                "162.4                         | 162.400 - FM - -",
                // other modes
                "14.285                        | 14.285 14.285 USB - -",
                "7.2                           | 7.200 7.200 LSB - -",
                "10.12                         | 10.120 10.120 CW - -",
                "1296.1                        | 1296.100 1296.100 USB - -",
                "446 n                         | 446.000 446.000 NFM - -",
                "146.52 dmr                    | 146.520 146.520 DMR - -",
                // what cannot be
                "frs 30                        | FRS has no channel “30”.",
                "murs 3 rpt                    | MURS 3 has no repeater pair.",
                "gmrs                          | Which channel of GMRS?",
                "hello                         | “hello” is no frequency and no channel.",
                "146.94 - code 39              | Code 39 is not one of the 38; digital codes are numbered by each maker. Write the code itself, such as D023.",
                "146.94 + -0.6                 | Two offsets that contradict each other.",
            })
    void aLineIsUnderstood(String line, String entry) {
        assertThat(shown(read(line))).isEqualTo(entry);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "12. Ridge Rpt 146.940 -0.6 PL 100.0 | 12 | Ridge Rpt",
                "3 Ridge 146.94 - 600k 100.0         | 3  | Ridge",
                "#7 146.52 \"Calling channel\"       | 7  | Calling channel",
                "Tern Ridge 146.94 - 100             | -  | Tern Ridge",
                "146.94 - 88.5 Hill Top              | -  | Hill Top",
                "gmrs 16 rpt 141.3 Farm              | -  | Farm",
                "gmrs 16 rpt                         | -  | GMRS 16 RPT",
                "wx 2                                | -  | WX 2",
                "146.94                              | -  | 146.940"
            })
    void numberAndNameAreFoundAroundIt(String line, String number, String name) {
        Understood understood = read(line);
        assertThat(understood.fields().getOrDefault(Field.NUMBER, "-")).isEqualTo(number);
        assertThat(understood.fields().get(Field.NAME)).isEqualTo(name);
    }

    @Test
    void theSumIsShownWithItsReason() {
        assertThat(read("146.94 - 100").said())
                .extracting(Said::line)
                .containsExactly(
                        "talks on 146.340 MHz: 146.940 MHz − 600.0 kHz = 146.340 MHz, the plan's offset there",
                        "FM: none is given; the plan has FM there",
                        "sends 100.0: it opens the repeater; the receiver stays open");
        assertThat(read("24").said().get(0).line())
                .isEqualTo("hears 462.575 MHz: “24” is the repeater pair of channel 16 of GMRS");
    }

    @Test
    void aSignAgainstThePlanIsKeptAndDoubted() {
        Understood understood = read("146.94 + 100");
        assertThat(understood.fields().get(Field.TX_MHZ)).isEqualTo("147.540");
        assertThat(understood.said())
                .filteredOn(Said::doubt)
                .extracting(Said::line)
                .containsExactly("talks on 147.540 MHz:"
                        + " 146.940 MHz + 600.0 kHz = 147.540 MHz, the sign as written; the plan has −600 kHz");
    }

    @Test
    void aBareNumberNamesChannelsOfSeveralServices() {
        List<Understood> others = AddLine.read("16", EDITION, HouseRules.NONE).others();
        assertThat(others).extracting(each -> each.fields().get(Field.NAME)).containsExactly("CB 16", "Marine 16");
    }

    @Test
    void powerScanAndTimeoutAreFields() {
        assertThat(read("146.94 - 100 5w scan tot 180").fields())
                .containsEntry(Field.POWER_W, "5")
                .containsEntry(Field.SCAN, "yes")
                .containsEntry(Field.TIMEOUT_S, "180");
    }

    @Test
    void theHouseRuleDecidesOnTonesOfDirectChannels() {
        HouseRules both = new HouseRules(
                Optional.of(HouseRules.DirectTones.SAME_BOTH_WAYS),
                java.util.OptionalInt.empty(),
                java.util.OptionalInt.empty(),
                org.wache.site.Keying.NONE,
                java.util.List.of());
        HouseRules open = new HouseRules(
                Optional.of(HouseRules.DirectTones.OPEN),
                java.util.OptionalInt.empty(),
                java.util.OptionalInt.empty(),
                org.wache.site.Keying.NONE,
                java.util.List.of());
        assertThat(AddLine.read("146.46 100", EDITION, both).best().fields()).containsEntry(Field.RX_TONE, "100.0");
        assertThat(AddLine.read("451.8 n d023", EDITION, open).best().fields()).doesNotContainKey(Field.RX_TONE);
        assertThat(AddLine.read("146.52 100", EDITION, both).best().fields())
                .doesNotContainKey(Field.RX_TONE); // calling
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "   ",
                "\"",
                "-",
                "+",
                "/",
                "146.94 - - -",
                "146.94/",
                "0",
                "gmrs gmrs",
                "d",
                "999999999999999",
                "wx",
                "code",
                "146.94 code",
                "146.94 tot",
                "146..94",
                "1e9",
                "\u0000",
                "💥 146.94"
            })
    void nothingIsAFault(String line) {
        Understood understood = read(line);
        assertThat(understood.problem().isPresent() || understood.channel().isPresent())
                .isTrue();
    }
}
