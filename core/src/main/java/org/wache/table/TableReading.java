package org.wache.table;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.wache.audit.context.HouseRules;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.rulebook.AuthorisedService;
import org.wache.rulebook.Edition;
import org.wache.rulebook.Service;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;
import org.wache.signal.Tone;
import org.wache.typed.AddLine;
import org.wache.typed.Plain;
import org.wache.typed.Said;
import org.wache.typed.Shift;
import org.wache.typed.Sketch;
import org.wache.typed.Understood;
import org.wache.typed.WrittenFrequency;
import org.wache.typed.WrittenMode;
import org.wache.typed.WrittenPower;
import org.wache.typed.WrittenTone;

/**
 * A table read row by row into entries. No row is lost: what is no entry is kept aside with the reason.
 *
 * @param extraColumns headings of the columns that are kept as they are
 * @param rows every row of the table but the headings, in order; what was taken for headings and may be none is among them
 */
public record TableReading(List<String> extraColumns, List<RowReading> rows) {

    private static final Set<String> SILENT = Set.of(
            "0",
            "0.0",
            "0.00",
            "0.000",
            "0.0000",
            "0.00000",
            "0.000000",
            "none",
            "rx only",
            "rx-only",
            "rxonly",
            "receive only",
            "listen",
            "listen only",
            "monitor",
            "n/a",
            "na",
            "off",
            "no",
            "-",
            "--",
            "---",
            "no tx",
            "inhibit",
            "disabled");
    private static final Set<String> SPLIT = Set.of("split", "odd", "odd split", "separate", "tx", "transmit");
    /** No service's pairs are further apart than these hertz below 1 GHz. */
    private static final long LARGER_THAN_OFFSETS = 60_000_000;

    private static final Set<String> REPEATER =
            Set.of("repeater", "rpt", "rptr", "r", "duplex", "repeater pair", "semi-duplex");
    private static final Set<String> LISTEN = Set.of(
            "listen", "listen only", "monitor", "rx only", "rx", "receive only", "receive", "scan only", "rx-only");
    private static final Set<String> DIRECT = Set.of("direct", "simplex", "s", "talkaround", "simp", "sx");
    private static final Set<String> YES = Set.of("y", "yes", "x", "1", "true", "on", "+", "\u2713", "add", "ja");
    private static final Set<String> NO = Set.of("n", "no", "0", "false", "off", "skip", "nein");
    /** Words in a note that say that one may not talk there. Common practice, no source. */
    private static final Pattern LISTENS = Pattern.compile(
            "\\b(listen(ing)? only|only listen(ing)?|receive only|rx[- ]?only|rxo|monitor(ing)? only|only monitor|do not (transmit|tx|key|talk)"
                    + "|don't (transmit|tx|key|talk)|no (tx|transmit|transmitting|talking)|never (transmit|key|talk)|scan only)\\b"
                    + "|^(rx|listen|monitor)[.!]?$");

    /**
     * What became of a row.
     *
     * @param line its line, from 1
     * @param cells its texts
     * @param entry the entry it makes; empty when it is kept aside
     * @param said what was understood, worked out or taken
     * @param aside why it is kept aside
     */
    public record RowReading(
            int line, List<String> cells, Optional<Channel> entry, List<Said> said, Optional<String> aside) {

        /** Whether it is kept aside, and nothing in it looks as if it were meant for an entry. */
        public boolean isRemark() {
            return aside.isPresent()
                    && cells.stream()
                            .noneMatch(cell -> cell.matches("(?s).*[0-9]{2,}[.,][0-9].*|[^0-9]*[0-9]{3,}[^0-9]*"));
        }
    }

    /** Reads a table. */
    public static TableReading of(Table table, Mapping mapping, Edition edition, HouseRules house) {
        return new Reader(table, mapping, edition, house).read();
    }

    /**
     * The same for a list whose carriers are known: where each frequency stands in somebody's licence (dispatch, business)
     * and none of them has such a licence, an entry listens, and says so.
     *
     * @param held the services that a carrier has a licence of
     */
    public TableReading carriedBy(Set<String> held, Edition edition) {
        return new TableReading(
                extraColumns,
                rows.stream().map(row -> carriedBy(row, held, edition)).toList());
    }

