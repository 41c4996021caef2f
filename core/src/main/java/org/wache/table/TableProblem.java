package org.wache.table;

/** A table that cannot be taken in; the message names the place and the cure. */
public final class TableProblem extends RuntimeException {
    private static final long serialVersionUID = 1;

    public TableProblem(String message) {
        super(message);
    }
}
