package org.wache.server.matrix;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.wache.audit.Audit;
import org.wache.audit.Verdict;
import org.wache.audit.context.AuditContext;
import org.wache.audit.finding.Wording;
import org.wache.exchange.HolderShorthand;
import org.wache.licence.Holder;
import org.wache.rulebook.Edition;
import org.wache.rulebook.LicenceKind;
import org.wache.rulebook.Service;
import org.wache.server.lists.Audits;
import org.wache.server.lists.HolderViews;
import org.wache.server.lists.RosterHolder;
import org.wache.server.lists.Source;
import org.wache.server.lists.Views;

/** The columns of a matrix: each is one holder, or several of whom the least privileged decides. */
final class MatrixColumns {

    private static final String NOBODY = "Without licence";

    private final Audit audit;
    private final List<Column> columns;

    /** A column: who counts for it, as places in the audit's holders. */
    private record Column(String name, String holds, boolean carries, int[] holders, Views.CarrierChoice choice) {}

    /** The columns in the order they are shown, and the rows of letters that they name. */
    record Worked(List<MatrixController.MatrixColumn> columns, List<String> cells) {}

    private MatrixColumns(Audit audit, List<Column> columns) {
        this.audit = audit;
        this.columns = columns;
    }

    /** A column for each of the roster. */
    static MatrixColumns people(Audits audits, Source source, List<RosterHolder> roster, List<Long> carriers) {
        AuditContext context = everyone(audits, source, roster);
        List<Column> columns = new ArrayList<>();
        for (int i = 0; i < roster.size(); i++) {
            columns.add(new Column(
                    roster.get(i).name(),
                    HolderViews.holds(context.edition(), context.holders().get(i)),
                    carriers.contains(roster.get(i).party()),
                    new int[] {i},
                    new Views.CarrierChoice(List.of(), List.of(roster.get(i).party()), List.of())));
        }
        return new MatrixColumns(audits.under(source, context), columns);
    }

    /** A column for each team. */
    static MatrixColumns teams(Audits audits, Source source, List<RosterHolder> roster, List<Long> carriers) {
        AuditContext context = everyone(audits, source, roster);
        Map<String, List<Integer>> teams = new TreeMap<>(String.CASE_INSENSITIVE_ORDER);
        for (int i = 0; i < roster.size(); i++) {
            int member = i;
            roster.get(i).teams().forEach(team -> teams.computeIfAbsent(team, any -> new ArrayList<>())
                    .add(member));
        }
        List<Column> columns = teams.entrySet().stream()
                .map(each -> new Column(
                        each.getKey(),
                        each.getValue().size() + (each.getValue().size() == 1 ? " member" : " members"),
                        each.getValue().stream()
                                .allMatch(i -> carriers.contains(roster.get(i).party())),
                        each.getValue().stream().mapToInt(Integer::intValue).toArray(),
                        new Views.CarrierChoice(List.of(), List.of(), List.of(each.getKey()))))
                .toList();
        return new MatrixColumns(audits.under(source, context), columns);
    }

    /** A column for each class of licence that is held by a person. */
    static MatrixColumns classes(Audits audits, Source source) {
        AuditContext plain = lawOnly(audits, source);
        Edition edition = plain.edition();
        Map<String, Holder> holders = new LinkedHashMap<>();
        holders.put(NOBODY, new Holder(NOBODY, List.of()));
        for (Service service : edition.services()) {
            if (service.traits().terms().aboardOnly()) {
                continue; // no licence that somebody of a club could be asked for
            }
            if (service.traits().licence() == LicenceKind.PLAIN) {
                holders.put(service.title(), named(service.title(), HolderShorthand.holder(service.id(), edition)));
            } else if (service.traits().licence() == LicenceKind.CLASS) {
                service.traits()
                        .classes()
                        .forEach(each -> holders.put(
                                Wording.capital(each),
                                named(
                                        Wording.capital(each),
                                        HolderShorthand.holder(service.id() + ":" + each, edition))));
            }
        }
        List<Column> columns = new ArrayList<>();
        holders.values()
                .forEach(holder -> columns.add(new Column(
                        holder.name(),
                        "",
                        false,
                        new int[] {columns.size()},
                        new Views.CarrierChoice(
                                List.of(new Views.Carrier(
                                        holder.name(),
                                        holder.licences().stream()
                                                .map(HolderViews::licence)
                                                .toList())),
                                List.of(),
                                List.of()))));
        return new MatrixColumns(audits.under(source, plain.with(List.copyOf(holders.values()))), columns);
    }

    private static Holder named(String name, Holder holder) {
        return new Holder(name, holder.licences());
    }

    private static AuditContext everyone(Audits audits, Source source, List<RosterHolder> roster) {
        LocalDate day = audits.today();
        AuditContext context = lawOnly(audits, source);
        return context.with(audits.holders(source, day, roster));
    }

    /** Who may key is a question of law; what fits which radio is told elsewhere. */
    private static AuditContext lawOnly(Audits audits, Source source) {
        return audits.context(source, audits.today()).forRadios(List.of());
    }

    int size() {
        return columns.size();
    }

    String name(int column) {
        return columns.get(column).name();
    }

    /** The audit for all of the holders. */
    Audit audit() {
        return audit;
    }

    /** The holder of a column on whom an entry fails worst. */
    int decider(Audit of, int column, int position) {
        int[] holders = columns.get(column).holders();
        int worst = holders[0];
        for (int holder : holders) {
            if (of.judgement(position, holder)
                            .verdict()
                            .compareTo(of.judgement(position, worst).verdict())
                    > 0) {
                worst = holder;
            }
        }
        return worst;
    }

    /** All cells, columns with equal cells naming the same row of them. */
    Worked worked(Audit of) {
        int entries = of.list().channels().size();
        Map<String, Integer> rows = new LinkedHashMap<>();
        List<MatrixController.MatrixColumn> all = new ArrayList<>();
        for (int c = 0; c < columns.size(); c++) {
            int[] counts = new int[Verdict.values().length];
            StringBuilder row = new StringBuilder(entries);
            for (int i = 0; i < entries; i++) {
                Verdict verdict = of.judgement(i, decider(of, c, i)).verdict();
                counts[verdict.ordinal()]++;
                row.append(verdict.text().charAt(0));
            }
            Column column = columns.get(c);
            all.add(new MatrixController.MatrixColumn(
                    c,
                    column.name(),
                    column.holds(),
                    column.carries(),
                    rows.computeIfAbsent(row.toString(), any -> rows.size()),
                    new Views.Counts(
                            counts[Verdict.HOLD.ordinal()],
                            counts[Verdict.QUERY.ordinal()],
                            counts[Verdict.LISTEN.ordinal()],
                            counts[Verdict.CLEAR.ordinal()]),
                    column.choice()));
        }
        all.sort(Comparator.comparing((MatrixController.MatrixColumn each) -> !each.carries())
                .thenComparingInt(each -> -each.counts().hold())
                .thenComparingInt(MatrixController.MatrixColumn::key));
        return new Worked(all, List.copyOf(rows.keySet()));
    }
}
