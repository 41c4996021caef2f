package org.wache.arrival;

import com.github.miachm.sods.Range;
import com.github.miachm.sods.SpreadSheet;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.xml.stream.XMLStreamException;
import org.wache.table.Table;

/** Reads OpenDocument spreadsheets (ODS); one that could do harm is refused before it is opened. */
final class OpenSheets {

    private static final String KIND = "application/vnd.oasis.opendocument.spreadsheet";
    private static final int LONGEST_KIND = 100;
    private static final long LARGEST = 100L * 1024 * 1024;

    private OpenSheets() {}

    /** What an OpenDocument file says it is; empty when it is none. */
    static String kind(byte[] bytes) {
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
            ZipEntry first = zip.getNextEntry();
            return first != null && first.getName().equals("mimetype")
                    ? new String(zip.readNBytes(LONGEST_KIND), StandardCharsets.US_ASCII)
                    : "";
        } catch (IOException | IllegalArgumentException e) {
            return ""; // the reader of workbooks says what is wrong
        }
    }

    /**
     * Reads all sheets that hold anything.
     *
     * @throws ArrivalProblem when it is another kind of document, carries macros or unpacks to more than one may
     */
    static List<Sheet> read(byte[] bytes, String kind) {
        if (!kind.startsWith(KIND)) {
            throw new ArrivalProblem("This is an OpenDocument file but no spreadsheet. Copy its table, and paste it.");
        }
        try {
            look(bytes);
            byte[] content = content(bytes);
            OpenCells.look(new ByteArrayInputStream(content));
            byte[] plain = OpenContent.plain(KIND, new ByteArrayInputStream(content));
            List<Sheet> sheets = new ArrayList<>();
            for (com.github.miachm.sods.Sheet each : new SpreadSheet(new ByteArrayInputStream(plain)).getSheets()) {
                SheetRows.one(sheets);
                rows(each).into(sheets);
            }
            return sheets;
        } catch (ArrivalProblem e) {
            throw e;
        } catch (IOException
                | XMLStreamException
                | RuntimeException e) { // the library tells broken files by many kinds of these
            throw new ArrivalProblem(Workbook.BROKEN);
        }
    }

    /** Unpacks it once without keeping anything. */
    private static void look(byte[] bytes) throws IOException {
        long left = LARGEST;
        byte[] part = new byte[8_192];
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                String name = entry.getName().toLowerCase(Locale.ROOT);
                if (name.startsWith("basic/") || name.startsWith("scripts/")) {
                    throw new ArrivalProblem(
                            "The spreadsheet carries macros, and is not opened. Save it without, or as CSV.");
                }
                for (int read = zip.read(part); read >= 0; read = zip.read(part)) {
                    left -= read;
                    if (left < 0) {
                        throw new ArrivalProblem(Workbook.TOO_LARGE);
                    }
                }
            }
        }
    }

    private static byte[] content(byte[] bytes) throws IOException {
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                if (entry.getName().equalsIgnoreCase("content.xml")) {
                    return zip.readAllBytes();
                }
            }
        }
        throw new ArrivalProblem(Workbook.BROKEN);
    }

    private static SheetRows rows(com.github.miachm.sods.Sheet sheet) {
        SheetRows rows = new SheetRows(sheet.getName());
        if (sheet.getMaxRows() == 0 || sheet.getMaxColumns() == 0) {
            return rows;
        }
        int width = Math.min(sheet.getMaxColumns(), Table.MOST_COLUMNS + 1);
        for (int i = 0; i < sheet.getMaxRows(); i++) {
            Range range = sheet.getRange(i, 0, 1, width);
            rows.start(i);
            Object[] values = range.getValues()[0];
            for (int column = 0; column < width; column++) {
                rows.cell(column, text(values[column]));
            }
            rows.end();
        }
        return rows;
    }

    private static String text(Object value) {
        if (value instanceof Number number) {
            return SheetRows.figures(number.doubleValue());
        }
        return value == null ? "" : value.toString();
    }
}
