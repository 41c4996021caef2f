package org.wache.server.access;

import java.util.Locale;

/** What somebody is in a group. */
public enum Role {
    COORDINATOR,
    REVIEWER,
    TECHNICIAN,
    /** Sees their own card, and nothing else of the group. */
    MEMBER;

    /** As it is written: {@code coordinator}. */
    public String text() {
        return name().toLowerCase(Locale.ROOT);
    }
}