    private static RowReading carriedBy(RowReading row, Set<String> held, Edition edition) {
        Optional<List<Service>> whose = row.entry()
                .flatMap(entry -> Frequency.ofMegahertz(entry.text(Field.TX_MHZ)))
                .map(edition::ashoreAt)
                .filter(services -> !services.isEmpty()
                        && services.stream()
                                .allMatch(each -> each instanceof AuthorisedService && !held.contains(each.id())));
        if (whose.isEmpty()) {
            return row;
        }
        List<Said> said = new ArrayList<>(row.said());
        said.removeIf(each -> each.field() == Field.TX_MHZ || each.field() == Field.TX_TONE);
        said.add(Said.doubtful(
                Field.TX_MHZ,
                "listens only",
                "of those who carry the list nobody has a licence for "
                        + whose.get().get(0).inText() + ", so “"
                        + row.entry().get().text(Field.TX_MHZ) + "” is not taken"));
        return new RowReading(
                row.line(),
                row.cells(),
                row.entry().map(entry -> entry.with(Map.of(Field.TX_MHZ, "", Field.TX_TONE, ""))),
                List.copyOf(said),
                row.aside());
    }

    static boolean isUse(String cell) {
        String plain = Plain.of(cell);
        return REPEATER.contains(plain) || LISTEN.contains(plain) || DIRECT.contains(plain);
    }

    static boolean isYesOrNo(String cell) {
        return YES.contains(Plain.of(cell)) || NO.contains(Plain.of(cell));
    }

    static boolean isYes(String cell) {
        return YES.contains(Plain.of(cell));
    }

    static boolean isToneUse(String cell) {
        return ToneKind.read(cell).isPresent();
    }

    /** The rows that became entries, as a list. */
    public ChannelList list(String name) {
        return new ChannelList(
                name,
                extraColumns,
                rows.stream().flatMap(row -> row.entry().stream()).toList());
    }

    /** How many rows became entries. */
    public long entries() {
        return rows.stream().filter(row -> row.entry().isPresent()).count();
    }

    /** The rows kept aside. */
    public List<RowReading> aside() {
        return rows.stream().filter(row -> row.aside().isPresent()).toList();
    }

    /** Reads one table. */
    private static final class Reader {
        private final Table table;
        private final Mapping mapping;
        private final Edition edition;
        private final HouseRules house;
        private final List<Integer> kept = new ArrayList<>();
        private final List<String> extraColumns = new ArrayList<>();
        /** What short texts that stand in many rows were read as. */
        private final Map<String, Optional<WrittenTone>> tones = new HashMap<>();

        private final Map<String, Optional<WrittenMode>> modes = new HashMap<>();
        private final Map<String, Optional<WrittenPower>> powers = new HashMap<>();
        private final Map<String, Optional<Shift>> shifts = new HashMap<>();
        private final RowTones tonesByKind;
        /** The columns that say the mode by a letter. */
        private final Set<Integer> letters = new HashSet<>();

        private int numbered;

        Reader(Table table, Mapping mapping, Edition edition, HouseRules house) {
            this.table = table;
            this.mapping = mapping;
            this.edition = edition;
            this.house = house;
            this.tonesByKind = new RowTones(table, mapping, edition.tones());
            for (int i = 0; i < mapping.columns().size(); i++) {
                Column.Kind kind = mapping.columns().get(i).kind();
                if (kind == Column.Kind.KEEP || kind == Column.Kind.PLACE || kind == Column.Kind.STEP) {
                    kept.add(i);
                    extraColumns.add(freeHeading(heading(i)));
                }
                int column = i;
                if (kind == Column.Kind.MODE
                        && FormMode.areLetters(
                                heading(i),
                                table.rows().stream()
                                        .skip(mapping.first())
                                        .map(row -> row.cell(column))
                                        .toList())) {
                    letters.add(i);
                }
            }
        }

        private String heading(int column) {
            String given = mapping.heading()
                    .map(row -> table.rows().get(row).cell(column))
                    .orElse("");
            return given.isBlank() ? "column " + (column + 1) : given;
        }

        /** A heading that no column of the list has yet. */
        private String freeHeading(String heading) {
            String free = heading;
            for (int i = 2;
                    Field.ofColumn(free).isPresent() || Field.ofKey(free).isPresent() || extraColumns.contains(free);
                    i++) {
                free = heading + " " + i;
            }
            return free;
        }

