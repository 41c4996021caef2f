package org.wache.typed;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.wache.signal.Watts;

/**
 * A power as people write it: {@code 5W}, {@code 500 mW}, {@code 37 dBm}, or the name of a level.
 *
 * @param watts the number of watts as a list writes it
 * @param level the level, when only its name is said
 */
public record WrittenPower(Optional<String> watts, Optional<Level> level) {

    private static final Pattern SHAPE =
            Pattern.compile("([0-9.,]+)\\s*(w|watts?|mw|milliwatts?|kw|dbm)?(?:\\s*(?:pep|out|output))?");
    /** A level with its watts beside it: "High (5W)", "Low - 1 W". */
    private static final Pattern LEVEL_AND_WATTS = Pattern.compile(
            "(?:high|hi|h|mid|middle|med|medium|m|low|lo|l)[\\s:=/-]*\\(?\\s*([0-9.,]+\\s*(?:w|watts?|mw))\\s*\\)?");

    private static final int FIGURES = 3;

    /** What radios call their power levels. What a level is in watts only the radio knows. */
    public enum Level {
        HIGH,
        MIDDLE,
        LOW;

        /** As people say it. */
        public String word() {
            return name().charAt(0) + name().substring(1).toLowerCase(Locale.ROOT);
        }
    }

    /** Reads it; empty when it is neither. */
    public static Optional<WrittenPower> read(String text) {
        String plain = Plain.of(text);
        Optional<Level> level = level(plain);
        if (level.isPresent()) {
            return Optional.of(new WrittenPower(Optional.empty(), level));
        }
        Matcher both = LEVEL_AND_WATTS.matcher(plain);
        Matcher shape = SHAPE.matcher(both.matches() ? both.group(1) : plain);
        if (!shape.matches()) {
            return Optional.empty();
        }
        return Decimal.read(shape.group(1))
                .map(number -> watts(number, shape.group(2)))
                .filter(watts -> Watts.parse(watts).isPresent())
                .map(watts -> new WrittenPower(Optional.of(watts), Optional.empty()));
    }

    private static Optional<Level> level(String plain) {
        return switch (plain.replaceFirst("\\s*(power|pwr)$", "")) {
            case "high", "hi", "h", "full", "max" -> Optional.of(Level.HIGH);
            case "mid", "middle", "med", "medium", "m" -> Optional.of(Level.MIDDLE);
            case "low", "lo", "l", "min" -> Optional.of(Level.LOW);
            default -> Optional.empty();
        };
    }

    private static String watts(BigDecimal number, String unit) {
        BigDecimal watts = number;
        if (unit != null && (unit.equals("mw") || unit.startsWith("milli"))) {
            watts = number.movePointLeft(3);
        } else if ("kw".equals(unit)) {
            watts = number.movePointRight(3);
        } else if ("dbm".equals(unit)) {
            watts = BigDecimal.valueOf(Math.pow(10, number.doubleValue() / 10) / 1000)
                    .round(new java.math.MathContext(FIGURES, RoundingMode.HALF_UP));
        }
        return watts.signum() == 0 ? "0" : watts.stripTrailingZeros().toPlainString();
    }
}
