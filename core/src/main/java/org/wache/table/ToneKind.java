package org.wache.table;

import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.wache.typed.Plain;

/**
 * Which of the tones beside it a cell says are in use: programs that keep a tone, a squelch tone and a code for every memory
 * have such a column. The words are common practice, no source.
 *
 * @param sent what goes out
 * @param heard what opens the receiver
 * @param alike whether both sides are said to have the same, so that a single column speaks for both
 */
record ToneKind(Side sent, Side heard, boolean alike) {

    /** What a side has. */
    enum Side {
        NOTHING,
        TONE,
        CODE,
        /** Whatever stands in its column. */
        EITHER
    }

    private static final Set<String> NONE =
            Set.of("none", "off", "csq", "carrier", "open", "no", "-", "--", "cs", "no tone", "n/a", "noise");
    private static final Pattern PARTED = Pattern.compile("(.*?)\\s*(?:->|→|>|\\bto\\b)\\s*(.*)");
    private static final Pattern DIFFERENT = Pattern.compile("cross|different|diff|mixed|split|odd|both different");
    private static final Pattern CODE =
            Pattern.compile("(?:.*\\b)?(?:code|codes|dcs|dtcs|dpl|cdcss|dqt|digital)(?:\\b.*)?");
    private static final Pattern BOTH = Pattern.compile(
            "tsql|(?:.*\\b)?(?:both|enc/dec|encode/decode|encode \\+ decode|t/r|t\\+r|tr|tx/rx|tx \\+ rx|tone sql|tone squelch"
                    + "|sql|squelch|both ways|two-way)(?:\\b.*)?|ct");
    private static final Pattern SENT = Pattern.compile(
            "(?:tone|enc|encode|encode only|t|tx|ctcss|pl|qt|tx only|send|sent|sent only|tone sent|tone only|on"
                    + "|encoder|transmit|transmit only|tone tx|tx tone)");
    private static final Pattern HEARD = Pattern.compile("dec|decode|decode only|rx only|rx|heard only|receive only");

    static final ToneKind OFF = new ToneKind(Side.NOTHING, Side.NOTHING, false);

    /** Reads it; empty when it is none of these. */
    static Optional<ToneKind> read(String cell) {
        String plain = Plain.of(cell);
        if (NONE.contains(plain)) {
            return Optional.of(OFF);
        }
        if (DIFFERENT.matcher(plain).matches()) {
            return Optional.of(new ToneKind(Side.EITHER, Side.EITHER, false));
        }
        Matcher parted = PARTED.matcher(plain);
        if (parted.matches()) {
            Optional<Side> sent = side(parted.group(1));
            Optional<Side> heard = side(parted.group(2));
            return sent.isPresent() && heard.isPresent()
                    ? Optional.of(new ToneKind(sent.get(), heard.get(), false))
                    : Optional.empty();
        }
        boolean both = BOTH.matcher(plain).matches();
        if (CODE.matcher(plain).matches()) {
            return Optional.of(new ToneKind(Side.CODE, both ? Side.CODE : Side.NOTHING, both));
        }
        if (both) {
            return Optional.of(new ToneKind(Side.TONE, Side.TONE, true));
        }
        if (SENT.matcher(plain).matches()) {
            return Optional.of(new ToneKind(Side.TONE, Side.NOTHING, false));
        }
        return HEARD.matcher(plain).matches()
                ? Optional.of(new ToneKind(Side.NOTHING, Side.TONE, false))
                : Optional.empty();
    }

    private static Optional<Side> side(String word) {
        if (word.isEmpty() || NONE.contains(word)) {
            return Optional.of(Side.NOTHING);
        }
        if (CODE.matcher(word).matches()) {
            return Optional.of(Side.CODE);
        }
        return SENT.matcher(word).matches() || word.equals("tsql") ? Optional.of(Side.TONE) : Optional.empty();
    }

    /** A code is for both sides, where the table has no other word for that. */
    ToneKind codeOnBothSides() {
        return sent == Side.CODE && heard == Side.NOTHING ? new ToneKind(Side.CODE, Side.CODE, true) : this;
    }
}
