package org.wache.table;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.wache.channel.Field;
import org.wache.rulebook.ToneTable;
import org.wache.signal.Tone;
import org.wache.typed.Plain;
import org.wache.typed.Said;
import org.wache.typed.Sketch;
import org.wache.typed.WrittenTone;

/**
 * The tones of a table in which one column says which of the others are in use. Columns that are not in use hold whatever
 * the program fills in, such as 88.5 or 023: that is never taken for an entry's tone.
 */
final class RowTones {

    /** The tone that most programs put where none is chosen. Common practice, no source. */
    private static final Pattern FILLED_IN = Pattern.compile("88[.,]50*");

    private static final int SEVERAL = 3;

    private final Table table;
    private final Mapping mapping;
    private final ToneTable tones;
    private final boolean codeSaysSides;
    /** For each column what stands in it most often. */
    private final Map<Integer, String> usual = new HashMap<>();
    /** For each column what stands in it where no tone is in use. */
    private final Map<Integer, Set<String>> unused = new HashMap<>();
    /** The columns that have the same in each of several rows. */
    private final Set<Integer> alike = new HashSet<>();

    RowTones(Table table, Mapping mapping, ToneTable tones) {
        this.table = table;
        this.mapping = mapping;
        this.tones = tones;
        this.codeSaysSides =
                kinds().anyMatch(kind -> kind.sent() == ToneKind.Side.CODE && kind.heard() == ToneKind.Side.CODE);
        for (int column = 0; column < mapping.columns().size(); column++) {
            if (mapping.columns().get(column).kind().tone()) {
                usual.put(column, mostOften(column));
                unused.put(column, new HashSet<>());
                if (sameInEveryRow(column)) {
                    alike.add(column);
                }
            }
        }
        int use = mapping.column(Column.Kind.TONE_USE);
        if (use >= 0) {
            table.rows().stream()
                    .skip(mapping.first())
                    .filter(row -> row.cell(use).isEmpty()
                            || ToneKind.read(row.cell(use)).equals(Optional.of(ToneKind.OFF)))
                    .forEach(row -> unused.forEach((column, cells) -> cells.add(row.cell(column))));
        }
    }

    private java.util.stream.Stream<ToneKind> kinds() {
        int use = mapping.column(Column.Kind.TONE_USE);
        return use < 0
                ? java.util.stream.Stream.empty()
                : table.rows().stream().skip(mapping.first()).flatMap(row -> ToneKind.read(row.cell(use)).stream());
    }

    private String mostOften(int column) {
        Map<String, Integer> counts = new HashMap<>();
        table.rows().stream()
                .skip(mapping.first())
                .map(row -> row.cell(column))
                .filter(cell -> !cell.isEmpty())
                .forEach(cell -> counts.merge(cell, 1, Integer::sum));
        return counts.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .map(Map.Entry::getKey)
                .orElse("");
    }

    /** Whether a column says which of the tones are in use. */
    boolean govern() {
        return mapping.has(Column.Kind.TONE_USE);
    }

    private boolean sameInEveryRow(int column) {
        List<Table.Row> rows = table.rows().stream().skip(mapping.first()).toList();
        String first = rows.isEmpty() ? "" : rows.get(0).cell(column);
        return rows.size() >= SEVERAL
                && rows.stream().allMatch(row -> row.cell(column).equals(first));
    }

    /** Whether a column has the same in each of several rows: then a program filled it in, and nobody chose it. */
    boolean alikeInEveryRow(int column) {
        return alike.contains(column);
    }

