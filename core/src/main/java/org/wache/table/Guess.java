package org.wache.table;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.wache.audit.context.HouseRules;
import org.wache.rulebook.Edition;
import org.wache.typed.AddLine;
import org.wache.typed.Offsets;
import org.wache.typed.Sketch;
import org.wache.typed.Unit;
import org.wache.typed.WrittenFrequency;

/** What a table's columns seem to be: from their headings, and from what stands in them. */
public final class Guess {

    private static final int HEADING_WITHIN = 20;
    private static final int SAMPLE = 400;
    private static final int ENOUGH = 42;
    private static final double CONTRADICTED = 0.4;
    /** The steps of radios, in kilohertz. */
    private static final Pattern STEP = Pattern.compile(
            "(0?[.,]5|1|2[.,]5|3[.,]125|5|6[.,]25|7[.,]5|8[.,]33|9|10|12[.,]5|15|20|25|30|50|100|200|500|1000)([.,]?0*)( ?k(hz)?)?|auto",
            Pattern.CASE_INSENSITIVE);

    /** Longer texts are no names of zones. */
    private static final int ZONE = 24;

    private static final double SURELY = 0.95;
    private static final int EXACTLY = 100;
    private static final double FLAG = 100; // yes and no under "narrow" say more than that N could be a width

    private final Table table;
    private final Edition edition;
    private final Optional<Integer> heading;
    private final int width;
    private final List<Contents> contents = new ArrayList<>();
    private final Column.Kind[] kinds;
    private final boolean digital;

    private Guess(Table table, Edition edition, Optional<Integer> heading) {
        this.table = table;
        this.edition = edition;
        this.heading = heading;
        this.width = table.width();
        this.kinds = new Column.Kind[width];
        List<Table.Row> rows = table.rows().stream()
                .skip(heading.map(row -> row + 1L).orElse(0L))
                .limit(SAMPLE)
                .toList();
        for (int i = 0; i < width; i++) {
            int column = i;
            contents.add(new Contents(rows.stream().map(row -> row.cell(column)).toList(), edition));
        }
        this.digital = isDigital();
    }

    /** How the table is best read under a rulebook. */
    public static Mapping of(Table table, Edition edition) {
        return of(table, edition, headingRow(table, edition));
    }

    /** How it is best read with this row as its headings. */
    public static Mapping of(Table table, Edition edition, Optional<Integer> heading) {
        return new Guess(table, edition, heading).mapping();
    }

    /** The row among the first that has most of the usual headings and no frequency. */
    private static Optional<Integer> headingRow(Table table, Edition edition) {
        int best = -1;
        long most = 0;
        for (int i = 0; i < Math.min(HEADING_WITHIN, table.rows().size() - 1); i++) {
            Table.Row row = table.rows().get(i);
            boolean entry = row.cells().stream().anyMatch(cell -> Contents.isFrequency(cell, edition));
            long known =
                    row.cells().stream().filter(cell -> Headings.isOne(cell)).count();
            if (!entry && known > most && known * 3 >= row.filled() && !isEntry(row, edition)) {
                most = known;
                best = i;
            }
        }
        if (best >= 0) {
            return Optional.of(best);
        }
        boolean words = table.rows().size() > 1
                && table.rows().get(0).filled() > 1
                && table.rows().get(0).cells().stream().noneMatch(cell -> cell.matches(".*[0-9]{2,}.*"))
                && table.rows().get(1).cells().stream().anyMatch(cell -> Contents.isFrequency(cell, edition))
                && !isEntry(table.rows().get(0), edition);
        return words ? Optional.of(0) : Optional.empty();
    }

    /** Whether a row says an entry by itself: by a channel of a service, or by a frequency with words around it. */
    private static boolean isEntry(Table.Row row, Edition edition) {
        return AddLine.read(row.text(), edition, HouseRules.NONE)
                        .best()
                        .channel()
                        .isPresent()
                || row.cells().stream().anyMatch(cell -> AddLine.read(cell.strip(), edition, HouseRules.NONE)
                        .best()
                        .channel()
                        .isPresent());
    }

    private String headingOf(int column) {
        return heading.map(row -> table.rows().get(row).cell(column)).orElse("");
    }

    private record Fit(int column, Column.Kind kind, double score) {}

