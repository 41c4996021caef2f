package org.wache.table;

import java.util.Optional;
import org.wache.typed.Unit;

/**
 * What a column of a table is taken for.
 *
 * @param kind what stands in it
 * @param unit the unit of its numbers, where it is known
 */
public record Column(Kind kind, Optional<Unit> unit) {

    /** What may stand in a column. */
    public enum Kind {
        /** The entry's number or memory. */
        NUMBER("Number"),
        /** The entry's name. */
        NAME("Name"),
        /** A place, a call sign: kept, and the name where there is none. */
        PLACE("Place or call sign"),
        /** Where one hears: a repeater's output. */
        RECEIVE("Hears on"),
        /** Where one talks: a repeater's input. */
        TRANSMIT("Talks on"),
        /** How far from there one talks: a sign, a size, or "simplex". */
        SHIFT("Offset"),
        /** A channel by its name in a service. */
        CHANNEL("Channel of a service"),
        /** A tone of which no side is said. */
        TONE("Tone"),
        /** The tone that is sent. */
        TONE_SENT("Tone sent"),
        /** The tone that opens the receiver. */
        TONE_HEARD("Tone it opens with"),
        /** Which of the tones is in use. */
        TONE_USE("How the tone is used"),
        /** Where kinds on both sides differ: which side has what, such as a tone sent and a code that opens. */
        TONE_PARTS("Kinds of tone by side"),
        /** A digital code that is sent, or one for both sides. */
        CODE("Digital code"),
        /** The digital code that opens the receiver. */
        CODE_HEARD("Digital code it opens with"),
        /** Which of the codes are inverted. */
        POLARITY("Polarity of the code"),
        /** Mode, width or designator. */
        MODE("Mode or width"),
        /** Whether it is narrow. */
        NARROW("Narrow: yes or no"),
        /** Whether it is wide. */
        WIDE("Wide: yes or no"),
        /** The zone or bank of a radio that it stands in. */
        ZONE("Zone"),
        POWER("Power"),
        USE("Direct, repeater, listen"),
        SERVICE("Service"),
        SCAN("Scan"),
        /** Whether a scan passes over it. */
        SKIP("Left out of the scan"),
        TIMEOUT("Time-out"),
        NOTE("Note"),
        COLOUR_CODE("Colour code"),
        TIME_SLOT("Time slot"),
        TALK_GROUP("Talk group"),
        CONTACT("Contact"),
        RECEIVE_GROUP("Receive group"),
        ACCESS_CODE("Access code"),
        /** How far a radio tunes from one frequency to the next; no frequency, and kept as it is. */
        STEP("Tuning step"),
        /** An entry in words, as in the add line. */
        LINE("Entry in words"),
        /** Kept as it is in a column of its own. */
        KEEP("Keep as it is"),
        /** Not taken in. */
        LEAVE("Leave out");

        private final String title;

        Kind(String title) {
            this.title = title;
        }

        /** What it is called where one chooses it. */
        public String title() {
            return title;
        }

        /** Whether it holds a tone, or a part of one. */
        boolean tone() {
            return switch (this) {
                case TONE, TONE_SENT, TONE_HEARD, CODE, CODE_HEARD, POLARITY -> true;
                default -> false;
            };
        }

        /** Whether several columns may be of this kind. */
        boolean several() {
            return switch (this) {
                case PLACE, TONE, SHIFT, MODE, NOTE, KEEP, LEAVE -> true;
                default -> false;
            };
        }
    }

    static Column of(Kind kind) {
        return new Column(kind, Optional.empty());
    }
}
