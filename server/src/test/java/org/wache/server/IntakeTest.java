package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Random;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Files on their way in: any table, and what is refused. The tables are made up, as clubs type them. */
@ExtendWith(RunningServer.class)
class IntakeTest {

    private static final String REPEATERS =
            """
      Tern Valley Repeaters,,,,
      Location,Output,Offset,PL,Call
      2 METERS,,,,
      Tern Ridge,146.94,-,100,KE9QRA
      Weir Hill,"147,135",+600k,D023N,KE9QRC
      Gap,14x.2,-,100,
      """;

    private final Browserless who;

    IntakeTest(RunningServer server) {
        this.who = Browserless.signedIn(server.address(), "coordinator");
    }

    private HttpResponse<String> bring(String name, byte[] bytes) {
        return who.file(
                "/api/groups/" + who.group() + "/intakes?name=" + URLEncoder.encode(name, StandardCharsets.UTF_8),
                bytes);
    }

    private JsonNode brought(String name, byte[] bytes) {
        HttpResponse<String> answer = bring(name, bytes);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(201);
        return Browserless.json(answer);
    }

    private JsonNode read(long intake, String mapping) {
        HttpResponse<String> answer = who.post(
                "/api/intakes/" + intake + "/reading",
                "{\"sheet\":\"\",\"mapping\":" + mapping + ",\"show\":\"all\",\"from\":0}");
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return Browserless.json(answer);
    }

    private JsonNode take(long intake, String name, String mapping, String into) {
        HttpResponse<String> answer = who.post(
                "/api/intakes/" + intake + "/list",
                "{\"name\":\"" + name + "\",\"sheet\":\"\",\"mapping\":" + mapping + ",\"into\":" + into + "}");
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(201);
        return Browserless.json(answer);
    }

    private JsonNode desk(long list) {
        return Browserless.json(who.get("/api/lists/" + list));
    }

    @Test
    void linesThatMadeNoEntryAreKeptBesideTheListAsTheyWereWritten() {
        long list = take(
                        brought("own.csv", REPEATERS.getBytes(StandardCharsets.UTF_8))
                                .path("id")
                                .asLong(),
                        "Lines beside",
                        "null",
                        "null")
                .path("id")
                .asLong();
        int before = Browserless.json(who.get("/api/lists/" + list + "/aside")).size();
        assertThat(who.post("/api/lists/" + list + "/aside", "{\"lines\":[\"  the one at the mill\",\"\",\"frs 99\"]}")
                        .statusCode())
                .isEqualTo(204);
        JsonNode aside = Browserless.json(who.get("/api/lists/" + list + "/aside"));
        assertThat(aside).hasSize(before + 2);
        JsonNode first = aside.path(before);
        assertThat(first.path("cells").path(0).asString()).isEqualTo("  the one at the mill");
        assertThat(first.path("source").asString()).isEqualTo("typed lines");
        assertThat(first.path("reason").asString()).isNotBlank();
        assertThat(aside.path(before + 1).path("line").asInt()).isEqualTo(2);
        // too many, and too long
        String many = "{\"lines\":[" + "\"x\",".repeat(500) + "\"x\"]}";
        assertThat(who.post("/api/lists/" + list + "/aside", many).statusCode()).isEqualTo(400);
        assertThat(who.post("/api/lists/" + list + "/aside", "{\"lines\":[\"" + "x".repeat(2_001) + "\"]}")
                        .statusCode())
                .isEqualTo(400);
        String lot = "{\"lines\":[" + "\"x\",".repeat(499) + "\"x\"]}";
        HttpResponse<String> answer = null;
        for (int i = 0; i < 4; i++) {
            answer = who.post("/api/lists/" + list + "/aside", lot);
        }
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("2000 rows that made no entry");
    }

    @Test
    void moreEntriesThanAreReadAtOnceAreRefusedAndNoneIsPassedOver() {
        long list = take(
                        brought("own.csv", REPEATERS.getBytes(StandardCharsets.UTF_8))
                                .path("id")
                                .asLong(),
                        "Many at once",
                        "null",
                        "null")
                .path("id")
                .asLong();
        String line = "\"146.52 A; 146.55 B; 146.58 C\"";
        HttpResponse<String> answer =
                who.post("/api/lists/" + list + "/understood", "{\"lines\":[" + (line + ",").repeat(170) + line + "]}");
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("Up to 500 entries are read at once");
    }

