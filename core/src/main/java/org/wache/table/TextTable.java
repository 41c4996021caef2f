package org.wache.table;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/** Tables in text: cells parted by tabs, semicolons, commas, bars, or runs of spaces. */
public final class TextTable {

    private static final char[] SEPARATORS = {'\t', ';', '|', ','};
    private static final int SAMPLE = 200;
    private static final double AGREE = 0.6;
    private static final int LONGEST_QUOTE = 20;
    /** Blank lines count too. */
    private static final int MOST_LINES = 5 * Table.MOST_ROWS;

    private static final int LONGEST_LINE = Table.MOST_COLUMNS * Table.LONGEST_CELL / 10;
    private static final Pattern LINES = Pattern.compile("\r\n|\r|\n");
    private static final Pattern RUN_OF_SPACES = Pattern.compile(" {2,}|\t+");

    private TextTable() {}

    /**
     * Reads text as a table. Where the lines do not agree on a separator, each line is one cell.
     *
     * @throws TableProblem when it is larger than a table may be
     */
    public static Table read(String text) {
        if (text.chars()
                        .filter(c -> c == '\n' || c == '\r')
                        .limit(MOST_LINES + 1L)
                        .count()
                > MOST_LINES) {
            throw new TableProblem("The text has more than " + MOST_LINES + " lines. Bring it in in parts.");
        }
        List<String> lines = LINES.splitAsStream(text).toList();
        for (int i = 0; i < lines.size(); i++) {
            if (lines.get(i).length() > LONGEST_LINE) {
                throw new TableProblem("Line " + (i + 1) + " has more than " + LONGEST_LINE
                        + " characters: that is no table of entries. Look whether it is the right file.");
            }
        }
        List<String> sample = joined(lines).stream()
                .filter(line -> !line.isBlank())
                .limit(SAMPLE)
                .toList();
        char best = 0;
        double most = 0;
        for (char separator : SEPARATORS) {
            double share = agreement(sample, separator);
            if (share > most) {
                most = share;
                best = separator;
            }
        }
        if (most >= AGREE) {
            return separated(text, lines, best);
        }
        boolean columns = sample.size() > 1
                && sample.stream()
                                .filter(line ->
                                        RUN_OF_SPACES.matcher(line.strip()).find())
                                .count()
                        >= AGREE * sample.size();
        List<Integer> starts = columns ? starts(lines) : List.of();
        List<Table.Row> rows = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            add(
                    rows,
                    i + 1,
                    starts.size() > 1
                            ? cut(lines.get(i), starts)
                            : columns ? List.of(RUN_OF_SPACES.split(lines.get(i).strip())) : List.of(lines.get(i)));
        }
        return new Table(rows);
    }

    /** Lines put together where a quote runs over their end; all as they are where quotes do not match. */
    private static List<String> joined(List<String> lines) {
        List<String> joined = new ArrayList<>();
        StringBuilder open = new StringBuilder();
        int within = 0;
        for (String line : lines) {
            open.append(open.isEmpty() ? "" : " ").append(line);
            boolean even = open.chars().filter(c -> c == '"').count() % 2 == 0;
            if (!even && ++within > LONGEST_QUOTE) {
                return lines;
            }
            if (even) {
                joined.add(open.toString());
                open.setLength(0);
                within = 0;
            }
        }
        return open.isEmpty() ? joined : lines;
    }

    /** Where columns begin in text that is set in columns: after a gap, and where no line has anything just before. */
    private static List<Integer> starts(List<String> lines) {
        List<String> filled = lines.stream()
                .filter(line -> RUN_OF_SPACES.matcher(line.strip()).find())
                .limit(SAMPLE)
                .toList();
        java.util.SortedSet<Integer> starts = new java.util.TreeSet<>();
        for (String line : filled) {
            for (int i = 0; i < line.length(); i++) {
                boolean begins = line.charAt(i) != ' '
                        && (i < 2 ? line.substring(0, i).isBlank() : line.startsWith("  ", i - 2));
                if (begins) {
                    starts.add(i);
                }
            }
        }
        starts.removeIf(start ->
                start > 0 && filled.stream().anyMatch(line -> line.length() >= start && line.charAt(start - 1) != ' '));
        return List.copyOf(starts);
    }

    private static List<String> cut(String line, List<Integer> starts) {
        boolean outOfLine = starts.stream()
                .anyMatch(start -> start > 0
                        && start < line.length()
                        && line.charAt(start - 1) != ' '
                        && line.charAt(start) != ' ');
        if (outOfLine) { // a word would be cut in two
            return List.of(RUN_OF_SPACES.split(line.strip()));
        }
        List<String> cells = new ArrayList<>();
        for (int i = 0; i < starts.size(); i++) {
            int from = i == 0 ? 0 : starts.get(i);
            int to = i + 1 < starts.size() ? starts.get(i + 1) : line.length();
            cells.add(
                    from >= line.length()
                            ? ""
                            : line.substring(from, Math.min(Math.max(from, to), line.length()))
                                    .strip());
        }
        return cells;
    }

    /** The share of lines that have this separator as often as most of them, weighed by how often that is. */
    private static double agreement(List<String> lines, char separator) {
        java.util.Map<Long, Integer> counts = new java.util.HashMap<>();
        for (String line : lines) {
            long count = count(line, separator);
            if (count > 0) {
                counts.merge(count, 1, Integer::sum);
            }
        }
        int with = counts.values().stream().mapToInt(Integer::intValue).sum();
        boolean tableMark =
                separator != ',' || counts.keySet().stream().anyMatch(count -> count > 1) || decimalFree(lines);
        return lines.isEmpty() || !tableMark ? 0 : (double) with / lines.size();
    }

    /** A lone comma in each line may be decimal, 146,94, unless there are decimal points too. */
    private static boolean decimalFree(List<String> lines) {
        return lines.stream().noneMatch(line -> line.matches(".*[0-9],[0-9].*") && !line.matches(".*[0-9]\\.[0-9].*"));
    }

    private static long count(String line, char separator) {
        long count = 0;
        boolean quoted = false;
        for (int i = 0; i < line.length(); i++) {
            char c = line.charAt(i);
            quoted ^= c == '"';
            count += !quoted && c == separator ? 1 : 0;
        }
        return count;
    }

    private static Table separated(String text, List<String> lines, char separator) {
        List<Table.Row> rows = new ArrayList<>();
        try (CsvReader<CsvRecord> reader = CsvReader.builder()
                .fieldSeparator(separator)
                .allowExtraFields(true)
                .allowMissingFields(true)
                .skipEmptyLines(true)
                .ofCsvRecord(text)) {
            for (CsvRecord each : reader) {
                if (each.getFields().stream()
                        .anyMatch(cell -> cell.indexOf('\n') >= 0 && cell.indexOf(separator) >= 0)) {
                    return unquoted(lines, separator); // a quote that was never meant as one has swallowed lines
                }
                add(rows, (int) each.getStartingLineNumber(), each.getFields());
            }
            return new Table(rows);
        } catch (CsvParseException e) {
            return unquoted(lines, separator);
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e); // a string is never interrupted
        }
    }

    /** Quotes taken as they stand: nothing is lost where they do not match. */
    private static Table unquoted(List<String> lines, char separator) {
        List<Table.Row> rows = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            add(rows, i + 1, List.of(lines.get(i).split(Pattern.quote(String.valueOf(separator)), -1)));
        }
        return new Table(rows);
    }

    private static void add(List<Table.Row> rows, int line, List<String> cells) {
        if (cells.size() > Table.MOST_COLUMNS) {
            throw new TableProblem("Line " + line + " has " + cells.size() + " columns; a table has up to "
                    + Table.MOST_COLUMNS + ". Take out what is not about channels.");
        }
        for (int i = 0; i < cells.size(); i++) {
            if (cells.get(i).length() > Table.LONGEST_CELL) {
                throw new TableProblem("Line " + line + ", column " + (i + 1) + " holds "
                        + cells.get(i).length() + " characters; a cell has up to " + Table.LONGEST_CELL
                        + ". Shorten it.");
            }
        }
        if (rows.size() >= Table.MOST_ROWS) {
            throw new TableProblem("The table has more than " + Table.MOST_ROWS + " rows. Split it.");
        }
        rows.add(new Table.Row(line, cells));
    }
}
