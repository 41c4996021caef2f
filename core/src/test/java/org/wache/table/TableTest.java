package org.wache.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.wache.audit.context.HouseRules;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.rulebook.Edition;
import org.wache.rulebook.RulebookReader;
import org.wache.typed.Said;
import org.wache.typed.Sketch;
import org.wache.typed.WrittenPower;

/** Tables as clubs type them. The ways of writing are common practice, no source; the frequencies are made up. */
class TableTest {

    private static final Edition EDITION = RulebookReader.shipped("us").on(LocalDate.parse("2026-11-25"));

    private static TableReading read(String text) {
        Table table = TextTable.read(text).unfolded();
        return TableReading.of(table, Guess.of(table, EDITION), EDITION, HouseRules.NONE);
    }

    private static String shown(Channel channel) {
        return Stream.of(
                        Field.NUMBER,
                        Field.NAME,
                        Field.RX_MHZ,
                        Field.TX_MHZ,
                        Field.MODE,
                        Field.EMISSION,
                        Field.POWER_W,
                        Field.TX_TONE,
                        Field.RX_TONE,
                        Field.SCAN,
                        Field.TIMEOUT_S,
                        Field.NOTE)
                .map(channel::text)
                .collect(Collectors.joining(","))
                .replaceFirst(",+$", "");
    }

    private static List<String> entries(TableReading reading) {
        return reading.rows().stream()
                .map(row -> row.entry()
                        .map(TableTest::shown)
                        .orElseGet(
                                () -> "line " + row.line() + ": " + row.aside().orElseThrow()))
                .toList();
    }

    @Test
    void aRepeaterListWithTitleSectionsAndFootnote() {
        assertThat(
                        entries(
                                read(
                                        """
        Tern Valley Repeaters,,,,,
        Location,Output,Offset,PL,Call,Notes
        2 METERS,,,,,
        Tern Ridge,146.94,-,100,KE9QRA,open
        Mill Race,145.23,-0.6,88.5,KE9QRC,"closed, members"
        Gap,"147,39",+600k,D023N,,
        70 CM,,,,,
        Fork,449.425,-5 MHz,none,,
        Simplex,146.52,s,,,calling
        * all tones in Hz,,,,,
        """)))
                .containsExactly(
                        "line 1: It stands above the headings.",
                        "line 3: A heading or a remark: no frequency in it.",
                        "1,Tern Ridge,146.940,146.340,FM,,,100.0,,,,open",
                        "2,Mill Race,145.230,144.630,FM,,,88.5,,,,closed, members",
                        "3,Gap,147.390,147.990,FM,,,D023",
                        "line 7: A heading or a remark: no frequency in it.",
                        "4,Fork,449.425,444.425,FM",
                        "5,Simplex,146.520,146.520,FM,,,,,,,calling",
                        "line 10: A heading or a remark: no frequency in it.");
    }

    @Test
    void aMembersTableWithTabs() {
        TableReading reading = read(
                """
        Ch\tAlpha Tag\tRX Freq\tTX Freq\tTX PL\tRX PL\tW/N\tPwr\tTOT\tScan
        1\tRIDGE\t146.940\t146.340\t100.0\tCSQ\tW\tHigh\t3 min\tY
        3\tWX\t162.400\tRX only\t\t\tW\t\t\tN
        4\tFERRY 1\t451.8000\t451.8000\tD023N\tD023N\tN\t5W\t60\tY
        5\tORCH\t462562.5\t462562.5\t67\t67\t12.5\t0.5W\t\t
        6\tBAD\t14x.2\t146.46\t\t\tW\t\t\t
        """);
        assertThat(entries(reading))
                .containsExactly(
                        "1,RIDGE,146.940,146.340,FM,,,100.0,,yes,180",
                        "3,WX,162.400,,FM,,,,,no",
                        "4,FERRY 1,451.800,451.800,NFM,,5,D023,D023,yes,60",
                        "5,ORCH,462.5625,462.5625,NFM,,0.5,67.0,67.0",
                        "line 6: “14x.2” under RX Freq is no frequency.");
        assertThat(reading.rows().get(0).said())
                .filteredOn(Said::doubt)
                .extracting(Said::line)
                .containsExactly("power not known: what “High” is in watts is not said");
    }

