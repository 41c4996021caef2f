package org.wache.server.charts;

import org.wache.server.charts.Drawing.Ink;

/** The colours of paper: they differ in lightness too, so that a copy in black and white says the same. */
final class Colours {

    private Colours() {}

    /** Of text, lines and edges. */
    static String of(Ink ink) {
        return switch (ink) {
            case TEXT, STRONG, FIGURES, FIGURES_STRONG -> "#10201f";
            case SOFT -> "#41504f";
            case MAY -> "#0b5d5a";
            case OTHERS -> "#5d6b6a";
            case PLAN -> "#5d6b6a";
            case CALLING -> "#10201f";
            case OURS -> "#6b4a12";
            case RULE -> "#8a9695";
        };
    }

    /** Of what is inside an edge. */
    static String fill(Ink ink) {
        return switch (ink) {
            case MAY -> "#bfe0dc";
            case OTHERS -> "#ffffff";
            case PLAN -> "#eef1f0";
            case OURS -> "#f2dfba";
            default -> of(ink);
        };
    }

    /** Of lines and edges, in millimetres. */
    static float thickness(Ink ink) {
        return switch (ink) {
            case RULE -> 0.15f;
            case MAY, OURS -> 0.3f;
            default -> 0.2f;
        };
    }

    static boolean isBold(Ink ink) {
        return ink == Ink.STRONG || ink == Ink.FIGURES_STRONG;
    }

    static boolean isFigures(Ink ink) {
        return ink == Ink.FIGURES || ink == Ink.FIGURES_STRONG;
    }
}
