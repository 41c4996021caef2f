package org.wache.audit.finding;

import java.util.List;
import org.wache.channel.Channel;
import org.wache.signal.Content;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;
import org.wache.signal.Tone;

/** How findings name things. */
public final class Wording {

    private Wording() {}

    /** The emission as the list names it: {@code FM}, or a designator. */
    public static String emission(Channel channel) {
        return channel.emissionFromMode()
                ? channel.mode().map(Mode::name).orElse("")
                : channel.emission().map(Object::toString).orElse("");
    }

    /** A class or service word with a capital. */
    public static String capital(String word) {
        return word.isEmpty() ? word : Character.toUpperCase(word.charAt(0)) + word.substring(1);
    }

    /** A set of contents: {@code CW and data}. */
    public static String contents(int bits) {
        return list(Content.words(bits));
    }

    /** Wording with commas and an "and". */
    public static String list(List<String> words) {
        if (words.size() < 2) {
            return words.isEmpty() ? "" : words.get(0);
        }
        return String.join(", ", words.subList(0, words.size() - 1)) + " and " + words.get(words.size() - 1);
    }

    /** A length in kilohertz, or in hertz below one. */
    public static String length(long hertz) {
        return hertz < 1000 ? hertz + " Hz" : Frequency.kilohertz(hertz) + " kHz";
    }

    /** An offset with its sign: {@code −600 kHz}, {@code +5 MHz}. */
    public static String offset(long hertz) {
        String sign = hertz < 0 ? "−" : "+";
        long size = Math.abs(hertz);
        if (size >= 1_000_000) {
            String megahertz = Frequency.megahertz(size);
            return sign + megahertz.replaceFirst("\\.?0+$", "") + " MHz";
        }
        return sign + Frequency.kilohertz(size).replaceFirst("\\.0$", "") + " kHz";
    }

    /** A tone with what it is: {@code CTCSS 100.0}, {@code DCS 023}. */
    public static String tone(Tone tone) {
        if (tone instanceof Tone.Ctcss) {
            return "CTCSS " + tone.text();
        }
        if (tone instanceof Tone.Dcs dcs) {
            return "DCS " + new Tone.Dcs(dcs.code(), false).text().substring(1) + (dcs.inverted() ? " inverted" : "");
        }
        return "burst " + tone.text().substring(1) + " Hz";
    }
}
