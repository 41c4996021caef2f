package org.wache.server.prints;

import com.google.zxing.qrcode.encoder.ByteMatrix;
import com.lowagie.text.Document;
import com.lowagie.text.Element;
import com.lowagie.text.PageSize;
import com.lowagie.text.pdf.PdfContentByte;
import com.lowagie.text.pdf.PdfWriter;
import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.util.ArrayList;
import java.util.List;

/**
 * Channel cards in the size of a wallet card (ISO/IEC 7810 ID-1, 85.60 mm by 53.98 mm), ten to a Letter page with marks to cut along. What
 * the holder may key is marked by a filled arrow; everything else listens.
 */
public final class ChannelCards {

    private static final float MM = 72 / 25.4f;
    private static final float WIDTH = 85.6f * MM;
    private static final float HEIGHT = 53.98f * MM;
    private static final int COLUMNS = 2;
    private static final int ROWS = 5;
    private static final float INSET = 6;
    private static final float HEAD = 23;
    private static final float FOOT = 10;
    private static final float LINE = 8.05f;
    private static final float CODE = 17 * MM;
    private static final int LINES = (int) ((HEIGHT - HEAD - FOOT - INSET) / LINE);
    private static final Color RULE = new Color(0x88, 0x88, 0x88);
    private static final float TEXT = 6.6f;

    private ChannelCards() {}

    /**
     * The card of one holder.
     *
     * @param holder whose it is, with call sign
     * @param list of which list and release
     * @param sum the first figures of the release's SHA-256
     * @param address that the code opens
     * @param lines the entries
     */
    public record Card(String holder, String list, String sum, String address, List<Line> lines) {}

    /** An entry: what to say for it, whether the holder may key it, where it hears and talks, with which tone. */
    public record Line(String number, String name, boolean talks, String hears, String talksOn, String tone) {}