    /** Adds the tones that a row says are in use. */
    void into(Sketch sketch, Table.Row row) {
        String use = row.cell(mapping.column(Column.Kind.TONE_USE));
        if (use.isEmpty()) {
            withoutKind(sketch, row);
            return;
        }
        Optional<ToneKind> read = ToneKind.read(use);
        if (read.isEmpty()) {
            sketch.unread(Field.TX_TONE, use);
            return;
        }
        ToneKind kind = codeSaysSides ? read.get() : read.get().codeOnBothSides();
        if (kind.sent() == ToneKind.Side.EITHER) {
            kind = parted(row).orElse(kind);
        }
        Map<Column.Kind, String> cells = cells(row);
        Optional<Tone> sent = sent(kind, cells, row);
        Optional<Tone> heard = heard(kind, cells, row);
        sent.ifPresent(sketch::sends);
        heard.ifPresent(sketch::opensOn);
        boolean missing = kind.sent() != ToneKind.Side.NOTHING && kind.sent() != ToneKind.Side.EITHER && sent.isEmpty()
                || kind.heard() != ToneKind.Side.NOTHING && kind.heard() != ToneKind.Side.EITHER && heard.isEmpty();
        if (missing) {
            sketch.note(Said.doubtful(
                    sent.isEmpty() ? Field.TX_TONE : Field.RX_TONE,
                    "no tone",
                    "“" + use + "” is said, and no column beside it has one that can be read"));
        }
    }

    /** Nothing is said of the tones: what stands in them is what the program fills in, or nobody knows. */
    private void withoutKind(Sketch sketch, Table.Row row) {
        List<String> left = new ArrayList<>();
        usual.forEach((column, often) -> {
            String cell = row.cell(column);
            Column.Kind kind = mapping.columns().get(column).kind();
            if (kind.tone()
                    && kind != Column.Kind.POLARITY
                    && !cell.isEmpty()
                    && !cell.equals(often)
                    && WrittenTone.read(cell, tones).flatMap(WrittenTone::tone).isPresent()) {
                left.add(cell);
            }
        });
        if (!left.isEmpty()) {
            sketch.note(Said.doubtful(
                    Field.TX_TONE,
                    "no tone",
                    "“" + String.join("”, “", left)
                            + "” stands there, and the column of kinds says that none is in use"));
        }
    }

    /** One tone is for both sides, and what stands in the other column is what the program fills in. */
    private boolean squelchSpeaksForBoth(Table.Row row) {
        String use = Plain.of(row.cell(mapping.column(Column.Kind.TONE_USE)));
        return filledIn(row, Column.Kind.TONE_SENT) && !filledIn(row, Column.Kind.TONE_HEARD)
                || use.matches("tsql|.*squelch|.*sql|ct") && !sentSpeaksForBoth(row);
    }

    private boolean sentSpeaksForBoth(Table.Row row) {
        return filledIn(row, Column.Kind.TONE_HEARD) && !filledIn(row, Column.Kind.TONE_SENT);
    }

    /** Whether a cell holds what the program fills in: what stands there where no kind of tone is said, or the usual default. */
    private boolean filledIn(Table.Row row, Column.Kind kind) {
        int column = mapping.column(kind);
        if (column < 0 || row.cell(column).isEmpty()) {
            return true;
        }
        String cell = row.cell(column);
        return FILLED_IN.matcher(cell).matches() || unused.get(column).contains(cell);
    }

    private Optional<ToneKind> parted(Table.Row row) {
        int column = mapping.column(Column.Kind.TONE_PARTS);
        return column < 0 ? Optional.empty() : ToneKind.read(row.cell(column));
    }

    private Map<Column.Kind, String> cells(Table.Row row) {
        Map<Column.Kind, String> cells = new EnumMap<>(Column.Kind.class);
        for (int i = 0; i < mapping.columns().size(); i++) {
            Column.Kind kind = mapping.columns().get(i).kind();
            if (kind.tone() && !row.cell(i).isEmpty()) {
                cells.putIfAbsent(kind, row.cell(i));
            }
        }
        return cells;
    }

