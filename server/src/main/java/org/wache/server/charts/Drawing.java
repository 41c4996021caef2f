package org.wache.server.charts;

import java.util.List;

/**
 * A drawing of boxes, lines and words, in millimetres from the upper left corner.
 *
 * @param width of the whole
 * @param height of the whole
 * @param marks from behind to before
 */
public record Drawing(float width, float height, List<Mark> marks) {

    /** What a mark is. */
    public enum Kind {
        BOX,
        LINE,
        WORDS
    }

    /** What it stands for, and so how a pen draws it. */
    public enum Ink {
        /** Text and edges. */
        TEXT,
        /** What counts most. */
        STRONG,
        /** What is said beside. */
        SOFT,
        /** Figures. */
        FIGURES,
        FIGURES_STRONG,
        /** What this holder may do. */
        MAY,
        /** What only others may do. */
        OTHERS,
        /** What the plan keeps a part for. */
        PLAN,
        /** A calling frequency. */
        CALLING,
        /** What the group itself agreed on. */
        OURS,
        /** Scales and leaders. */
        RULE
    }

    /** To which side of its place a text stands. */
    public enum Anchor {
        START,
        END
    }

    /**
     * A mark.
     *
     * @param x left edge, or where a text is tied to
     * @param y upper edge, or the base line of a text
     * @param width of a box; how far a line goes to the right
     * @param height of a box; how far a line goes down
     * @param size of a text, in points; 0 for others
     * @param text what stands there; empty for others
     */
    public record Mark(
            Kind kind, Ink ink, float x, float y, float width, float height, float size, Anchor anchor, String text) {}

    static Mark box(Ink ink, float x, float y, float width, float height) {
        return new Mark(Kind.BOX, ink, x, y, width, height, 0, Anchor.START, "");
    }

    /** Lines run along one of the axes. */
    static Mark line(Ink ink, float x, float y, float width, float height) {
        return new Mark(Kind.LINE, ink, x, y, width, height, 0, Anchor.START, "");
    }

    static Mark words(Ink ink, float x, float y, float size, Anchor anchor, String text) {
        return new Mark(Kind.WORDS, ink, x, y, 0, 0, size, anchor, text);
    }
}