        TableReading read() {
            List<RowReading> rows = new ArrayList<>();
            List<String> headings =
                    mapping.heading().map(row -> table.rows().get(row).cells()).orElse(List.of());
            for (int i = 0; i < table.rows().size(); i++) {
                Table.Row row = table.rows().get(i);
                if (mapping.heading().isPresent() && i < mapping.heading().get()) {
                    rows.add(aside(row, "It stands above the headings."));
                } else if (mapping.heading().isEmpty() || i > mapping.heading().get()) {
                    rows.add(row.cells().equals(headings) ? aside(row, "The headings stand here again.") : row(row));
                } else if (!Headings.areSurely(headings)) {
                    rows.add(aside(row, "Taken for the headings of the columns."));
                }
            }
            return new TableReading(List.copyOf(extraColumns), List.copyOf(rows));
        }

        private static RowReading aside(Table.Row row, String why) {
            return new RowReading(row.line(), row.cells(), Optional.empty(), List.of(), Optional.of(why));
        }

        /** A number with a decimal comma in a table parted by commas falls into two cells, and the row gets longer than its headings. */
        private boolean splitByDecimalCommas(Table.Row row) {
            int headings = mapping.heading()
                    .map(at -> table.rows().get(at).cells().size())
                    .orElse(Integer.MAX_VALUE);
            List<String> beyond = row.cells().stream()
                    .skip(headings)
                    .map(String::strip)
                    .filter(cell -> !cell.isEmpty())
                    .toList();
            return !beyond.isEmpty() && beyond.stream().allMatch(cell -> cell.matches("[0-9]{1,6}"));
        }

        private RowReading row(Table.Row row) {
            if (splitByDecimalCommas(row)) {
                return aside(
                        row,
                        "It has more cells than the table has headings. A number with a decimal comma has to stand in quotes, or"
                                + " the cells be parted by semicolons.");
            }
            Sketch sketch = new Sketch().filledInByProgram();
            Map<Field, String> joined = new HashMap<>();
            String letter = digitalLetter(row).orElse("");
            for (int i = 0; i < mapping.columns().size(); i++) {
                String cell = row.cell(i);
                if (!cell.isEmpty()) {
                    Optional<String> problem = cell(sketch, mapping.columns().get(i), i, cell, joined, letter);
                    if (problem.isPresent()) {
                        return aside(row, problem.get());
                    }
                }
            }
            if (tonesByKind.govern()) {
                tonesByKind.into(sketch, row);
            }
            digitalByLetter(sketch, row);
            withoutDirection(sketch, row);
            asNoted(sketch, joined);
            Optional.ofNullable(joined.remove(Field.NAME)).ifPresent(sketch::otherwiseCalled);
            joined.forEach(sketch::text);
            if (sketch.receive().isEmpty()) {
                return aside(
                        row,
                        row.filled() == 1
                                ? "A heading or a remark: no frequency in it."
                                : "No frequency in it to hear on.");
            }
            if (!sketch.has(Field.NUMBER) && !mapping.has(Column.Kind.NUMBER)) {
                sketch.text(Field.NUMBER, String.valueOf(++numbered));
            }
            Understood understood = sketch.settle(edition, house, mapping.unsaid());
            if (understood.problem().isPresent()) {
                return aside(row, understood.problem().get());
            }
            List<String> extras = kept.stream().map(row::cell).toList();
            return new RowReading(
                    row.line(),
                    row.cells(),
                    Optional.of(Channel.of(understood.fields(), extras)),
                    understood.said(),
                    Optional.empty());
        }

        /** A size beside an empty column of directions is what the radio keeps for when one is chosen. */
        private void withoutDirection(Sketch sketch, Table.Row row) {
            List<Integer> shifts = IntStream.range(0, mapping.columns().size())
                    .filter(i -> mapping.columns().get(i).kind() == Column.Kind.SHIFT)
                    .boxed()
                    .toList();
            boolean sizeOnly = sketch.shift()
                    .filter(shift -> !shift.direct() && shift.sign() == 0)
                    .isPresent();
            if (shifts.size() > 1
                    && sizeOnly
                    && shifts.stream().anyMatch(i -> row.cell(i).isEmpty())) {
                sketch.shifted(new Shift(true, 0, Optional.empty()))
                        .note(Said.because(Field.TX_MHZ, "no offset", "no direction is given, only a size"));
            }
        }

