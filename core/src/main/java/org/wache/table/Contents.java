package org.wache.table;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import org.wache.rulebook.Edition;
import org.wache.typed.Plain;
import org.wache.typed.Shift;
import org.wache.typed.Unit;
import org.wache.typed.WrittenFrequency;
import org.wache.typed.WrittenMode;
import org.wache.typed.WrittenPower;
import org.wache.typed.WrittenTone;

/** What the texts of a column look like. */
final class Contents {

    private static final Pattern FREQUENCY = Pattern.compile(
            "\\(?[0-9]{1,4}[.,][0-9]{2,6}\\)?( ?mhz)?( ?\\(?[+-]\\)?)?|[0-9]{4,10}( ?k?hz)?|[0-9]{1,3}([.,' ][0-9]{3}){2}|[0-9.,]+ ?[mk]hz");
    private static final Pattern SIGN = Pattern.compile("[+-]|simplex|simp|plus|minus|dup[+-]|none|split|\\([+-]\\)");
    private static final Pattern OFFSET =
            Pattern.compile("[+-] ?[0-9.,]+ ?(mhz|khz|m|k)?|[0-9.,]+ ?(mhz|khz|k|m)?[+-]");
    private static final int MOST_UNITS_OF_ONE = 60;

    private final List<String> filled;
    private final Edition edition;

    Contents(List<String> cells, Edition edition) {
        this.filled = cells.stream().filter(cell -> !cell.isBlank()).toList();
        this.edition = edition;
    }

    /** The cells that are filled. */
    List<String> cells() {
        return filled;
    }

    boolean isEmpty() {
        return filled.isEmpty();
    }

    int count() {
        return filled.size();
    }

    private double share(Predicate<String> like) {
        return filled.isEmpty() ? 0 : (double) filled.stream().filter(like).count() / filled.size();
    }

    /** The share of cells that are written as frequencies of radio use. */
    double frequencies() {
        return share(cell -> isFrequency(cell, edition));
    }

    static boolean isFrequency(String cell, Edition edition) {
        String plain = Plain.of(cell);
        return FREQUENCY.matcher(plain).matches()
                && WrittenFrequency.read(
                                plain.replaceFirst(" ?\\(?[+-]\\)?$", "").replaceAll("[()]", ""), Optional.empty())
                        .filter(read -> edition.plausible().contains(read.frequency()))
                        .isPresent();
    }

    /** The share of cells that could be a frequency at all, however short they are written. */
    double numbersLikeFrequencies() {
        return share(cell -> cell.matches(".*[0-9].*")
                && (isFrequency(cell, edition)
                        || WrittenFrequency.read(cell, Optional.empty())
                                .filter(read -> edition.isSomeones(read.frequency()))
                                .isPresent()
                        || cell.matches(".*[0-9]{2,4}[.,][0-9]+.*")));
    }

    /** The share of cells that are tones of the tables, or codes, or say that there is none. */
    double tones() {
        return share(cell -> WrittenTone.read(firstOf(cell), edition.tones())
                .filter(read -> read.tone().map(edition.tones()::knows).orElse(true))
                .isPresent());
    }

    /** The share of cells that can be read as a tone, whether or not a table has it. */
    double readableTones() {
        return share(cell -> WrittenTone.read(firstOf(cell), edition.tones()).isPresent());
    }

    /** The share of cells that are tones and could be nothing else. */
    double surelyTones() {
        return share(cell -> cell.matches(".*[0-9].*")
                && !cell.matches("[0-9]{1,2}")
                && WrittenTone.read(firstOf(cell), edition.tones())
                        .flatMap(WrittenTone::tone)
                        .filter(edition.tones()::knows)
                        .isPresent());
    }

    private static String firstOf(String cell) {
        int slash = cell.indexOf('/');
        return slash > 0 ? cell.substring(0, slash) : cell;
    }

    double signs() {
        return share(cell -> SIGN.matcher(Plain.of(cell)).matches()
                || OFFSET.matcher(Plain.of(cell)).matches());
    }

    double shifts() {
        return share(cell -> Shift.read(cell, Optional.empty()).isPresent());
    }

    double modes() {
        return share(cell -> WrittenMode.read(cell).isPresent());
    }

    /** Modes and widths in words or with a unit: a bare number could be anything. */
    double surelyModes() {
        return share(cell -> WrittenMode.read(cell).isPresent() && !cell.strip().matches("[0-9.,]+"));
    }

    double powers() {
        return share(cell -> WrittenPower.read(cell).isPresent() && !FormMode.isFrequencyWithWidth(cell));
    }

    double surelyPowers() {
        return share(cell -> WrittenPower.read(cell).isPresent()
                && !cell.strip().matches("[0-9.,]+")
                && !FormMode.isFrequencyWithWidth(cell));
    }

    double wholeNumbers() {
        return share(cell -> cell.strip().matches("#?[0-9]{1,5}[a-zA-Z]?\\.?"));
    }

    boolean distinct() {
        Set<String> seen = new HashSet<>();
        return filled.stream().allMatch(cell -> seen.add(cell.strip()));
    }

    double words() {
        return share(cell -> cell.matches(".*\\p{L}{2,}.*"));
    }

    double matching(Predicate<String> like) {
        return share(like);
    }

    /** The unit of most numbers, when it is not megahertz. */
    Optional<Unit> unit() {
        for (Unit unit : List.of(Unit.KILOHERTZ, Unit.HERTZ)) {
            double share = share(cell -> WrittenFrequency.read(cell, Optional.empty())
                    .filter(read -> read.unit() == unit)
                    .isPresent());
            if (share * 100 >= MOST_UNITS_OF_ONE) {
                return Optional.of(unit);
            }
        }
        return Optional.empty();
    }
}
