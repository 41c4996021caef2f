package org.wache.licence;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import org.wache.radio.RadioKind;

/**
 * The class of station that a licence line is for. Two letters tell what may key there, as in the international notation of station
 * classes (from memory); what follows them (a relay, itinerant, temporary) goes into the code only.
 *
 * @param code as on the licence, such as FB2 or MO
 * @param kind what it tells of
 */
public record StationClass(String code, Kind kind) {

    private static final Pattern FORM = Pattern.compile("[A-Z]{2}[A-Z0-9]{0,2}");

    /** What may key under a class. */
    public enum Kind {
        /** Base stations, and the repeaters among them. */
        BASE("base stations and repeaters", List.of("FB"), RadioKind.BASE),
        /** Stations at one place that talk to another such, control stations among them. */
        FIXED("fixed and control stations", List.of("FX"), RadioKind.BASE),
        /** Vehicles and hands. */
        MOBILE("mobiles and hand-helds", List.of("MO", "ML"), RadioKind.MOBILE, RadioKind.HAND_HELD);

        private final String words;
        private final List<String> letters;
        private final List<RadioKind> radios;

        Kind(String words, List<String> letters, RadioKind... radios) {
            this.words = words;
            this.letters = letters;
            this.radios = List.of(radios);
        }

        /** In sentences, after "for". */
        public String words() {
            return words;
        }

        /** Whether such a radio keys under it; empty when the radio's kind does not tell. */
        public Optional<Boolean> takes(RadioKind radio) {
            return radio == RadioKind.TRANSCEIVER ? Optional.empty() : Optional.of(radios.contains(radio));
        }
    }

    /** Reads a code; empty when it is none that is known. */
    public static Optional<StationClass> parse(String text) {
        String code = text.strip().toUpperCase(Locale.ROOT);
        return !FORM.matcher(code).matches()
                ? Optional.empty()
                : Arrays.stream(Kind.values())
                        .filter(kind -> kind.letters.contains(code.substring(0, 2)))
                        .findFirst()
                        .map(kind -> new StationClass(code, kind));
    }
}
