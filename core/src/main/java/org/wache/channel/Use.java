package org.wache.channel;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What an entry is for. */
public enum Use {
    /** From radio to radio on one frequency. */
    DIRECT,
    /** Through a repeater: hears its output, talks on its input. */
    REPEATER,
    /** Never transmits. */
    LISTEN,
    /** From station to station, point to point. */
    LINK,
    /** An auxiliary station, in a system of several stations that work together. */
    AUXILIARY,
    /** Sends so that propagation can be watched. */
    BEACON,
    /** Data sent without an operator at the controls. */
    AUTOMATIC;

    private final String text = name().toLowerCase(Locale.ROOT);

    /** As written in lists. */
    public String text() {
        return text;
    }

    /** Reads the word of a list, in any case. */
    public static Optional<Use> parse(String word) {
        return Arrays.stream(values())
                .filter(each -> each.text.equalsIgnoreCase(word.strip()))
                .findFirst();
    }

    /** All words, as a list may write them. */
    public static List<String> words() {
        return Arrays.stream(values()).map(Use::text).toList();
    }
}
