package org.wache.exchange;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;

/** The heading row of a list as a table: which column holds which field. */
public final class ListHeader {

    private static final int NAMED = 4;
    private static final int LONG = 20;

    private static final Field[] FIELDS = Field.values();

    private final int[] fieldOf;
    private final int[] extraOf;
    private final List<String> extras;

    private ListHeader(int[] fieldOf, int[] extraOf, List<String> extras) {
        this.fieldOf = fieldOf;
        this.extraOf = extraOf;
        this.extras = List.copyOf(extras);
    }

    /** Whether these are the headings of a list: rx_mhz is among them. */
    public static boolean isOne(List<String> headings) {
        return headings.stream().anyMatch(heading -> Field.ofColumn(heading)
                .filter(field -> field == Field.RX_MHZ)
                .isPresent());
    }

    /**
     * Reads the headings.
     *
     * @throws FileProblem without rx_mhz, or with one of the known columns twice
     */
    public static ListHeader of(List<String> headings, long line) {
        int[] fieldOf = new int[headings.size()];
        int[] extraOf = new int[headings.size()];
        Set<Field> seen = EnumSet.noneOf(Field.class);
        List<String> extras = new ArrayList<>();
        for (int i = 0; i < fieldOf.length; i++) {
            Optional<Field> field = Field.ofColumn(headings.get(i));
            if (field.isPresent() && !seen.add(field.get())) {
                throw new FileProblem(line, i + 1L, "the column " + field.get().column() + " stands twice; keep one");
            }
            fieldOf[i] = field.map(Field::ordinal).orElse(-1);
            extraOf[i] = field.isPresent() ? -1 : extras.size();
            if (field.isEmpty()) {
                ListLimits.oneMoreColumn(extras.size(), headings.get(i), line, i + 1L);
                extras.add(Formula.restored(headings.get(i)));
            }
        }
        if (!seen.contains(Field.RX_MHZ)) {
            throw new FileProblem(
                    line,
                    1,
                    "no column rx_mhz; expected a header row such as number,name,rx_mhz,tx_mhz,mode,power_w. Another table, such as this one with "
                            + some(headings)
                            + ", is read in the browser, column by column: bring it in under Lists, and export it from there");
        }
        return new ListHeader(fieldOf, extraOf, extras);
    }

    private static String some(List<String> headings) {
        String shown = String.join(
                ", ",
                headings.stream()
                        .limit(NAMED)
                        .map(heading -> heading.length() > LONG ? heading.substring(0, LONG) + "…" : heading)
                        .toList());
        return "the headings “" + shown + (headings.size() > NAMED ? ", …" : "") + "”";
    }

    /** The headings that Wache does not know but keeps. */
    public List<String> extras() {
        return extras;
    }

    /**
     * The entry of a row.
     *
     * @throws FileProblem when it has more cells than there are headings
     */
    public Channel channel(List<String> cells, long line) {
        int count = cells.size();
        if (count > fieldOf.length) {
            throw new FileProblem(
                    line,
                    fieldOf.length + 1L,
                    "the row has " + count + " fields and the header " + fieldOf.length
                            + "; put text with a separator (or a decimal comma) in quotes");
        }
        String[] texts = new String[FIELDS.length];
        Arrays.fill(texts, "");
        String[] more = new String[extras.size()];
        Arrays.fill(more, "");
        for (int i = 0; i < count; i++) {
            String text = Formula.restored(cells.get(i));
            if (text.length() > ListLimits.TEXT) {
                ListLimits.text(text, "the text", line, i + 1L);
            }
            if (fieldOf[i] >= 0) {
                texts[fieldOf[i]] = text;
            } else {
                more[extraOf[i]] = text;
            }
        }
        return Channel.ofTexts(texts, more.length == 0 ? List.of() : List.of(more));
    }

    /**
     * A list as rows of cells, the headings first: the known columns, some only where they are used, then the further ones.
     * What a spreadsheet would run as a formula is made harmless; {@link #channel} takes that back.
     */
    public static List<List<String>> rows(ChannelList list) {
        List<Field> fields = new ArrayList<>(Arrays.asList(FIELDS));
        fields.removeIf(field -> field.whereUsed()
                && list.channels().stream()
                        .allMatch(channel -> channel.text(field).isEmpty()));
        List<List<String>> rows = new ArrayList<>();
        List<String> head = new ArrayList<>(fields.stream().map(Field::column).toList());
        list.extraColumns().forEach(column -> head.add(Formula.harmless(column)));
        rows.add(head);
        for (Channel channel : list.channels()) {
            List<String> row = new ArrayList<>(head.size());
            fields.forEach(field -> row.add(Formula.harmless(channel.text(field))));
            for (int i = 0; i < list.extraColumns().size(); i++) {
                row.add(
                        i < channel.extras().size()
                                ? Formula.harmless(channel.extras().get(i))
                                : "");
            }
            rows.add(row);
        }
        return rows;
    }
}