    private Mapping mapping() {
        List<Fit> fits = new ArrayList<>();
        for (int i = 0; i < width; i++) {
            for (Map.Entry<Column.Kind, Double> each : scores(i).entrySet()) {
                fits.add(new Fit(i, each.getKey(), each.getValue()));
            }
        }
        fits.sort(Comparator.comparingDouble(Fit::score).reversed().thenComparingInt(Fit::column));
        for (Fit fit : fits) {
            boolean taken = !fit.kind().several() && has(fit.kind());
            if (kinds[fit.column()] == null && !taken && fit.score() >= ENOUGH) {
                kinds[fit.column()] = fit.kind();
            }
        }
        secondFrequency();
        secondTone();
        withoutFrequency();
        withoutName();
        for (int i = 0; i < width; i++) {
            if (kinds[i] == null) {
                kinds[i] = contents.get(i).isEmpty() && headingOf(i).isEmpty() ? Column.Kind.LEAVE : Column.Kind.KEEP;
            }
        }
        List<Column> columns = new ArrayList<>();
        for (int i = 0; i < width; i++) {
            columns.add(new Column(kinds[i], unit(i)));
        }
        boolean shift = has(Column.Kind.SHIFT);
        Sketch.Unsaid unsaid = has(Column.Kind.TRANSMIT)
                ? Sketch.Unsaid.LISTEN
                : shift && emptyShiftIsDirect() ? Sketch.Unsaid.DIRECT : Sketch.Unsaid.BY_PLAN;
        return new Mapping(heading, columns, unsaid, Map.of());
    }

    private boolean has(Column.Kind kind) {
        return column(kind) >= 0;
    }

    private int column(Column.Kind kind) {
        for (int i = 0; i < width; i++) {
            if (kinds[i] == kind) {
                return i;
            }
        }
        return -1;
    }

    private Map<Column.Kind, Double> scores(int column) {
        Contents here = contents.get(column);
        Map<Column.Kind, Integer> byHeading = Headings.fits(headingOf(column));
        Map<Column.Kind, Double> scores = new EnumMap<>(Column.Kind.class);
        boolean ofTones = byHeading.keySet().stream().anyMatch(Column.Kind::tone);
        if (ofTones
                && here.matching(TableReading::isToneUse) > SURELY
                && here.surelyTones() == 0
                && here.words() > 0.5) {
            scores.put(Column.Kind.TONE_USE, FLAG); // "Tone" over none, sent, both
        }
        byHeading.forEach((kind, fit) -> {
            // "Code" alone may count the tones of consumer radios: those have one or two figures
            boolean counted = kind == Column.Kind.CODE
                    && !Headings.isDigital(headingOf(column))
                    && here.matching(cell -> cell.matches("[0-9]{1,2}")) > 0;
            boolean unlikely = counted || ofDmr(kind) && !digital;
            boolean letters = kind == Column.Kind.MODE && FormMode.areLetters(headingOf(column), here.cells());
            if (here.isEmpty() || (letters || !contradicts(kind, here)) && !unlikely) {
                scores.merge(kind, fit + more(kind), Double::sum);
            }
        });
        if (!here.isEmpty()) {
            looks(here).forEach((kind, look) -> scores.merge(kind, look, Double::sum));
        }
        return scores;
    }

    /** What a heading says together with what stands below it, where another kind has the same heading. */
    private static double more(Column.Kind kind) {
        return switch (kind) {
            case NARROW, WIDE, TIME_SLOT, TALK_GROUP, COLOUR_CODE, ACCESS_CODE, CODE, CODE_HEARD, STEP -> FLAG;
            default -> 0.0;
        };
    }

    private static boolean contradicts(Column.Kind kind, Contents here) {
        return switch (kind) {
            case RECEIVE -> here.numbersLikeFrequencies() < CONTRADICTED;
            case TRANSMIT -> here.numbersLikeFrequencies() < CONTRADICTED && here.shifts() < CONTRADICTED;
            case SHIFT -> here.shifts() < CONTRADICTED;
            case TONE, TONE_SENT, TONE_HEARD -> here.readableTones() < CONTRADICTED;
            case MODE -> here.modes() < CONTRADICTED;
            case ZONE -> here.matching(cell -> cell.length() <= ZONE) < 1;
            case POWER -> here.powers() < CONTRADICTED;
            case NUMBER -> here.wholeNumbers() < CONTRADICTED;
            case USE -> here.matching(TableReading::isUse) < CONTRADICTED;
            case NARROW, WIDE -> here.matching(TableReading::isYesOrNo) < 1 || here.matching(TableReading::isYes) == 0;
            case TONE_USE, TONE_PARTS ->
                here.matching(TableReading::isToneUse) < CONTRADICTED
                        || here.matching(cell -> cell.matches("[0-9.]+")) > 0;
            case CODE, CODE_HEARD -> here.matching(cell -> isCode(cell)) < CONTRADICTED;
            case POLARITY ->
                here.matching(cell -> cell.matches("(?i)[nri]{1,2}|normal|inverted|reverse[d]?|inv|yes|no|y")) < 1;
            case SKIP -> here.matching(cell -> cell.length() <= 8) < CONTRADICTED;
            case COLOUR_CODE -> here.matching(cell -> cell.matches("(?i)(cc)? ?([0-9]|1[0-5])|-|none|n/a")) < 1;
            case TIME_SLOT -> here.matching(cell -> cell.matches("(?i)(ts|slot)? ?[12]|-|none|n/a")) < 1;
            case TALK_GROUP -> here.matching(cell -> cell.matches("(?i)(tg)? ?[0-9]{1,8}|-|none|n/a")) < 1;
            case ACCESS_CODE ->
                here.matching(cell -> cell.matches("(?i)(nac|ran|0x|\\$)? ?[0-9a-f]{1,3}h?|-|none|n/a")) < 1;
            case CONTACT, RECEIVE_GROUP -> here.words() < CONTRADICTED;
            case STEP -> here.matching(cell -> STEP.matcher(cell).matches()) < 1;
            case TIMEOUT -> here.matching(cell -> cell.matches("(?i).*[0-9].*|off|none")) < CONTRADICTED;
            case SCAN -> here.matching(cell -> cell.length() <= 8) < CONTRADICTED;
            default -> false;
        };
    }

