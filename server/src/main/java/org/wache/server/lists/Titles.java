package org.wache.server.lists;

import org.wache.audit.finding.Slug;

/** What rules are called, for other parts of the server. */
public final class Titles {

    private Titles() {}

    /** A rule in one line. */
    public static String of(Slug rule) {
        return DeskWriter.title(rule);
    }
}
