package org.wache.arrival;

/** A file that cannot be taken in; the message says why and what to do. */
public final class ArrivalProblem extends RuntimeException {
    private static final long serialVersionUID = 1;

    public ArrivalProblem(String message) {
        super(message);
    }
}
