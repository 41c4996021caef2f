package org.wache.arrival;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import org.apache.poi.ss.util.CellReference;
import org.wache.table.Table;

/** Collects the cells of a sheet as they come, within what a table may hold. */
final class SheetRows {

    private static final int MOST_SHEETS = 60;
    private static final int DECIMALS = 9;

    private final String sheet;
    private final List<Table.Row> rows = new ArrayList<>();
    private List<String> cells = new ArrayList<>();
    private int row;

    SheetRows(String sheet) {
        this.sheet = sheet;
    }

    /** @throws ArrivalProblem when there are as many sheets as a workbook may have */
    static void one(List<Sheet> sheets) {
        if (sheets.size() == MOST_SHEETS) {
            throw new ArrivalProblem("The workbook has more than " + MOST_SHEETS
                    + " sheets. Save the ones with channels by themselves.");
        }
    }

    /** A number with all of its figures but what binary fractions leave behind the ninth decimal: 146.94000000000003. */
    static String figures(double value) {
        BigDecimal exact = BigDecimal.valueOf(value);
        BigDecimal rounded = exact.scale() > DECIMALS ? exact.setScale(DECIMALS, RoundingMode.HALF_UP) : exact;
        return rounded.signum() == 0 ? "0" : rounded.stripTrailingZeros().toPlainString();
    }

    /** A row begins, counted from 0. */
    void start(int at) {
        row = at;
        cells = new ArrayList<>();
    }

    /** How many cells the row has so far. */
    int width() {
        return cells.size();
    }

    /** A cell of the row, its column counted from 0. */
    void cell(int column, String text) {
        if (text == null || text.isEmpty()) {
            return;
        }
        if (column >= Table.MOST_COLUMNS) {
            throw new ArrivalProblem("The sheet “" + sheet + "” has something in " + named(column) + ", beyond "
                    + Table.MOST_COLUMNS + " columns. Take it out.");
        }
        if (text.length() > Table.LONGEST_CELL) {
            throw new ArrivalProblem("The cell " + named(column) + " of the sheet “" + sheet + "” holds "
                    + text.length() + " characters; a cell has up to " + Table.LONGEST_CELL + ". Shorten it.");
        }
        while (cells.size() <= column) {
            cells.add("");
        }
        cells.set(column, text);
    }

    private String named(int column) {
        return new CellReference(row, column).formatAsString();
    }

    /** The row ends. */
    void end() {
        if (cells.stream().allMatch(String::isBlank)) {
            return;
        }
        if (rows.size() >= Table.MOST_ROWS) {
            throw new ArrivalProblem("The sheet “" + sheet + "” has more than " + Table.MOST_ROWS + " rows. Split it.");
        }
        rows.add(new Table.Row(row + 1, cells));
    }

    /** How many rows hold anything so far. */
    int count() {
        return rows.size();
    }

    /** The sheet ends: it is one of them, when it holds anything. */
    void into(List<Sheet> sheets) {
        Table table = new Table(rows);
        if (!table.rows().isEmpty()) {
            sheets.add(new Sheet(sheet, table));
        }
    }
}
