package org.wache.server.desk;

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
import org.wache.server.prints.EntryColumns;
import org.wache.server.prints.PaperDates;
import org.wache.server.prints.PaperSize;
import org.wache.server.prints.TableSheet;

/** A list on paper (PDF, lying): each entry in radio terms, with its verdict and the reason in words. */
final class PrintedList {

    private static final int MOST_NAMES = 6;

    private PrintedList() {}

    /** The bytes of the PDF. */
    static byte[] write(String name, Audit audit, int version, PaperSize paper) {
        AuditContext context = audit.auditor().context();
        return new TableSheet(
                        name,
                        List.of(heading(audit)),
                        List.of(new TableSheet.Table(
                                "",
                                EntryColumns.with("Why"),
                                audit.entries().stream().map(PrintedList::row).toList())),
                        "What it rests on. " + String.join(" ", Assumptions.of(audit)))
                .write(
                        paper,
                        true,
                        name + " · version " + version + " · " + PaperDates.day(context.on()) + " · rulebook "
                                + context.edition().rulebook() + " "
                                + context.edition().dates().id());
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

    private static List<String> row(EntryAudit entry) {
        Channel channel = entry.channel();
        Finding worst = DeskWriter.worst(entry);
        return EntryColumns.row(
                channel,
                Wording.capital(entry.verdict().text()),
                worst == null ? channel.text(Field.NOTE) : worst.message() + " (" + worst.source() + ")");
    }
}
