package org.wache.typed;

import java.math.BigDecimal;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.wache.rulebook.ToneTable;
import org.wache.signal.Tone;

/**
 * A tone as people write it: {@code 100}, {@code PL 100.0}, {@code D023N}, {@code DCS 23}, {@code code 27}.
 *
 * @param tone what it is; empty when "none" is said
 * @param code the consumer code number, where it was said by one
 */
public record WrittenTone(Optional<Tone> tone, Optional<Integer> code) {

    private static final WrittenTone NONE = new WrittenTone(Optional.empty(), Optional.empty());
    private static final Set<String> NONE_WORDS = Set.of(
            "-", "--", "---", "none", "no", "off", "n/a", "na", "csq", "cs", "carrier", "open", "nil", "no tone", "0",
            "0.0", "00", "000", "no pl", "x", "sq");
    private static final Pattern DIGITAL = Pattern.compile(
            "(?:dcs|dpl|dtcs|dtc|cdcss|dqt|d)[\\s:.-]*([0-7]{1,3})[\\s-]*([nipr]|inv|inverted|norm|normal|rev)?");
    private static final Pattern DIGITAL_BY_SUFFIX = Pattern.compile("([0-7]{3})\\s*([nir])");
    private static final Pattern CONTINUOUS = Pattern.compile(
            "(?:ctcss|pl|tone|tpl|tsql|tsq|qt|enc|dec|tn|t|ct|c|r)?[\\s:.=-]*([0-9]{1,4}(?:[.,][0-9]{1,3})?)\\s*(?:hz|pl|t)?");
    private static final Pattern CODE = Pattern.compile("(?:code|privacy code|priv|pc|#)[\\s:.-]*([0-9]{1,3})");
    private static final Pattern BURST =
            Pattern.compile("b?\\s*(1000|1450|1750|2100)\\s*(?:hz)?(?:\\s*burst)?|(?:tone )?burst");
    private static final int LAST_CODE = 38;
    private static final int LOWEST_TENTHS = 600;
    private static final int HIGHEST_TENTHS = 3000;

    /** Reads it; empty when it is no tone, or a code number that stands for none. */
    public static Optional<WrittenTone> read(String text, ToneTable table) {
        String plain = Plain.unbracketed(Plain.unmarked(Plain.of(text))).trim();
        if (NONE_WORDS.contains(plain)) {
            return Optional.of(NONE);
        }
        Matcher digital = DIGITAL.matcher(plain);
        if (digital.matches()) {
            return digital(digital.group(1), digital.group(2));
        }
        Matcher suffixed = DIGITAL_BY_SUFFIX.matcher(plain);
        if (suffixed.matches()) {
            return digital(suffixed.group(1), suffixed.group(2));
        }
        Matcher code = CODE.matcher(plain);
        if (code.matches()) {
            return code(Integer.parseInt(code.group(1)), table);
        }
        Matcher burst = BURST.matcher(plain);
        if (burst.matches()) {
            int hertz = burst.group(1) == null ? 1750 : Integer.parseInt(burst.group(1));
            Tone.Ctcss tenths = new Tone.Ctcss(hertz); // 1000 without a point may be tenths of a hertz
            return Optional.of(of(table.knows(tenths) && !plain.contains("b") ? tenths : new Tone.Burst(hertz)));
        }
        Matcher continuous = CONTINUOUS.matcher(plain);
        return continuous.matches() ? continuous(continuous.group(1), table) : Optional.empty();
    }

    private static WrittenTone of(Tone tone) {
        return new WrittenTone(Optional.of(tone), Optional.empty());
    }

    private static Optional<WrittenTone> digital(String octal, String polarity) {
        boolean inverted = polarity != null && (polarity.startsWith("i") || polarity.startsWith("r"));
        return Optional.of(of(new Tone.Dcs(Integer.parseInt(octal, 8), inverted)));
    }

    private static Optional<WrittenTone> code(int number, ToneTable table) {
        return number == 0
                ? Optional.of(NONE)
                : table.consumerCode(number).map(tone -> new WrittenTone(Optional.of(tone), Optional.of(number)));
    }

    private static Optional<WrittenTone> continuous(String number, ToneTable table) {
        BigDecimal value = new BigDecimal(number.replace(',', '.'));
        boolean whole = number.indexOf('.') < 0 && number.indexOf(',') < 0;
        if (whole
                && number.length() == 3
                && number.startsWith("0")) { // no continuous tone is written with a leading zero
            return number.chars().allMatch(c -> c < '8') ? digital(number, null) : Optional.empty();
        }
        if (whole && value.intValue() <= LAST_CODE) {
            return code(value.intValue(), table);
        }
        BigDecimal tenths = value.movePointRight(1).stripTrailingZeros();
        if (tenths.scale() > 0) {
            return Optional.empty();
        }
        int count = tenths.intValue();
        if (whole && count > HIGHEST_TENTHS) { // 1035 for 103.5
            Tone.Ctcss shifted = new Tone.Ctcss(value.intValue());
            return table.knows(shifted) ? Optional.of(of(shifted)) : Optional.empty();
        }
        return count >= LOWEST_TENTHS && count <= HIGHEST_TENTHS
                ? Optional.of(of(new Tone.Ctcss(count)))
                : Optional.empty();
    }
}
