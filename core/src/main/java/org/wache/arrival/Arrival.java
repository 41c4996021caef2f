package org.wache.arrival;

import java.util.List;
import java.util.Optional;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.exchange.CsvLists;
import org.wache.exchange.FileProblem;
import org.wache.exchange.JsonLists;
import org.wache.exchange.ListHeader;
import org.wache.exchange.ListLimits;
import org.wache.table.TextTable;

/**
 * A file as it came: a list in one of Wache's own formats, or tables that have to be read.
 *
 * @param list the list, when it is one
 * @param sheets the tables; empty for a list
 */
public record Arrival(Optional<ChannelList> list, List<Sheet> sheets) {

    /** How every workbook of today begins. */
    private static final byte[] ZIP = {'P', 'K', 3, 4};

    /**
     * Reads a file by what is in it, not by its name.
     *
     * @throws ArrivalProblem when it is neither, with what to do
     * @throws FileProblem when it is a list in Wache's own format with a fault in it
     */
    public static Arrival read(byte[] bytes, String name, String encoding) {
        if (bytes.length == 0) {
            throw new ArrivalProblem("The file is empty.");
        }
        if (OldWorkbook.isOne(bytes)) {
            return workbook(OldWorkbook.read(bytes), name);
        }
        if (begins(bytes, "%PDF".getBytes(java.nio.charset.StandardCharsets.US_ASCII))) {
            throw new ArrivalProblem("A PDF has no columns to read. Copy its lines, and paste them here.");
        }
        if (begins(bytes, ZIP)) {
            String open = OpenSheets.kind(bytes);
            return workbook(open.isEmpty() ? Workbook.read(bytes) : OpenSheets.read(bytes, open), name);
        }
        String text = TextBytes.decode(bytes, encoding);
        String start = text.stripLeading();
        if (start.startsWith("{") || start.startsWith("[")) {
            return new Arrival(Optional.of(JsonLists.read(bytes, name, ListLimits.KEPT)), List.of());
        }
        if (start.isEmpty()) {
            throw new ArrivalProblem("There is nothing in it but blanks.");
        }
        if (PageTables.isOne(text)) {
            return new Arrival(Optional.empty(), PageTables.read(text));
        }
        List<Sheet> sheets = List.of(new Sheet("", TextTable.read(text).unfolded()));
        return new Arrival(own(text, sheets.get(0), name), sheets);
    }

    /** The sheet with the most rows. */
    public Sheet largest() {
        Sheet best = sheets.get(0);
        for (Sheet each : sheets) {
            best = each.table().rows().size() > best.table().rows().size() ? each : best;
        }
        return best;
    }

    private static boolean begins(byte[] bytes, byte[] with) {
        return bytes.length >= with.length && java.util.Arrays.equals(bytes, 0, with.length, with, 0, with.length);
    }

    private static Arrival workbook(List<Sheet> read, String name) {
        List<Sheet> sheets = read.stream()
                .map(sheet -> new Sheet(sheet.name(), sheet.table().unfolded()))
                .toList();
        if (sheets.isEmpty()) {
            throw new ArrivalProblem("There is nothing in any sheet of the workbook.");
        }
        return new Arrival(own(sheets.get(0), name), sheets);
    }

    /** Text with the headings of a list is taken word for word, if all of it can be. */
    private static Optional<ChannelList> own(String text, Sheet sheet, String name) {
        if (sheet.table().rows().isEmpty()
                || !ListHeader.isOne(sheet.table().rows().get(0).cells())) {
            return Optional.empty();
        }
        try {
            return Optional.of(
                    CsvLists.read(text.getBytes(java.nio.charset.StandardCharsets.UTF_8), name, ListLimits.KEPT));
        } catch (FileProblem e) {
            return Optional.empty(); // then as any table: what cannot be read is kept aside
        }
    }

    private static Optional<ChannelList> own(Sheet sheet, String name) {
        List<org.wache.table.Table.Row> rows = sheet.table().rows();
        if (!ListHeader.isOne(rows.get(0).cells())) {
            return Optional.empty();
        }
        try {
            ListHeader header = ListHeader.of(rows.get(0).cells(), rows.get(0).line());
            List<Channel> channels = rows.stream()
                    .skip(1)
                    .map(row -> header.channel(row.cells(), row.line()))
                    .toList();
            return Optional.of(new ChannelList(name, header.extras(), channels));
        } catch (FileProblem e) {
            return Optional.empty();
        }
    }
}
