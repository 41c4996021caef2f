package org.wache.server.charts;

import java.util.Locale;
import org.wache.server.charts.Drawing.Anchor;
import org.wache.server.charts.Drawing.Mark;
import org.wache.server.prints.Paper;

/** Draws for paper: boxes and words at their places, so that words stay words for those who hear them. */
final class PaperPen {

    private static final float POINT = 25.4f / 72;
    /** From the upper edge of a line to the base line of its text, in parts of its size. */
    private static final float ASCENT = 0.82f;

    private PaperPen() {}

    /** The mark-up of a drawing. */
    static String draw(Drawing drawing) {
        StringBuilder html = new StringBuilder(String.format(
                Locale.ROOT,
                "<div style=\"position: relative; width: %.1fmm; height: %.1fmm\">%n",
                drawing.width(),
                drawing.height() - 1));
        drawing.marks().forEach(mark -> mark(html, mark));
        return html.append("</div>\n").toString();
    }

    private static void mark(StringBuilder html, Mark mark) {
        switch (mark.kind()) {
            case BOX ->
                html.append(String.format(
                        Locale.ROOT,
                        "<div style=\"position: absolute; box-sizing: border-box; left: %.2fmm; top: %.2fmm; width: %.2fmm; height: %.2fmm; background: %s; border: %.2fmm %s %s\"></div>%n",
                        mark.x(),
                        mark.y(),
                        mark.width(),
                        mark.height(),
                        Colours.fill(mark.ink()),
                        Math.min(Colours.thickness(mark.ink()), mark.height() / 2),
                        mark.ink() == Drawing.Ink.OTHERS ? "dashed" : "solid",
                        Colours.of(mark.ink())));
            case LINE ->
                html.append(String.format(
                        Locale.ROOT,
                        "<div style=\"position: absolute; left: %.2fmm; top: %.2fmm; width: %.2fmm; height: %.2fmm; background: %s\"></div>%n",
                        mark.x(),
                        mark.y(),
                        Math.max(mark.width(), Colours.thickness(mark.ink())),
                        Math.max(mark.height(), Colours.thickness(mark.ink())),
                        Colours.of(mark.ink())));
            case WORDS -> {
                float room = 190;
                boolean end = mark.anchor() == Anchor.END;
                html.append(String.format(
                        Locale.ROOT,
                        "<div style=\"position: absolute; white-space: pre; left: %.2fmm; top: %.2fmm; width: %.0fmm; text-align: %s; font: %d %.2fpt/1 %s, Other; color: %s\">%s</div>%n",
                        end ? mark.x() - room : mark.x(),
                        mark.y() - mark.size() * POINT * ASCENT,
                        room,
                        end ? "right" : "left",
                        Colours.isBold(mark.ink()) ? 700 : 400,
                        mark.size(),
                        Colours.isFigures(mark.ink()) ? "Figures" : "Text",
                        Colours.of(mark.ink()),
                        Paper.escaped(mark.text())));
            }
        }
    }
}