        /** The cell of a row that says by a letter that it is digital. */
        private Optional<String> digitalLetter(Table.Row row) {
            return IntStream.range(0, mapping.columns().size())
                    .filter(letters::contains)
                    .mapToObj(row::cell)
                    .filter(FormMode::isDigital)
                    .map(cell -> cell.strip().toUpperCase(java.util.Locale.ROOT))
                    .findFirst();
        }

        /** Digital alone is no mode; with a network access code it is the one that has such codes. */
        private void digitalByLetter(Sketch sketch, Table.Row row) {
            digitalLetter(row).ifPresent(letter -> {
                if (letter.equals("D") && sketch.has(Field.ACCESS_CODE)) {
                    WrittenMode.read("P25").ifPresent(sketch::mode);
                    sketch.note(Said.because(Field.MODE, "P25", "“D” with a network access code"));
                } else {
                    sketch.unread(Field.MODE, letter);
                }
            });
        }

        private Optional<String> cell(
                Sketch sketch, Column column, int index, String cell, Map<Field, String> joined, String letter) {
            boolean coded =
                    column.kind() == Column.Kind.ACCESS_CODE || column.kind().tone();
            if (coded && letter.equals("M") && FormMode.isAccessCode(cell)) { // no mode that an entry can have has it
                String told = heading(index) + " " + cell;
                joined.merge(Field.NOTE, told, (one, other) -> one + " · " + other);
                sketch.note(
                        Said.doubtful(Field.NOTE, told, "a network access code of a mixed channel, kept in the note"));
                return Optional.empty();
            }
            switch (column.kind()) {
                case NUMBER -> sketch.text(Field.NUMBER, cell.replaceFirst("^#|\\.$", ""));
                case NAME -> sketch.text(Field.NAME, cell);
                case PLACE -> joined.putIfAbsent(Field.NAME, cell); // the first of them, where there is no name
                case SERVICE -> sketch.text(Field.SERVICE, service(cell));
                case SCAN ->
                    sketch.text(
                            Field.SCAN,
                            YES.contains(Plain.of(cell)) ? "yes" : NO.contains(Plain.of(cell)) ? "no" : cell);
                case NARROW, WIDE ->
                    sketch.mode(new WrittenMode(
                            Optional.empty(),
                            Optional.of(YES.contains(Plain.of(cell)) == (column.kind() == Column.Kind.NARROW)),
                            Optional.empty(),
                            false));
                case TIMEOUT -> timeout(sketch, cell);
                case NOTE -> joined.merge(Field.NOTE, cell, (one, other) -> one + " · " + other);
                case RECEIVE -> {
                    return receive(sketch, column, index, cell);
                }
                case TRANSMIT -> transmit(sketch, column, cell);
                case SHIFT -> {
                    return shift(sketch, column, index, cell);
                }
                case CHANNEL -> {
                    return channel(sketch, index, cell);
                }
                case LINE -> {
                    return AddLine.into(sketch, cell, edition);
                }
                case TONE, TONE_SENT, TONE_HEARD -> {
                    if (tonesByKind.govern()) {
                        return Optional.empty(); // which of them count, one column says for all
                    }
                    if (letter.equals("D") && FormMode.isAccessCode(cell)) {
                        digital(sketch, Column.Kind.ACCESS_CODE, cell);
                    } else if (Plain.of(cell)
                            .matches("cc\\s*[0-9]{1,2}")) { // a colour code tells digital radios apart, and is no tone
                        joined.merge(Field.NOTE, cell, (one, other) -> one + " · " + other);
                        sketch.note(Said.doubtful(
                                Field.NOTE, cell, "a colour code of digital radio, kept in the note; it is no tone"));
                    } else {
                        boolean octal = Headings.isDigital(heading(index))
                                && cell.strip().matches("[0-7]{1,3}");
                        tone(sketch, column.kind(), octal ? "D" + cell.strip() : cell);
                    }
                }
                case CODE, CODE_HEARD -> {
                    if (!tonesByKind.govern() && tonesByKind.alikeInEveryRow(index)) {
                        sketch.note(Said.doubtful(
                                Field.TX_TONE,
                                "no code",
                                "“" + cell + "” stands in every row under " + heading(index)
                                        + ", as a program fills it in; choose “Tone” for the column if it is meant"));
                    } else if (!tonesByKind.govern()) {
                        one(
                                sketch,
                                column.kind() == Column.Kind.CODE_HEARD
                                        ? Column.Kind.TONE_HEARD
                                        : mapping.has(Column.Kind.CODE_HEARD)
                                                ? Column.Kind.TONE_SENT
                                                : Column.Kind.TONE,
                                cell.matches("[0-7]{1,3}[nirNIR]?") ? "D" + cell : cell);
                    }
                }
                case SKIP -> sketch.text(Field.SCAN, NO.contains(Plain.of(cell)) ? "yes" : "no");
                case COLOUR_CODE, TIME_SLOT, TALK_GROUP, ACCESS_CODE -> digital(sketch, column.kind(), cell);
                case CONTACT -> sketch.text(Field.CONTACT, cell);
                case RECEIVE_GROUP -> sketch.text(Field.RECEIVE_GROUP, cell);
                case MODE -> {
                    if (!letters.contains(index) || !FormMode.isOne(cell)) { // letters are read with the whole row
                        modes.computeIfAbsent(cell, WrittenMode::read)
                                .ifPresentOrElse(sketch::mode, () -> sketch.unread(Field.MODE, cell));
                    }
                }
                case ZONE -> sketch.text(Field.ZONE, cell);
                case POWER -> power(sketch, cell);
                case USE -> use(sketch, cell);
                default -> {} // kept in a column of its own, or left out
            }
            return Optional.empty();
        }

