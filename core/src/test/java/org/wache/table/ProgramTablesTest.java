package org.wache.table;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.wache.audit.context.HouseRules;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.rulebook.Edition;
import org.wache.rulebook.RulebookReader;
import org.wache.typed.Said;

/**
 * Tables as programs write them, a row for every memory, each from another invented program: what one column means hangs on
 * another, and what is not in use holds what the program fills in. Common practice, no source; all frequencies are made up.
 */
class ProgramTablesTest {

    private static final Edition EDITION = RulebookReader.shipped("us").on(LocalDate.parse("2026-11-25"));
    private static final Field[] FIELDS = {
        Field.NUMBER,
        Field.NAME,
        Field.RX_MHZ,
        Field.TX_MHZ,
        Field.MODE,
        Field.POWER_W,
        Field.TX_TONE,
        Field.RX_TONE,
        Field.SCAN,
        Field.COLOUR_CODE,
        Field.TIME_SLOT,
        Field.TALK_GROUP,
        Field.CONTACT,
        Field.ACCESS_CODE
    };

    private static TableReading read(String text) {
        Table table = TextTable.read(text).unfolded();
        return TableReading.of(table, Guess.of(table, EDITION), EDITION, HouseRules.NONE);
    }

    private static String shown(Channel channel) {
        return Stream.of(FIELDS)
                .map(channel::text)
                .collect(Collectors.joining(","))
                .replaceFirst(",+$", "");
    }

    private static List<String> entries(String text) {
        return read(text).rows().stream()
                .map(row -> row.entry()
                        .map(ProgramTablesTest::shown)
                        .orElseGet(
                                () -> "line " + row.line() + ": " + row.aside().orElseThrow()))
                .toList();
    }

    private static List<String> doubts(String text) {
        return read(text).rows().stream()
                .flatMap(row -> row.said().stream().filter(Said::doubt).map(Said::line))
                .toList();
    }

    /** Program 1: sign and size, a kind of tone beside a sent tone, a squelch tone, a code and its polarity. */
    private static final String KINDS =
            """
            Slot,Label,Receive MHz,Direction,Offset MHz,Tone Kind,Tone Sent,Tone Squelch,Code,Code Polarity,Code Received,Mode,Step,Skip,Comment
            0,RIDGE,146.940000,-,0.600000,sent only,100.0,88.5,023,NN,023,FM,5.00,,
            1,GAUGE,444.150000,+,5.000000,both ways,88.5,131.8,023,NN,023,FM,5.00,S,
            2,SIMPLX,146.550000,,0.600000,,88.5,88.5,023,NN,023,FM,5.00,,
            3,FERRY,451.800000,,5.000000,code,88.5,88.5,074,NN,023,NFM,6.25,,
            4,FERRY2,451.850000,,5.000000,code,88.5,88.5,074,RN,023,NFM,6.25,,
            5,WX,162.550000,off,0.000000,,88.5,88.5,023,NN,023,FM,5.00,S,weather
            6,LINK,147.390000,split,146.790000,sent only,123.0,88.5,023,NN,023,FM,5.00,,
            7,ODD,146.700000,-,0.600000,different,100.0,127.3,023,NN,023,FM,5.00,,
            """;

    @Test
    void kindsOfTonesGovernTheColumnsBesideThem() {
        assertThat(entries(KINDS))
                .containsExactly(
                        "0,RIDGE,146.940,146.340,FM,,100.0",
                        "1,GAUGE,444.150,449.150,FM,,131.8,131.8,no",
                        "2,SIMPLX,146.550,146.550,FM",
                        "3,FERRY,451.800,451.800,NFM,,D074,D074",
                        "4,FERRY2,451.850,451.850,NFM,,D074I,D074",
                        "5,WX,162.550,,FM,,,,no",
                        "6,LINK,147.390,146.790,FM,,123.0",
                        "7,ODD,146.700,146.100,FM,,100.0,127.3");
        assertThat(doubts(KINDS)).isEmpty();
    }

