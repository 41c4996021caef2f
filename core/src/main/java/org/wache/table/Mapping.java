package org.wache.table;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wache.typed.Sketch;
import org.wache.typed.WrittenPower;

/**
 * How a table is read.
 *
 * @param heading the position of the heading row among the table's rows; empty when there is none
 * @param columns what each column is taken for
 * @param unsaid what an entry does of which no transmit frequency is said
 * @param levels what the power levels are in watts, where that is known
 */
public record Mapping(
        Optional<Integer> heading, List<Column> columns, Sketch.Unsaid unsaid, Map<WrittenPower.Level, String> levels) {

    public Mapping {
        columns = List.copyOf(columns);
        levels = Map.copyOf(levels);
    }

    /** Whether a column is taken for this. */
    public boolean has(Column.Kind kind) {
        return columns.stream().anyMatch(column -> column.kind() == kind);
    }

    /** The first column of this kind; -1 where there is none. */
    public int column(Column.Kind kind) {
        for (int i = 0; i < columns.size(); i++) {
            if (columns.get(i).kind() == kind) {
                return i;
            }
        }
        return -1;
    }

    /** The position of the first row of entries. */
    public int first() {
        return heading.map(row -> row + 1).orElse(0);
    }
}
