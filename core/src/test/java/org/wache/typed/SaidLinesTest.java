package org.wache.typed;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.wache.audit.context.HouseRules;
import org.wache.channel.Field;
import org.wache.rulebook.Edition;
import org.wache.rulebook.RulebookReader;

/**
 * Tones, channels and digital settings as they are said over a table. Channels are those of 47 CFR 95.1763 and 95.563, calling
 * frequencies those of the voluntary plan; how people say them is common practice, no source. All from memory.
 */
class SaidLinesTest {

    private static final Edition EDITION = RulebookReader.shipped("us").on(LocalDate.parse("2026-11-25"));

    private static Understood read(String line) {
        return AddLine.read(line, EDITION, HouseRules.NONE).best();
    }

    private static String shown(Understood understood, Field... fields) {
        return understood.problem().orElseGet(() -> Stream.of(fields)
                .map(field -> understood.fields().getOrDefault(field, "-"))
                .collect(Collectors.joining(" ")));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "146.94 67                     | 146.940 146.340 67.0 -",
                "146.94 tone 67                | 146.940 146.340 67.0 -",
                "146.94 pl 67                  | 146.940 146.340 67.0 -",
                "146.94 ct 67.0                | 146.940 146.340 67.0 -",
                "146.94 C67                    | 146.940 146.340 67.0 -",
                "146.94 C 74.4                 | 146.940 146.340 74.4 -",
                "146.52 TX 71.9 RX 71.9        | 146.520 146.520 71.9 71.9",
                "146.52 rx 71.9                | 146.520 146.520 - 71.9",
                "446.0 t 100 r 127.3           | 446.000 446.000 100.0 127.3",
                "446.0 enc 100                 | 446.000 446.000 100.0 -",
                "447.425 -5 tone 100.0 squelch 100.0 | 447.425 442.425 100.0 100.0",
                "462.675 + dpl 023             | 462.675 467.675 D023 -",
                "462.675 + dcs 023i            | 462.675 467.675 D023I -",
                "462.675 67/88.5               | 462.675 462.675 67.0 88.5",
                "462.675 + travel tone         | 462.675 467.675 141.3 -",
                "frs 7 code 8                  | 462.7125 462.7125 88.5 88.5",
                "gmrs 16 67                    | 462.575 462.575 67.0 67.0",
                "16 67                         | 462.575 462.575 67.0 67.0",
                "frs 1 38                      | 462.5625 462.5625 250.3 250.3",
                "146.94 71                     | 146.940 146.340 71.9 -",
                "146.94 100 127.3              | 146.940 146.340 100.0 127.3",
                "146.94 5                      | 146.940 141.940 - -", // no tone has one figure: an offset
                "146.520 fm simplex no tone    | 146.520 146.520 - -",
                "gmrs repeater 16              | 462.575 467.575 - -",
                "repeater 20 141.3             | 462.675 467.675 141.3 -",
                "20 repeater 141.3             | 462.675 467.675 141.3 -",
                "channel 20 rpt tone 141.3     | 462.675 467.675 141.3 -",
                "rpt 2 67.0                    | 462.575 467.575 67.0 -",
                "R2                            | 462.575 467.575 - -",
                "462.575 467.575 67            | 462.575 467.575 67.0 -",
                "550 repeater                  | 462.550 467.550 - -",
                "repeater 700 141.3            | 462.700 467.700 141.3 -",
                "FRS 7                         | 462.7125 462.7125 - -",
                "ch 5 murs                     | 154.600 154.600 - -",
                "murs ch 5                     | 154.600 154.600 - -",
                "marine 16                     | 156.800 - - -",
                "16 marine                     | 156.800 - - -",
                "wx 3                          | 162.475 - - -",
                "2m calling                    | 146.520 146.520 - -",
                "70 cm fm calling 100          | 446.000 446.000 100.0 -",
                "2m ssb calling                | 144.200 144.200 - -",
                "simplex 146.94                | 146.940 146.940 - -",
                "146.94 r                      | 146.940 146.340 - -",
                "2m                            | Which frequency on 2 m? A band alone is no channel.",
                "frs 7 code 39                 | Code 39 is not one of the 38; digital codes are numbered by each maker. Write the code itself, such as D023.",
            })
    void itIsTakenAsItIsSaid(String line, String entry) {
        assertThat(shown(read(line), Field.RX_MHZ, Field.TX_MHZ, Field.TX_TONE, Field.RX_TONE))
                .isEqualTo(entry);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "445.925 dmr cc1 ts2 tg 3100          | 445.925 DMR 1 2 3100 -",
                "dmr 445.925 cc 1 slot 2 talkgroup 99 | 445.925 DMR 1 2 99 -",
                "445.925 colour code 1 time slot 2    | 445.925 DMR 1 2 - -",
                "445.925 color code 1 talk group 9    | 445.925 DMR 1 - 9 -",
                "448.5 rpt p25 nac 293                | 448.500 P25 - - - 293",
                "448.5 rpt nac29f                     | 448.500 P25 - - - 29F",
                "446.075 nxdn ran 5                   | 446.075 NXDN - - - 5",
                "147.0 + dg-id 12 c4fm                | 147.000 C4FM - - - 12",
                "145.67 d-star                        | 145.670 DSTAR - - - -",
                "433.5 m17                            | 433.500 M17 - - - -",
                "433.5 tetra                          | 433.500 TETRA - - - -",
                "14.074 ft8                           | 14.074 FT8 - - - -",
                "14.07 psk31                          | 14.070 PSK31 - - - -",
                "14.08 rtty                           | 14.080 RTTY - - - -",
                "14.23 slow-scan                      | 14.230 SSTV - - - -",
                "144.39 packet                        | 144.390 PKT - - - -",
            })
    void digitalSettingsAreTheirOwn(String line, String entry) {
        assertThat(shown(
                        read(line),
                        Field.RX_MHZ,
                        Field.MODE,
                        Field.COLOUR_CODE,
                        Field.TIME_SLOT,
                        Field.TALK_GROUP,
                        Field.ACCESS_CODE))
                .isEqualTo(entry);
    }

    /** What is taken on trust is asked about. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "frs 7 code 8    | code 8 of the 38",
                "146.94 71       | tone 71.9",
                "pmr 3           | channel 3 of personal radio",
                "146.94 - 100 55.5 | “55.5” was left over",
                "frs 1-5            | channel 1 with code 5",
                "murs 1 2 3         | a second code, 3",
            })
    void whatIsDoubtfulIsAskedAbout(String line, String doubt) {
        assertThat(read(line).said().stream().filter(Said::doubt).map(Said::words))
                .contains(doubt);
    }

    @Test
    void aFigureThatIsLeftOverIsNoName() {
        Understood understood = read("146.94 - 100 Ridge 55.5");
        assertThat(understood.fields()).containsEntry(Field.NAME, "Ridge").containsEntry(Field.NOTE, "left over: 55.5");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "16; 20 rpt; frs 3          | 16 + 20 rpt + frs 3",
                "146.52;146.55              | 146.52 + 146.55",
                "146.94;-;100               | 146.94;-;100", // the cells of one entry
                "146.94 - 100               | 146.94 - 100",
                "FRS 1 to 3                 | FRS 1 + FRS 2 + FRS 3",
                "gmrs ch 15 through 17 141.3 | gmrs 15 141.3 + gmrs 16 141.3 + gmrs 17 141.3",
                "murs 1, 2 and 5            | murs 1 + murs 2 + murs 5",
                "marine 16 & 9              | marine 16 + marine 9",
                "wx 1..3                    | wx 1 + wx 2 + wx 3",
                "frs 1, 2; murs 3           | frs 1 + frs 2 + murs 3",
                "gmrs 16, 67                | gmrs 16, 67", // a tone
                "club 1 to 3                | club 1 to 3",
                "frs 3 to 1                 | frs 3 + frs 2 + frs 1",
                // There is no channel 99: it is told, and 99 is no offset of the entry before it.
                "147.135 114.8 Weir; gmrs 99 | 147.135 114.8 Weir + gmrs 99",
                "147.135 114.8 Weir; by the mill | 147.135 114.8 Weir; by the mill",
            })
    void severalOnALineAreParted(String text, String parts) {
        assertThat(String.join(" + ", AddLine.parts(text, EDITION))).isEqualTo(parts);
    }

    /** In a cell of a table, say, where one row makes one entry: never channel 1 with a tone, called “to”. */
    @Test
    void aRangeInOneEntryIsRefused() {
        assertThat(read("frs 1 to 16").problem())
                .hasValueSatisfying(why -> assertThat(why).contains("Several channels"));
    }

    @Test
    void aMessageWithBulletsIsAListOfEntries() {
        List<String> parts =
                AddLine.parts("\u2022 146.52 simplex\n\n- gmrs 20 141.3\r\n3) 146.94 - 100\tfrs 7\n", EDITION);
        assertThat(parts).hasSize(4);
        assertThat(parts.stream().map(part -> read(part).fields().get(Field.RX_MHZ)))
                .containsExactly("146.520", "462.675", "146.940", "462.7125");
    }
}
