package org.wache.server.fit;

import com.github.benmanes.caffeine.cache.Caffeine;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.wache.audit.Audit;
import org.wache.audit.EntryAudit;
import org.wache.audit.Told;
import org.wache.audit.Verdict;
import org.wache.audit.cure.Remedies;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.radio.Radio;
import org.wache.server.accounts.Account;
import org.wache.server.lists.Audits;
import org.wache.server.lists.DeskWriter;
import org.wache.server.lists.ListService;
import org.wache.server.lists.ListStore;
import org.wache.server.lists.Meant;
import org.wache.server.lists.Source;
import org.wache.server.lists.Views;
import org.wache.server.matrix.MatrixController;
import org.wache.server.radios.Fleet;
import org.wache.server.web.Missing;

/** How a list fits the radios: its entries against the models as they are set, and against what each is certified for. */
@RestController
class FitController {

    private static final int KEPT = 12;

    private final ListService service;
    private final Audits audits;
    private final ListStore store;
    private final Fleet fleet;
    private final Map<Kept, List<Column>> kept =
            Caffeine.newBuilder().maximumSize(KEPT).<Kept, List<Column>>build().asMap();

    private record Kept(Audits.Key key) {}

    /** A radio and the list's audit with it alone. */
    private record Column(Fleet.Setting setting, Audit audit) {}

    FitController(ListService service, Audits audits, ListStore store, Fleet fleet) {
        this.service = service;
        this.audits = audits;
        this.store = store;
        this.fleet = fleet;
    }

    /** The fit of a list: each column names its row of cells, a letter for each entry: h hold, q query, f fits, l listens. */
    record FitTable(
            long list,
            String name,
            int version,
            @Schema(nullable = true) Long parent,
            List<MatrixController.MatrixEntry> entries,
            List<FitColumn> columns,
            List<String> cells,
            Meant meant) {}

    /** A model as it is set: how many units are so, and what is wrong in short. */
    record FitColumn(
            int key,
            long model,
            String name,
            String lock,
            boolean inhibited,
            int units,
            boolean judged,
            int cells,
            Views.Counts counts,
            List<FitTrouble> troubles) {}

    /** A kind of trouble: its rule, in words, and how many entries have it. */
    record FitTrouble(String rule, String title, int entries) {}

    /** Why a cell is as it is, with what cures it. */
    record FitReason(
            Verdict verdict,
            String radio,
            int version,
            int everyone,
            Map<String, String> fields,
            List<Views.FindingView> findings) {}

    @GetMapping("/api/lists/{list}/fit")
    FitTable fit(Account asking, @PathVariable long list) {
        Source source = service.seen(asking.id(), list).source();
        List<Column> columns = columns(source);
        Meant meant = store.meant(source.head().parent().orElse(list));
        Set<Meant.Setting> judged = new HashSet<>(meant.settings());
        meant.units().forEach(unit -> judged.add(of(fleet.settingOf(unit))));
        List<MatrixController.MatrixEntry> entries = audits.of(source).stored().stream()
                .map(stored -> new MatrixController.MatrixEntry(
                        stored.id(),
                        stored.channel().number(),
                        stored.channel().name(),
                        stored.channel().receive().map(f -> f.hertz()).orElse(null),
                        stored.channel().transmit().map(f -> f.hertz()).orElse(null)))
                .toList();
        Map<String, Integer> rows = new LinkedHashMap<>();
        List<FitColumn> all = new ArrayList<>();
        for (int c = 0; c < columns.size(); c++) {
            all.add(column(c, columns.get(c), judged, rows));
        }
        all.sort(Comparator.comparing((FitColumn column) -> column.units() == 0)
                .thenComparing(
                        column -> columns.get(column.key()).setting().radio().inhibited())
                .thenComparingInt(column -> column.counts().hold())
                .thenComparingInt(column -> column.counts().query())
                .thenComparingInt(FitColumn::key)); // what fits best comes first
        return new FitTable(
                list,
                source.head().name(),
                source.head().version(),
                source.head().parent().orElse(null),
                entries,
                all,
                List.copyOf(rows.keySet()),
                meant);
    }

    private static Meant.Setting of(Fleet.Setting setting) {
        return new Meant.Setting(
                setting.model(),
                setting.radio().lock().map(lock -> lock.name()).orElse(""),
                setting.radio().inhibited());
    }