    @Test
    void aTableIsReadTakenAndItsRestKeptAside() {
        JsonNode brought = brought("repeaters.csv", REPEATERS.getBytes(StandardCharsets.UTF_8));
        assertThat(brought.path("list").asBoolean()).isFalse();
        JsonNode table = read(brought.path("id").asLong(), "null");
        assertThat(table.path("entries").asInt()).isEqualTo(2);
        assertThat(table.path("aside").asInt()).isEqualTo(3);
        assertThat(table.path("shown").path(2).path("entry").path("txMhz").asString())
                .isEqualTo("146.340");
        JsonNode taken = take(brought.path("id").asLong(), "Repeaters", "null", "null");
        JsonNode slips = desk(taken.path("id").asLong()).path("slips");
        assertThat(slips).hasSize(2);
        assertThat(slips.path(1).path("fields").path("txTone").asString()).isEqualTo("D023");
        JsonNode aside =
                Browserless.json(who.get("/api/lists/" + taken.path("id").asLong() + "/aside"));
        assertThat(aside).hasSize(3);
        assertThat(aside.path(2).path("reason").asString()).isEqualTo("“14x.2” under Output is no frequency.");
        assertThat(aside.path(2).path("cells").path(0).asString()).isEqualTo("Gap");
        who.post(
                "/api/lists/" + taken.path("id").asLong() + "/aside/settled",
                "{\"rows\":[" + aside.path(2).path("id").asLong() + "]}");
        assertThat(Browserless.json(who.get("/api/lists/" + taken.path("id").asLong() + "/aside")))
                .hasSize(2);
        assertThat(who.post(
                                "/api/intakes/" + brought.path("id").asLong() + "/reading",
                                "{\"sheet\":\"\",\"mapping\":null,\"show\":\"all\",\"from\":0}")
                        .statusCode())
                .isEqualTo(404); // it became a list
    }

    @Test
    void aCorrectedMappingIsRememberedForTheGroup() {
        String odd = "Alpha One,Beta Two,Gamma Three\n146.94,146.34,Ridge\n147.135,147.735,Weir\n";
        JsonNode first = brought("odd", odd.getBytes(StandardCharsets.UTF_8));
        String mapping =
                "{\"heading\":0,\"columns\":[{\"kind\":\"receive\",\"unit\":null},{\"kind\":\"keep\",\"unit\":null},"
                        + "{\"kind\":\"note\",\"unit\":null}],\"unsaid\":\"listen\",\"levels\":{}}";
        assertThat(read(first.path("id").asLong(), mapping)
                        .path("shown")
                        .path(0)
                        .path("entry")
                        .has("txMhz"))
                .isFalse();
        take(first.path("id").asLong(), "Odd", mapping, "null");
        JsonNode again = read(
                brought("odd", odd.getBytes(StandardCharsets.UTF_8)).path("id").asLong(), "null");
        assertThat(again.path("remembered").asBoolean()).isTrue();
        assertThat(again.path("mapping").path("columns").path(2).path("kind").asString())
                .isEqualTo("note");
    }

    @Test
    void moreEntriesComeBehindThoseOfAList() {
        long list = who.take("before", "number,name,rx_mhz,colour\n1,A,146.520,red\n");
        JsonNode brought =
                brought("more", "name,rx,city\nB,146.55,Ternhead\nC,146.58,Weirton\n".getBytes(StandardCharsets.UTF_8));
        take(brought.path("id").asLong(), "more", "null", Long.toString(list));
        JsonNode desk = desk(list);
        assertThat(desk.path("slips")).hasSize(3);
        assertThat(desk.path("extraColumns").toString()).isEqualTo("[\"colour\",\"city\"]");
        assertThat(desk.path("slips").path(0).path("extras").path(0).asString()).isEqualTo("red");
        assertThat(desk.path("slips").path(2).path("extras").path(1).asString()).isEqualTo("Weirton");
    }

