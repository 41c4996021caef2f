package org.wache.arrival;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.github.miachm.sods.SpreadSheet;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.apache.poi.hssf.usermodel.HSSFWorkbook;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Workbook;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.Test;
import org.wache.channel.Field;
import org.wache.rulebook.Edition;
import org.wache.rulebook.RulebookReader;

/** Files as they come; workbooks are written by the libraries that spreadsheet programs' users would use. */
class ArrivalTest {

    private static final Edition EDITION = RulebookReader.shipped("us").on(LocalDate.parse("2026-11-25"));
    private static final Object[][] CELLS = {
        {"Name", "Output", "Offset", "PL", "Seen"},
        {"Ridge", 146.94, "-", 100.0, true},
        {"Gauge", 444.15, "+", "131.8", null},
    };

    private static byte[] workbook(Workbook workbook) throws IOException {
        try (workbook;
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            workbook.createSheet("About").createRow(0).createCell(0).setCellValue("made for the spring");
            org.apache.poi.ss.usermodel.Sheet sheet = workbook.createSheet("Repeaters");
            for (int i = 0; i < CELLS.length; i++) {
                Row row = sheet.createRow(i + 1);
                for (int j = 0; j < CELLS[i].length; j++) {
                    if (CELLS[i][j] instanceof Double number) {
                        row.createCell(j).setCellValue(number);
                    } else if (CELLS[i][j] instanceof Boolean flag) {
                        row.createCell(j).setCellValue(flag);
                    } else if (CELLS[i][j] != null) {
                        row.createCell(j).setCellValue(CELLS[i][j].toString());
                    }
                }
            }
            workbook.write(out);
            return out.toByteArray();
        }
    }

    @Test
    void theTablesOfAPageAreReadWithTheCellsThatReachOverOthers() {
        String page =
                """
                <!doctype html><html><body><table><tr><td>a frame for looks</td></tr></table>
                <table><caption>Repeaters &amp; more</caption>
                <thead><tr><th>Name<th colspan="2">Output &nbsp; and offset<th>PL</tr></thead>
                <tr><td rowspan=2>Ridge<td>146.940<td>-<td>100.0
                <tr><td>444.150<td>+<td>131.8
                <tr><td>Caf&eacute;<td colspan=3>off the air
                </table><script>document.write('x')</script></body></html>""";
        Arrival arrival = Arrival.read(page.getBytes(StandardCharsets.UTF_8), "page.html", "");
        assertThat(arrival.sheets()).extracting(Sheet::name).containsExactly("Repeaters & more");
        assertThat(arrival.sheets().get(0).table().rows())
                .extracting(row -> String.join("|", row.cells()))
                .containsExactly(
                        "Name|Output and offset||PL",
                        "Ridge|146.940|-|100.0",
                        "Ridge|444.150|+|131.8",
                        "Caf\u00e9|off the air");
    }

    @Test
    void aPageOfHugeCellsIsRefused() {
        String cells = "<td rowspan=9999 colspan=9999>x".repeat(50);
        String page = "<table>" + ("<tr>" + cells).repeat(400) + "</table>";
        assertThatThrownBy(() -> Arrival.read(page.getBytes(StandardCharsets.UTF_8), "page.html", ""))
                .isInstanceOf(ArrivalProblem.class)
                .hasMessageContaining("cells");
        assertThatThrownBy(() -> Arrival.read(
                        "<html><table><tr><td>1</table>".getBytes(StandardCharsets.UTF_8), "page.html", ""))
                .isInstanceOf(ArrivalProblem.class)
                .hasMessageContaining("no table with rows");
    }

    private static byte[] open() throws IOException {
        SpreadSheet book = new SpreadSheet();
        com.github.miachm.sods.Sheet sheet =
                new com.github.miachm.sods.Sheet("Repeaters", CELLS.length, CELLS[0].length);
        for (int i = 0; i < CELLS.length; i++) {
            for (int j = 0; j < CELLS[i].length; j++) {
                sheet.getRange(i, j).setValue(CELLS[i][j]);
            }
        }
        book.appendSheet(sheet);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        book.save(out);
        return out.toByteArray();
    }