    @Test
    void aLevelIsWhatItIsSaidToBe() {
        Table table = TextTable.read("name,rx,power\nA,146.52,High\nB,146.55,lo");
        Mapping guess = Guess.of(table, EDITION);
        Mapping told = new Mapping(
                guess.heading(),
                guess.columns(),
                guess.unsaid(),
                Map.of(WrittenPower.Level.HIGH, "5", WrittenPower.Level.LOW, "1"));
        assertThat(entries(TableReading.of(table, told, EDITION, HouseRules.NONE)))
                .containsExactly("1,A,146.520,146.520,FM,,5", "2,B,146.550,146.550,FM,,1");
    }

    @Test
    void withoutHeadingsSemicolonsAndDecimalCommas() {
        assertThat(entries(
                        read("146,940;146,340;100,0;Ridge\n147,135;147,735;114,8;Weir\n462,575;467,575;141,3;Farm\n")))
                .containsExactly(
                        "1,Ridge,146.940,146.340,FM,,,100.0",
                        "2,Weir,147.135,147.735,FM,,,114.8",
                        "3,Farm,462.575,467.575,FM,,,141.3");
    }

    @Test
    void thePlanTellsTheOutputFromTheInput() {
        assertThat(entries(
                        read("Freq. A,Freq. B,who\n146.34,146.94,Ridge\n147.735,147.135,Weir\n449.15,444.15,Gauge\n")))
                .containsExactly(
                        "line 1: Taken for the headings of the columns.",
                        "1,Ridge,146.940,146.340,FM",
                        "2,Weir,147.135,147.735,FM",
                        "3,Gauge,444.150,449.150,FM");
        assertThat(
                        entries(
                                read(
                                        "Input,Output,Tone In,Tone Out,City\n146.34,146.94,100,,Ternhead\n147.735,147.135,114.8,114.8,Weirton\n")))
                .containsExactly("1,Ternhead,146.940,146.340,FM,,,100.0", "2,Weirton,147.135,147.735,FM,,,114.8,114.8");
    }

    @Test
    void kilohertzByHeadingAndTonesInTenths() {
        assertThat(entries(read(
                        "Name,Frequency (kHz),Input (kHz),CTCSS\nRidge,146940,146340,100\nWeir,147135,147735,1148\n")))
                .containsExactly("1,Ridge,146.940,146.340,FM,,,100.0", "2,Weir,147.135,147.735,FM,,,114.8");
        assertThat(entries(read(
                        "Band,Repeater Frequency,+/- (kHz),Access\n2m,146.94,-600,100.0\n70cm,444.15,+5000,131.8\n")))
                .containsExactly("1,146.940,146.940,146.340,FM,,,100.0", "2,444.150,444.150,449.150,FM,,,131.8");
    }

    @Test
    void channelsOfAServiceInsteadOfFrequencies() {
        assertThat(entries(read(
                        "GMRS Channel,Who,Privacy Code\n3,Kitchen,12\n14,Kids,12\n20R,Repeater,22\nRPT16,Upper,\n")))
                .containsExactly(
                        "1,Kitchen,462.6125,462.6125,FM,,,100.0,100.0",
                        "2,Kids,467.7125,467.7125,NFM,,,100.0,100.0",
                        "3,Repeater,462.675,467.675,FM,,,141.3",
                        "4,Upper,462.575,467.575,FM");
        assertThat(entries(read("FRS/GMRS,Use\n1,net\n20 rpt,rpt\n8,kids\n")))
                .containsExactly(
                        "1,net,462.5625,462.5625,NFM", "2,rpt,462.675,467.675,FM", "3,kids,467.5625,467.5625,NFM");
    }

    @Test
    void signAndSizeInTwoColumnsAndHowTheToneIsUsed() {
        assertThat(
                        entries(
                                read(
                                        """
        Freq Out,Freq In,Direction,Offset Freq,Tone Mode,Tone,Mode
        146.94,,-,0.600,Tone,100.0,FM
        147.135,,+,0.600,TSQL,114.8,NFM
        146.52,,,0.600,,88.5,FM
        444.15,,+,5.000,none,88.5,FM
        """)))
                .containsExactly(
                        "1,146.940,146.940,146.340,FM,,,100.0",
                        "2,147.135,147.135,147.735,NFM,,,114.8,114.8",
                        "3,146.520,146.520,146.520,FM", // no kind of tone is said: 88.5 is what the program fills in
                        "4,444.150,444.150,449.150,FM");
    }

