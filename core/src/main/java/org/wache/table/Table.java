package org.wache.table;

import java.util.ArrayList;
import java.util.List;

/**
 * Cells as somebody typed them.
 *
 * @param rows the rows that hold anything, from top to bottom
 */
public record Table(List<Row> rows) {

    private static final int HEADING_WITHIN = 20;
    /** The most rows that a table may have. */
    public static final int MOST_ROWS = 20_500;
    /** The most columns that a table may have. */
    public static final int MOST_COLUMNS = 200;
    /** The longest text that a cell may hold. */
    public static final int LONGEST_CELL = 2_000;

    /**
     * A row.
     *
     * @param line where it stands, from 1
     * @param cells its texts; may be fewer than the table has columns
     */
    public record Row(int line, List<String> cells) {

        public Row {
            cells = List.copyOf(cells);
        }

        /** The text in a column, trimmed; empty where the row is shorter. */
        public String cell(int column) {
            return column < cells.size() ? cells.get(column).strip() : "";
        }

        /** How many of its cells hold something. */
        public long filled() {
            return cells.stream().filter(cell -> !cell.isBlank()).count();
        }

        /** All of it on one line. */
        public String text() {
            return String.join(
                    " ",
                    cells.stream()
                            .map(String::strip)
                            .filter(cell -> !cell.isEmpty())
                            .toList());
        }
    }

    public Table {
        rows = rows.stream().filter(row -> row.filled() > 0).toList();
    }

    /**
     * With tables that stand side by side under the same headings put under each other; a blank column may stand between.
     * The same table where that is not so.
     */
    public Table unfolded() {
        for (int i = 0; i < Math.min(HEADING_WITHIN, rows.size()); i++) {
            List<String> headings =
                    rows.get(i).cells().stream().map(String::strip).toList();
            for (int width = 2; width <= headings.size() / 2; width++) {
                int stride = repeated(headings, width);
                if (stride > 0) {
                    return stacked(i, width, stride);
                }
            }
        }
        return this;
    }

    /** How far apart blocks of so many headings repeat over the whole row; 0 when they do not. */
    private static int repeated(List<String> headings, int width) {
        List<String> block = headings.subList(0, width);
        boolean telling = block.stream().noneMatch(String::isEmpty)
                && block.stream().distinct().count() == width
                && block.stream().anyMatch(Headings::isOne);
        for (int stride = width; telling && stride <= width + 1; stride++) {
            int at = stride;
            boolean all = true;
            while (all && at < headings.size()) {
                List<String> next = headings.subList(at, Math.min(at + width, headings.size()));
                boolean blank = next.stream().allMatch(String::isEmpty);
                boolean parted = stride == width || headings.get(at - 1).isEmpty();
                all = parted && (blank || next.equals(block));
                at += stride;
            }
            if (all && stride + width <= headings.size()) {
                return stride;
            }
        }
        return 0;
    }

    private Table stacked(int heading, int width, int stride) {
        List<Row> stacked = new ArrayList<>(rows.subList(0, heading));
        stacked.add(new Row(rows.get(heading).line(), rows.get(heading).cells().subList(0, width)));
        for (int from = 0; from < rows.get(heading).cells().size(); from += stride) {
            for (Row row : rows.subList(heading + 1, rows.size())) {
                int start = Math.min(from, row.cells().size());
                boolean last = from + stride >= rows.get(heading).cells().size();
                int end = last
                        ? row.cells().size()
                        : Math.min(from + stride, row.cells().size()); // what stands beyond is kept too
                stacked.add(new Row(row.line(), row.cells().subList(start, end)));
            }
        }
        return new Table(stacked);
    }

    /** How many columns the widest row has. */
    public int width() {
        return rows.stream().mapToInt(row -> row.cells().size()).max().orElse(0);
    }
}
