package org.wache.arrival;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.xml.parsers.ParserConfigurationException;
import org.apache.poi.openxml4j.exceptions.OpenXML4JException;
import org.apache.poi.openxml4j.opc.OPCPackage;
import org.apache.poi.openxml4j.util.ZipSecureFile;
import org.apache.poi.ss.usermodel.DataFormatter;
import org.apache.poi.ss.usermodel.DateUtil;
import org.apache.poi.ss.util.CellReference;
import org.apache.poi.util.XMLHelper;
import org.apache.poi.xssf.eventusermodel.ReadOnlySharedStringsTable;
import org.apache.poi.xssf.eventusermodel.XSSFReader;
import org.apache.poi.xssf.eventusermodel.XSSFSheetXMLHandler;
import org.apache.poi.xssf.usermodel.XSSFComment;
import org.apache.poi.xssf.usermodel.XSSFRelation;
import org.xml.sax.InputSource;
import org.xml.sax.SAXException;
import org.xml.sax.XMLReader;

/** Reads workbooks (XLSX) sheet by sheet as a stream of cells; a workbook that could do harm is refused. */
public final class Workbook {

    private static final long LARGEST_PART = 300L * 1024 * 1024;
    private static final int MOST_PARTS = 2_000;

    static {
        ZipSecureFile.setMaxEntrySize(LARGEST_PART);
        ZipSecureFile.setMaxFileCount(MOST_PARTS);
    }

    private Workbook() {}

    /**
     * Reads all sheets that hold anything.
     *
     * @throws ArrivalProblem when it is no workbook, or one with macros, or unpacks to more than a workbook of channels may
     */
    public static List<Sheet> read(byte[] bytes) {
        try (OPCPackage file = OPCPackage.open(new ByteArrayInputStream(bytes))) {
            boolean macros = !file.getPartsByContentType(XSSFRelation.VBA_MACROS.getContentType())
                            .isEmpty()
                    || file.getParts().stream()
                            .anyMatch(part -> part.getContentType().contains("macroEnabled")
                                    || part.getPartName()
                                            .getName()
                                            .toLowerCase(java.util.Locale.ROOT)
                                            .endsWith("vbaproject.bin"));
            if (macros) {
                throw new ArrivalProblem(
                        "The workbook carries macros, and is not opened. Save it as a workbook without macros (.xlsx), or"
                                + " as CSV.");
            }
            return sheets(file);
        } catch (OpenXML4JException | IOException | SAXException | ParserConfigurationException e) {
            throw new ArrivalProblem(harmful(e) ? TOO_LARGE : BROKEN);
        } catch (ArrivalProblem e) {
            throw e;
        } catch (RuntimeException e) { // the library tells broken files by many kinds of these
            throw new ArrivalProblem(harmful(e) ? TOO_LARGE : BROKEN);
        }
    }

    static final String BROKEN =
            "The workbook is damaged, or is none that can be read. Open it in the spreadsheet program, and save it again as .xlsx or CSV.";
    static final String TOO_LARGE =
            "The workbook unpacks to far more than a list of channels, as a harmful file would, and is not opened. Copy the rows"
                    + " into a new workbook, and save that.";

    static boolean harmful(Throwable problem) {
        for (Throwable each = problem; each != null; each = each.getCause()) {
            String message = String.valueOf(each.getMessage());
            if (message.contains("Zip bomb")
                    || message.contains("MAX_ENTRY_SIZE")
                    || message.contains("exceeds the max size")
                    || message.contains("max file count")
                    || message.contains("maximum size")
                    || message.contains("maximum length")) {
                return true;
            }
        }
        return false;
    }

    private static List<Sheet> sheets(OPCPackage file)
            throws OpenXML4JException, IOException, SAXException, ParserConfigurationException {
        XSSFReader reader = new XSSFReader(file);
        ReadOnlySharedStringsTable strings = new ReadOnlySharedStringsTable(file);
        List<Sheet> sheets = new ArrayList<>();
        XSSFReader.SheetIterator each = (XSSFReader.SheetIterator) reader.getSheetsData();
        while (each.hasNext()) {
            SheetRows.one(sheets);
            try (InputStream data = each.next()) {
                SheetRows rows = new SheetRows(each.getSheetName());
                XMLReader xml = XMLHelper.newXMLReader();
                xml.setContentHandler(new XSSFSheetXMLHandler(
                        reader.getStylesTable(), null, strings, new Cells(rows), new Exact(), false));
                xml.parse(new InputSource(data));
                rows.into(sheets);
            }
        }
        return sheets;
    }

    /** Numbers with all of their figures, whatever the sheet shows of them; dates as year-month-day. */
    static final class Exact extends DataFormatter {
        @Override
        public String formatRawCellContents(
                double value, int formatIndex, String formatString, boolean use1904Windowing) {
            if (DateUtil.isADateFormat(formatIndex, formatString) && DateUtil.isValidExcelDate(value)) {
                Optional<LocalDate> day = Optional.ofNullable(DateUtil.getLocalDateTime(value, use1904Windowing))
                        .map(time -> time.toLocalDate());
                return day.map(LocalDate::toString).orElse("");
            }
            return SheetRows.figures(value);
        }

        @Override
        public String formatRawCellContents(double value, int formatIndex, String formatString) {
            return formatRawCellContents(value, formatIndex, formatString, false);
        }
    }

    /** Hands the cells of a sheet on. */
    private record Cells(SheetRows rows) implements XSSFSheetXMLHandler.SheetContentsHandler {

        @Override
        public void startRow(int row) {
            rows.start(row);
        }

        @Override
        public void endRow(int row) {
            rows.end();
        }

        @Override
        public void cell(String reference, String value, XSSFComment comment) {
            rows.cell(reference == null ? rows.width() : new CellReference(reference).getCol(), value);
        }

        @Override
        public void headerFooter(String text, boolean isHeader, String tagName) {
            // what is printed around a sheet is no row of it
        }
    }
}