    @Test
    void nineRowsOfDefaultsAreNineRowsWithoutTones() {
        StringBuilder table = new StringBuilder("No,Name,Freq,Shift,Size,Tone Mode,Tone,Squelch Tone,DCS,Mode\n");
        for (int i = 1; i <= 9; i++) {
            table.append(i).append(",S").append(i).append(",146.4").append(i).append(",,0.6,,88.5,88.5,023,FM\n");
        }
        assertThat(read(table.toString()).rows()).hasSize(9).allSatisfy(row -> assertThat(
                        row.entry().orElseThrow().text(Field.TX_TONE)
                                + row.entry().orElseThrow().text(Field.RX_TONE))
                .isEmpty());
    }

    /** The same without a column of kinds: a code that stands in every row is asked about and not taken. */
    @Test
    void aCodeInEveryRowIsAskedAbout() {
        StringBuilder table = new StringBuilder("No,Name,Freq,DCS\n");
        for (int i = 1; i <= 9; i++) {
            table.append(i).append(",S").append(i).append(",146.4").append(i).append(",023\n");
        }
        assertThat(read(table.toString()).rows()).hasSize(9).allSatisfy(row -> assertThat(
                        row.entry().orElseThrow().text(Field.TX_TONE))
                .isEmpty());
        assertThat(doubts(table.toString())).hasSize(9).allMatch(doubt -> doubt.startsWith("no code: “023” stands"));
    }

    /** Program 2: kinds by side in one column, tabs. */
    @Test
    void kindsByArrow() {
        assertThat(
                        entries(
                                """
                                Ch\tName\tRX\tTX\tSignalling\tTX CTCSS\tRX CTCSS\tTX DCS\tRX DCS
                                1\tA\t146.94\t146.34\tTone->Code\t100.0\t88.5\t023\t114
                                2\tB\t146.70\t146.10\tCode->Tone\t88.5\t127.3\t115\t023
                                3\tC\t146.52\t146.52\tNone\t88.5\t88.5\t023\t023
                                4\tD\t147.00\t147.60\t->Tone\t88.5\t77.0\t023\t023
                                """))
                .containsExactly(
                        "1,A,146.940,146.340,FM,,100.0,D114",
                        "2,B,146.700,146.100,FM,,D115,127.3",
                        "3,C,146.520,146.520,FM",
                        "4,D,147.000,147.600,FM,,,77.0");
    }

    /** Program 3: the kind says "different", a further column says which side has what. */
    @Test
    void differentKindsInAColumnOfTheirOwn() {
        assertThat(
                        entries(
                                """
                                Mem;Name;Frequency;Duplex;Offset;Tone Mode;Send Tone;Squelch Tone;Code;Received Code;Cross Mode
                                1;A;146.94;-;0.6;Cross;100.0;88.5;023;114;Tone->DCS
                                2;B;146.70;-;0.6;Cross;88.5;127.3;023;023;->Tone
                                3;C;146.61;-;0.6;Tone;131.8;88.5;023;023;Tone->Tone
                                4;D;146.64;-;0.6;;88.5;88.5;023;023;Tone->Tone
                                """))
                .containsExactly(
                        "1,A,146.940,146.340,FM,,100.0,D114",
                        "2,B,146.700,146.100,FM,,,127.3",
                        "3,C,146.610,146.010,FM,,131.8",
                        "4,D,146.640,146.040,FM");
    }

    /** Program 4: code and code both ways are two kinds. */
    @Test
    void aCodeThatIsOnlySent() {
        assertThat(
                        entries(
                                """
                                Number,Name,Rx,Tx,Tone Type,Tone,Code
                                1,A,451.80,451.80,Code both ways,88.5,023
                                2,B,451.85,451.85,Code,88.5,114
                                3,C,451.90,451.90,None,88.5,023
                                4,D,451.95,451.95,Tone both ways,114.8,023
                                """))
                .containsExactly(
                        "1,A,451.800,451.800,NFM,,D023,D023",
                        "2,B,451.850,451.850,NFM,,D114",
                        "3,C,451.900,451.900,NFM",
                        "4,D,451.950,451.950,NFM,,114.8,114.8");
    }

