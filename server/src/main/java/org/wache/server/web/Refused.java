package org.wache.server.web;

/** A request that cannot be carried out; the message says what is wrong and what helps. */
public final class Refused extends RuntimeException {
    private static final long serialVersionUID = 1;

    public Refused(String message) {
        super(message);
    }
}
