package org.wache.exchange;

/** A file that cannot be read as what it should be. The message names line, column and what was expected. */
public final class FileProblem extends RuntimeException {
    private static final long serialVersionUID = 1;

    private final long line;
    private final long column;

    public FileProblem(long line, long column, String message) {
        super(message);
        this.line = line;
        this.column = column;
    }

    /** The place and what was expected, on one line. */
    public String described() {
        return "line " + line + ", column " + column + ": " + getMessage();
    }

    /** Line, from 1. */
    public long line() {
        return line;
    }

    /** Column of the table or character in the line, from 1. */
    public long column() {
        return column;
    }
}
