package org.wache.server.charts;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Base64;
import java.util.Locale;
import org.wache.server.charts.Drawing.Anchor;
import org.wache.server.charts.Drawing.Ink;
import org.wache.server.charts.Drawing.Mark;
import org.wache.server.prints.Paper;
import org.wache.server.prints.Typeface;

/** Draws as SVG, with its typefaces in the file, so that it looks the same wherever it is opened. */
final class SvgPen {

    private static final float POINT = 25.4f / 72;
    private static final float MARGIN = 6;

    private SvgPen() {}

    /** The text of the file. */
    static String draw(Drawing drawing, String title) {
        StringBuilder svg = new StringBuilder(String.format(
                Locale.ROOT,
                "<svg xmlns=\"http://www.w3.org/2000/svg\" lang=\"en\" role=\"img\" font-family=\"Text, sans-serif\" aria-labelledby=\"title\" width=\"%1$.1fmm\" height=\"%2$.1fmm\" viewBox=\"%3$.1f %3$.1f %1$.1f %2$.1f\">\n",
                drawing.width() + 2 * MARGIN,
                drawing.height() + 2 * MARGIN,
                -MARGIN));
        svg.append("<title id=\"title\">").append(Paper.escaped(title)).append("</title>\n<style>\n");
        face(svg, Typeface.TEXT, "Text", 400);
        face(svg, Typeface.BOLD, "Text", 700);
        face(svg, Typeface.FIGURES, "Figures", 400);
        face(svg, Typeface.FIGURES_BOLD, "Figures", 700);
        svg.append("</style>\n"); // a rule for texts would go before what each of them says
        svg.append(String.format(
                Locale.ROOT,
                "<rect x=\"%1$.1f\" y=\"%1$.1f\" width=\"%2$.1f\" height=\"%3$.1f\" fill=\"#fff\"/>\n",
                -MARGIN,
                drawing.width() + 2 * MARGIN,
                drawing.height() + 2 * MARGIN));
        drawing.marks().forEach(mark -> mark(svg, mark));
        return svg.append("</svg>\n").toString();
    }

    private static void face(StringBuilder svg, Typeface face, String family, int weight) {
        try (InputStream in = face.open()) {
            svg.append("@font-face { font-family: ")
                    .append(family)
                    .append("; font-weight: ")
                    .append(weight)
                    .append("; src: url(data:font/ttf;base64,")
                    .append(Base64.getEncoder().encodeToString(in.readAllBytes()))
                    .append(") }\n");
        } catch (IOException e) {
            throw new UncheckedIOException(e); // it ships with the application
        }
    }

    private static void mark(StringBuilder svg, Mark mark) {
        svg.append(
                switch (mark.kind()) {
                    case BOX ->
                        String.format(
                                Locale.ROOT,
                                "<rect x=\"%.2f\" y=\"%.2f\" width=\"%.2f\" height=\"%.2f\" %s/>%n",
                                mark.x(),
                                mark.y(),
                                mark.width(),
                                mark.height(),
                                box(mark.ink()));
                    case LINE ->
                        String.format(
                                Locale.ROOT,
                                "<path d=\"M%.2f %.2fl%.2f %.2f\" stroke=\"%s\" stroke-width=\"%s\"/>%n",
                                mark.x(),
                                mark.y(),
                                mark.width(),
                                mark.height(),
                                Colours.of(mark.ink()),
                                Colours.thickness(mark.ink()));
                    case WORDS ->
                        String.format(
                                Locale.ROOT,
                                "<text x=\"%.2f\" y=\"%.2f\" font-size=\"%.2f\" font-weight=\"%d\"%s%s fill=\"%s\" xml:space=\"preserve\">%s</text>%n",
                                mark.x(),
                                mark.y(),
                                mark.size() * POINT,
                                Colours.isBold(mark.ink()) ? 700 : 400,
                                Colours.isFigures(mark.ink()) ? " font-family=\"Figures, monospace\"" : "",
                                mark.anchor() == Anchor.END ? " text-anchor=\"end\"" : "",
                                Colours.of(mark.ink()),
                                Paper.escaped(mark.text()));
                });
    }

    private static String box(Ink ink) {
        return "fill=\"" + Colours.fill(ink) + "\" stroke=\"" + Colours.of(ink) + "\" stroke-width=\""
                + Colours.thickness(ink) + "\"" + (ink == Ink.OTHERS ? " stroke-dasharray=\"1 0.8\"" : "");
    }
}