    @Test
    void columnsOfText() {
        assertThat(
                        entries(
                                read(
                                        "Ridge        146.940   146.340   100.0\nWeir Hill    147.135   147.735   114.8\nSimplex      146.520   146.520\n")))
                .containsExactly(
                        "1,Ridge,146.940,146.340,FM,,,100.0",
                        "2,Weir Hill,147.135,147.735,FM,,,114.8",
                        "3,Simplex,146.520,146.520,FM");
    }

    @Test
    void frequencySignAndToneInOneCell() {
        assertThat(entries(read("Name,Frequency\nRidge,146.940- 100.0\nWeir,147.135 (+) PL 114.8\nSimplex,146.520\n")))
                .containsExactly(
                        "1,Ridge,146.940,146.340,FM,,,100.0",
                        "2,Weir,147.135,147.735,FM,,,114.8",
                        "3,Simplex,146.520,146.520,FM");
    }

    @Test
    void anOffsetInTheTransmitColumn() {
        assertThat(
                        entries(
                                read(
                                        "Ch,Rx,Tx,Tone,N/W,Use\n1,146.94,-.6,100,W,Net\n2,146.52,same,,W,Call\n3,162.4,,,W,Wx\n4,444.15,+5,131.8,N,Link\n")))
                .containsExactly(
                        "1,Net,146.940,146.340,FM,,,100.0",
                        "2,Call,146.520,146.520,FM",
                        "3,Wx,162.400,,FM",
                        "4,Link,444.150,449.150,NFM,,,131.8");
    }

    @Test
    void narrowAsYesAndNo() {
        assertThat(entries(read("MEM,RXFREQ,TXFREQ,RXTONE,TXTONE,NARROW,NAME\n001,146.94000,146.34000,,100.0,N,RIDGE\n"
                        + "002,462.56250,462.56250,67.0,67.0,Y,FRS1\n")))
                .containsExactly("001,RIDGE,146.940,146.340,FM,,,100.0", "002,FRS1,462.5625,462.5625,NFM,,,67.0,67.0");
    }

    @Test
    void aLetterWithAnEntryALine() {
        assertThat(
                        entries(
                                read(
                                        """
        Here are the channels for Saturday:
        1) Net control - 146.940 minus, 100 Hz tone
        2) Tactical - 146.460 simplex
        3) Families: GMRS 20 repeater, tone 141.3
        4) Weather WX2
        thanks, R.
        """)))
                .containsExactly(
                        "line 1: “Here are the channels for Saturday:” is no frequency and no channel.",
                        "1,Net control,146.940,146.340,FM,,,100.0",
                        "2,Tactical,146.460,146.460,FM",
                        "3,Families,462.675,467.675,FM,,,141.3",
                        "4,WX 2,162.400,,FM",
                        "line 6: “thanks R.” is no frequency and no channel.");
    }

    @Test
    void aLicencePaper() {
        TableReading reading = read(
                "Call Sign,Frequency,Sta Class,Emission,Output Power,ERP,Units\nWQRA999,451.8000,MO,11K2F3E,5,5,20\n");
        assertThat(entries(reading)).containsExactly("1,WQRA999,451.800,451.800,,11K2F3E,5");
        assertThat(reading.extraColumns()).containsExactly("Call Sign", "Sta Class", "ERP", "Units");
        assertThat(reading.rows().get(0).entry().orElseThrow().extras()).containsExactly("WQRA999", "MO", "5", "20");
    }

    @Test
    void aTextThatCannotBeReadComesInAsItStands() {
        TableReading reading = read("name,rx,tx,tone,power\nA,146.52,146.52,ask Bob,lots\nB,146.55,later,100,5\n");
        Channel first = reading.rows().get(0).entry().orElseThrow();
        assertThat(first.text(Field.TX_TONE)).isEqualTo("ask Bob");
        assertThat(first.text(Field.POWER_W)).isEqualTo("lots");
        assertThat(reading.rows().get(1).entry().orElseThrow().text(Field.TX_MHZ))
                .isEqualTo("later");
        assertThat(reading.rows().get(0).said()).filteredOn(Said::doubt).hasSize(2);
    }

    @Test
    void quotesThatDoNotMatchLoseNoRow() {
        TableReading reading = read("name;rx;note\nA;146.52;\"the 6\" mast\nB;146.55;5\" whip\nC;146.58;\n");
        assertThat(reading.rows()).hasSize(3).allMatch(row -> row.entry().isPresent());
    }