    /** Program 5: a transmit frequency where the size of an offset should stand. */
    @Test
    void aFrequencyUnderOffset() {
        String table =
                """
                Name,Frequency,Offset,PL
                Ridge,146.940,146.340,100.0
                Gauge,444.150,449.150,131.8
                Talk,146.550,0.000,
                """;
        assertThat(entries(table))
                .containsExactly(
                        "1,Ridge,146.940,146.340,FM,,100.0",
                        "2,Gauge,444.150,449.150,FM,,131.8",
                        "3,Talk,146.550,146.550,FM");
        assertThat(read(table).rows().get(0).said().stream().map(Said::line))
                .anyMatch(line -> line.contains("is no offset but a frequency"));
    }

    /** Program 6: digital channels with colour code, slot and talk group beside analogue ones. */
    @Test
    void digitalChannels() {
        assertThat(
                        entries(
                                """
                                No.,Channel Name,RX Frequency,TX Frequency,Channel Type,Color Code,Repeater Slot,TG ID,Contact,CTCSS Enc,CTCSS Dec,Power
                                1,Ridge Local,442.42500,447.42500,DMR,1,Slot 2,9,Local,None,None,5 W
                                2,Ridge Wide,442.42500,447.42500,DMR,1,Slot 1,3100,Wide,None,None,5 W
                                3,Direct,446.50000,446.50000,DMR,1,,99,Direct,None,None,5 W
                                4,Levee,146.55000,146.55000,FM,1,Slot 1,,,100.0,100.0,5 W
                                """))
                .containsExactly(
                        "1,Ridge Local,442.425,447.425,DMR,5,,,,1,2,9,Local",
                        "2,Ridge Wide,442.425,447.425,DMR,1".replace(",1", ",5,,,,1,1,3100,Wide"),
                        "3,Direct,446.500,446.500,DMR,5,,,,1,,99,Direct",
                        "4,Levee,146.550,146.550,FM,5,100.0,100.0");
    }

    /** In a list of analogue repeaters a slot is a memory, and a contact is whoever looks after the repeater. */
    @Test
    void withoutDigitalChannelsTheirWordsMeanSomethingElse() {
        TableReading reading = read(
                "Slot,Name,Output,Offset,PL,Contact\n1,Ridge,146.94,-,100,A. Fenwright\n2,Gauge,444.15,+,131.8,J. Weirley\n");
        assertThat(reading.rows().stream().map(row -> shown(row.entry().orElseThrow())))
                .containsExactly("1,Ridge,146.940,146.340,FM,,100.0", "2,Gauge,444.150,449.150,FM,,131.8");
        assertThat(reading.extraColumns()).containsExactly("Contact 2");
    }

    /** Program 7: network access codes; program 8: random access numbers. */
    @Test
    void accessCodes() {
        assertThat(
                        entries(
                                """
                                Zone Pos,Alias,RX,TX,Modulation,NAC
                                1,CMD,154.2350,154.2350,P25,293
                                2,TAC,154.2800,154.2800,P25,$F7E
                                """))
                .containsExactly("1,CMD,154.235,154.235,P25,,,,,,,,,293", "2,TAC,154.280,154.280,P25,,,,,,,,,F7E");
        assertThat(entries(
                        "Name,Hears,Talks,Mode,RAN\nPump,451.8000,451.8000,NXDN,5\nBarge,451.8500,451.8500,NXDN,12\n"))
                .containsExactly("1,Pump,451.800,451.800,NXDN,,,,,,,,,5", "2,Barge,451.850,451.850,NXDN,,,,,,,,,12");
    }

    /** Program 9: listening is said in a comment. */
    @Test
    void aCommentThatSaysListenMakesTheRowListen() {
        String table =
                """
                Name,RX,TX,Comment
                Neighbours,146.700,146.100,Listen only - not our repeater
                Patrol,155.160,155.160,do not transmit
                Other,155.175,155.175,RX
                Tac,146.550,146.550,monitor during storms
                """;
        assertThat(entries(table))
                .containsExactly(
                        "1,Neighbours,146.700,,FM",
                        "2,Patrol,155.160,,NFM",
                        "3,Other,155.175,,NFM",
                        "4,Tac,146.550,146.550,FM");
        assertThat(read(table).rows().get(1).said().stream().map(Said::line))
                .contains("never talks: the note says so: “do not transmit”");
    }

