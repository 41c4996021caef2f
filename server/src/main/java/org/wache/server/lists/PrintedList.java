package org.wache.server.lists;

import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import com.lowagie.text.Chunk;
import com.lowagie.text.Document;
import com.lowagie.text.Element;
import com.lowagie.text.Font;
import com.lowagie.text.PageSize;
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
import org.wache.audit.Audit;
import org.wache.audit.AuditContext;
import org.wache.audit.EntryAudit;
import org.wache.audit.Finding;
import org.wache.audit.Verdict;
import org.wache.audit.Words;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.exchange.Assumptions;

/** A list on paper (PDF, landscape Letter): each entry in radio terms, with its verdict and the reason in words. */
final class PrintedList {

  private static final float MARGIN = 36;
  private static final float[] WIDTHS = {5, 19, 10, 12, 7, 9, 9, 7, 8, 44};
  private static final String[] HEADINGS =
      {"No.", "Name", "Hears", "Talks on", "Mode", "Sends", "Opens on", "Power", "Verdict", "Why"};
  private static final Color RULE = new Color(0xB8, 0xB4, 0xA8);
  private static final Color SHADE = new Color(0xF1, 0xEF, 0xE8);
  private static final int MOST_NAMES = 6;
  private static final float SMALL = 8f;
  private static final BaseFont SANS = font("LiberationSans-Regular.ttf");
  private static final BaseFont BOLD = font("LiberationSans-Bold.ttf");
  private static final BaseFont MONO = font("LiberationMono-Regular.ttf");

  private PrintedList() {}

  private static BaseFont font(String file) {
    try (java.io.InputStream in = PrintedList.class.getResourceAsStream("/liberation/" + file)) {
      return BaseFont.createFont(file, BaseFont.IDENTITY_H, BaseFont.EMBEDDED, true, in.readAllBytes(), null);
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  /** The bytes of the PDF. */
  static byte[] write(String name, Audit audit, int version) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    Document document = new Document(PageSize.LETTER.rotate(), MARGIN, MARGIN, MARGIN, MARGIN + 12);
    PdfWriter writer = PdfWriter.getInstance(document, out);
    AuditContext context = audit.auditor().context();
    writer.setPageEvent(new Foot(name + " · version " + version + " · " + context.on() + " · rulebook "
        + context.edition().rulebook() + " " + context.edition().dates().id()));
    document.addTitle(name);
    document.addCreator("Wache");
    document.open();
    document.add(new Paragraph(name, new Font(BOLD, 17)));
    document.add(new Paragraph(heading(audit), new Font(SANS, 9.5f)));
    PdfPTable table = table(audit);
    table.setSpacingBefore(8);
    document.add(table);
    Paragraph end = new Paragraph("What it rests on. " + String.join(" ", Assumptions.of(audit)), new Font(SANS, SMALL));
    end.setSpacingBefore(8);
    document.add(end);
    document.close();
    return out.toByteArray();
  }

  private static String heading(Audit audit) {
    List<String> names = audit.auditor().context().holders().stream().map(holder -> holder.name()).toList();
    String carriers = names.size() <= MOST_NAMES ? Words.list(names)
        : String.join(", ", names.subList(0, MOST_NAMES)) + " and " + (names.size() - MOST_NAMES) + " more";
    String counts = Stream.of(Verdict.HOLD, Verdict.QUERY, Verdict.LISTEN, Verdict.CLEAR).filter(each -> audit.counts().get(each) > 0)
        .map(each -> audit.counts().get(each) + " " + words(each)).collect(Collectors.joining(", "));
    return "Carried by " + carriers + ". " + audit.list().channels().size() + " entries"
        + (counts.isEmpty() ? "." : ": " + counts + ".");
  }

  private static String words(Verdict verdict) {
    return switch (verdict) {
      case HOLD -> "on hold";
      case QUERY -> "with a query";
      case LISTEN -> "listening only";
      case CLEAR -> "clear";
    };
  }

  private static PdfPTable table(Audit audit) {
    PdfPTable table = new PdfPTable(WIDTHS);
    table.setWidthPercentage(100);
    table.setHeaderRows(1);
    for (String heading : HEADINGS) {
      PdfPCell cell = cell(new Phrase(heading, new Font(BOLD, SMALL)));
      cell.setBackgroundColor(SHADE);
      table.addCell(cell);
    }
    for (EntryAudit entry : audit.entries()) {
      row(table, entry);
    }
    return table;
  }

  private static void row(PdfPTable table, EntryAudit entry) {
    Channel channel = entry.channel();
    Font figures = new Font(MONO, SMALL);
    Font plain = new Font(SANS, SMALL);
    boolean held = entry.verdict() == Verdict.HOLD;
    Finding worst = DeskWriter.worst(entry);
    table.addCell(cell(new Phrase(channel.number(), figures)));
    table.addCell(cell(new Phrase(channel.name(), new Font(BOLD, SMALL))));
    table.addCell(cell(new Phrase(megahertz(channel, Field.RX_MHZ), figures)));
    table.addCell(cell(new Phrase(talks(channel), figures)));
    table.addCell(cell(new Phrase(Words.emission(channel), plain)));
    table.addCell(cell(new Phrase(channel.text(Field.TX_TONE), figures)));
    table.addCell(cell(new Phrase(channel.text(Field.RX_TONE), figures)));
    table.addCell(cell(new Phrase(channel.text(Field.POWER_W).isBlank() ? "" : channel.text(Field.POWER_W) + " W", figures)));
    table.addCell(cell(new Phrase(Words.capital(entry.verdict().text()), new Font(held ? BOLD : SANS, SMALL))));
    table.addCell(cell(worst == null ? new Phrase(channel.text(Field.NOTE), plain)
        : new Phrase(new Chunk(worst.message() + " (" + worst.source() + ")", plain))));
  }

  private static String megahertz(Channel channel, Field field) {
    return (field == Field.RX_MHZ ? channel.receive() : channel.transmit()).map(read -> read.megahertz())
        .orElse(channel.text(field));
  }

  private static String talks(Channel channel) {
    if (channel.text(Field.TX_MHZ).isBlank()) {
      return "listens";
    }
    return channel.transmit().isPresent() && channel.transmit().equals(channel.receive()) ? "direct" : megahertz(channel, Field.TX_MHZ);
  }

  private static PdfPCell cell(Phrase phrase) {
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
  private static final class Foot extends PdfPageEventHelper {
    private static final float SIZE = 7.5f;
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
      page.setFontAndSize(SANS, SIZE);
      page.showTextAligned(Element.ALIGN_LEFT, text, document.left(), y, 0);
      page.showTextAligned(Element.ALIGN_RIGHT, of, document.right() - 14, y, 0);
      page.endText();
      page.addTemplate(pages, document.right() - 14, y);
    }

    @Override
    public void onCloseDocument(PdfWriter writer, Document document) {
      pages.beginText();
      pages.setFontAndSize(SANS, SIZE);
      pages.showText(Integer.toString(writer.getPageNumber() - 1));
      pages.endText();
    }
  }
}
