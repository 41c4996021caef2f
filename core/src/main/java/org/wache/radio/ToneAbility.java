package org.wache.radio;

import java.util.List;
import java.util.Set;
import org.wache.signal.Tone;

/**
 * The tones that a radio has.
 *
 * @param known whether anything is known of them
 * @param kinds the kinds
 * @param table the only tones it has, named by their place from 1; empty for a radio that has all of its kinds
 */
public record ToneAbility(boolean known, Set<ToneAbility.Kind> kinds, List<Tone> table) {

    /** Nothing is known. */
    public static final ToneAbility UNKNOWN = new ToneAbility(false, Set.of(), List.of());

    /** A kind of tone. */
    public enum Kind {
        /** Continuous tones. */
        CTCSS("ctcss", "CTCSS"),
        /** Digital codes of either polarity. */
        DCS("dcs", "DCS"),
        /** Digital codes of normal polarity only. */
        DCS_NORMAL("dcs-normal", "DCS of normal polarity"),
        /** A burst at the start. */
        BURST("burst", "tone burst");

        private final String text;
        private final String words;

        Kind(String text, String words) {
            this.text = text;
            this.words = words;
        }

        /** As written in files. */
        public String text() {
            return text;
        }

        /** For messages. */
        public String words() {
            return words;
        }
    }

    public ToneAbility {
        kinds = Set.copyOf(kinds);
        table = List.copyOf(table);
    }

    /** Whether it has the kind that the tone is of; in a table or not is another question. */
    public boolean hasKind(Tone tone) {
        if (tone instanceof Tone.Ctcss) {
            return kinds.contains(Kind.CTCSS);
        }
        if (tone instanceof Tone.Dcs code) {
            return kinds.contains(Kind.DCS) || kinds.contains(Kind.DCS_NORMAL) && !code.inverted();
        }
        return kinds.contains(Kind.BURST);
    }

    /** Whether it has the tone. */
    public boolean has(Tone tone) {
        return hasKind(tone) && (table.isEmpty() || tone instanceof Tone.Burst || table.contains(tone));
    }

    /** The place of a tone in the table, from 1; 0 when it is not there. */
    public int index(Tone tone) {
        return table.indexOf(tone) + 1;
    }
}
