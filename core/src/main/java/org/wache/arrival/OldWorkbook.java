package org.wache.arrival;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.apache.poi.EncryptedDocumentException;
import org.apache.poi.hssf.usermodel.HSSFWorkbook;
import org.apache.poi.poifs.filesystem.POIFSFileSystem;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellType;
import org.apache.poi.ss.usermodel.Row;

/** Reads workbooks of the old kind (XLS); one with macros or a password is refused. */
final class OldWorkbook {

    private static final byte[] START = {(byte) 0xD0, (byte) 0xCF, 0x11, (byte) 0xE0};
    private static final String MACROS = "_VBA_PROJECT_CUR";
    private static final String ENCRYPTED = "EncryptedPackage";

    private OldWorkbook() {}

    static boolean isOne(byte[] bytes) {
        return bytes.length >= START.length && Arrays.equals(bytes, 0, START.length, START, 0, START.length);
    }

    /**
     * Reads all sheets that hold anything.
     *
     * @throws ArrivalProblem when it is none, or carries macros or a password
     */
    static List<Sheet> read(byte[] bytes) {
        try (POIFSFileSystem file = new POIFSFileSystem(new ByteArrayInputStream(bytes))) {
            if (file.getRoot().hasEntry(MACROS)) {
                throw new ArrivalProblem(
                        "The workbook carries macros, and is not opened. Save it as a workbook without macros (.xlsx), or"
                                + " as CSV.");
            }
            if (file.getRoot().hasEntry(ENCRYPTED)) {
                throw new EncryptedDocumentException("a password");
            }
            try (HSSFWorkbook workbook = new HSSFWorkbook(file)) {
                return sheets(workbook);
            }
        } catch (EncryptedDocumentException e) {
            throw new ArrivalProblem("The workbook has a password. Save it without one.");
        } catch (ArrivalProblem e) {
            throw e;
        } catch (IOException | RuntimeException e) { // the library tells broken files by many kinds of these
            throw new ArrivalProblem(Workbook.harmful(e) ? Workbook.TOO_LARGE : Workbook.BROKEN);
        }
    }

    private static List<Sheet> sheets(HSSFWorkbook workbook) {
        Workbook.Exact words = new Workbook.Exact();
        List<Sheet> sheets = new ArrayList<>();
        for (org.apache.poi.ss.usermodel.Sheet each : workbook) {
            SheetRows.one(sheets);
            SheetRows rows = new SheetRows(each.getSheetName());
            for (Row row : each) {
                rows.start(row.getRowNum());
                for (Cell cell : row) {
                    rows.cell(cell.getColumnIndex(), text(cell, words));
                }
                rows.end();
            }
            rows.into(sheets);
        }
        return sheets;
    }

    /** What stands in a cell; of a formula what it came to when the workbook was saved. */
    private static String text(Cell cell, Workbook.Exact words) {
        CellType type = cell.getCellType() == CellType.FORMULA ? cell.getCachedFormulaResultType() : cell.getCellType();
        return switch (type) {
            case NUMERIC ->
                words.formatRawCellContents(
                        cell.getNumericCellValue(),
                        cell.getCellStyle().getDataFormat(),
                        cell.getCellStyle().getDataFormatString());
            case STRING -> cell.getStringCellValue();
            case BOOLEAN -> cell.getBooleanCellValue() ? "TRUE" : "FALSE";
            default -> "";
        };
    }
}
