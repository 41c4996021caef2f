package org.wache.table;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.wache.typed.Plain;

/**
 * What the communications plan of emergency groups says in letters (form 205 and its inventory 217A; common practice, from memory): the
 * mode as A for analogue, D for digital and M for mixed, the width as N or W behind a frequency, and for digital channels a
 * network access code where the tone of others stands.
 */
final class FormMode {

    private static final Pattern WIDTH = Pattern.compile("(.*[0-9]) *([NWnw])");
    private static final Pattern ACCESS_CODE = Pattern.compile("[0-9A-Fa-f]{3}");

    private FormMode() {}

    /**
     * Whether a column of modes speaks in these letters: its heading names them, or there is nothing but them in it and not A alone. An A
     * elsewhere may as well be amplitude modulation.
     */
    static boolean areLetters(String heading, List<String> cells) {
        List<String> filled = cells.stream().filter(cell -> !cell.isBlank()).toList();
        return Plain.of(heading).replaceAll("[^a-z]+", " ").matches(".*\\ba d (or )?m\\b.*")
                || filled.stream().allMatch(FormMode::isOne) && filled.stream().anyMatch(FormMode::isDigital);
    }

    /** Whether a cell is one of the letters. */
    static boolean isOne(String cell) {
        return cell.strip().toUpperCase(Locale.ROOT).matches("[ADM]");
    }

    /** Whether it says that the channel is digital, at least at times. */
    static boolean isDigital(String cell) {
        return isOne(cell) && !cell.strip().equalsIgnoreCase("A");
    }

    /** A frequency with its width behind it. */
    record WithWidth(String frequency, String width) {}

    /** A cell with a width behind its frequency. */
    static Optional<WithWidth> withWidth(String cell) {
        Matcher parts = WIDTH.matcher(cell.strip());
        return parts.matches() ? Optional.of(new WithWidth(parts.group(1).strip(), parts.group(2))) : Optional.empty();
    }

    /** Whether a cell is a frequency with its width, such as 146.9400 W, and not a power. */
    static boolean isFrequencyWithWidth(String cell) {
        return withWidth(cell)
                .filter(parts -> parts.frequency().matches("[0-9]{2,4}[.,][0-9]{3,}"))
                .isPresent();
    }

    /** Whether a cell can be a network access code: three hexadecimal figures. */
    static boolean isAccessCode(String cell) {
        return ACCESS_CODE.matcher(cell.strip()).matches();
    }
}
