package org.wache.server.web;

/** What was asked for does not exist, or not for this account: the two are not told apart. */
public final class Missing extends RuntimeException {
    private static final long serialVersionUID = 1;

    public Missing(String what) {
        super(what + " is not there, or not yours to see.");
    }
}
