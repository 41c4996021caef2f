package org.wache.server.operations;

import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.wache.server.forms.NamedForms;
import org.wache.server.operations.OperationForm.EntryOf;
import org.wache.server.operations.OperationForm.WatchForm;
import org.wache.server.prints.PaperDates;
import org.wache.server.prints.PaperSize;
import org.wache.server.prints.TableSheet;
import org.wache.server.prints.TableSheet.Column;

/** The plan of an operation as it is pinned to the wall. */
final class OperationPaper {

    private static final DateTimeFormatter HOUR = DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH);
    private static final DateTimeFormatter DAY_AND_HOUR =
            DateTimeFormatter.ofPattern("EEE d MMM, HH:mm", Locale.ENGLISH);

    private final OperationForm form;
    private final OperationViews.OperationSheet sheet;
    private final Map<Long, OperationViews.OperationList> lists;

    private OperationPaper(OperationForm form, OperationViews.OperationSheet sheet) {
        this.form = form;
        this.sheet = sheet;
        this.lists = sheet.lists().stream()
                .collect(Collectors.toMap(OperationViews.OperationList::id, Function.identity(), (one, other) -> one));
    }

    /** The bytes of the PDF. */
    static byte[] of(
            NamedForms.Stored stored, OperationForm form, OperationViews.OperationSheet sheet, PaperSize size) {
        OperationPaper paper = new OperationPaper(form, sheet);
        List<String> lead = new ArrayList<>();
        lead.add(hours(form.from(), form.until()) + (form.place().isBlank() ? "" : ", " + form.place()));
        if (!form.purpose().isBlank()) {
            lead.add(form.purpose().strip());
        }
        if (!form.mustTalk().isEmpty()) {
            lead.add("Must reach each other: "
                    + form.mustTalk().stream()
                            .map(pair -> paper.name(pair.one()) + " and " + paper.name(pair.other()))
                            .collect(Collectors.joining("; "))
                    + ".");
        }
        return new TableSheet(
                        stored.name(),
                        lead,
                        paper.tables(),
                        "Licences are judged for " + PaperDates.day(sheet.on())
                                + ". Put an antenna or a dummy load on before you key. This plan does not replace your licence terms.")
                .write(
                        size,
                        true,
                        stored.name() + " · version " + stored.version() + " · "
                                + PaperDates.day(stored.changedAt().toLocalDate()) + " · " + stored.changedBy());
    }

    /** A paper to look at, by a name of its own. */
    static ResponseEntity<byte[]> answer(NamedForms.Stored stored, String what, byte[] bytes) {
        String name = stored.name().replaceAll("[^A-Za-z0-9]+", "-").toLowerCase(Locale.ROOT) + "-" + what + ".pdf";
        return ResponseEntity.ok()
                .header("Content-Disposition", "inline; filename=\"" + name + "\"")
                .contentType(MediaType.APPLICATION_PDF)
                .body(bytes);
    }

    /** From when to when, the day said once where it is one. */
    private static String hours(LocalDateTime from, LocalDateTime until) {
        return DAY_AND_HOUR.format(from) + " to "
                + (from.toLocalDate().equals(until.toLocalDate()) ? HOUR : DAY_AND_HOUR).format(until);
    }

    /** The hours of a watch, without the day where the operation has one only. */
    private String watched(WatchForm watch) {
        return form.from().toLocalDate().equals(form.until().toLocalDate())
                ? HOUR.format(form.begins(watch)) + " to " + HOUR.format(form.ends(watch))
                : hours(form.begins(watch), form.ends(watch));
    }

    private List<TableSheet.Table> tables() {
        List<TableSheet.Table> all = new ArrayList<>();
        all.add(watches());
        if (!sheet.troubles().isEmpty()) {
            all.add(new TableSheet.Table(
                    "Not settled",
                    List.of(Column.words("", 12), Column.name("Who, what", 24), Column.words("What was found", 64)),
                    sheet.troubles().stream()
                            .map(each -> List.of(
                                    each.fails() ? "Does not work" : "Question", each.subject(), each.message()))
                            .toList()));
        }
        all.add(radios());
        return all;
    }

    private String name(OperationForm.Who who) {
        for (int i = 0; i < form.watches().size(); i++) {
            if (form.watches().get(i).who().equals(who)) {
                return sheet.watches().get(i).name();
            }
        }
        return "";
    }

    private TableSheet.Table watches() {
        List<List<String>> rows = new ArrayList<>();
        for (int i = 0; i < form.watches().size(); i++) {
            WatchForm watch = form.watches().get(i);
            OperationViews.OperationWatch seen = sheet.watches().get(i);
            boolean one = seen.people().equals(List.of(seen.name()));
            rows.add(List.of(
                    seen.name(),
                    watch.from() == null && watch.until() == null ? "throughout" : watched(watch),
                    one ? watch.task() : joined(watch.task(), String.join(", ", seen.people())),
                    entry(watch.talk()),
                    joined(entry(watch.fallback()), watch.instead()),
                    watch.also().stream().map(this::entry).collect(Collectors.joining("; "))));
        }
        return new TableSheet.Table(
                "Who is on what",
                List.of(
                        Column.name("Team", 12),
                        Column.words("When", 17),
                        Column.words("Task, people", 25),
                        Column.words("Talks on", 17),
                        Column.words("If that fails", 17),
                        Column.words("Listens to, too", 12)),
                rows);
    }

    private static String joined(String one, String other) {
        return one.isBlank() || other.isBlank() ? one + other : one + ". " + other;
    }

    private String entry(EntryOf entry) {
        if (entry == null || !lists.containsKey(entry.list())) {
            return "";
        }
        return lists.get(entry.list()).entries().stream()
                .filter(each -> each.id() == entry.entry())
                .map(each -> (each.number() + " " + each.name()).strip() + ": " + each.words())
                .findFirst()
                .orElse("an entry that is not there any more");
    }

    private TableSheet.Table radios() {
        List<List<String>> rows = new ArrayList<>();
        for (OperationViews.OperationPerson person : sheet.people()) {
            String carries = String.join(", ", person.carries());
            if (person.radios().isEmpty()) {
                rows.add(List.of(person.name(), carries, "none of the group's", ""));
            }
            for (OperationViews.OperationRadio radio : person.radios()) {
                rows.add(List.of(person.name(), carries, radio.label() + ", " + radio.model(), radio.inside()));
            }
        }
        return new TableSheet.Table(
                "Who has which radio",
                List.of(
                        Column.name("Person", 22),
                        Column.words("Carries", 30),
                        Column.words("Radio", 22),
                        Column.words("What is in it", 26)),
                rows);
    }
}
