package org.wache.typed;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.wache.signal.Emission;
import org.wache.signal.Mode;

/**
 * A mode, a width or a designator as people write it: {@code FM}, {@code narrow}, {@code 12.5 kHz}, {@code 11K2F3E}.
 *
 * @param mode the mode, when one is named
 * @param narrow whether narrow or wide, when that is said
 * @param emission the designator, when one is given
 * @param sideband whether single sideband is said without which
 */
public record WrittenMode(Optional<Mode> mode, Optional<Boolean> narrow, Optional<String> emission, boolean sideband) {

    private static final Pattern DESIGNATOR = Pattern.compile("[0-9]{1,3}[hkmg][0-9]{0,2}[a-z0-9]{3,5}");
    private static final Pattern KILOHERTZ =
            Pattern.compile("(?:(?:nfm|fm|n|w|bw)[\\s/-]*)?\\(?([0-9]{1,2}(?:[.,][0-9]{1,3})?)\\s*(?:k|khz)?\\)?");
    private static final double NARROW_TO = 15;
    private static final double NARROW_FROM = 6.25;
    private static final double WIDE_TO = 30;
    private static final Map<String, String> WORDS = Map.ofEntries(
            Map.entry("fm", "FM"),
            Map.entry("f3e", "FM"),
            Map.entry("fm voice", "FM"),
            Map.entry("analog", "FM"),
            Map.entry("analogue", "FM"),
            Map.entry("analog fm", "FM"),
            Map.entry("voice", "FM"),
            Map.entry("nfm", "NFM"),
            Map.entry("fmn", "NFM"),
            Map.entry("fm-n", "NFM"),
            Map.entry("fm n", "NFM"),
            Map.entry("n-fm", "NFM"),
            Map.entry("narrow fm", "NFM"),
            Map.entry("fm narrow", "NFM"),
            Map.entry("nbfm", "NFM"),
            Map.entry("wfm", "FM"),
            Map.entry("fmw", "FM"),
            Map.entry("fm-w", "FM"),
            Map.entry("wide fm", "FM"),
            Map.entry("fm wide", "FM"),
            Map.entry("am", "AM"),
            Map.entry("a3e", "AM"),
            Map.entry("usb", "USB"),
            Map.entry("lsb", "LSB"),
            Map.entry("cw", "CW"),
            Map.entry("morse", "CW"),
            Map.entry("dmr", "DMR"),
            Map.entry("p25", "P25"),
            Map.entry("p-25", "P25"),
            Map.entry("p25 phase 1", "P25"),
            Map.entry("apco 25", "P25"),
            Map.entry("nxdn", "NXDN"),
            Map.entry("dv", "DV"),
            Map.entry("digital voice", "DV"),
            Map.entry("pkt", "PKT"),
            Map.entry("packet", "PKT"),
            Map.entry("position reports", "PKT"),
            Map.entry("ft8", "FT8"),
            Map.entry("ft-8", "FT8"),
            Map.entry("psk31", "PSK31"),
            Map.entry("psk-31", "PSK31"),
            Map.entry("psk", "PSK31"),
            Map.entry("rtty", "RTTY"),
            Map.entry("sstv", "SSTV"),
            Map.entry("slow-scan", "SSTV"),
            Map.entry("slow scan", "SSTV"),
            Map.entry("slow-scan television", "SSTV"),
            Map.entry("c4fm", "C4FM"),
            Map.entry("dstar", "DSTAR"),
            Map.entry("d-star", "DSTAR"),
            Map.entry("m17", "M17"),
            Map.entry("tetra", "TETRA"),
            Map.entry("digital", "DV"),
            Map.entry("data", "DATA"));

    private static WrittenMode of(Mode mode, Optional<Boolean> narrow) {
        return new WrittenMode(Optional.of(mode), narrow, Optional.empty(), false);
    }

    private static WrittenMode width(boolean narrow) {
        return new WrittenMode(Optional.empty(), Optional.of(narrow), Optional.empty(), false);
    }

    /** Reads it; empty when it is none of them. */
    public static Optional<WrittenMode> read(String text) {
        String plain = Plain.of(text);
        String word = WORDS.get(plain);
        if (word != null) {
            boolean wide = plain.contains("w") && word.equals("FM");
            Optional<Boolean> narrow =
                    word.equals("NFM") ? Optional.of(true) : wide ? Optional.of(false) : Optional.empty();
            return Optional.of(of(Mode.valueOf(word), narrow));
        }
        switch (plain) {
            case "n", "nar", "nb", "narrow", "narrowband", "narrow band", "half" -> {
                return Optional.of(width(true));
            }
            case "w", "wide", "wb", "wideband", "wide band", "norm", "normal", "full" -> {
                return Optional.of(width(false));
            }
            case "ssb" -> {
                return Optional.of(new WrittenMode(Optional.empty(), Optional.empty(), Optional.empty(), true));
            }
            default -> {
                return designator(plain).or(() -> kilohertz(plain));
            }
        }
    }

    private static Optional<WrittenMode> designator(String plain) {
        String capitals = plain.toUpperCase(Locale.ROOT);
        return DESIGNATOR.matcher(plain).matches() && Emission.parse(capitals).isPresent()
                ? Optional.of(new WrittenMode(Optional.empty(), Optional.empty(), Optional.of(capitals), false))
                : Optional.empty();
    }

    /** A channel's width: up to 15 kHz is narrow, up to 30 kHz wide. */
    private static Optional<WrittenMode> kilohertz(String plain) {
        if (plain.matches("12k5")) {
            return Optional.of(width(true));
        }
        java.util.regex.Matcher shape = KILOHERTZ.matcher(plain);
        if (!shape.matches()) {
            return Optional.empty();
        }
        double kilohertz = Double.parseDouble(shape.group(1).replace(',', '.'));
        return kilohertz >= NARROW_FROM && kilohertz <= WIDE_TO
                ? Optional.of(width(kilohertz <= NARROW_TO))
                : Optional.empty();
    }
}
