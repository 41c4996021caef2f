package org.wache.server.prints;

import com.lowagie.text.Document;
import com.lowagie.text.Element;
import com.lowagie.text.Font;
import com.lowagie.text.Paragraph;
import com.lowagie.text.Phrase;
import com.lowagie.text.Rectangle;
import com.lowagie.text.pdf.BaseFont;
import com.lowagie.text.pdf.PdfContentByte;
import com.lowagie.text.pdf.PdfPCell;
import com.lowagie.text.pdf.PdfPTable;
import com.lowagie.text.pdf.PdfPageEventHelper;
import com.lowagie.text.pdf.PdfTemplate;
import com.lowagie.text.pdf.PdfWriter;
import java.awt.Color;
import java.io.IOException;

/** How everything that is printed looks: fonts, rules, tables, what stands under each page. Black on white, legible copied. */
public final class PrintStyle {

    /** Around each page, in points. */
    public static final float MARGIN = 36;

    static final Color RULE = new Color(0xB8, 0xB4, 0xA8);
    static final Color SHADE = new Color(0xF1, 0xEF, 0xE8);
    static final BaseFont SANS = font("LiberationSans-Regular.ttf");
    static final BaseFont BOLD = font("LiberationSans-Bold.ttf");
    static final BaseFont MONO = font("LiberationMono-Regular.ttf");
    private static final float FOOT = 7.5f;

    private PrintStyle() {}

    private static BaseFont font(String file) {
        try (java.io.InputStream in = PrintStyle.class.getResourceAsStream("/liberation/" + file)) {
            return BaseFont.createFont(file, BaseFont.IDENTITY_H, BaseFont.EMBEDDED, true, in.readAllBytes(), null);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    /** Running text of a size in points. */
    public static Font plain(float size) {
        return new Font(SANS, size);
    }

    /** Names and headings. */
    public static Font bold(float size) {
        return new Font(BOLD, size);
    }

    /** Figures, all of one width. */
    public static Font figures(float size) {
        return new Font(MONO, size);
    }

    /** A line under a title. */
    static Paragraph under(String text, float size, float before) {
        Paragraph paragraph = new Paragraph(text, plain(size));
        paragraph.setSpacingBefore(before);
        return paragraph;
    }

    /** A table over the whole width, with its headings on every page. */
    public static PdfPTable table(float[] widths, String[] headings, float size) {
        PdfPTable table = new PdfPTable(widths);
        table.setWidthPercentage(100);
        table.setHeaderRows(1);
        for (String heading : headings) {
            PdfPCell cell = cell(new Phrase(heading, bold(size)));
            cell.setBackgroundColor(SHADE);
            table.addCell(cell);
        }
        return table;
    }

    /** A cell with a rule under it. */
    public static PdfPCell cell(Phrase phrase) {
        PdfPCell cell = new PdfPCell(phrase);
        cell.setBorder(Rectangle.BOTTOM);
        cell.setBorderColor(RULE);
        cell.setBorderWidth(0.5f);
        cell.setPaddingTop(2.5f);
        cell.setPaddingBottom(4);
        cell.setVerticalAlignment(Element.ALIGN_TOP);
        return cell;
    }

    /** What stands under each page, with its number out of how many. */
    public static PdfPageEventHelper foot(String text) {
        return new Foot(text);
    }

    private static final class Foot extends PdfPageEventHelper {
        private final String text;
        private PdfTemplate pages;

        Foot(String text) {
            this.text = text;
        }

        @Override
        public void onOpenDocument(PdfWriter writer, Document document) {
            pages = writer.getDirectContent().createTemplate(40, 12);
        }

        @Override
        public void onEndPage(PdfWriter writer, Document document) {
            PdfContentByte page = writer.getDirectContent();
            String of = "Page " + writer.getPageNumber() + " of ";
            float y = MARGIN - 6;
            page.beginText();
            page.setFontAndSize(SANS, FOOT);
            page.showTextAligned(Element.ALIGN_LEFT, text, document.left(), y, 0);
            page.showTextAligned(Element.ALIGN_RIGHT, of, document.right() - 14, y, 0);
            page.endText();
            page.addTemplate(pages, document.right() - 14, y);
        }

        @Override
        public void onCloseDocument(PdfWriter writer, Document document) {
            pages.beginText();
            pages.setFontAndSize(SANS, FOOT);
            pages.showText(Integer.toString(writer.getPageNumber() - 1));
            pages.endText();
        }
    }
}