    private static byte[] workbook(String... rows) throws IOException {
        try (XSSFWorkbook book = new XSSFWorkbook();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            Sheet sheet = book.createSheet("Channels");
            for (int i = 0; i < rows.length; i++) {
                Row row = sheet.createRow(i);
                String[] cells = rows[i].split("\\|", -1);
                for (int j = 0; j < cells.length; j++) {
                    if (cells[j].matches("[0-9]+\\.?[0-9]*")) {
                        row.createCell(j).setCellValue(Double.parseDouble(cells[j]));
                    } else if (!cells[j].isEmpty()) {
                        row.createCell(j).setCellValue(cells[j]);
                    }
                }
            }
            book.createSheet("Empty");
            book.write(out);
            return out.toByteArray();
        }
    }

    @Test
    void aWorkbookIsReadWithAllFiguresOfItsNumbers() throws IOException {
        JsonNode brought = brought(
                "book.xlsx",
                workbook(
                        "Name|Freq|Tone|Power", "Ridge|146.94|100|High", "FRS|462.5625|67|0.5", "Örtlich|446|88.5|5W"));
        JsonNode table = read(brought.path("id").asLong(), "null");
        assertThat(table.path("sheet").asString()).isEqualTo("Channels");
        assertThat(table.path("levels").toString()).isEqualTo("[\"high\"]");
        assertThat(table.path("shown").path(1).path("entry").path("rxMhz").asString())
                .isEqualTo("462.5625");
        assertThat(table.path("shown").path(2).path("entry").path("name").asString())
                .isEqualTo("Örtlich");
        assertThat(table.path("entries").asInt()).isEqualTo(3);
    }

    @Test
    void anExportReadAgainIsTheSameList() throws Exception {
        String csv =
                "number,name,rx_mhz,tx_mhz,mode,emission,power_w,tx_tone,rx_tone,use,service,scan,timeout_s,note,colour\r\n"
                        + "1,\"Ridge, \"\"the\"\" big\",146.940,146.340,FM,,5,100.0,,,,yes,180,'=1+1,'+red\r\n2,Ö ß – 日,162.550,,FM,,,,,,,,,\"two\nlines\",\r\n";
        long list = who.take("round trip", csv);
        JsonNode before = desk(list).path("slips");
        java.net.http.HttpResponse<byte[]> book = who.bytes("/api/lists/" + list + "/export.xlsx");
        JsonNode brought = brought("round trip.xlsx", book.body());
        assertThat(brought.path("list").asBoolean()).isTrue();
        long again = take(brought.path("id").asLong(), "again", "null", "null")
                .path("id")
                .asLong();
        assertThat(desk(again).path("extraColumns")).isEqualTo(desk(list).path("extraColumns"));
        for (int i = 0; i < 2; i++) {
            assertThat(desk(again).path("slips").path(i).path("fields"))
                    .isEqualTo(before.path(i).path("fields"));
            assertThat(desk(again).path("slips").path(i).path("extras"))
                    .isEqualTo(before.path(i).path("extras"));
        }
        assertThat(before.path(0).path("fields").path("note").asString()).isEqualTo("=1+1");
        byte[] paper = who.bytes("/api/lists/" + list + "/export.pdf").body();
        assertThat(new String(paper, 0, 5, StandardCharsets.US_ASCII)).isEqualTo("%PDF-");
    }

    private void refused(String name, byte[] bytes, String words) {
        HttpResponse<String> answer = bring(name, bytes);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(422);
        assertThat(Browserless.json(answer).path("detail").asString()).contains(words);
    }

    @Test
    void whatIsNoTableGetsAClearNo() throws IOException {
        refused("empty", new byte[0], "The file is empty.");
        refused("blank", "  \n\n ".getBytes(StandardCharsets.UTF_8), "nothing in it but blanks");
        refused("old.xls", new byte[] {(byte) 0xD0, (byte) 0xCF, 0x11, (byte) 0xE0, 1, 2}, "The workbook is damaged");
        refused("list.pdf", "%PDF-1.7 x".getBytes(StandardCharsets.US_ASCII), "Copy its lines");
        refused(
                "broken.csv",
                new byte[] {'n', 'a', 'm', 'e', '\n', 'a', (byte) 0xC3, '(', '\n'},
                "Line 2, column 2: not text in UTF-8");
        refused("picture.csv", new byte[] {'a', 0, 'b'}, "not a table but something else");
        refused("half.xlsx", java.util.Arrays.copyOf(workbook("a|b"), 300), "The workbook is damaged");
        refused("other.zip", zip("readme.txt", "hello".getBytes(StandardCharsets.UTF_8)), "The workbook is damaged");
        refused("big.csv", new byte[20 * 1024 * 1024 + 5], "up to 20 MB");
    }

