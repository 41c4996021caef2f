package org.wache.typed;

import java.math.BigDecimal;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.wache.signal.Frequency;

/**
 * A frequency as people write it: {@code 146.52}, {@code 146,52}, {@code 146520}, {@code 146.520.000}, {@code 462562.5
 * kHz}.
 *
 * @param frequency what it is
 * @param unit what it was counted in
 * @param said whether the unit stands with it
 */
public record WrittenFrequency(Frequency frequency, Unit unit, boolean said) {

    private static final Pattern SHAPE = Pattern.compile("([0-9.,][0-9 .,']*?)\\s*(ghz|mhz|khz|hz|mcs?|kcs?|m|k)?");
    private static final BigDecimal HERTZ_FROM = BigDecimal.valueOf(1_000_000);
    private static final BigDecimal KILOHERTZ_FROM = BigDecimal.valueOf(1_800);
    private static final BigDecimal SURELY_KILOHERTZ_FROM = BigDecimal.valueOf(25_000);

    /**
     * Reads it. Without a unit of its own it is taken in the one given, and without that in the one that makes a frequency
     * of radio use: from a million on hertz, from 1,800 on kilohertz, below megahertz.
     *
     * @param usual the unit of its column, when known
     * @return empty when it is no number of whole hertz above 0
     */
    public static Optional<WrittenFrequency> read(String text, Optional<Unit> usual) {
        Matcher shape = SHAPE.matcher(Plain.unmarked(Plain.of(text)));
        if (!shape.matches()) {
            return Optional.empty();
        }
        Optional<Unit> said = Optional.ofNullable(shape.group(2)).flatMap(Unit::of);
        return Decimal.read(shape.group(1).trim()).flatMap(number -> {
            Unit unit = said.or(() -> usual.filter(each -> fits(number, each))).orElseGet(() -> likely(number));
            return unit.hertz(number)
                    .filter(hertz -> hertz > 0)
                    .map(hertz -> new WrittenFrequency(new Frequency(hertz), unit, said.isPresent()));
        });
    }

    /** A column's unit is believed unless it would put the number where no list has entries. */
    private static boolean fits(BigDecimal number, Unit unit) {
        return switch (unit) {
            case MEGAHERTZ -> number.compareTo(SURELY_KILOHERTZ_FROM) < 0;
            case KILOHERTZ ->
                number.compareTo(HERTZ_FROM.multiply(BigDecimal.TEN)) < 0 && number.compareTo(KILOHERTZ_FROM) >= 0;
            case HERTZ -> number.compareTo(HERTZ_FROM) >= 0;
            case GIGAHERTZ -> number.compareTo(BigDecimal.valueOf(300)) < 0;
        };
    }

    private static Unit likely(BigDecimal number) {
        if (number.compareTo(HERTZ_FROM) >= 0) {
            return Unit.HERTZ;
        }
        return number.compareTo(KILOHERTZ_FROM) >= 0 ? Unit.KILOHERTZ : Unit.MEGAHERTZ;
    }
}
