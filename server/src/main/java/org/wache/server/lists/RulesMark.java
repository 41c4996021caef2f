package org.wache.server.lists;

import java.time.LocalDate;

/**
 * A mark of what all lists of a group are held against beside their own entries: the roster, the group's plan, its
 * radios, the rulebooks, the day. It is compared and never read.
 */
public final class RulesMark {

    private RulesMark() {}

    /** The mark of these versions on a day. */
    public static String of(int roster, int overlay, int radios, int rulebooks, LocalDate day) {
        return String.join("-", String.valueOf(roster), "" + overlay, "" + radios, "" + rulebooks, day.toString());
    }

    static String of(ListStore.Head head, LocalDate day) {
        return of(head.rosterVersion(), head.overlayVersion(), head.radiosVersion(), head.rulebooksVersion(), day);
    }
}