        /** A note that says so makes an entry listen. */
        private static void asNoted(Sketch sketch, Map<Field, String> joined) {
            String note = joined.getOrDefault(Field.NOTE, "");
            if (LISTENS.matcher(Plain.of(note)).find()) {
                sketch.listens().note(Said.because(Field.TX_MHZ, "never talks", "the note says so: “" + note + "”"));
            }
        }

        private static void digital(Sketch sketch, Column.Kind kind, String cell) {
            String figures = Plain.of(cell)
                    .replaceFirst("^(cc|ts|slot|tg|nac|ran|0x|\\$)\\s*", "")
                    .replaceFirst("h$", "");
            if (figures.matches("-+|none|n/a|off")) {
                return;
            }
            switch (kind) {
                case COLOUR_CODE -> sketch.text(Field.COLOUR_CODE, figures).impliedBySetting(Mode.DMR);
                case TIME_SLOT -> sketch.text(Field.TIME_SLOT, figures).impliedBySetting(Mode.DMR);
                case TALK_GROUP -> sketch.text(Field.TALK_GROUP, figures).impliedBySetting(Mode.DMR);
                default -> sketch.text(Field.ACCESS_CODE, figures.toUpperCase(java.util.Locale.ROOT));
            }
        }

        private String service(String cell) {
            String plain = Plain.of(cell);
            return edition.services().stream()
                    .filter(each -> each.id().equals(plain) || each.title().equalsIgnoreCase(cell))
                    .map(each -> each.id())
                    .findFirst()
                    .orElse(
                            plain.matches("ham|amateur radio|ar")
                                    ? edition.plan().service()
                                    : plain);
        }

        private static void timeout(Sketch sketch, String cell) {
            java.util.regex.Matcher time = java.util.regex.Pattern.compile(
                            "([0-9]{1,4})\\s*(s|sec|secs|seconds|m|min|minutes)?")
                    .matcher(Plain.of(cell));
            if (Set.of("off", "none", "no").contains(Plain.of(cell))) {
                sketch.text(Field.TIMEOUT_S, "0");
            } else if (time.matches()) {
                boolean minutes = time.group(2) != null && time.group(2).startsWith("m");
                sketch.text(Field.TIMEOUT_S, String.valueOf(Integer.parseInt(time.group(1)) * (minutes ? 60 : 1)));
            } else {
                sketch.unread(Field.TIMEOUT_S, cell);
            }
        }

