package org.wache.server.matrix;

import com.github.benmanes.caffeine.cache.Caffeine;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.wache.audit.Audit;
import org.wache.audit.Judgement;
import org.wache.audit.RouteOutcome;
import org.wache.audit.Verdict;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Severity;
import org.wache.server.accounts.Account;
import org.wache.server.lists.Audits;
import org.wache.server.lists.DeskWriter;
import org.wache.server.lists.ListService;
import org.wache.server.lists.ListStore;
import org.wache.server.lists.RosterHolder;
import org.wache.server.lists.Source;
import org.wache.server.lists.Views;
import org.wache.server.web.Missing;
import org.wache.server.web.Refused;

/** Who may key what: the entries of a list against everyone of the roster. */
@RestController
public class MatrixController {

    private static final int KEPT = 12;

    private final ListService service;
    private final Audits audits;
    private final ListStore store;
    private final Map<Kept, MatrixColumns> kept =
            Caffeine.newBuilder().maximumSize(KEPT).<Kept, MatrixColumns>build().asMap();

    /** A matrix depends on what the audit of its list depends on, and on what its columns are. */
    private record Kept(Audits.Key key, String by) {}

    MatrixController(ListService service, Audits audits, ListStore store) {
        this.service = service;
        this.audits = audits;
        this.store = store;
    }

    /**
     * The matrix: each column names its row of cells, in which a letter stands for each entry: h hold, q query, l
     * listen, c clear. Who carries the list comes first, the least privileged before the others.
     */
    record Matrix(
            long list,
            String name,
            @Schema(nullable = true) Long parent,
            List<MatrixEntry> entries,
            List<MatrixColumn> columns,
            List<String> cells) {}

    /** An entry of the matrix; use is how it is used, in short. */
    public record MatrixEntry(
            long id,
            String number,
            String name,
            @Schema(nullable = true) Long rxHz,
            @Schema(nullable = true) Long txHz) {}

    /**
     * A person, team or class: what they hold, whether they carry the list, how the entries count for them, and how they
     * are chosen as carriers.
     */
    record MatrixColumn(
            int key,
            String name,
            String holds,
            boolean carries,
            int cells,
            Views.Counts counts,
            Views.CarrierChoice choice) {}

    /** Why a cell is as it is. */
    record Reason(
            Verdict verdict,
            String who,
            @Schema(nullable = true) String decider,
            List<RouteTold> routes,
            List<FoundHere> findings) {}

    /** A way to use the entry: taken is the one that counts. */
    record RouteTold(String service, boolean legal, boolean taken, String authority, String source) {}

    /** A finding in short. */
    record FoundHere(String rule, Severity severity, String message, List<Views.SumLine> sum, String source) {}

    @GetMapping("/api/lists/{list}/matrix")
    Matrix matrix(Account asking, @PathVariable long list, @RequestParam(defaultValue = "person") String by) {
        Source source = service.seen(asking.id(), list).source();
        MatrixColumns columns = columns(source, by);
        Audit audit = columns.audit();
        List<MatrixEntry> entries = audits.of(source).stored().stream()
                .map(stored -> new MatrixEntry(
                        stored.id(),
                        stored.channel().number(),
                        stored.channel().name(),
                        stored.channel().receive().map(f -> f.hertz()).orElse(null),
                        stored.channel().transmit().map(f -> f.hertz()).orElse(null)))
                .toList();
        MatrixColumns.Worked worked = columns.worked(audit);
        return new Matrix(
                source.head().id(),
                source.head().name(),
                source.head().parent().orElse(null),
                entries,
                worked.columns(),
                worked.cells());
    }

    private MatrixColumns columns(Source source, String by) {
        Kept key = new Kept(audits.key(source), by);
        MatrixColumns known = kept.get(key);
        if (known == null) {
            known = worked(source, by);
            kept.put(key, known);
        }
        return known;
    }

    private MatrixColumns worked(Source source, String by) {
        return switch (by) {
            case "person" ->
                MatrixColumns.people(audits, source, store.roster(source.head().clubId()), carriers(source));
            case "team" ->
                MatrixColumns.teams(audits, source, store.roster(source.head().clubId()), carriers(source));
            case "class" -> MatrixColumns.classes(audits, source);
            default -> throw new Refused("A matrix is by person, team or class, not by “" + by + "”.");
        };
    }

    private List<Long> carriers(Source source) {
        return store.carriers(List.of(source.head().id())).get(source.head().id()).stream()
                .map(RosterHolder::party)
                .toList();
    }

    /** Why the entry is so for a column of the matrix. */
    @GetMapping("/api/lists/{list}/matrix/{entry}")
    Reason reason(
            Account asking,
            @PathVariable long list,
            @PathVariable long entry,
            @RequestParam(defaultValue = "person") String by,
            @RequestParam int column) {
        Source source = service.seen(asking.id(), list).source();
        int position = audits.of(source).position(entry);
        MatrixColumns columns = columns(source, by);
        if (position < 0 || column < 0 || column >= columns.size()) {
            throw new Missing("The cell");
        }
        Audit audit = columns.audit();
        int holder = columns.decider(audit, column, position);
        Judgement judgement = audit.judgement(position, holder);
        List<RouteOutcome> routes = audit.routes(position, holder);
        List<RouteTold> told = IntStream.range(0, routes.size())
                .mapToObj(i -> new RouteTold(
                        routes.get(i).route().service().title(),
                        routes.get(i).legal(),
                        i == 0 && routes.get(i).legal(),
                        DeskWriter.authority(routes.get(i).authority()),
                        routes.get(i).authority().source()))
                .toList();
        List<Finding> findings = new java.util.ArrayList<>(audit.entry(position).own());
        findings.addAll(judgement.findings());
        String decider = audit.auditor().context().holders().get(holder).name();
        return new Reason(
                judgement.verdict(),
                columns.name(column),
                decider.equals(columns.name(column)) ? null : decider,
                told,
                findings.stream()
                        .map(each -> new FoundHere(
                                each.slug().text(),
                                each.severity(),
                                each.message(),
                                DeskWriter.sum(each),
                                each.source()))
                        .toList());
    }
}
