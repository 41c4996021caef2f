package org.wache.signal;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * What an emission carries, in the words of the rulebook files. One emission can be several: a narrow FM voice signal
 * is phone, narrow phone and analogue FM voice.
 */
public enum Content {
    /** Morse telegraphy, keyed carrier. */
    CW,
    /** Morse telegraphy, keyed tone. */
    MCW,
    /** Data and radioteletype. */
    DATA,
    /** Voice of any kind. */
    PHONE,
    /** Voice that is not angle-modulated with an index above 1 (47 CFR 97.307(f)(1)). */
    PHONE_LOW_INDEX,
    /** Single-sideband voice, whatever its carrier (J3E, R3E, H3E). */
    SSB,
    /** Single-sideband voice without its carrier or with a reduced one: J3E and R3E, as 47 CFR 97.307(f)(10) names them. */
    SSB_REDUCED,
    /** Double-sideband amplitude-modulated voice (A3E). */
    AM,
    /** Analogue frequency- or phase-modulated voice (F3E, G3E). */
    FM,
    /** Digital voice. */
    DIGITAL_VOICE,
    /** Pictures and television. */
    IMAGE,
    /** None of the others. */
    OTHER;

    /** The bit of this content in a set of contents. */
    public int bit() {
        return 1 << ordinal();
    }

    /** A set of contents in words, one for each kind that is not part of another. */
    public static List<String> words(int bits) {
        List<String> words = new ArrayList<>();
        add(words, bits, CW, "CW");
        add(words, bits, DATA, "data");
        if ((bits & PHONE.bit()) != 0) {
            words.add("voice");
        } else if ((bits & PHONE_LOW_INDEX.bit()) != 0) {
            words.add("voice (FM only with a modulation index up to 1)");
        } else {
            add(words, bits, SSB, "single sideband");
            if ((bits & SSB.bit()) == 0) {
                add(words, bits, SSB_REDUCED, "single sideband (J3E, R3E)");
            }
            add(words, bits, AM, "AM");
            add(words, bits, FM, "analogue FM voice");
            add(words, bits, DIGITAL_VOICE, "digital voice");
        }
        add(words, bits, IMAGE, "images");
        return words;
    }

    private static void add(List<String> words, int bits, Content content, String word) {
        if ((bits & content.bit()) != 0) {
            words.add(word);
        }
    }

    /** Reads a word list of a rulebook file such as {@code "cw data phone-low-index"} into a set of bits. */
    public static int bits(String words) {
        int bits = 0;
        for (String word : words.trim().split("\\s+")) {
            bits |= word.equals("any")
                    ? -1
                    : valueOf(word.toUpperCase(Locale.ROOT).replace('-', '_')).bit();
        }
        return bits;
    }
}
