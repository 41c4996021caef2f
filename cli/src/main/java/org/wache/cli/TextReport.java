package org.wache.cli;

import java.io.PrintWriter;
import java.util.HashSet;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.wache.audit.Audit;
import org.wache.audit.EntryAudit;
import org.wache.audit.Told;
import org.wache.audit.Verdict;
import org.wache.audit.context.AuditContext;
import org.wache.audit.cure.ProvedRemedy;
import org.wache.audit.cure.Remedies;
import org.wache.channel.Channel;
import org.wache.exchange.Assumptions;
import org.wache.signal.Frequency;

/** The result of an audit as text for a terminal: what is wrong, why, and what helps. */
final class TextReport {

    private TextReport() {}

    /** So many entries are worked out at once and printed before the next. */
    private static final int AT_ONCE = 512;

    static void write(Audit audit, PrintWriter to) {
        StringBuilder out = new StringBuilder();
        AuditContext context = audit.auditor().context();
        out.append("Rulebook ")
                .append(context.edition().rulebook())
                .append(", edition ")
                .append(context.edition().dates().id())
                .append(", for ")
                .append(context.on())
                .append("; carried by ")
                .append(context.holders().stream().map(holder -> holder.name()).collect(Collectors.joining("; ")))
                .append("\n\n");
        to.print(out);
        out.setLength(0);
        int count = audit.entries().size();
        for (int from = 0; from < count; from += AT_ONCE) {
            IntStream.range(from, Math.min(count, from + AT_ONCE))
                    .parallel()
                    .mapToObj(i -> entry(audit, i))
                    .toList()
                    .forEach(to::print);
        }
        Map<Verdict, Integer> counts = audit.counts();
        out.append(String.format(
                Locale.ROOT,
                "%n%d entries: %d hold, %d query, %d listen, %d clear%n",
                audit.entries().size(),
                counts.get(Verdict.HOLD),
                counts.get(Verdict.QUERY),
                counts.get(Verdict.LISTEN),
                counts.get(Verdict.CLEAR)));
        Assumptions.of(audit).forEach(line -> out.append("- ").append(line).append('\n'));
        to.print(out);
    }

    private static String entry(Audit audit, int position) {
        StringBuilder out = new StringBuilder();
        EntryAudit entry = audit.entry(position);
        out.append(String.format(
                Locale.ROOT,
                "%-6s %4s  %-16s %s%n",
                entry.verdict().text().toUpperCase(Locale.ROOT),
                entry.channel().number(),
                entry.channel().name(),
                frequencies(entry)));
        Remedies remedies = new Remedies(audit, position);
        Set<Channel> said = new HashSet<>(); // a cure helps several findings, and is told once
        for (Told told : Told.of(audit.auditor(), entry)) {
            out.append("             ")
                    .append(told.finding().slug())
                    .append(": ")
                    .append(told.finding().message());
            if (told.holders().size() < audit.auditor().context().holders().size()) {
                out.append(" [").append(String.join("; ", told.holders())).append(']');
            }
            out.append('\n');
            String working = told.finding().working().text();
            out.append("               ")
                    .append(working)
                    .append(working.isEmpty() ? "" : "  ")
                    .append('(')
                    .append(told.finding().source())
                    .append(")\n");
            for (ProvedRemedy remedy : remedies.of(told.finding())) {
                if (!said.add(entry.channel().with(remedy.change().fields()))) {
                    continue;
                }
                out.append("               → ")
                        .append(remedy.change().label())
                        .append(" (then ")
                        .append(remedy.verdictAfter().text())
                        .append(
                                remedy.stillHeld().isEmpty()
                                        ? ""
                                        : "; on hold still for " + String.join(", ", remedy.stillHeld()))
                        .append(")\n");
            }
        }
        return out.toString();
    }

    private static String frequencies(EntryAudit entry) {
        String hears = entry.channel().receive().map(Frequency::megahertz).orElse("?");
        String talks = entry.channel().transmit().map(Frequency::megahertz).orElse("never");
        String emission = entry.channel().emission().map(each -> "  " + each).orElse("");
        return "hears " + hears + "  talks on " + talks + emission;
    }
}