    @Test
    void anOldProgramsTextIsReadWhenOneSaysSo() {
        byte[] windows = "name,rx\nS\u00fcd,146.52\n".getBytes(java.nio.charset.Charset.forName("windows-1252"));
        refused("old.csv", windows, "Read as Windows text");
        HttpResponse<String> answer =
                who.file("/api/groups/" + who.group() + "/intakes?name=old&encoding=windows-1252", windows);
        assertThat(read(Browserless.json(answer).path("id").asLong(), "null")
                        .path("shown")
                        .path(0)
                        .path("entry")
                        .path("name")
                        .asString())
                .isEqualTo("Süd");
    }

    private static byte[] zip(String entry, byte[] bytes) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            zip.putNextEntry(new ZipEntry(entry));
            zip.write(bytes);
        }
        return out.toByteArray();
    }

    /** A workbook whose parts are replaced or added to. */
    private static byte[] altered(byte[] book, String part, byte[] content) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out);
                java.util.zip.ZipInputStream in =
                        new java.util.zip.ZipInputStream(new java.io.ByteArrayInputStream(book))) {
            for (ZipEntry each = in.getNextEntry(); each != null; each = in.getNextEntry()) {
                byte[] old = in.readAllBytes();
                zip.putNextEntry(new ZipEntry(each.getName()));
                zip.write(
                        each.getName().equals(part)
                                ? content
                                : each.getName().equals("[Content_Types].xml") && part.contains("vba")
                                        ? new String(old, StandardCharsets.UTF_8)
                                                .replace(
                                                        "</Types>",
                                                        "<Override PartName=\"/xl/vbaProject.bin\""
                                                                + " ContentType=\"application/vnd.ms-office.vbaProject\"/></Types>")
                                                .getBytes(StandardCharsets.UTF_8)
                                        : old);
            }
            if (part.contains("vba")) {
                zip.putNextEntry(new ZipEntry(part));
                zip.write(content);
            }
        }
        return out.toByteArray();
    }

    @Test
    void aBombAndMacrosAreNotOpened() throws IOException {
        byte[] book = workbook("name|rx", "A|146.52");
        StringBuilder rows = new StringBuilder(
                "<?xml version=\"1.0\"?><worksheet xmlns=\"http://schemas.openxmlformats.org/spreadsheetml/2006/main\"><sheetData>");
        String row = "<row><c><v>1</v></c></row>".repeat(1000);
        for (int i = 0; i < 4_000; i++) {
            rows.append(row);
        }
        refused(
                "bomb.xlsx",
                altered(
                        book,
                        "xl/worksheets/sheet1.xml",
                        rows.append("</sheetData></worksheet>").toString().getBytes(StandardCharsets.UTF_8)),
                "far more than a list of channels");
        refused("macros.xlsm", altered(book, "xl/vbaProject.bin", new byte[] {1, 2, 3}), "carries macros");
        refused(
                "claims.xlsx",
                altered(
                        book,
                        "xl/worksheets/sheet1.xml",
                        ("<?xml version=\"1.0\"?><worksheet xmlns=\"http://schemas.openxmlformats.org"
                                        + "/spreadsheetml/2006/main\"><dimension ref=\"A1:XFD1048576\"/><sheetData><row r=\"1\"><c r=\"XFD1\" t=\"str\"><v>far</v></c></row>"
                                        + "</sheetData></worksheet>")
                                .getBytes(StandardCharsets.UTF_8)),
                "beyond 200 columns");
    }

    @Test
    void aClaimOfAGigabyteIsRefusedAtOnce() throws IOException {
        java.net.URI address = java.net.URI.create(who.address());
        try (java.net.Socket socket = new java.net.Socket(address.getHost(), address.getPort())) {
            String head = "POST /api/groups/" + who.group() + "/intakes?name=x HTTP/1.1\r\nHost: x\r\nCookie: "
                    + who.cookieHeader() + "\r\nX-XSRF-TOKEN: " + who.cookie("XSRF-TOKEN")
                    + "\r\nContent-Type: application/octet-stream\r\nContent-Length: 1073741824\r\n\r\nname,rx\n";
            socket.getOutputStream().write(head.getBytes(StandardCharsets.US_ASCII));
            socket.setSoTimeout(10_000);
            String first =
                    new java.io.BufferedReader(new java.io.InputStreamReader(socket.getInputStream())).readLine();
            assertThat(first).contains("413");
        }
    }

    @ParameterizedTest
    @CsvSource({"csv,1", "xlsx,2"})
    void noFileIsAFaultAndNoRowIsLost(String kind, long seed) throws IOException {
        Random random = new Random(seed);
        byte[] good = kind.equals("csv")
                ? REPEATERS.getBytes(StandardCharsets.UTF_8)
                : workbook("Name|Freq|Tone|Power", "Ridge|146.94|100|High", "FRS|462.5625|67|0.5");
        for (int i = 0; i < 300; i++) {
            byte[] bad = good.clone();
            for (int n = 1 + random.nextInt(8); n > 0; n--) {
                bad[random.nextInt(bad.length)] = (byte) random.nextInt(kind.equals("csv") ? 128 : 256);
            }
            HttpResponse<String> answer = bring("mutant", bad);
            assertThat(answer.statusCode()).as(answer.body()).isIn(201, 422);
            if (answer.statusCode() == 201
                    && !Browserless.json(answer).path("list").asBoolean()) {
                JsonNode table = read(Browserless.json(answer).path("id").asLong(), "null");
                int heading = table.path("mapping").path("heading").isNull() ? 0 : 1;
                int rows = Browserless.json(answer)
                        .path("sheets")
                        .path(0)
                        .path("rows")
                        .asInt();
                // what may be no headings is kept aside too
                assertThat(table.path("entries").asInt() + table.path("aside").asInt())
                        .isIn(rows - heading, rows);
            }
        }
    }

    /** Who carries it is asked while it comes in: the first verdicts are about these people. */
    @Test
    void aTeamCarriesItFromTheFirst() {
        JsonNode brought =
                brought("carried", "Name,Output,Offset,PL\nRidge,146.94,-,100\n".getBytes(StandardCharsets.UTF_8));
        HttpResponse<String> answer = who.post(
                "/api/intakes/" + brought.path("id").asLong() + "/list",
                "{\"name\":\"carried\",\"sheet\":\"\",\"mapping\":null,\"into\":null,\"team\":\"River watch\"}");
        JsonNode desk = desk(Browserless.json(answer).path("id").asLong());
        assertThat(desk.path("choice").path("teams").path(0).asString()).isEqualTo("River watch");
        assertThat(desk.path("holders").size()).isGreaterThan(1);
        JsonNode next = brought("next", "Name,Output\nRidge,146.94\n".getBytes(StandardCharsets.UTF_8));
        assertThat(next.path("lastTeam").asString()).isEqualTo("River watch");
    }

    /** A list that nobody carries yet is not made to listen as a whole. */
    @Test
    void whereNobodyCarriesItYetNothingIsSilenced() {
        JsonNode brought = brought(
                "nobody", "Name,RX,TX\nRidge,146.94,146.34\nTalk,146.55,146.55\n".getBytes(StandardCharsets.UTF_8));
        long list = take(brought.path("id").asLong(), "nobody", "null", "null")
                .path("id")
                .asLong();
        assertThat(desk(list).path("counts").path("hold").asInt()).isEqualTo(2);
        JsonNode cures = Browserless.json(who.get("/api/lists/" + list + "/cures"));
        assertThat(cures.path("cures").size()).as(cures.toString()).isZero();
        assertThat(cures.path("left").size()).isEqualTo(2);
    }
}