    /** Program 10: weather, air and marine with a transmit frequency that a scanner's program copied from the other column. */
    @Test
    void whereNobodyMayKeyARowListensAndSaysSo() {
        String table =
                """
                Bank,Name,RX Freq,TX Freq,Mode
                1,Weather,162.5500,162.5500,FM
                1,Tower,118.3000,118.3000,AM
                1,Bridge,156.6500,156.6500,FM
                1,Levee,146.5500,146.5500,FM
                """;
        assertThat(entries(table))
                .containsExactly(
                        "1,Weather,162.550,,FM",
                        "2,Tower,118.300,,AM",
                        "3,Bridge,156.650,,FM",
                        "4,Levee,146.550,146.550,FM");
        assertThat(doubts(table)).hasSize(3).allMatch(doubt -> doubt.startsWith("listens only"));
    }

    /** Program 11: a code column alone, and a step column headed with two letters. */
    @Test
    void aCodeColumnAloneAndAStepOfTwoLetters() {
        assertThat(
                        entries(
                                """
                                Ch,Name,Freq,TS,DCS
                                1,FERRY,451.800,6.25,114
                                2,DOCK,451.850,6.25,
                                3,BARGE,451.900,12.5,023
                                """))
                .containsExactly(
                        "1,FERRY,451.800,451.800,NFM,,D114,D114",
                        "2,DOCK,451.850,451.850,NFM",
                        "3,BARGE,451.900,451.900,NFM,,D023,D023");
    }

    /** Program 12: levels of power, bars between the cells, hertz instead of megahertz. */
    @Test
    void hertzBarsAndLevels() {
        String table =
                """
                Index|Tag|RxHz|TxHz|SqType|Enc|Dec|Pwr|Lockout
                1|RIDGE|146940000|146340000|ENC|100.0|0|HIGH|off
                2|LEVEE|146550000|146550000|TSQL|0|88.5|LOW|on
                3|WX1|162400000|0|OFF|0|0|LOW|on
                """;
        assertThat(entries(table))
                .containsExactly(
                        "1,RIDGE,146.940,146.340,FM,,100.0,,yes",
                        "2,LEVEE,146.550,146.550,FM,,88.5,88.5,no",
                        "3,WX1,162.400,,FM,,,,no");
        assertThat(doubts(table))
                .allMatch(doubt -> doubt.startsWith("power not known"))
                .hasSize(3);
    }

    /** 47 CFR 90: who dispatches has a licence with the frequency in it; who has none hears it. GMRS is a matter for the audit. */
    @Test
    void whatOnlyALicenceWithTheFrequencyOpensIsHeardByThoseWhoHaveNone() {
        Table table = TextTable.read("name,rx,tx,tone\nFire,154.265,154.265,100.0\nRidge,462.675,467.675,141.3\n");
        TableReading read = TableReading.of(table, Guess.of(table, EDITION), EDITION, HouseRules.NONE);
        TableReading amateurs = read.carriedBy(java.util.Set.of("amateur"), EDITION);
        assertThat(amateurs.list("").channels())
                .extracting(channel -> channel.text(Field.TX_MHZ))
                .containsExactly("", "467.675");
        assertThat(amateurs.rows().get(0).said())
                .anySatisfy(said -> assertThat(said.line()).contains("listens only", "nobody has a licence"));
        assertThat(read.carriedBy(java.util.Set.of("land-mobile"), EDITION)
                        .list("")
                        .channels())
                .extracting(channel -> channel.text(Field.TX_MHZ))
                .containsExactly("154.265", "467.675");
    }

    /** Beside what is sent, what it opens with is the tone of the receiver; alone it is what opens the repeater. */
    @Test
    void whatItOpensWithIsReadBesideWhatIsSent() {
        assertThat(
                        entries(
                                "No.,Name,Hears,Talks on,Mode,Sends,Opens with,Power\n1,LEVEE,146.550,146.550,FM,103.5,110.9,5 W\n"))
                .containsExactly("1,LEVEE,146.550,146.550,FM,5,103.5,110.9");
        assertThat(entries("Name,Output,Input,Opens with\nRIDGE,146.940,146.340,100.0\n"))
                .containsExactly("1,RIDGE,146.940,146.340,FM,,100.0");
    }

