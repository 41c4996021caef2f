package org.wache.server.prints;

import java.util.List;
import java.util.stream.IntStream;

/**
 * A paper of one or more tables, each under a heading of its own, with a last word.
 *
 * @param title of the whole
 * @param lead what stands under it, a line each
 * @param tables in order
 * @param last the last word; empty for none
 */
public record TableSheet(String title, List<String> lead, List<Table> tables, String last) {

    /**
     * A table.
     *
     * @param heading over it; empty for none
     * @param columns with their headings
     * @param rows texts, as many in each as there are columns
     */
    public record Table(String heading, List<Column> columns, List<List<String>> rows) {}

    /** What a column holds, and so how it is set. */
    public enum Kind {
        WORDS,
        FIGURES,
        NAME
    }

    /** A column: its heading, its part of the whole width in percent, what it holds. */
    public record Column(String heading, float width, Kind kind) {

        /** A column of running text. */
        public static Column words(String heading, float width) {
            return new Column(heading, width, Kind.WORDS);
        }

        /** A column of figures, all of one width. */
        public static Column figures(String heading, float width) {
            return new Column(heading, width, Kind.FIGURES);
        }

        /** The column that says what a row is about. */
        public static Column name(String heading, float width) {
            return new Column(heading, width, Kind.NAME);
        }
    }

    /** The bytes of the PDF. */
    public byte[] write(PaperSize size, boolean lying, String foot) {
        return Paper.of(size, lying, title, foot)
                .write(
                        "tables",
                        new Told(
                                title,
                                lead,
                                tables.stream().map(TableSheet::told).toList(),
                                last));
    }

    private record Told(String title, List<String> lead, List<ToldTable> tables, String last) {}

    private record ToldTable(String heading, List<ToldColumn> columns, List<List<ToldCell>> rows) {}

    private record ToldColumn(String heading, String style, String width) {}

    private record ToldCell(String text, String style) {}

    private static ToldTable told(Table table) {
        List<String> styles =
                table.columns().stream().map(each -> style(each.kind())).toList();
        return new ToldTable(
                table.heading(),
                table.columns().stream()
                        .map(each -> new ToldColumn(each.heading(), style(each.kind()), each.width() + "%"))
                        .toList(),
                table.rows().stream()
                        .map(row -> IntStream.range(0, row.size())
                                .mapToObj(i -> new ToldCell(row.get(i), styles.get(i)))
                                .toList())
                        .toList());
    }

    private static String style(Kind kind) {
        return switch (kind) {
            case WORDS -> "words";
            case FIGURES -> "figures";
            case NAME -> "name";
        };
    }
}