        private Optional<String> receive(Sketch sketch, Column column, int index, String cell) {
            Optional<WrittenFrequency> read = WrittenFrequency.read(cell, column.unit());
            if (read.isEmpty()) {
                return AddLine.into(sketch, cell, edition)
                        .map(problem -> "“" + cell + "” under " + heading(index) + " is no frequency.");
            }
            sketch.hears(read.get().frequency());
            boolean counted = read.get().unit() != org.wache.typed.Unit.MEGAHERTZ
                    && !read.get().said();
            if (counted) {
                sketch.note(Said.because(
                        Field.RX_MHZ,
                        "hears " + read.get().frequency(),
                        "“" + cell + "” counted in " + read.get().unit().symbol()));
            }
            return Optional.empty();
        }

        private void transmit(Sketch sketch, Column column, String cell) {
            String plain = Plain.of(cell);
            Optional<FormMode.WithWidth> withWidth =
                    FormMode.isFrequencyWithWidth(cell) ? FormMode.withWidth(cell) : Optional.empty();
            if (withWidth.isPresent()) {
                WrittenMode.read(withWidth.get().width()).ifPresent(sketch::mode);
                transmit(sketch, column, withWidth.get().frequency());
                return;
            }
            Optional<Shift> shift = Shift.read(cell, Optional.empty());
            Optional<WrittenFrequency> read = WrittenFrequency.read(cell, column.unit());
            if (SILENT.contains(plain)) {
                sketch.listens();
            } else if (shift.isPresent() && (read.isEmpty() || isShort(plain))) {
                sketch.shifted(shift.get());
            } else if (read.isPresent()) {
                sketch.talksOn(read.get().frequency());
            } else {
                sketch.unread(Field.TX_MHZ, cell);
            }
        }

        /** 0.6 or 5.00 where a transmit frequency should stand is an offset. */
        private static boolean isShort(String plain) {
            return plain.matches("0?[.,][0-9]+|[0-9]([.,][0-9]{1,2}0*)?");
        }

        private Optional<String> shift(Sketch sketch, Column column, int index, String cell) {
            if (inPlaceOfSize(sketch, column, cell)) {
                return Optional.empty();
            }
            String plain = Plain.of(cell);
            Optional<Shift> read = shifts.computeIfAbsent(index + " " + cell, any -> Shift.read(cell, column.unit()));
            if (read.isEmpty() && SPLIT.contains(plain)) {
                return Optional.empty(); // the transmit column says where, or the size is no size
            }
            if (LISTEN.contains(plain) || plain.equals("off") && beside(Column.Kind.SHIFT, index)) {
                sketch.listens();
                if (plain.equals("off")) {
                    sketch.note(Said.because(
                            Field.TX_MHZ,
                            "never talks",
                            "“off” under " + heading(index) + " switches transmitting off"));
                }
                return Optional.empty();
            }
            if (read.isEmpty()) {
                Optional<WrittenFrequency> input = WrittenFrequency.read(cell, column.unit());
                return input.isEmpty()
                        ? Optional.of("“" + cell + "” under " + heading(index) + " is no offset.")
                        : Optional.empty();
            }
            if (plain.equals("off")) {
                sketch.note(Said.doubtful(
                        Field.TX_MHZ, "no offset", "“off” may mean that it never transmits: look whether it does"));
            }
            Optional<Shift> both =
                    sketch.shift().isEmpty() ? read : sketch.shift().get().and(read.get());
            if (both.isEmpty()) {
                return Optional.of(
                        "“" + cell + "” under " + heading(index) + " contradicts the other column of the offset.");
            }
            sketch.shifted(both.get());
            return Optional.empty();
        }

        private boolean beside(Column.Kind kind, int index) {
            return IntStream.range(0, mapping.columns().size())
                    .anyMatch(i -> i != index && mapping.columns().get(i).kind() == kind);
        }

