package org.wache.server.prints;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/** The typefaces of the papers: those of the screens, and behind them one that knows further scripts. */
public enum Typeface {
    TEXT("/prints/fonts/AtkinsonHyperlegibleNext-Regular.ttf", "Text", 400),
    BOLD("/prints/fonts/AtkinsonHyperlegibleNext-Bold.ttf", "Text", 700),
    FIGURES("/prints/fonts/AtkinsonHyperlegibleMono-Regular.ttf", "Figures", 400),
    FIGURES_BOLD("/prints/fonts/AtkinsonHyperlegibleMono-Bold.ttf", "Figures", 700),
    OTHER("/liberation/LiberationSans-Regular.ttf", "Other", 400),
    OTHER_BOLD("/liberation/LiberationSans-Bold.ttf", "Other", 700);

    private final String file;
    private final String family;
    private final int weight;
    private final TrueTypeFont font;
    private final float unit;

    Typeface(String file, String family, int weight) {
        this.file = file;
        this.family = family;
        this.weight = weight;
        try {
            font = new TTFParser().parse(new RandomAccessReadBuffer(open()));
            unit = font.getUnitsPerEm();
            font.getUnicodeCmapLookup(); // read once, before several threads ask
            font.getHorizontalMetrics();
        } catch (IOException e) {
            throw new UncheckedIOException(e); // it ships with the application
        }
    }

    /** The file, as TrueType. */
    public InputStream open() {
        return Typeface.class.getResourceAsStream(file);
    }

    /** The name by which styles call it. */
    String family() {
        return family;
    }

    int weight() {
        return weight;
    }

    /** How wide a text is, in the unit of its size; a sign that it does not have counts as a wide one. */
    public float width(String text, float size) {
        try {
            float sum = 0;
            for (int sign : text.codePoints().toArray()) {
                int glyph = font.getUnicodeCmapLookup().getGlyphId(sign);
                sum += glyph == 0 ? unit : font.getAdvanceWidth(glyph);
            }
            return sum / unit * size;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** As much of a text as a width holds; the rest is left out where it is too long, and an ellipsis says so. */
    public String fitted(String text, float size, float width) {
        if (width(text, size) <= width) {
            return text;
        }
        String shown = text;
        while (!shown.isEmpty() && width(shown + "…", size) > width) {
            shown = shown.substring(0, shown.offsetByCodePoints(shown.length(), -1))
                    .stripTrailing();
        }
        return shown + "…";
    }
}