    @Test
    void theHeadingsAgainAndRowsTooLongAreKeptAside() {
        assertThat(entries(read("name,rx\nA,146.52\nname,rx\nB,146.55,what,is,this\n")))
                .containsExactly(
                        "1,A,146.520,146.520,FM", "line 3: The headings stand here again.", "2,B,146.550,146.550,FM");
        assertThat(entries(read("rx_mhz,tx_mhz\n146.52,146.52\n146,52,146,52\n")))
                .last()
                .asString()
                .contains("decimal comma has to stand in quotes");
    }

    @Test
    void tablesSideBySideAreReadOneBelowTheOther() {
        List<String> entries =
                List.of("1,Call,146.520,146.520,FM", "2,East,146.550,146.550,FM", "4,West,146.565,146.565,FM");
        assertThat(entries(read("CH,FREQ,NAME,CH,FREQ,NAME\n1,146.520,Call,4,146.565,West\n2,146.550,East,,,\n")))
                .isEqualTo(entries);
        assertThat(entries(read("CH,FREQ,NAME,,CH,FREQ,NAME\n1,146.520,Call,,4,146.565,West\n2,146.550,East,,,,\n")))
                .isEqualTo(entries);
    }

    @Test
    void headingsOverTwoLines() {
        assertThat(
                        entries(
                                read(
                                        "\"Mem\n#\",\"RX\nFrequency\",\"TX\nFrequency\",\"CTCSS\n(Hz)\"\n1,146.940 MHz,146.340 MHz,100.0 Hz\n")))
                .containsExactly("1,146.940,146.940,146.340,FM,,,100.0");
        assertThat(
                        entries(
                                read(
                                        ",Receive,Transmit,Tone,Tone\nName,Frequency,Frequency,Encode,Decode\nRidge,146.940,146.340,100.0,\n")))
                .containsExactly("line 1: It stands above the headings.", "1,Ridge,146.940,146.340,FM,,,100.0");
    }

    @Test
    void columnsOfTextWithGaps() {
        assertThat(
                        entries(
                                read(
                                        "Ch  Freq       Tone    Use\n1   462.5625   100.0   Net\n2   462.5875           Kids\n3   462.675+   141.3   Farm\n")))
                .containsExactly(
                        "1,Net,462.5625,462.5625,NFM,,,100.0,100.0",
                        "2,Kids,462.5875,462.5875,NFM",
                        "3,Farm,462.675,467.675,FM,,,141.3");
    }

    @Test
    void footnoteMarksLevelsWithWattsAndDigitalCodes() {
        assertThat(entries(read("Name,Freq,+/-,Tone,Power\nA,146.940*,-,100.0*,High (5W)\nB,444.150,+,CC1,low 1 W\n")))
                .containsExactly("1,A,146.940,146.340,FM,,5,100.0", "2,B,444.150,449.150,FM,,1,,,,,CC1");
        assertThat(entries(read("Label,RX,TX,DTCS,Wide\nA,151.94,151.94,23,No\nB,154.57,154.57,,Yes\n")))
                .containsExactly("1,A,151.940,151.940,NFM,,,D023,D023", "2,B,154.570,154.570,FM");
    }

    @Test
    void anExplicitMappingWins() {
        Table table = TextTable.read("146.94,100\n146.76,107.2\n");
        Mapping mapping = new Mapping(
                Optional.empty(),
                List.of(Column.of(Column.Kind.RECEIVE), Column.of(Column.Kind.NOTE)),
                Sketch.Unsaid.LISTEN,
                Map.of());
        assertThat(entries(TableReading.of(table, mapping, EDITION, HouseRules.NONE)))
                .containsExactly("1,146.940,146.940,,FM,,,,,,,100", "2,146.760,146.760,,FM,,,,,,,107.2");
    }

    @Test
    void aTableTooLargeIsRefusedWithItsPlace() {
        assertThatThrownBy(() -> TextTable.read("a,b\n" + "x,".repeat(300) + "\n"))
                .isInstanceOf(TableProblem.class)
                .hasMessageContaining("Line 2 has 301 columns");
        assertThatThrownBy(() -> TextTable.read("a;b\n1;" + "x".repeat(3000)))
                .isInstanceOf(TableProblem.class)
                .hasMessageContaining("Line 2, column 2 holds 3000 characters");
    }
}
