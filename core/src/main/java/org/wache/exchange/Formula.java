package org.wache.exchange;

/**
 * Keeps a spreadsheet from running text as a formula: an apostrophe is written before it, and taken away when the file
 * is read again, so that nothing is lost.
 */
public final class Formula {

    private static final String STARTS = "=+-@\t\r";

    private Formula() {}

    /** The text as a spreadsheet shows it and does not run it. */
    public static String harmless(String text) {
        return dangerous(text) ? "'" + text : text;
    }

    static String restored(String text) {
        return text.startsWith("'") && dangerous(text) ? text.substring(1) : text;
    }

    private static boolean dangerous(String text) {
        int i = 0;
        while (i < text.length() && text.charAt(i) == '\'') {
            i++;
        }
        return i < text.length() && STARTS.indexOf(text.charAt(i)) >= 0;
    }
}
