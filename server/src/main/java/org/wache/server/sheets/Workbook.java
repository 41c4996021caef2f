package org.wache.server.sheets;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
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
import org.wache.server.web.Refused;
import org.wache.table.Table;
import org.xml.sax.InputSource;
import org.xml.sax.SAXException;
import org.xml.sax.XMLReader;

/** Reads workbooks (XLSX) sheet by sheet as a stream of cells; a workbook that could do harm is refused. */
public final class Workbook {

    private static final long LARGEST_PART = 300L * 1024 * 1024;
    private static final int MOST_PARTS = 2_000;
    private static final int MOST_SHEETS = 60;
    private static final int DECIMALS = 9;

    static {
        ZipSecureFile.setMaxEntrySize(LARGEST_PART);
        ZipSecureFile.setMaxFileCount(MOST_PARTS);
    }

    private Workbook() {}

    /**
     * Reads all sheets that hold anything.
     *
     * @throws Refused when it is no workbook, or one with macros, or unpacks to more than a workbook of channels may
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
                throw new Refused(
                        "The workbook carries macros, and is not opened. Save it as a workbook without macros (.xlsx), or"
                                + " as CSV.");
            }
            return sheets(file);
        } catch (Stop e) {
            throw new Refused(e.getMessage());
        } catch (OpenXML4JException | IOException | SAXException | ParserConfigurationException e) {
            throw new Refused(harmful(e) ? TOO_LARGE : BROKEN);
        } catch (Refused e) {
            throw e;
        } catch (RuntimeException e) { // the library tells broken files by many kinds of these
            throw new Refused(harmful(e) ? TOO_LARGE : BROKEN);
        }
    }

    private static final String BROKEN =
            "The workbook is damaged, or is no .xlsx workbook. Open it in the spreadsheet program, and save it again as .xlsx or CSV.";
    private static final String TOO_LARGE =
            "The workbook unpacks to far more than a list of channels, as a harmful file would, and is not opened. Copy the rows"
                    + " into a new workbook, and save that.";

    private static boolean harmful(Throwable problem) {
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
            if (sheets.size() == MOST_SHEETS) {
                throw new Stop("The workbook has more than " + MOST_SHEETS
                        + " sheets. Save the ones with channels by themselves.");
            }
            try (InputStream data = each.next()) {
                Rows rows = new Rows(each.getSheetName());
                XMLReader xml = XMLHelper.newXMLReader();
                xml.setContentHandler(
                        new XSSFSheetXMLHandler(reader.getStylesTable(), null, strings, rows, new Exact(), false));
                xml.parse(new InputSource(data));
                Table table = new Table(rows.rows);
                if (!table.rows().isEmpty()) {
                    sheets.add(new Sheet(each.getSheetName(), table));
                }
            }
        }
        return sheets;
    }

    /** Ends the reading of a sheet that is larger than a table may be. */
    private static final class Stop extends RuntimeException {
        private static final long serialVersionUID = 1;

        Stop(String message) {
            super(message);
        }
    }

    /** Numbers with all of their figures, whatever the sheet shows of them; dates as year-month-day. */
    private static final class Exact extends DataFormatter {
        @Override
        public String formatRawCellContents(
                double value, int formatIndex, String formatString, boolean use1904Windowing) {
            if (DateUtil.isADateFormat(formatIndex, formatString) && DateUtil.isValidExcelDate(value)) {
                Optional<LocalDate> day = Optional.ofNullable(DateUtil.getLocalDateTime(value, use1904Windowing))
                        .map(time -> time.toLocalDate());
                return day.map(LocalDate::toString).orElse("");
            }
            // what binary fractions leave behind the ninth decimal was never typed: 146.94000000000003
            BigDecimal exact = BigDecimal.valueOf(value);
            BigDecimal rounded = exact.scale() > DECIMALS ? exact.setScale(DECIMALS, RoundingMode.HALF_UP) : exact;
            return rounded.signum() == 0 ? "0" : rounded.stripTrailingZeros().toPlainString();
        }

        @Override
        public String formatRawCellContents(double value, int formatIndex, String formatString) {
            return formatRawCellContents(value, formatIndex, formatString, false);
        }
    }

    /** Collects the cells of a sheet. */
    private static final class Rows implements XSSFSheetXMLHandler.SheetContentsHandler {
        private final String sheet;
        private final List<Table.Row> rows = new ArrayList<>();
        private List<String> cells = new ArrayList<>();

        Rows(String sheet) {
            this.sheet = sheet;
        }

        @Override
        public void startRow(int row) {
            cells = new ArrayList<>();
        }

        @Override
        public void endRow(int row) {
            if (cells.stream().allMatch(String::isBlank)) {
                return;
            }
            if (rows.size() >= Table.MOST_ROWS) {
                throw new Stop("The sheet “" + sheet + "” has more than " + Table.MOST_ROWS + " rows. Split it.");
            }
            rows.add(new Table.Row(row + 1, cells));
        }

        @Override
        public void cell(String reference, String value, XSSFComment comment) {
            int column = reference == null ? cells.size() : new CellReference(reference).getCol();
            String text = value == null ? "" : value;
            if (text.isEmpty()) {
                return;
            }
            if (column >= Table.MOST_COLUMNS) {
                throw new Stop("The sheet “" + sheet + "” has something in " + reference + ", beyond "
                        + Table.MOST_COLUMNS + " columns. Take it out.");
            }
            if (text.length() > Table.LONGEST_CELL) {
                throw new Stop("The cell " + reference + " of the sheet “" + sheet + "” holds " + text.length()
                        + " characters; a cell has up to " + Table.LONGEST_CELL + ". Shorten it.");
            }
            while (cells.size() <= column) {
                cells.add("");
            }
            cells.set(column, text);
        }

        @Override
        public void headerFooter(String text, boolean isHeader, String tagName) {
            // what is printed around a sheet is no row of it
        }
    }

    /** Whether bytes begin as a zip file, as every workbook does. */
    public static boolean isOne(byte[] bytes) {
        return bytes.length > 3 && Arrays.equals(bytes, 0, 4, new byte[] {'P', 'K', 3, 4}, 0, 4);
    }
}
