package org.wache.exchange;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.StringWriter;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;

/** Lists as CSV (RFC 4180, UTF-8), with a header row; separator comma, semicolon or tab. */
public final class CsvLists {

    private static final char[] SEPARATORS = {',', ';', '\t'};

    private CsvLists() {}

    /**
     * Reads a list of which nothing is kept.
     *
     * @throws FileProblem when it is not a table with a column rx_mhz
     */
    public static ChannelList read(byte[] bytes, String name) {
        return read(bytes, name, ListLimits.READ_ONLY);
    }

    /**
     * Reads a list, row by row: what is over a limit is told where it stands, before more is kept.
     *
     * @throws FileProblem when it is not a table with a column rx_mhz, or larger than it may be
     */
    public static ChannelList read(byte[] bytes, String name, ListLimits limits) {
        String text = Utf8.decode(bytes);
        long open = openQuote(text, separator(text));
        if (open > 0) { // the parser would take the rest of the file for one field
            throw new FileProblem(open, 1, "a quote is opened and never closed; close it, or double it inside a field");
        }
        try (CsvReader<CsvRecord> reader = CsvReader.builder()
                .fieldSeparator(separator(text))
                .allowExtraFields(true)
                .allowMissingFields(true)
                .ofCsvRecord(text)) {
            return read(reader.iterator(), name, limits);
        } catch (CsvParseException e) {
            throw new FileProblem(lineOf(e), 1, "not a CSV table: a quoted field is not closed, or has text behind it");
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e); // a string is never interrupted
        }
    }

    /** The line on which a quoted field starts that does not end, or 0. */
    private static long openQuote(String text, char separator) {
        long line = 1;
        long opened = 0;
        boolean fieldStart = true;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            line += c == '\n' ? 1 : 0;
            if (opened > 0) {
                boolean doubled = c == '"' && i + 1 < text.length() && text.charAt(i + 1) == '"';
                i += doubled ? 1 : 0;
                opened = c == '"' && !doubled ? 0 : opened;
            } else if (c == '"' && fieldStart) {
                opened = line;
            }
            fieldStart = opened == 0 && (c == separator || c == '\n' || c == '\r');
        }
        return opened;
    }

    private static long lineOf(CsvParseException e) {
        java.util.regex.Matcher digits =
                java.util.regex.Pattern.compile("line[s]? (\\d+)").matcher(String.valueOf(e.getMessage()));
        return digits.find() ? Long.parseLong(digits.group(1)) : 1;
    }

    /** The separator that stands most often in the header row, outside quotes. */
    static char separator(String text) {
        int[] counts = new int[SEPARATORS.length];
        boolean quoted = false;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c == '"') {
                quoted = !quoted;
            } else if (!quoted && (c == '\n' || c == '\r')) {
                break;
            } else if (!quoted) {
                for (int j = 0; j < SEPARATORS.length; j++) {
                    counts[j] += c == SEPARATORS[j] ? 1 : 0;
                }
            }
        }
        int best = 0;
        for (int j = 1; j < SEPARATORS.length; j++) {
            best = counts[j] > counts[best] ? j : best;
        }
        return SEPARATORS[best];
    }

    private static ChannelList read(Iterator<CsvRecord> rows, String name, ListLimits limits) {
        if (!rows.hasNext()) {
            throw new FileProblem(1, 1, "the file is empty; expected a header row with at least rx_mhz");
        }
        CsvRecord head = rows.next();
        ListHeader header = ListHeader.of(head.getFields(), head.getStartingLineNumber());
        List<Channel> channels = new ArrayList<>();
        while (rows.hasNext()) {
            CsvRecord row = rows.next();
            limits.oneMore(channels.size(), row.getStartingLineNumber(), 1);
            channels.add(header.channel(row.getFields(), row.getStartingLineNumber()));
        }
        return new ChannelList(name, header.extras(), channels);
    }

    /** Writes a list: the known columns in their order, then the list's further ones; zone only where one is used. */
    public static String write(ChannelList list) {
        StringWriter out = new StringWriter();
        CsvWriter writer = CsvWriter.builder().build(out);
        ListHeader.rows(list).forEach(writer::writeRecord);
        flush(writer);
        return out.toString();
    }

    private static void flush(CsvWriter writer) {
        try {
            writer.flush();
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e); // a string is always writable
        }
    }
}
