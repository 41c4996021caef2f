package org.wache.server.lists;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.Authority;
import org.wache.audit.EntryAudit;
import org.wache.audit.Rule;
import org.wache.audit.RulePage;
import org.wache.audit.Told;
import org.wache.audit.Verdict;
import org.wache.audit.cure.ProvedRemedy;
import org.wache.audit.cure.Remedies;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Sum;
import org.wache.audit.finding.Wording;
import org.wache.audit.rules.Register;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.licence.Holder;
import org.wache.signal.Frequency;

/** Turns audits into what the Desk shows. */
public final class DeskWriter {

    private static final Map<Slug, RulePage> PAGES =
            Register.ALL.all().stream().collect(Collectors.toMap(Rule::slug, Rule::page));

    private DeskWriter() {}

    /** A rule in one line. */
    public static String title(Slug rule) {
        return PAGES.get(rule).title();
    }

    public static Views.Counts counts(Audit audit) {
        Map<Verdict, Integer> counts = audit.counts();
        return new Views.Counts(
                counts.get(Verdict.HOLD),
                counts.get(Verdict.QUERY),
                counts.get(Verdict.LISTEN),
                counts.get(Verdict.CLEAR));
    }

    static List<Views.Slip> slips(Audit audit, List<ListStore.Stored> stored) {
        return IntStream.range(0, stored.size())
                .mapToObj(i -> slip(audit, i, stored.get(i)))
                .toList();
    }

    public static Views.Slip slip(Audit audit, int position, ListStore.Stored stored) {
        EntryAudit entry = audit.entry(position);
        Finding worst = worst(entry);
        Views.Cure cure = worst == null ? null : firstCure(new Remedies(audit, position), worst);
        return slip(audit.auditor(), entry, stored, worst, cure);
    }

    private static Views.Slip slip(
            Auditor auditor, EntryAudit entry, ListStore.Stored stored, Finding worst, Views.Cure cure) {
        Channel channel = entry.channel();
        int findings = worst == null ? 0 : Told.of(auditor, entry).size();
        return new Views.Slip(
                stored.id(),
                stored.version(),
                fields(channel),
                channel.extras(),
                channel.receive().map(f -> f.hertz()).orElse(null),
                channel.transmit().map(f -> f.hertz()).orElse(null),
                channel.occupied().map(s -> s.low()).orElse(null),
                channel.occupied().map(s -> s.high()).orElse(null),
                edge(entry),
                channel.emission().map(Object::toString).orElse(null),
                entry.verdict(),
                worst == null ? "" : worst.message(),
                worst == null ? "" : worst.slug().text(),
                Math.max(0, findings - 1),
                cure);
    }

    /** The edge that the signal runs over; null when it does not. */
    private static Views.Edge edge(EntryAudit entry) {
        return entry.judgements().stream()
                .flatMap(judgement -> judgement.findings().stream())
                .filter(finding -> finding.slug() == Slug.EDGE_OVERRUN)
                .findFirst()
                .flatMap(finding -> {
                    Optional<Long> reach = figure(finding, Sum.LineRole.TOTAL);
                    return figure(finding, Sum.LineRole.LIMIT)
                            .map(edge -> new Views.Edge(
                                    edge, reach.map(far -> far > edge).orElse(true)));
                })
                .orElse(null);
    }

    private static Optional<Long> figure(Finding finding, Sum.LineRole role) {
        return finding.working().lines().stream()
                .filter(line -> line.role() == role)
                .findFirst()
                .flatMap(line -> Frequency.ofMegahertz(line.amount()))
                .map(Frequency::hertz);
    }

    public static Finding worst(EntryAudit entry) {
        List<Finding> all = new ArrayList<>(entry.own());
        entry.judgements().forEach(judgement -> all.addAll(judgement.findings()));
        return all.stream().filter(Finding::holds).findFirst().orElse(all.isEmpty() ? null : all.get(0));
    }

    private static Views.Cure firstCure(Remedies remedies, Finding finding) {
        List<ProvedRemedy> proved = remedies.of(finding);
        return proved.isEmpty() ? null : cure(proved.get(0));
    }

    private static Views.Cure cure(ProvedRemedy remedy) {
        Map<String, String> changes = new LinkedHashMap<>();
        remedy.change().fields().forEach((field, text) -> changes.put(field.key(), text));
        return new Views.Cure(remedy.change().label(), changes, remedy.verdictAfter(), remedy.stillHeld());
    }

    public static Map<String, String> fields(Channel channel) {
        Map<String, String> fields = new LinkedHashMap<>();
        for (Field field : Field.values()) {
            if (!channel.text(field).isEmpty()) {
                fields.put(field.key(), channel.text(field));
            }
        }
        return fields;
    }

    public static Views.Dossier dossier(Audit audit, int position, ListStore.Stored stored) {
        EntryAudit entry = audit.entry(position);
        Auditor auditor = audit.auditor();
        Remedies remedies = new Remedies(audit, position);
        List<Views.FindingView> findings = Told.of(auditor, entry).stream()
                .map(told -> finding(auditor, told, remedies))
                .toList();
        List<Views.HolderVerdict> holders = holders(audit, position);
        return new Views.Dossier(slip(audit, position, stored), holders, findings);
    }

    /** Holders with one verdict by one authority are told together, the worst first. */
    private static List<Views.HolderVerdict> holders(Audit audit, int position) {
        Map<List<Object>, List<String>> together = new LinkedHashMap<>();
        List<Holder> all = audit.auditor().context().holders();
        for (int h = 0; h < all.size(); h++) {
            Verdict verdict = audit.judgement(position, h).verdict();
            together.computeIfAbsent(List.of(verdict, audit.authority(position, h)), any -> new ArrayList<>())
                    .add(all.get(h).name());
        }
        return together.entrySet().stream()
                .sorted(Comparator.comparing((Map.Entry<List<Object>, List<String>> each) ->
                                (Verdict) each.getKey().get(0))
                        .reversed())
                .map(each -> new Views.HolderVerdict(
                        each.getValue(),
                        (Verdict) each.getKey().get(0),
                        ((Optional<?>) each.getKey().get(1)).map(by -> authority((Authority) by)),
                        ((Optional<?>) each.getKey().get(1)).map(by -> ((Authority) by).source())))
                .toList();
    }

    /** What makes an entry legal, in words: {@code General: 2 m (KE9QRB)}. */
    public static String authority(Authority by) {
        return by.licenceClass().map(name -> Wording.capital(name) + ": ").orElse("")
                + by.segment()
                + by.callSign().map(call -> " (" + call + ")").orElse("");
    }

    public static Views.FindingView finding(Auditor auditor, Told told, Remedies remedies) {
        Finding finding = told.finding();
        RulePage page = PAGES.get(finding.slug());
        String there = auditor.context()
                .edition()
                .country()
                .ruleNotes()
                .get(finding.slug().text());
        return new Views.FindingView(
                finding.slug().text(),
                page.title(),
                there == null ? page.meaning() : page.meaning() + " " + there,
                finding.severity(),
                told.holders(),
                finding.message(),
                sum(finding),
                finding.source(),
                remedies.of(finding).stream().map(DeskWriter::cure).toList(),
                finding.advice());
    }

    public static List<Views.SumLine> sum(Finding finding) {
        return sum(finding.working());
    }

    public static List<Views.SumLine> sum(Sum sum) {
        return sum.lines().stream().map(DeskWriter::line).toList();
    }

    private static Views.SumLine line(Sum.Line line) {
        return new Views.SumLine(line.role(), line.sign(), line.amount(), line.unit(), line.label());
    }
}