    private static boolean ofDmr(Column.Kind kind) {
        return kind == Column.Kind.TIME_SLOT
                || kind == Column.Kind.CONTACT
                || kind == Column.Kind.RECEIVE_GROUP
                || kind == Column.Kind.COLOUR_CODE;
    }

    /** Whether there are digital channels in the table: else a slot is a memory, and a contact whoever looks after a repeater. */
    private boolean isDigital() {
        return java.util.stream.IntStream.range(0, width)
                .anyMatch(column -> Headings.fits(headingOf(column)).getOrDefault(Column.Kind.TALK_GROUP, 0) == EXACTLY
                        || contents.get(column).matching(cell -> cell.matches("(?i)dmr|digital")) > 0);
    }

    private static boolean isCode(String cell) {
        return cell.matches("(?i)(d|dcs ?)?[0-7]{1,3} ?([nir]|inv)?|off|none|-+|n/a|csq");
    }

    /** What the texts alone look like; a heading that says the same comes on top. */
    private Map<Column.Kind, Double> looks(Contents here) {
        Map<Column.Kind, Double> looks = new EnumMap<>(Column.Kind.class);
        double tones = here.surelyTones();
        double frequencies = here.frequencies();
        if (tones > 0.6 && tones >= frequencies) {
            looks.put(Column.Kind.TONE, 60 * tones);
            looks.put(Column.Kind.TONE_SENT, 40 * tones);
            looks.put(Column.Kind.TONE_HEARD, 40 * tones);
        } else if (frequencies > 0.5) {
            looks.put(Column.Kind.RECEIVE, 60 * frequencies);
            looks.put(Column.Kind.TRANSMIT, 41 * frequencies);
        }
        if (here.signs() > 0.6) {
            looks.put(Column.Kind.SHIFT, 58 * here.signs());
        }
        if (here.surelyModes() > 0.6) {
            looks.put(Column.Kind.MODE, 52 * here.surelyModes());
        }
        if (here.surelyPowers() > 0.6) {
            looks.put(Column.Kind.POWER, 50 * here.surelyPowers());
        }
        if (heading.isEmpty() && here.wholeNumbers() > 0.9 && here.distinct() && here.count() > 1) {
            looks.put(Column.Kind.NUMBER, 45.0);
        }
        if (here.words() > 0.6 && here.surelyModes() < 0.5) {
            looks.put(Column.Kind.NAME, heading.isEmpty() ? 44 * here.words() : 20 * here.words());
        }
        return looks;
    }

    /** A second column of frequencies is the other end of the pair; the band plan tells which end is which. */
    private void secondFrequency() {
        int receive = column(Column.Kind.RECEIVE);
        if (receive >= 0 && !has(Column.Kind.TRANSMIT)) {
            for (int i = 0; i < width && !has(Column.Kind.TRANSMIT); i++) {
                boolean other = Headings.fits(headingOf(i)).keySet().stream()
                        .anyMatch(kind -> kind != Column.Kind.RECEIVE && kind != Column.Kind.TRANSMIT);
                if (kinds[i] == null && contents.get(i).frequencies() > 0.5 && !other) {
                    kinds[i] = Column.Kind.TRANSMIT;
                }
            }
        }
        int transmit = column(Column.Kind.TRANSMIT);
        boolean both = receive >= 0 && transmit >= 0;
        boolean told = both
                && (Headings.fits(headingOf(transmit)).containsKey(Column.Kind.TRANSMIT)
                        || fit(receive, Column.Kind.RECEIVE) > fit(transmit, Column.Kind.RECEIVE));
        if (both && !told && outputs(transmit) > outputs(receive)) {
            kinds[receive] = Column.Kind.TRANSMIT;
            kinds[transmit] = Column.Kind.RECEIVE;
        }
    }

