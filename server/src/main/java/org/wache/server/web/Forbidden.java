package org.wache.server.web;

/** Something that others of the group may do, and this account may not; the message says who may. */
public final class Forbidden extends RuntimeException {
    private static final long serialVersionUID = 1;

    public Forbidden(String message) {
        super(message);
    }
}
