package org.wache.server.prints;

import com.lowagie.text.Phrase;
import com.lowagie.text.pdf.PdfPCell;
import com.lowagie.text.pdf.PdfPTable;
import java.util.List;

/** How the entries of a list are typed into a radio of one model, step by step. */
public final class KeypadSheet {

    private static final float SIZE = 8.5f;

    private KeypadSheet() {}

    /** An entry: its heading, why it is not typed in (empty when it is), and its steps. */
    public record Entry(String heading, String impossible, List<Step> steps) {}

    /** A step: what is done, which keys, what the radio shows then. */
    public record Step(String what, String keys, String see) {}

    /** The bytes of the PDF. */
    public static byte[] write(String title, String lead, String foot, List<Entry> entries) {
        return Sheets.of(false, title, lead, foot, document -> {
            for (Entry entry : entries) {
                PdfPTable table = PrintStyle.table(
                        new float[] {4, 38, 30, 28}, new String[] {"", entry.heading(), "Press", "It shows"}, SIZE);
                table.setSpacingBefore(9);
                table.setKeepTogether(true);
                if (!entry.impossible().isEmpty()) {
                    PdfPCell cell = PrintStyle.cell(new Phrase(entry.impossible(), PrintStyle.plain(SIZE)));
                    cell.setColspan(4);
                    table.addCell(cell);
                }
                for (int i = 0; i < entry.steps().size(); i++) {
                    Step step = entry.steps().get(i);
                    table.addCell(PrintStyle.cell(new Phrase(Integer.toString(i + 1), PrintStyle.figures(SIZE))));
                    table.addCell(PrintStyle.cell(new Phrase(step.what(), PrintStyle.plain(SIZE))));
                    table.addCell(PrintStyle.cell(new Phrase(step.keys(), PrintStyle.figures(SIZE))));
                    table.addCell(PrintStyle.cell(new Phrase(step.see(), PrintStyle.figures(SIZE))));
                }
                document.add(table);
            }
        });
    }
}
