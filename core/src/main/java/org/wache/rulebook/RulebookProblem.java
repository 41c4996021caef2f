package org.wache.rulebook;

/** A rulebook file that cannot be read; the message names the file, the line and the key. */
public final class RulebookProblem extends RuntimeException {
    private static final long serialVersionUID = 1;

    private final int line;

    RulebookProblem(String message) {
        this(message, 0);
    }

    RulebookProblem(String message, int line) {
        super(message);
        this.line = line;
    }

    RulebookProblem(String message, Throwable cause) {
        super(message, cause);
        this.line = 0;
    }

    /** The line in the file, from 1; 0 where it is none of a line. */
    public int line() {
        return line;
    }
}