    /** A mode that is named in words beside the letters is read as what it is. */
    @Test
    void aModeInWordsAmongTheLettersCounts() {
        assertThat(
                        entries(
                                "Ch,Channel Name,RX Freq N or W,TX Freq N or W,\"Mode (A, D, or M)\"\n1,RIVER,146.5200 W,146.5200 W,A\n2,DIGI,446.0750 N,446.0750 N,DMR\n"))
                .containsExactly("1,RIVER,146.520,146.520,FM", "2,DIGI,446.075,446.075,DMR");
    }

    /** An A may be amplitude modulation: outside the form nobody reads it as analogue in silence. */
    @Test
    void anAIsNotReadAsAnalogueInSilence() {
        assertThat(entries(
                                "Ch,Name,RX,TX,Mode\n1,TOWER,122.900,122.900,A\n2,RIVER,146.520,146.520,FM\n3,WEIR,146.550,146.550,FM\n")
                        .get(0))
                .isEqualTo("1,TOWER,122.900,,A");
    }

    /** A transmit frequency with its width is no power, and what a mixed channel has is neither a tone nor dropped. */
    @Test
    void widthsBehindFrequenciesAndCodesOfMixedChannelsAreKept() {
        assertThat(
                        entries(
                                "Ch #,Channel Name,RX Freq N or W,TX Freq N or W\n1,RIDGE,146.9400 W,146.3400 W\n2,WEIR,147.1350 W,147.7350 W\n"))
                .containsExactly("1,RIDGE,146.940,146.340,FM", "2,WEIR,147.135,147.735,FM");
        assertThat(
                        read("Ch,Channel Name,RX Freq N or W,RX Tone/NAC,TX Freq N or W,\"Mode (A, D, or M)\"\n4,MIXED,155.3475 N,293,155.3475 N,M\n")
                                .list("")
                                .channels()
                                .get(0)
                                .text(Field.NOTE))
                .isEqualTo("RX Tone/NAC 293");
    }

    /** The communications plan and the inventory of emergency groups (forms 205 and 217A; their columns from memory). */
    @Test
    void theFormsOfEmergencyGroupsAreRead() {
        assertThat(
                        entries(
                                """
                Zone Grp.,Ch #,Function,Channel Name/Trunked Radio System Talkgroup,Assignment,RX Freq N or W,RX Tone/NAC,TX Freq N or W,TX Tone/NAC,"Mode (A, D, or M)",Remarks
                1,1,Command,RIVER 10,Net control,146.9400 W,,146.3400 W,103.5,A,Main repeater
                1,2,Tactical,FERRY TAC,Landing,462.5625 N,,462.5625 N,141.3,A,direct
                2,3,Tactical,BRIDGE,Bridge,155.3400 N,293,155.3400 N,293,D,
                2,4,Tactical,MIXED,Bridge,155.3475 N,293,155.3475 N,293,M,
                """))
                .containsExactly(
                        "1,RIVER 10,146.940,146.340,FM,,103.5",
                        "2,FERRY TAC,462.5625,462.5625,NFM,,141.3",
                        "3,BRIDGE,155.340,155.340,P25,,,,,,,,,293",
                        "4,MIXED,155.3475,155.3475,M");
        assertThat(
                        entries(
                                """
                Channel Configuration,Channel Name/Trunked Radio System Talkgroup,Eligible Users,RX Freq,N or W,RX Tone/NAC,TX Freq,N or W,TX Tone/NAC,"Mode (A, D, or M)",Remarks
                Repeater,RIVER 10,All,146.9400,W,,146.3400,W,103.5,A,
                Simplex,FERRY TAC,Landing,462.5625,N,141.3,462.5625,N,141.3,A,direct
                """))
                .containsExactly(
                        "1,RIVER 10,146.940,146.340,FM,,103.5", "2,FERRY TAC,462.5625,462.5625,NFM,,141.3,141.3");
        assertThat(
                        read("Zone Grp.,Ch #,Function,Channel Name,RX Freq N or W,TX Freq N or W\n7,1,Command,RIVER,146.94 W,146.34 W\n")
                                .rows()
                                .get(0)
                                .entry()
                                .orElseThrow()
                                .text(Field.ZONE))
                .isEqualTo("7");
    }
}
