package org.wache.arrival;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.wache.table.Table;

/** The tables of a page that was saved, or copied as HTML. Nothing that the page names is fetched or run. */
final class PageTables {

    private static final Pattern PAGE = Pattern.compile(
            "^\\s*<(!doctype html|html|head|body|table|div|meta|section|!--)", Pattern.CASE_INSENSITIVE);

    private static final long MOST_CELLS = 2_000_000;

    private PageTables() {}

    /** Whether a text is a page with a table in it. */
    static boolean isOne(String text) {
        return PAGE.matcher(text).find() && text.toLowerCase(Locale.ROOT).contains("<table");
    }

    /** Its tables with more than one row, each as a sheet named by its caption or its place. */
    static List<Sheet> read(String text) {
        List<Sheet> sheets = new ArrayList<>();
        for (Element table : Jsoup.parse(text).select("table")) {
            String caption = table.select("> caption").text();
            String name = caption.isBlank() ? "Table " + (sheets.size() + 1) : caption;
            SheetRows rows = new SheetRows(name);
            rows(table, rows);
            if (rows.count() > 1) {
                SheetRows.one(sheets);
                rows.into(sheets);
            }
        }
        if (sheets.isEmpty()) {
            throw new ArrivalProblem("The page has no table with rows in it. Copy the rows, and paste them here.");
        }
        return sheets;
    }

    private static void rows(Element table, SheetRows rows) {
        List<Element> lines = table.select("> tr, > thead > tr, > tbody > tr, > tfoot > tr");
        List<Map<Integer, String>> grid = new ArrayList<>();
        lines.forEach(line -> grid.add(new TreeMap<>()));
        long filled = 0;
        for (int i = 0; i < lines.size(); i++) {
            int column = 0;
            for (Element cell : lines.get(i).select("> td, > th")) {
                while (grid.get(i).containsKey(column)) {
                    column++; // a cell above reaches down to here
                }
                int wide = span(cell, "colspan", Table.MOST_COLUMNS);
                int tall = span(cell, "rowspan", lines.size() - i);
                filled += (long) wide * tall;
                if (filled > MOST_CELLS) {
                    throw new ArrivalProblem("The page has a table of more than " + MOST_CELLS
                            + " cells. Copy the rows that are meant, and paste them here.");
                }
                String text = cell.text();
                for (int down = 0; down < tall; down++) {
                    for (int right = 0; right < wide; right++) {
                        grid.get(i + down).putIfAbsent(column + right, right == 0 ? text : "");
                    }
                }
                column += wide;
            }
            rows.start(i);
            grid.get(i).forEach(rows::cell);
            grid.get(i).clear();
            rows.end();
        }
    }

    private static int span(Element cell, String attribute, int most) {
        String given = cell.attr(attribute).strip();
        return given.matches("[0-9]{1,4}") ? Math.max(1, Math.min(Integer.parseInt(given), most)) : 1;
    }
}
