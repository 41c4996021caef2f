package org.wache.table;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.wache.audit.context.HouseRules;
import org.wache.rulebook.Edition;
import org.wache.rulebook.RulebookReader;
import org.wache.typed.AddLine;

/** What holds for whatever is in a file: no fault, and no row lost. Files are mutated with a seed. */
class TableAlwaysTest {

    private static final Edition EDITION = RulebookReader.shipped("us").on(LocalDate.parse("2026-11-25"));
    private static final int FILES = 6_000;
    private static final List<String> SEEDS = List.of(
            "Location,Output,Offset,PL,Call\nRidge,146.94,-,100,KE9QRA\nWeir,147.135,+,114.8,KE9QRB\nGap,\"147,39\",+600k,D023N,\n",
            "Ch\tName\tRX\tTX\tTX PL\tRX PL\tW/N\tPwr\n1\tA\t146.940\t146.340\t100.0\tCSQ\tW\tHigh\n2\tB\t162.400\tRX only\t\t\tN\t5W\n",
            "146,940;146,340;100,0;Ridge\n147,135;147,735;114,8;Weir\n",
            "gmrs 16 rpt 141.3\nfrs 14 code 27\n146.94 - 100 Ridge\n29.62 100\nmarine 16\n",
            "GMRS Channel,Who,Code\n3,Kitchen,12\n20R,Repeater,22\n",
            "number,name,rx_mhz,tx_mhz,mode,emission,power_w,tx_tone\n1,A,146.940,146.340,FM,,5,100.0\n2,B,14.285,14.285,USB,,100,\n",
            "CH,FREQ,NAME,CH,FREQ,NAME\n1,146.520,Call,4,146.565,West\n2,146.550,East,5,146.580,Boat\n",
            "Ridge   146.940  146.340   100.0\nWeir    147.135  147.735   114.8\n");
    private static final String BITS = ",;\t\"'\n\r +-−.0123456789kMHzDNRptFMä💥\u0000\uFEFF|/()#=@";

    private static String mutated(Random random) {
        StringBuilder text = new StringBuilder(SEEDS.get(random.nextInt(SEEDS.size())));
        int changes = 1 + random.nextInt(12);
        for (int i = 0; i < changes; i++) {
            int at = random.nextInt(text.length() + 1);
            switch (random.nextInt(5)) {
                case 0 -> text.insert(at, BITS.charAt(random.nextInt(BITS.length())));
                case 1 -> text.delete(Math.min(at, text.length()), Math.min(text.length(), at + 1 + random.nextInt(6)));
                case 2 ->
                    text.insert(
                            at,
                            text.substring(
                                    Math.min(at, text.length()), Math.min(text.length(), at + random.nextInt(40))));
                case 3 -> text.insert(at, random.nextInt(2_000_000));
                default -> {
                    if (at < text.length()) {
                        text.setCharAt(at, (char) random.nextInt(0x3000));
                    }
                }
            }
        }
        return text.toString();
    }

    @Test
    void noFileIsAFaultAndNoRowIsLost() {
        Random random = new Random(20261125);
        for (int i = 0; i < FILES; i++) {
            String text = mutated(random);
            Table table = TextTable.read(text).unfolded();
            Mapping mapping = Guess.of(table, EDITION);
            TableReading reading = TableReading.of(table, mapping, EDITION, HouseRules.NONE);
            int heading = mapping.heading()
                            .filter(row ->
                                    Headings.areSurely(table.rows().get(row).cells()))
                            .isPresent()
                    ? 1
                    : 0;
            assertThat(reading.rows())
                    .as("file %s:%n%s", i, text)
                    .hasSize(table.rows().size() - heading)
                    .allMatch(row -> row.entry().isPresent() != row.aside().isPresent());
            Set<String> held = held(table);
            assertThat(wordsOf(text)).as("file %s:%n%s", i, text).allMatch(held::contains);
        }
    }

    /** Every run of letters and digits of the text stands in some cell. */
    private static List<String> wordsOf(String text) {
        List<String> words = new ArrayList<>();
        for (String word : text.split("[^\\p{Alnum}]+")) {
            if (!word.isEmpty()) {
                words.add(word);
            }
        }
        return words;
    }

    private static Set<String> held(Table table) {
        return table.rows().stream()
                .flatMap(row -> row.cells().stream())
                .flatMap(cell -> wordsOf(cell).stream())
                .collect(Collectors.toSet());
    }

    private static final List<String> NAMES = List.of(
            "Call",
            "Name",
            "Tone",
            "Mode",
            "Ridge",
            "River watch",
            "Scan",
            "Channel",
            "Use",
            "Kitchen",
            "Net",
            "Power",
            "Note",
            "Weir rpt",
            "");
    private static final List<String> PLACES = List.of(
            "146.52",
            "146.520 MHz",
            "146,550",
            "gmrs 7",
            "GMRS 16 rpt",
            "frs 3",
            "FRS 14",
            "462.5625",
            "146.94-",
            "146.940/146.340",
            "murs 2",
            "wx 2",
            "147.135 +",
            "162.55",
            "marine 16",
            "cb 9",
            "440.0 simplex",
            "about 146.5");
    private static final List<String> REST = List.of(
            "FM", "NFM", "direct", "listen", "100.0", "D023", "none", "yes", "no", "5 W", "Low", "High", "-", "+", "",
            "600", "narrow", "off", "TSQL", "MHz");

    /** Rows as people type them, and no headings over them: each becomes an entry, or is kept aside with its reason. */
    @Test
    void aTableWithoutHeadingsLosesNoRow() {
        Random random = new Random(20261127);
        for (int i = 0; i < 1_000; i++) {
            int columns = 1 + random.nextInt(5);
            int place = random.nextInt(columns);
            int name = random.nextInt(columns);
            String separator = List.of(",", ";", "\t", " | ").get(random.nextInt(4));
            List<String> lines = new ArrayList<>();
            for (int row = 0; row < 1 + random.nextInt(6); row++) {
                List<String> cells = new ArrayList<>();
                for (int column = 0; column < columns; column++) {
                    List<String> from = column == place ? PLACES : column == name ? NAMES : REST;
                    cells.add(from.get(random.nextInt(from.size())));
                }
                lines.add(String.join(separator, cells));
            }
            String text = String.join("\n", lines) + "\n";
            Table table = TextTable.read(text).unfolded();
            TableReading reading = TableReading.of(table, Guess.of(table, EDITION), EDITION, HouseRules.NONE);
            assertThat(reading.rows())
                    .as("table %s:%n%s", i, text)
                    .hasSize(table.rows().size())
                    .allMatch(row -> row.entry().isPresent() != row.aside().isPresent());
        }
    }

    @Test
    void noLineIsAFault() {
        Random random = new Random(7);
        for (int i = 0; i < FILES; i++) {
            for (String line : mutated(random).split("\n")) {
                var understood = AddLine.read(line, EDITION, HouseRules.NONE).best();
                assertThat(understood.problem().isPresent()
                                || understood.channel().orElseThrow().receive().isPresent())
                        .as(line)
                        .isTrue();
            }
        }
    }
}