    private static FitColumn column(int key, Column column, Set<Meant.Setting> judged, Map<String, Integer> rows) {
        StringBuilder row = new StringBuilder();
        int[] counts = new int[128];
        Map<Slug, Integer> troubles = new LinkedHashMap<>();
        for (int i = 0; i < column.audit().entries().size(); i++) {
            List<Finding> found = about(column.audit(), i);
            char letter = letter(column.audit().entry(i), found);
            counts[letter]++;
            row.append(letter);
            found.stream().map(Finding::slug).distinct().forEach(slug -> troubles.merge(slug, 1, Integer::sum));
        }
        List<FitTrouble> told = troubles.entrySet().stream()
                .sorted(Map.Entry.<Slug, Integer>comparingByValue().reversed())
                .map(each -> new FitTrouble(each.getKey().text(), DeskWriter.title(each.getKey()), each.getValue()))
                .toList();
        Fleet.Setting setting = column.setting();
        return new FitColumn(
                key,
                setting.model(),
                setting.radio().model().name(),
                of(setting).lock(),
                setting.radio().inhibited(),
                setting.units(),
                judged.contains(of(setting)),
                rows.computeIfAbsent(row.toString(), any -> rows.size()),
                new Views.Counts(counts['h'], counts['q'], counts['l'], counts['f']),
                told);
    }

    private static char letter(EntryAudit entry, List<Finding> found) {
        return found.stream().anyMatch(Finding::holds)
                ? 'h'
                : !found.isEmpty() ? 'q' : entry.channel().transmit().isEmpty() ? 'l' : 'f';
    }

    /** What is found on account of the radio. */
    private static List<Finding> about(Audit audit, int position) {
        return audit.findings(position).stream()
                .filter(finding -> finding.radio().isPresent())
                .toList();
    }

    /** Audits with one radio each; those without a model in the group have no columns. */
    private List<Column> columns(Source source) {
        Kept key = new Kept(audits.key(source));
        List<Column> known = kept.get(key);
        if (known == null) {
            known = settings(source).stream()
                    .map(setting -> new Column(setting, with(source, setting.radio())))
                    .toList();
            kept.put(key, known);
        }
        return known;
    }

    /** As radios are set, and as the list is for them, whether or not one is set so. */
    private List<Fleet.Setting> settings(Source source) {
        long club = source.head().clubId();
        List<Fleet.Setting> all = new ArrayList<>(fleet.settings(club));
        store.meant(source.entriesOf()).settings().stream()
                .filter(each -> all.stream().noneMatch(setting -> of(setting).equals(each)))
                .forEach(each -> all.add(fleet.setting(club, each.model(), each.lock(), each.inhibited())));
        return all;
    }

    private Audit with(Source source, Radio radio) {
        return audits.under(source, audits.context(source, audits.today()).forRadios(List.of(radio)));
    }

    /** Why an entry is so in a radio. */
    @GetMapping("/api/lists/{list}/fit/{entry}")
    FitReason reason(Account asking, @PathVariable long list, @PathVariable long entry, @RequestParam int column) {
        Source source = service.seen(asking.id(), list).source();
        int position = audits.of(source).position(entry);
        List<Column> columns = columns(source);
        if (position < 0 || column < 0 || column >= columns.size()) {
            throw new Missing("The cell");
        }
        Audit audit = columns.get(column).audit();
        Remedies remedies = new Remedies(audit, position);
        List<Views.FindingView> findings = Told.of(audit.auditor(), audit.entry(position)).stream()
                .filter(told -> told.finding().radio().isPresent())
                .map(told -> DeskWriter.finding(audit.auditor(), told, remedies))
                .toList();
        char letter = letter(audit.entry(position), about(audit, position));
        return new FitReason(
                switch (letter) {
                    case 'h' -> Verdict.HOLD;
                    case 'q' -> Verdict.QUERY;
                    case 'l' -> Verdict.LISTEN;
                    default -> Verdict.CLEAR;
                },
                columns.get(column).setting().words(),
                source.head().version(),
                audit.auditor().context().holders().size(),
                DeskWriter.fields(audit.entry(position).channel()),
                findings);
    }
}
