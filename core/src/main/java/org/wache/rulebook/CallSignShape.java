package org.wache.rulebook;

import java.util.Locale;
import java.util.regex.Pattern;

/**
 * The shape that the call signs of a service have. A sign that does not fit is a question, never a stop: signs for
 * special events and older series differ.
 *
 * @param pattern what a whole sign in capitals matches
 * @param words the shape in words
 */
public record CallSignShape(Pattern pattern, String words) {

    /** Whether a sign, in any case and without spaces around it, has the shape. */
    public boolean fits(String callSign) {
        return pattern.matcher(callSign.trim().toUpperCase(Locale.ROOT)).matches();
    }
}
