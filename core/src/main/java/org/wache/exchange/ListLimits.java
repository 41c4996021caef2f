package org.wache.exchange;

/**
 * How large a list may be. A reader stops at the first thing over it, before it has kept more.
 *
 * @param entries the most entries
 */
public record ListLimits(int entries) {

    /** For whoever reads a list and keeps nothing of it. */
    public static final ListLimits READ_ONLY = new ListLimits(250_000);
    /** For lists that are kept. */
    public static final ListLimits KEPT = new ListLimits(20_000);
    /** The most columns, or keys of entries, that Wache does not know but keeps. */
    public static final int FURTHER_COLUMNS = 100;
    /** The longest text of a field, in characters. */
    public static final int TEXT = 2_000;
    /** The longest name of a further column, in characters. */
    public static final int COLUMN_NAME = 200;

    /** @throws FileProblem when one more entry would be too many */
    void oneMore(int already, long line, long column) {
        if (already >= entries) {
            throw new FileProblem(
                    line, column, "a list has up to " + entries + " entries, and there are more; split it");
        }
    }

    /** @throws FileProblem when one more further column would be too many, or is named at too great length */
    static void oneMoreColumn(int already, String name, long line, long column) {
        if (already >= FURTHER_COLUMNS) {
            throw new FileProblem(
                    line,
                    column,
                    "a list has up to " + FURTHER_COLUMNS
                            + " columns or keys besides the known ones, and there are more; take out what is not needed");
        }
        if (name.length() > COLUMN_NAME) {
            throw new FileProblem(
                    line, column, "the name of a column has up to " + COLUMN_NAME + " characters; shorten it");
        }
    }

    /** @throws FileProblem when a text is too long */
    static void text(String text, String of, long line, long column) {
        if (text.length() > TEXT) {
            throw new FileProblem(line, column, of + " is longer than " + TEXT + " characters; shorten it");
        }
    }
}
