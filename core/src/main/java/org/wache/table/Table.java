package org.wache.table;

import java.util.List;

/**
 * Cells as somebody typed them.
 *
 * @param rows the rows that hold anything, from top to bottom
 */
public record Table(List<Row> rows) {

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
      return String.join(" ", cells.stream().map(String::strip).filter(cell -> !cell.isEmpty()).toList());
    }
  }

  public Table {
    rows = rows.stream().filter(row -> row.filled() > 0).toList();
  }

  /** How many columns the widest row has. */
  public int width() {
    return rows.stream().mapToInt(row -> row.cells().size()).max().orElse(0);
  }
}
