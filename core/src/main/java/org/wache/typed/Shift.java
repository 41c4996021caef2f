package org.wache.typed;

import java.math.BigDecimal;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What is said of where an entry talks, from where it hears: {@code +}, {@code -0.6}, {@code 600k}, {@code simplex}.
 *
 * @param direct on the same frequency
 * @param sign +1 or -1; 0 when none is said
 * @param hertz how far; empty when only the sign is said
 */
public record Shift(boolean direct, int sign, Optional<Long> hertz) {

    private static final Shift DIRECT = new Shift(true, 0, Optional.empty());
    private static final Set<String> DIRECT_WORDS = Set.of(
            "s",
            "sx",
            "simp",
            "simplex",
            "smplx",
            "direct",
            "dir",
            "none",
            "no",
            "off",
            "n/a",
            "na",
            "=",
            "x",
            "no offset",
            "no shift",
            "talkaround",
            "t/a",
            "ta",
            "same");
    private static final Set<String> UP =
            Set.of("+", "plus", "up", "pos", "positive", "dup+", "+dup", "p", "+ve", "high");
    private static final Set<String> DOWN =
            Set.of("-", "minus", "down", "neg", "negative", "dup-", "-dup", "-ve", "low");
    private static final Pattern SIZE =
            Pattern.compile("([+-])?\\s*([0-9.,][0-9.,]*)\\s*(ghz|mhz|khz|hz|mcs?|kcs?|m|k)?\\s*([+-])?");
    private static final BigDecimal MEGAHERTZ_BELOW = BigDecimal.valueOf(60);
    private static final BigDecimal KILOHERTZ_BELOW = BigDecimal.valueOf(60_000);

    /**
     * Reads it. A number without a unit is in megahertz below 60, in kilohertz below 60,000, else in hertz, unless its
     * column names one.
     *
     * @param usual the unit of its column, when known
     * @return empty when it says nothing of that kind
     */
    public static Optional<Shift> read(String text, Optional<Unit> usual) {
        String plain = Plain.unbracketed(Plain.unmarked(Plain.of(text)));
        if (DIRECT_WORDS.contains(plain)) {
            return Optional.of(DIRECT);
        }
        if (UP.contains(plain) || DOWN.contains(plain)) {
            return Optional.of(new Shift(false, UP.contains(plain) ? 1 : -1, Optional.empty()));
        }
        Matcher size =
                SIZE.matcher(plain.replaceFirst("^(plus|minus)\\s*(?=[0-9])", plain.startsWith("p") ? "+" : "-"));
        if (!size.matches() || size.group(1) != null && size.group(4) != null) {
            return Optional.empty();
        }
        String sign = size.group(1) == null ? size.group(4) : size.group(1);
        Optional<Unit> said =
                Optional.ofNullable(size.group(3)).flatMap(Unit::of).or(() -> usual);
        return Decimal.read(size.group(2)).flatMap(number -> {
            if (number.signum() == 0) {
                return Optional.of(DIRECT);
            }
            return said.orElseGet(() -> likely(number))
                    .hertz(number)
                    .map(hertz -> new Shift(false, sign == null ? 0 : sign.equals("+") ? 1 : -1, Optional.of(hertz)));
        });
    }

    private static Unit likely(BigDecimal number) {
        return number.compareTo(MEGAHERTZ_BELOW) < 0
                ? Unit.MEGAHERTZ
                : number.compareTo(KILOHERTZ_BELOW) < 0 ? Unit.KILOHERTZ : Unit.HERTZ;
    }

    /** Both things said together, such as a sign in one column and a size in another; empty when they contradict. */
    public Optional<Shift> and(Shift other) {
        if (direct || other.direct) {
            boolean bare = direct && (other.direct || other.sign == 0) || other.direct && sign == 0;
            return bare
                    ? Optional.of(DIRECT)
                    : Optional.empty(); // a size beside "simplex" is what the radio keeps for later
        }
        boolean signs = sign != 0 && other.sign != 0 && sign != other.sign;
        boolean sizes = hertz.isPresent() && other.hertz.isPresent() && !hertz.equals(other.hertz);
        return signs || sizes
                ? Optional.empty()
                : Optional.of(new Shift(false, sign == 0 ? other.sign : sign, hertz.or(other::hertz)));
    }
}
