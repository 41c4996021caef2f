package org.wache.server.access;

import org.wache.server.web.EnumWords;

/** What somebody is in a group. */
public enum Role {
    COORDINATOR,
    REVIEWER,
    TECHNICIAN,
    /** Sees their own card, and nothing else of the group. */
    MEMBER;

    /** As it is written: {@code coordinator}. */
    public String text() {
        return EnumWords.of(this);
    }
}
