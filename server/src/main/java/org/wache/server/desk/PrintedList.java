package org.wache.server.desk;

import com.lowagie.text.Chunk;
import com.lowagie.text.Font;
import com.lowagie.text.Paragraph;
import com.lowagie.text.Phrase;
import com.lowagie.text.pdf.PdfPTable;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.wache.audit.Audit;
import org.wache.audit.EntryAudit;
import org.wache.audit.Verdict;
import org.wache.audit.context.AuditContext;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Wording;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.exchange.Assumptions;
import org.wache.server.lists.DeskWriter;
import org.wache.server.prints.PrintStyle;
import org.wache.server.prints.Sheets;

/** A list on paper (PDF, landscape Letter): each entry in radio terms, with its verdict and the reason in words. */
final class PrintedList {

    private static final float[] WIDTHS = {5, 19, 10, 12, 7, 9, 9, 7, 8, 44};
    private static final String[] HEADINGS = {
        "No.", "Name", "Hears", "Talks on", "Mode", "Sends", "Opens on", "Power", "Verdict", "Why"
    };
    private static final int MOST_NAMES = 6;
    private static final float SMALL = 8f;

    private PrintedList() {}

    /** The bytes of the PDF. */
    static byte[] write(String name, Audit audit, int version) {
        AuditContext context = audit.auditor().context();
        return Sheets.of(
                true,
                name,
                heading(audit),
                name + " · version " + version + " · " + context.on() + " · rulebook "
                        + context.edition().rulebook() + " "
                        + context.edition().dates().id(),
                document -> {
                    PdfPTable table = table(audit);
                    table.setSpacingBefore(8);
                    document.add(table);
                    Paragraph end = new Paragraph(
                            "What it rests on. " + String.join(" ", Assumptions.of(audit)), PrintStyle.plain(SMALL));
                    end.setSpacingBefore(8);
                    document.add(end);
                });
    }

    private static String heading(Audit audit) {
        List<String> names = audit.auditor().context().holders().stream()
                .map(holder -> holder.name())
                .toList();
        String carriers = names.size() <= MOST_NAMES
                ? Wording.list(names)
                : String.join(", ", names.subList(0, MOST_NAMES)) + " and " + (names.size() - MOST_NAMES) + " more";
        String counts = Stream.of(Verdict.HOLD, Verdict.QUERY, Verdict.LISTEN, Verdict.CLEAR)
                .filter(each -> audit.counts().get(each) > 0)
                .map(each -> audit.counts().get(each) + " " + words(each))
                .collect(Collectors.joining(", "));
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
        PdfPTable table = PrintStyle.table(WIDTHS, HEADINGS, SMALL);
        for (EntryAudit entry : audit.entries()) {
            row(table, entry);
        }
        return table;
    }

    private static void row(PdfPTable table, EntryAudit entry) {
        Channel channel = entry.channel();
        Font figures = PrintStyle.figures(SMALL);
        Font plain = PrintStyle.plain(SMALL);
        boolean held = entry.verdict() == Verdict.HOLD;
        Finding worst = DeskWriter.worst(entry);
        table.addCell(PrintStyle.cell(new Phrase(channel.number(), figures)));
        table.addCell(PrintStyle.cell(new Phrase(channel.name(), PrintStyle.bold(SMALL))));
        table.addCell(PrintStyle.cell(new Phrase(megahertz(channel, Field.RX_MHZ), figures)));
        table.addCell(PrintStyle.cell(new Phrase(talks(channel), figures)));
        table.addCell(PrintStyle.cell(new Phrase(Wording.emission(channel), plain)));
        table.addCell(PrintStyle.cell(new Phrase(channel.text(Field.TX_TONE), figures)));
        table.addCell(PrintStyle.cell(new Phrase(channel.text(Field.RX_TONE), figures)));
        table.addCell(PrintStyle.cell(
                new Phrase(channel.text(Field.POWER_W).isBlank() ? "" : channel.text(Field.POWER_W) + " W", figures)));
        table.addCell(PrintStyle.cell(new Phrase(
                Wording.capital(entry.verdict().text()), held ? PrintStyle.bold(SMALL) : PrintStyle.plain(SMALL))));
        table.addCell(PrintStyle.cell(
                worst == null
                        ? new Phrase(channel.text(Field.NOTE), plain)
                        : new Phrase(new Chunk(worst.message() + " (" + worst.source() + ")", plain))));
    }

    private static String megahertz(Channel channel, Field field) {
        return (field == Field.RX_MHZ ? channel.receive() : channel.transmit())
                .map(read -> read.megahertz())
                .orElse(channel.text(field));
    }

    private static String talks(Channel channel) {
        if (channel.text(Field.TX_MHZ).isBlank()) {
            return "listens";
        }
        return channel.transmit().isPresent() && channel.transmit().equals(channel.receive())
                ? "direct"
                : megahertz(channel, Field.TX_MHZ);
    }
}
