package org.wache.server.prints;

import com.lowagie.text.Document;
import com.lowagie.text.PageSize;
import com.lowagie.text.Paragraph;
import com.lowagie.text.Rectangle;
import com.lowagie.text.pdf.PdfWriter;
import java.io.ByteArrayOutputStream;
import java.util.function.Consumer;

/** Opens and closes a document in the style of everything that is printed: Letter, a title, a foot with pages. */
public final class Sheets {

    private Sheets() {}

    /** A document of upright or lying pages; body adds what stands under title and lead. */
    public static byte[] of(boolean lying, String title, String lead, String foot, Consumer<Document> body) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Rectangle size = lying ? PageSize.LETTER.rotate() : PageSize.LETTER;
        Document document =
                new Document(size, PrintStyle.MARGIN, PrintStyle.MARGIN, PrintStyle.MARGIN, PrintStyle.MARGIN + 12);
        PdfWriter.getInstance(document, out).setPageEvent(PrintStyle.foot(foot));
        document.addTitle(title);
        document.addCreator("Wache");
        document.open();
        document.add(new Paragraph(title, PrintStyle.bold(17)));
        document.add(new Paragraph(lead, PrintStyle.plain(9.5f)));
        body.accept(document);
        document.close();
        return out.toByteArray();
    }
}
