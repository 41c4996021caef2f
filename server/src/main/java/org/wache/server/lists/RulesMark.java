package org.wache.server.lists;

import java.time.LocalDate;

/**
 * A mark of what all lists of a group are held against beside their own entries: the roster, the group's plan, its
 * radios, what it knows of tones and talk groups, the rulebooks, the day. It is compared and never read.
 */
public final class RulesMark {

    private RulesMark() {}

    /** The mark of these versions on a day. */
    public static String of(int roster, int overlay, int radios, int tones, int rulebooks, LocalDate day) {
        return String.join(
                "-", String.valueOf(roster), "" + overlay, "" + radios, "" + tones, "" + rulebooks, day.toString());
    }

    static String of(ListStore.Head head, LocalDate day) {
        return of(
                head.rosterVersion(),
                head.overlayVersion(),
                head.radiosVersion(),
                head.neighboursVersion(),
                head.rulebooksVersion(),
                day);
    }
}
