package org.wache.typed;

import java.util.Locale;

/** Text as people type it, brought to one spelling: one kind of minus, space and quote, lower case. */
public final class Plain {

    private Plain() {}

    /** Lower case, with plain minus signs, points of the decimal kind left as they are, and single spaces. */
    public static String of(String text) {
        StringBuilder out = new StringBuilder(text.length());
        boolean space = false;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (Character.isWhitespace(c) || Character.isSpaceChar(c) || c == '\uFEFF' || c == '\u200B') {
                space = out.length() > 0;
                continue;
            }
            if (space) {
                out.append(' ');
                space = false;
            }
            out.append(plain(c));
        }
        return out.toString().toLowerCase(Locale.ROOT);
    }

    private static char plain(char c) {
        return switch (c) {
            case '\u2212', '\u2010', '\u2011', '\u2012', '\u2013', '\u2014', '\uFE63', '\uFF0D' -> '-';
            case '\uFF0B' -> '+';
            case '\u2019', '\u2018', '\u00B4' -> '\'';
            case '\u201C', '\u201D' -> '"';
            default -> c;
        };
    }

    /** Without the marks that point to a footnote. */
    static String unmarked(String plain) {
        int end = plain.length();
        while (end > 1 && "*\u2020\u2021\u00a7".indexOf(plain.charAt(end - 1)) >= 0) {
            end--;
        }
        return plain.substring(0, end).stripTrailing();
    }

    /** Without brackets around the whole of it. */
    static String unbracketed(String plain) {
        boolean round = plain.startsWith("(") && plain.endsWith(")") || plain.startsWith("[") && plain.endsWith("]");
        return round && plain.length() > 1
                ? plain.substring(1, plain.length() - 1).trim()
                : plain;
    }
}
