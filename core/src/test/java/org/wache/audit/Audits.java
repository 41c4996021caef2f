package org.wache.audit;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.wache.audit.context.AuditContext;
import org.wache.audit.rules.Register;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.exchange.HolderShorthand;
import org.wache.rulebook.Edition;
import org.wache.rulebook.RulebookReader;
import org.wache.signal.Mode;

/** Audits for tests. */
public final class Audits {

    public static final LocalDate DAY = LocalDate.of(2026, 11, 25);

    private Audits() {}

    public static Edition edition(LocalDate day) {
        return RulebookReader.shipped("us").on(day);
    }

    public static Auditor auditor(LocalDate day, String... holders) {
        Edition edition = edition(day);
        return new Auditor(
                Register.ALL,
                AuditContext.of(
                        edition,
                        day,
                        Arrays.stream(holders)
                                .map(words -> HolderShorthand.holder(words, edition))
                                .toList()));
    }

    public static Audit of(String holder, Channel... channels) {
        return auditor(DAY, holder).audit(list(channels));
    }

    public static ChannelList list(Channel... channels) {
        return new ChannelList("test", List.of(), List.of(channels));
    }

    /** An entry with the codes that its digital mode needs, so that a case about something else is about that alone. */
    public static Channel withCodes(Channel channel) {
        return switch (channel.mode().orElse(Mode.FM)) {
            case DMR ->
                channel.with(
                        channel.isPair()
                                ? Map.of(Field.COLOUR_CODE, "1", Field.TIME_SLOT, "1", Field.TALK_GROUP, "9")
                                : Map.of(Field.COLOUR_CODE, "1", Field.TALK_GROUP, "9"));
            case P25 -> channel.with(Map.of(Field.ACCESS_CODE, "293"));
            case NXDN -> channel.with(Map.of(Field.ACCESS_CODE, "1"));
            default -> channel;
        };
    }

    /** The rules that found something on an entry. */
    public static List<String> rules(Audit audit, int position) {
        return audit.findings(position).stream()
                .map(finding -> finding.slug().text())
                .toList();
    }

    /** What an audit of one entry came to: its verdict, and the rules that found something, each once and in order. */
    public static String said(Audit audit) {
        return said(audit.entry(0).verdict().text(), String.join(" ", rules(audit, 0)));
    }

    /** The same as a table of cases writes it. */
    public static String said(String verdict, String rules) {
        return verdict + ": "
                + String.join(
                        " ",
                        new java.util.TreeSet<>(
                                rules == null || rules.isEmpty() ? List.of() : List.of(rules.split(" "))));
    }
}
