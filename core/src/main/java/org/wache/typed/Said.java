package org.wache.typed;

import org.wache.audit.finding.Sum;
import org.wache.channel.Field;

/**
 * One thing that was understood, or taken because nothing was said of it.
 *
 * @param field the field it is about
 * @param words what it came to: {@code talks on 146.340 MHz}
 * @param why where that comes from: {@code the plan's offset there}; empty when it was said in so many words
 * @param sum the arithmetic, where there is any
 * @param doubt whether it should be looked at: it goes against the plan, or could have meant something else
 */
public record Said(Field field, String words, String why, Sum sum, boolean doubt) {

    public static Said plainly(Field field, String words) {
        return new Said(field, words, "", Sum.NONE, false);
    }

    public static Said because(Field field, String words, String why) {
        return new Said(field, words, why, Sum.NONE, false);
    }

    public static Said doubtful(Field field, String words, String why) {
        return new Said(field, words, why, Sum.NONE, true);
    }

    /** On one line: {@code talks on 146.340 MHz: 146.940 MHz − 600.0 kHz = 146.340 MHz, the plan's offset there}. */
    public String line() {
        String arithmetic = sum.lines().isEmpty() ? "" : ": " + sum.text();
        String reason = why.isEmpty() ? "" : (arithmetic.isEmpty() ? ": " : ", ") + why;
        return words + arithmetic + reason;
    }
}