        /** A frequency where the size of an offset should stand is where it talks. */
        private boolean inPlaceOfSize(Sketch sketch, Column column, String cell) {
            boolean whole = cell.strip().matches("[0-9]{2,4}[.,][0-9]{2,6}( ?[mM][hH][zZ])?");
            Optional<WrittenFrequency> read = whole
                            && column.unit()
                                    .filter(unit -> unit != org.wache.typed.Unit.MEGAHERTZ)
                                    .isEmpty()
                    ? WrittenFrequency.read(cell, Optional.of(org.wache.typed.Unit.MEGAHERTZ))
                    : Optional.empty();
            Optional<WrittenFrequency> found =
                    read.filter(each -> each.frequency().hertz() >= LARGER_THAN_OFFSETS
                            && edition.plausible().contains(each.frequency()));
            found.ifPresent(each -> sketch.talksOn(each.frequency())
                    .note(Said.because(
                            Field.TX_MHZ,
                            "talks on " + each.frequency(),
                            "“" + cell + "” is no offset but a frequency")));
            return found.isPresent();
        }

        private Optional<String> channel(Sketch sketch, int index, String cell) {
            String service =
                    Plain.of(heading(index)).replaceAll("[^a-z ]", " ").strip().split(" ")[0];
            boolean named = edition.service(service).isPresent()
                    || edition.listening().called(service).isPresent();
            boolean bare = cell.matches("[0-9]{1,2}[a-zA-Z]?|[rR](pt|PT)?[0-9]{1,2}");
            boolean alone = edition.services().stream()
                            .filter(each -> Plain.of(heading(index)).contains(each.id()))
                            .count()
                    > 1;
            return AddLine.into(sketch, named && bare && !alone ? service + " " + cell : cell, edition)
                    .map(problem -> "“" + cell + "” under " + heading(index) + " is no channel.");
        }

        private void tone(Sketch sketch, Column.Kind kind, String cell) {
            int slash = cell.indexOf('/');
            if (kind == Column.Kind.TONE && slash > 0 && !Plain.of(cell).equals("n/a")) {
                one(sketch, Column.Kind.TONE_SENT, cell.substring(0, slash).strip());
                one(sketch, Column.Kind.TONE_HEARD, cell.substring(slash + 1).strip());
            } else {
                one(sketch, kind, cell);
            }
        }

        private void one(Sketch sketch, Column.Kind kind, String cell) {
            Optional<WrittenTone> read = tones.computeIfAbsent(cell, text -> WrittenTone.read(text, edition.tones()));
            Field field = kind == Column.Kind.TONE_HEARD ? Field.RX_TONE : Field.TX_TONE;
            boolean burst = field == Field.RX_TONE
                    && read.flatMap(WrittenTone::tone)
                            .filter(Tone.Burst.class::isInstance)
                            .isPresent();
            if (read.isEmpty() || burst) {
                sketch.unread(field, cell);
                return;
            }
            read.get()
                    .code()
                    .ifPresent(code -> sketch.note(Said.because(
                            field,
                            "tone " + read.get().tone().get().text(),
                            "code " + code + " is " + read.get().tone().get().text() + " Hz")));
            read.get().tone().ifPresent(tone -> {
                switch (kind) {
                    case TONE_SENT -> sketch.sends(tone);
                    case TONE_HEARD -> sketch.opensOn(tone);
                    default -> sketch.tone(tone, read.get().code().isPresent());
                }
            });
        }

        private void power(Sketch sketch, String cell) {
            Optional<WrittenPower> read = powers.computeIfAbsent(cell, WrittenPower::read);
            if (read.isEmpty()) {
                sketch.unread(Field.POWER_W, cell);
                return;
            }
            read.get().watts().ifPresent(watts -> sketch.text(Field.POWER_W, watts));
            read.get().level().ifPresent(level -> {
                String watts = mapping.levels().get(level);
                if (watts == null) {
                    sketch.note(Said.doubtful(
                            Field.POWER_W, "power not known", "what “" + cell + "” is in watts is not said"));
                } else {
                    sketch.text(Field.POWER_W, watts)
                            .note(Said.because(
                                    Field.POWER_W, watts + " W", "what “" + level.word() + "” was said to be"));
                }
            });
        }

        private static void use(Sketch sketch, String cell) {
            String plain = Plain.of(cell);
            if (LISTEN.contains(plain)) {
                sketch.listens();
            } else if (REPEATER.contains(plain)) {
                sketch.throughRepeater();
            } else if (DIRECT.contains(plain)) {
                if (sketch.shift().isEmpty()) {
                    sketch.shifted(new Shift(true, 0, Optional.empty()));
                }
            }
        }
    }
}
