package org.wache.typed;

import java.math.BigDecimal;
import java.util.Optional;

/** Numbers as people write them: with a point or a comma, with or without groups of thousands. */
final class Decimal {

    private static final int MOST_DIGITS = 15;
    private static final int GROUP = 3;

    private Decimal() {}

    /**
     * Reads a number without sign. A point or a comma that stands once is decimal; where both stand, the last is; one that
     * stands several times parts groups of three.
     *
     * @return empty when it is not such a number
     */
    static Optional<BigDecimal> read(String text) {
        int points = count(text, '.');
        int commas = count(text, ',');
        String digits = text.replace(" ", "").replace("'", "");
        if (points + commas > 1) {
            char last = digits.lastIndexOf('.') > digits.lastIndexOf(',') ? '.' : ',';
            boolean mixed = points > 0 && commas > 0;
            boolean lastOnce = (last == '.' ? points : commas) == 1;
            if (mixed && !lastOnce) {
                return Optional.empty();
            }
            char group = mixed ? (last == '.' ? ',' : '.') : last;
            if (!grouped(digits, group, mixed ? last : '\0')) {
                return Optional.empty();
            }
            digits = digits.replace(String.valueOf(group), "");
        }
        digits = digits.replace(',', '.');
        boolean plain = digits.length() <= MOST_DIGITS
                && digits.chars().anyMatch(Character::isDigit)
                && digits.chars().allMatch(c -> c >= '0' && c <= '9' || c == '.');
        return plain ? Optional.of(new BigDecimal(digits.startsWith(".") ? "0" + digits : digits)) : Optional.empty();
    }

    /** Whether the group mark parts groups of exactly three digits before the decimal mark. */
    private static boolean grouped(String text, char group, char decimal) {
        String whole = decimal == '\0' ? text : text.substring(0, text.indexOf(decimal));
        String[] parts = whole.split(java.util.regex.Pattern.quote(String.valueOf(group)), -1);
        for (int i = 1; i < parts.length; i++) {
            if (parts[i].length() != GROUP) {
                return false;
            }
        }
        return parts.length > 1 && !parts[0].isEmpty() && parts[0].length() <= GROUP;
    }

    private static int count(String text, char wanted) {
        return (int) text.chars().filter(c -> c == wanted).count();
    }
}