    /** The bytes of the PDF; a list that is too long for one card goes on on the next. */
    public static byte[] write(List<Card> cards) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Document document = new Document(PageSize.LETTER);
        PdfWriter writer = PdfWriter.getInstance(document, out);
        document.addTitle("Channel cards");
        document.addCreator("Wache");
        document.open();
        int place = 0;
        for (Card card : cards) {
            for (Face face : faces(card)) {
                if (place == COLUMNS * ROWS) {
                    document.newPage();
                    place = 0;
                }
                draw(writer.getDirectContent(), place, card, face);
                place++;
            }
        }
        if (place == 0) {
            document.add(
                    new com.lowagie.text.Paragraph("Nobody of the roster carries this release.", PrintStyle.plain(11)));
        }
        document.close();
        return out.toByteArray();
    }

    /** One side: its lines in one or two columns, and which of how many it is. */
    private record Face(List<Line> lines, int number, int of) {}

    private static List<Face> faces(Card card) {
        int most = LINES + LINES; // two columns: the first beside the code is short
        int first = 2 * LINES - hidden();
        List<List<Line>> parts = new ArrayList<>();
        List<Line> left = card.lines();
        parts.add(left.subList(0, Math.min(first, left.size())));
        for (int i = first; i < left.size(); i += most) {
            parts.add(left.subList(i, Math.min(i + most, left.size())));
        }
        List<Face> faces = new ArrayList<>();
        for (int i = 0; i < parts.size(); i++) {
            faces.add(new Face(parts.get(i), i + 1, parts.size()));
        }
        return faces;
    }

    /** Lines of the second column that the code takes on the first side. */
    private static int hidden() {
        return (int) Math.ceil((CODE - HEAD + INSET + 4) / LINE);
    }

    private static void draw(PdfContentByte page, int place, Card card, Face face) {
        float x = (PageSize.LETTER.getWidth() - COLUMNS * WIDTH) / 2 + place % COLUMNS * WIDTH;
        float top = (PageSize.LETTER.getHeight() + ROWS * HEIGHT) / 2 - Math.floorDiv(place, COLUMNS) * HEIGHT;
        page.setColorStroke(RULE);
        page.setLineWidth(0.4f);
        page.rectangle(x, top - HEIGHT, WIDTH, HEIGHT);
        page.stroke();
        page.setColorFill(Color.BLACK);
        boolean first = face.number() == 1;
        float right = x + WIDTH - INSET - (first ? CODE + 4 : 0);
        text(
                page,
                PrintStyle.BOLD,
                9.5f,
                fitted(card.holder(), PrintStyle.BOLD, 9.5f, right - x - INSET),
                x + INSET,
                top - 12,
                Element.ALIGN_LEFT);
        text(
                page,
                PrintStyle.SANS,
                6.3f,
                fitted(
                        card.list() + (face.of() > 1 ? ", side " + face.number() + " of " + face.of() : ""),
                        PrintStyle.SANS,
                        6.3f,
                        right - x - INSET),
                x + INSET,
                top - 19.5f,
                Element.ALIGN_LEFT);
        if (first) {
            code(page, card.address(), x + WIDTH - INSET - CODE, top - INSET - CODE);
        }
        float column = (WIDTH - 2 * INSET - 6) / 2;
        for (int i = 0; i < face.lines().size(); i++) {
            boolean second = i >= LINES;
            int row = second ? i - LINES + (first ? hidden() : 0) : i;
            float left = x + INSET + (second ? column + 6 : 0);
            line(page, face.lines().get(i), left, column, top - HEAD - 6.5f - row * LINE);
        }
        text(
                page,
                PrintStyle.SANS,
                5,
                "arrow: talk · ring: listen only · the licence comes first · " + card.sum(),
                x + INSET,
                top - HEIGHT + 4.5f,
                Element.ALIGN_LEFT);
    }

    private static void line(PdfContentByte page, Line line, float x, float width, float y) {
        if (line.talks()) {
            page.moveTo(x, y);
            page.lineTo(x + 4.2f, y + 2.4f);
            page.lineTo(x, y + 4.8f);
            page.fill();
        } else {
            page.setLineWidth(0.7f);
            page.setColorStroke(Color.BLACK);
            page.circle(x + 2, y + 2.4f, 1.7f);
            page.stroke();
        }
        String where = line.hears()
                + (line.talks() && !line.talksOn().isEmpty() && !line.talksOn().equals(line.hears()) ? shift(line) : "")
                + (line.talks() && !line.tone().isEmpty() ? " " + line.tone() : "");
        float figures = PrintStyle.MONO.getWidthPoint(where, TEXT - 0.8f);
        text(
                page,
                PrintStyle.BOLD,
                TEXT,
                fitted(line.number() + " " + line.name(), PrintStyle.BOLD, TEXT, width - figures - 9),
                x + 6.5f,
                y,
                Element.ALIGN_LEFT);
        text(page, PrintStyle.MONO, TEXT - 0.8f, where, x + width, y, Element.ALIGN_RIGHT);
    }

    /** The offset with its sign, as it is said: {@code −0.6}. */
    private static String shift(Line line) {
        java.math.BigDecimal offset = new java.math.BigDecimal(line.talksOn())
                .subtract(new java.math.BigDecimal(line.hears()))
                .stripTrailingZeros();
        return (offset.signum() < 0 ? "−" : "+") + offset.abs().toPlainString();
    }

    private static String fitted(String text, com.lowagie.text.pdf.BaseFont font, float size, float width) {
        String shown = text;
        while (shown.length() > 1 && font.getWidthPoint(shown, size) > width) {
            shown = shown.substring(0, shown.length() - 1);
        }
        return shown;
    }

    private static void text(
            PdfContentByte page,
            com.lowagie.text.pdf.BaseFont font,
            float size,
            String text,
            float x,
            float y,
            int align) {
        page.beginText();
        page.setFontAndSize(font, size);
        page.showTextAligned(align, text, x, y, 0);
        page.endText();
    }

    private static void code(PdfContentByte page, String address, float x, float y) {
        ByteMatrix matrix = QrCode.matrix(address);
        float module = CODE / matrix.getWidth();
        for (int row = 0; row < matrix.getHeight(); row++) {
            for (int column = 0; column < matrix.getWidth(); column++) {
                if (matrix.get(column, row) == 1) {
                    page.rectangle(x + column * module, y + CODE - (row + 1) * module, module, module);
                }
            }
        }
        page.fill();
    }
}