    private Optional<Tone> sent(ToneKind kind, Map<Column.Kind, String> cells, Table.Row row) {
        return switch (kind.sent()) {
            case NOTHING -> Optional.empty();
            case TONE ->
                kind.alike() && squelchSpeaksForBoth(row)
                        ? continuous(cells, Column.Kind.TONE_HEARD, Column.Kind.TONE_SENT, Column.Kind.TONE)
                        : continuous(cells, Column.Kind.TONE_SENT, Column.Kind.TONE, Column.Kind.TONE_HEARD);
            case CODE -> code(cells, 0, Column.Kind.CODE, Column.Kind.TONE_SENT, Column.Kind.TONE);
            case EITHER -> any(cells, 0, Column.Kind.TONE_SENT, Column.Kind.TONE, Column.Kind.CODE);
        };
    }

    private Optional<Tone> heard(ToneKind kind, Map<Column.Kind, String> cells, Table.Row row) {
        return switch (kind.heard()) {
            case NOTHING -> Optional.empty();
            case TONE ->
                kind.alike() && sentSpeaksForBoth(row)
                        ? continuous(cells, Column.Kind.TONE_SENT, Column.Kind.TONE, Column.Kind.TONE_HEARD)
                        : continuous(cells, Column.Kind.TONE_HEARD, Column.Kind.TONE, Column.Kind.TONE_SENT);
            case CODE ->
                kind.alike()
                        ? code(cells, 1, Column.Kind.CODE, Column.Kind.TONE_HEARD, Column.Kind.TONE)
                        : code(cells, 1, Column.Kind.CODE_HEARD, Column.Kind.TONE_HEARD, Column.Kind.CODE);
            case EITHER -> any(cells, 1, Column.Kind.TONE_HEARD, Column.Kind.CODE_HEARD);
        };
    }

    private Optional<Tone> continuous(Map<Column.Kind, String> cells, Column.Kind... wanted) {
        for (Column.Kind kind : wanted) {
            Optional<Tone> tone = read(cells.get(kind)).filter(each -> !(each instanceof Tone.Dcs));
            if (tone.isPresent()) {
                return tone;
            }
        }
        return Optional.empty();
    }

    private Optional<Tone> code(Map<Column.Kind, String> cells, int side, Column.Kind... wanted) {
        for (Column.Kind kind : wanted) {
            String cell = cells.getOrDefault(kind, "");
            String plain = Plain.of(cell);
            boolean bare = plain.matches("[0-7]{1,3}");
            boolean own = kind == Column.Kind.CODE || kind == Column.Kind.CODE_HEARD;
            Optional<Tone> tone = read(bare && (own || plain.length() == 3) ? "D" + plain : cell)
                    .filter(Tone.Dcs.class::isInstance);
            if (tone.isPresent()) {
                return tone.map(each -> withPolarity((Tone.Dcs) each, cells, side));
            }
        }
        return Optional.empty();
    }

    private Optional<Tone> any(Map<Column.Kind, String> cells, int side, Column.Kind... wanted) {
        for (Column.Kind kind : wanted) {
            boolean code = kind == Column.Kind.CODE || kind == Column.Kind.CODE_HEARD;
            Optional<Tone> tone = code ? code(cells, side, kind) : read(cells.get(kind));
            if (tone.isPresent()) {
                return tone;
            }
        }
        return Optional.empty();
    }

    /** NN, NR, RN, RR, or one word for both sides: R and I are inverted. */
    private static Tone withPolarity(Tone.Dcs code, Map<Column.Kind, String> cells, int side) {
        String letters = Plain.of(cells.getOrDefault(Column.Kind.POLARITY, "")).replaceAll("[^a-z]", "");
        if (letters.isEmpty()) {
            return code;
        }
        boolean pair = letters.matches("[nri]{2}");
        char letter = letters.charAt(pair ? side : 0);
        return letter == 'r' || letter == 'i' ? new Tone.Dcs(code.code(), true) : code;
    }

    private Optional<Tone> read(String cell) {
        return cell == null || cell.isEmpty()
                ? Optional.empty()
                : WrittenTone.read(cell, tones).flatMap(WrittenTone::tone);
    }
}
