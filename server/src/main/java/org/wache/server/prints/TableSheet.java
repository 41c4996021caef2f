package org.wache.server.prints;

import com.lowagie.text.Paragraph;
import com.lowagie.text.Phrase;
import com.lowagie.text.pdf.PdfPTable;
import java.util.List;

/** A paper of one or more tables, each under a heading of its own, with a last word. */
public final class TableSheet {

    private static final float SIZE = 8.3f;

    private TableSheet() {}

    /**
     * A table.
     *
     * @param heading over it; empty for none
     * @param widths of the columns, as parts of the whole
     * @param headings of the columns; one that begins with # holds figures
     * @param rows texts, as many in each as there are columns
     */
    public record Table(String heading, float[] widths, List<String> headings, List<List<String>> rows) {}

    /** The bytes of the PDF. */
    public static byte[] write(boolean lying, String title, String lead, String foot, List<Table> tables, String last) {
        return Sheets.of(lying, title, lead, foot, document -> {
            for (Table table : tables) {
                if (!table.heading().isEmpty()) {
                    Paragraph heading = new Paragraph(table.heading(), PrintStyle.bold(11));
                    heading.setSpacingBefore(12);
                    document.add(heading);
                }
                PdfPTable drawn = PrintStyle.table(
                        table.widths(),
                        table.headings().stream()
                                .map(each -> each.replaceFirst("^#", ""))
                                .toArray(String[]::new),
                        SIZE);
                drawn.setSpacingBefore(6);
                for (List<String> row : table.rows()) {
                    for (int i = 0; i < row.size(); i++) {
                        boolean figures = table.headings().get(i).startsWith("#");
                        drawn.addCell(PrintStyle.cell(new Phrase(
                                row.get(i),
                                figures
                                        ? PrintStyle.figures(SIZE)
                                        : i == (table.headings().get(0).startsWith("#") ? 1 : 0)
                                                ? PrintStyle.bold(SIZE)
                                                : PrintStyle.plain(SIZE))));
                    }
                }
                document.add(drawn);
            }
            if (!last.isEmpty()) {
                document.add(PrintStyle.under(last, SIZE - 0.5f, 10));
            }
        });
    }
}
