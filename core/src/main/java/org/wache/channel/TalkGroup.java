package org.wache.channel;

import java.util.Locale;
import java.util.OptionalInt;

/**
 * A talk group that a group of people has agreed on.
 *
 * @param number what is called, 1 to 16777215
 * @param name what people call it
 * @param slot its slot on repeaters, 1 or 2; empty where it has no slot of its own
 * @param forWhom whose it is, in words; empty for everybody
 */
public record TalkGroup(int number, String name, OptionalInt slot, String forWhom) {

    /** The highest number, ETSI TS 102 361-1, from memory. */
    public static final int HIGHEST = 16_777_215;

    /** Whether somebody who writes a text means its name: letters and figures alone count. */
    public boolean isCalled(String text) {
        return !plain(text).isEmpty() && plain(text).equals(plain(name));
    }

    private static String plain(String text) {
        return text.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]", "");
    }
}
