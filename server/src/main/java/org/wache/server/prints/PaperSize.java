package org.wache.server.prints;

/** A sheet of paper. */
public enum PaperSize {
    /** ISO 216, 210 mm by 297 mm. */
    A4("210mm 297mm", 210, 297),
    /** ANSI Y14.1 size A, 8.5 in by 11 in. */
    LETTER("8.5in 11in", 215.9f, 279.4f);

    private final String css;
    private final float width;
    private final float height;

    PaperSize(String css, float width, float height) {
        this.css = css;
        this.width = width;
        this.height = height;
    }

    /** As a style sheet names it, upright or lying. */
    String css(boolean lying) {
        String[] sides = css.split(" ");
        return lying ? sides[1] + " " + sides[0] : css;
    }

    /** The shorter side, in millimetres. */
    public float width() {
        return width;
    }

    /** The longer side, in millimetres. */
    public float height() {
        return height;
    }
}