    private int fit(int column, Column.Kind kind) {
        return Headings.fits(headingOf(column)).getOrDefault(kind, 0);
    }

    /** How many frequencies of a column the plan or a service has as outputs of repeaters. */
    private long outputs(int column) {
        return table.rows().stream()
                .skip(heading.map(row -> row + 1L).orElse(0L))
                .limit(SAMPLE)
                .flatMap(row -> WrittenFrequency.read(row.cell(column), unit(column)).stream())
                .filter(read -> Offsets.outputsOnly(edition, read.frequency())
                        || edition.servicesAt(read.frequency()).stream()
                                .anyMatch(service -> service.partners(read.frequency()).stream()
                                        .anyMatch(partner -> partner.input())))
                .count();
    }

    /** Two columns of tones without a word of their sides: the first is sent, the second opens the receiver. */
    private void secondTone() {
        List<Integer> tones = new ArrayList<>();
        for (int i = 0; i < width; i++) {
            if (kinds[i] == Column.Kind.TONE) {
                tones.add(i);
            }
        }
        boolean alike = tones.size() == 2 && overlapping(tones.get(0), tones.get(1));
        if (alike && !has(Column.Kind.TONE_SENT) && !has(Column.Kind.TONE_HEARD)) {
            kinds[tones.get(0)] = Column.Kind.TONE_SENT;
            kinds[tones.get(1)] = Column.Kind.TONE_HEARD;
        }
    }

    /** Whether rows have something in both: then they are not two ways of saying one tone. */
    private boolean overlapping(int one, int other) {
        return table.rows().stream()
                .skip(heading.map(row -> row + 1L).orElse(0L))
                .anyMatch(row -> !row.cell(one).isBlank() && !row.cell(other).isBlank());
    }

    /** Without frequencies there may be channel numbers of a service, or whole entries in words. */
    private void withoutFrequency() {
        if (has(Column.Kind.RECEIVE) || has(Column.Kind.CHANNEL)) {
            return;
        }
        int best = -1;
        double most = 0.4;
        for (int i = 0; i < width; i++) {
            double readable = contents.get(i).matching(cell -> AddLine.read(cell, edition, HouseRules.NONE)
                    .best()
                    .problem()
                    .isEmpty());
            boolean byHeading = kinds[i] == Column.Kind.NUMBER;
            if (readable > most && (kinds[i] == null || byHeading || kinds[i] == Column.Kind.NAME)) {
                most = readable;
                best = i;
            }
        }
        if (best >= 0) {
            boolean shortCells = contents.get(best).matching(cell -> cell.length() <= 12) > 0.8;
            kinds[best] = shortCells && width > 1 ? Column.Kind.CHANNEL : Column.Kind.LINE;
        }
    }

    private void withoutName() {
        if (has(Column.Kind.NAME) || has(Column.Kind.PLACE) || has(Column.Kind.LINE)) {
            return;
        }
        for (int i = 0; i < width; i++) {
            boolean headed = fit(i, Column.Kind.NUMBER) > 0
                    || fit(i, Column.Kind.NAME) > 0
                    || headingOf(i).isEmpty();
            boolean telling = contents.get(i).words() > 0.5
                    && contents.get(i).distinct()
                    && contents.get(i).count() > 2;
            if (kinds[i] == null && !contents.get(i).isEmpty() && (headed || telling)) {
                kinds[i] = Column.Kind.NAME;
                return;
            }
        }
    }

    private Optional<Unit> unit(int column) {
        Optional<Unit> said = Headings.unit(headingOf(column));
        Column.Kind kind = kinds[column];
        if (kind == Column.Kind.SHIFT) {
            return said;
        }
        boolean frequency = kind == Column.Kind.RECEIVE || kind == Column.Kind.TRANSMIT;
        return !frequency
                ? Optional.empty()
                : said.or(() -> contents.get(column).unit());
    }

    /** Where most entries say an offset, an empty cell says that there is none. */
    private boolean emptyShiftIsDirect() {
        int filled = contents.get(column(Column.Kind.SHIFT)).count();
        int receive = column(Column.Kind.RECEIVE);
        return receive >= 0 && filled * 5 >= contents.get(receive).count();
    }
}
