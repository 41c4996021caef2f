package org.wache.server.sheets;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellStyle;
import org.apache.poi.ss.usermodel.Font;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.ss.util.WorkbookUtil;
import org.apache.poi.xssf.streaming.SXSSFWorkbook;
import org.wache.channel.ChannelList;
import org.wache.exchange.ListHeader;

/**
 * Writes a list as a workbook. Every cell is text: a spreadsheet neither runs nor rounds what stands in it, and a list
 * that is read back is the same.
 */
public final class ListWorkbook {

    private static final int ROWS_IN_MEMORY = 200;
    private static final int WIDTH = 256 * 13;

    private ListWorkbook() {}

    /** The bytes of an .xlsx file with one sheet. */
    public static byte[] write(ChannelList list) {
        return write(list.name().isBlank() ? "List" : list.name(), ListHeader.rows(list));
    }

    /** The same of any rows, the first of which has the headings. */
    public static byte[] write(String name, List<List<String>> rows) {
        try (SXSSFWorkbook book = new SXSSFWorkbook(ROWS_IN_MEMORY);
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            Sheet sheet = book.createSheet(WorkbookUtil.createSafeSheetName(name));
            CellStyle text = book.createCellStyle();
            text.setDataFormat(book.createDataFormat().getFormat("@"));
            CellStyle heading = book.createCellStyle();
            heading.cloneStyleFrom(text);
            Font bold = book.createFont();
            bold.setBold(true);
            heading.setFont(bold);
            for (int i = 0; i < rows.size(); i++) {
                Row row = sheet.createRow(i);
                for (int j = 0; j < rows.get(i).size(); j++) {
                    Cell cell = row.createCell(j);
                    cell.setCellStyle(i == 0 ? heading : text);
                    cell.setCellValue(rows.get(i).get(j));
                }
            }
            for (int j = 0; j < rows.get(0).size(); j++) {
                sheet.setColumnWidth(j, WIDTH);
            }
            sheet.createFreezePane(0, 1);
            book.write(out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e); // memory is always writable
        }
    }
}