    /** The same file with its content changed. */
    private static byte[] changed(byte[] file, UnaryOperator<String> content) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(file));
                ZipOutputStream zip = new ZipOutputStream(out)) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                zip.putNextEntry(new ZipEntry(entry.getName()));
                byte[] bytes = in.readAllBytes();
                zip.write(
                        entry.getName().equals("content.xml")
                                ? content.apply(new String(bytes, StandardCharsets.UTF_8))
                                        .getBytes(StandardCharsets.UTF_8)
                                : bytes);
            }
        }
        return out.toByteArray();
    }

    /** OASIS OpenDocument 1.3, part 3: automatic styles are optional (3.15.3), text may be set in spans (6.1.7) and links (6.1.8). */
    @Test
    void aSpreadsheetIsReadWholeHoweverItsTextIsSet() throws IOException {
        UnaryOperator<String> styleless =
                content -> content.replaceAll("(?s)<office:automatic-styles>.*</office:automatic-styles>", "");
        assertThat(read(changed(open(), styleless))).isEqualTo(READ);
        UnaryOperator<String> set =
                content -> content.replace("<text:p>Ridge</text:p>", "<text:p>Ri<text:span>dge</text:span></text:p>")
                        .replace(
                                "<text:p>Gauge</text:p>",
                                "<text:p><text:a xmlns:xlink=\"http://www.w3.org/1999/xlink\" xlink:href=\"x\">Gau<text:span>g</text:span></text:a>e</text:p>")
                        .replace("<text:p>131.8</text:p>", "<text:p><text:span>131</text:span>.8</text:p>");
        assertThat(changed(open(), set)).isNotEqualTo(open());
        assertThat(read(changed(open(), set))).isEqualTo(READ);
        assertThat(read(changed(open(), styleless.andThen(set)::apply))).isEqualTo(READ);
        UnaryOperator<String> spaced =
                content -> content.replace("<text:p>Ridge</text:p>", "<text:p>Tern<text:s/>Ridge</text:p>");
        assertThat(read(changed(open(), spaced)).get(0)).startsWith("Tern Ridge 146.940");
        UnaryOperator<String> remarked = content -> content.replace(
                "<text:p>Ridge</text:p>",
                "<office:annotation><text:p>as the club says</text:p></office:annotation><text:p>Ridge</text:p>");
        assertThat(read(changed(open(), remarked))).isEqualTo(READ);
    }

    private static List<String> read(byte[] file) {
        return Read.file(file, "file", EDITION).entries().stream()
                .map(entry -> entry.channel().name() + " " + entry.channel().text(Field.RX_MHZ) + " "
                        + entry.channel().text(Field.TX_MHZ) + " "
                        + entry.channel().text(Field.TX_TONE))
                .toList();
    }

    private static final List<String> READ = List.of("Ridge 146.940 146.340 100.0", "Gauge 444.150 449.150 131.8");

    @Test
    void aWorkbookOfTodayOfYesterdayAndAnOpenOneSayTheSame() throws IOException {
        assertThat(read(workbook(new XSSFWorkbook()))).isEqualTo(READ);
        assertThat(read(workbook(new HSSFWorkbook()))).isEqualTo(READ);
        assertThat(read(open())).isEqualTo(READ);
    }

    @Test
    void aRowThatStandsThereAMillionTimesIsNotUnfolded() throws IOException {
        byte[] bomb = changed(
                open(),
                content -> content.replaceFirst(
                        "<table:table-row>", "<table:table-row table:number-rows-repeated=\"1048000\">"));
        assertThatThrownBy(() -> Arrival.read(bomb, "bomb", ""))
                .isInstanceOf(ArrivalProblem.class)
                .hasMessageContaining("unpacks to far more");
    }

    @Test
    void entitiesAndMacrosAreRefused() throws IOException {
        byte[] entity = changed(
                open(),
                content ->
                        content.replaceFirst("\\?>", "?><!DOCTYPE x [<!ENTITY e SYSTEM \"file:///etc/hostname\">]>"));
        assertThatThrownBy(() -> Arrival.read(entity, "entity", "")).isInstanceOf(ArrivalProblem.class);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(open()));
                ZipOutputStream zip = new ZipOutputStream(out)) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                zip.putNextEntry(new ZipEntry(entry.getName()));
                in.transferTo(zip);
            }
            zip.putNextEntry(new ZipEntry("Basic/Standard/Module1.xml"));
        }
        assertThatThrownBy(() -> Arrival.read(out.toByteArray(), "macro", ""))
                .isInstanceOf(ArrivalProblem.class)
                .hasMessageContaining("carries macros");
    }

    @Test
    void halfAFileIsDamaged() throws IOException {
        byte[] old = workbook(new HSSFWorkbook());
        assertThatThrownBy(() -> Arrival.read(java.util.Arrays.copyOf(old, old.length / 3), "half", ""))
                .isInstanceOf(ArrivalProblem.class)
                .hasMessageContaining("damaged");
        byte[] open = open();
        assertThatThrownBy(() -> Arrival.read(java.util.Arrays.copyOf(open, open.length / 2), "half", ""))
                .isInstanceOf(ArrivalProblem.class);
    }

    @Test
    void anOpenDocumentThatIsNoSpreadsheetSaysSo() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            ZipEntry kind = new ZipEntry("mimetype");
            byte[] text = "application/vnd.oasis.opendocument.text".getBytes(StandardCharsets.US_ASCII);
            java.util.zip.CRC32 sum = new java.util.zip.CRC32();
            sum.update(text);
            kind.setMethod(ZipEntry.STORED);
            kind.setSize(text.length);
            kind.setCrc(sum.getValue());
            zip.putNextEntry(kind);
            zip.write(text);
        }
        assertThatThrownBy(() -> Arrival.read(out.toByteArray(), "text", "")).hasMessageContaining("no spreadsheet");
    }

    @Test
    void linesAreNumberedAndWhatIsNoneStandsAside() {
        Read read = Read.lines(List.of("146.94 - 100; frs 7", "7) 146.52", "hello there"), EDITION);
        assertThat(read.entries().stream().map(entry -> entry.channel().number()))
                .containsExactly("1", "2", "7");
        assertThat(read.aside()).singleElement().satisfies(aside -> {
            assertThat(aside.text()).isEqualTo("hello there");
            assertThat(aside.reason()).contains("no frequency and no channel");
        });
        assertThat(read.withoutDoubt()).isFalse();
        assertThat(read.list("x").channels().get(0).texts()).containsAllEntriesOf(Map.of(Field.TX_TONE, "100.0"));
    }
}
