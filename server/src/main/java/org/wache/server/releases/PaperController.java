package org.wache.server.releases;

import jakarta.servlet.http.HttpServletRequest;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Wording;
import org.wache.channel.Channel;
import org.wache.exchange.ReleaseContent;
import org.wache.exchange.ReleaseFile;
import org.wache.exchange.ReleaseReport;
import org.wache.keypad.ListPaper;
import org.wache.keypad.SettingSteps;
import org.wache.keypad.Step;
import org.wache.licence.Licence;
import org.wache.radio.RadioModel;
import org.wache.release.Waiver;
import org.wache.rulebook.BandService;
import org.wache.rulebook.EdgeTable;
import org.wache.rulebook.Edition;
import org.wache.server.accounts.Account;
import org.wache.server.lists.Titles;
import org.wache.server.prints.CardSize;
import org.wache.server.prints.ChannelCards;
import org.wache.server.prints.EntryColumns;
import org.wache.server.prints.KeypadSheet;
import org.wache.server.prints.PaperDates;
import org.wache.server.prints.PaperSize;
import org.wache.server.prints.TableSheet;
import org.wache.server.prints.TableSheet.Column;
import org.wache.server.rulebooks.EmissionKind;
import org.wache.server.rulebooks.Rulebooks;
import org.wache.server.web.Missing;
import org.wache.settings.SettingPlan;
import org.wache.signal.Frequency;

/** The papers of a release, in one print style, each with the release's number and sum on it. */
@RestController
class PaperController {

    private static final int EDGE_SLOTS = 100;

    private final ReleaseStore store;
    private final Releases releases;
    private final PrintedCards printed;
    private final Rulebooks rulebooks;

    PaperController(ReleaseStore store, Releases releases, PrintedCards printed, Rulebooks rulebooks) {
        this.rulebooks = rulebooks;
        this.store = store;
        this.releases = releases;
        this.printed = printed;
    }

    private ReleaseStore.Head head(long release) {
        return store.one(release).orElseThrow(() -> new Missing("The release"));
    }

    /** Channel cards, for everyone of the roster who carries it, or for one. */
    @GetMapping(path = "/api/releases/{release}/cards.pdf", produces = "application/pdf")
    ResponseEntity<byte[]> cards(
            Account asking,
            HttpServletRequest request,
            @PathVariable long release,
            @RequestParam Optional<Long> party,
            @RequestParam(defaultValue = "wallet") CardSize size,
            @RequestParam(defaultValue = "letter") PaperSize paper) {
        ReleaseStore.Head head = head(release);
        return PaperFile.pdf(
                releases.file(release),
                "cards",
                ChannelCards.write(
                        paper,
                        size,
                        printed.of(
                                asking.id(),
                                printed.base(request),
                                head,
                                each -> party.isEmpty() || party.get() == each)));
    }

    /** The full list, with what was found of it and who lets it stand. */
    @GetMapping(path = "/api/releases/{release}/list.pdf", produces = "application/pdf")
    ResponseEntity<byte[]> list(
            @PathVariable long release,
            @RequestParam(defaultValue = "letter") PaperSize paper,
            @RequestParam(defaultValue = "UTC") ZoneId zone) {
        ReleaseFile file = releases.file(release);
        List<TableSheet.Table> tables = new ArrayList<>();
        for (int i = 0; i < file.parts().size(); i++) {
            ReleaseFile.Part part = file.parts().get(i);
            List<ReleaseFile.Recorded> recorded = file.recorded(i);
            List<List<String>> rows = new ArrayList<>();
            for (int n = 0; n < part.list().channels().size(); n++) {
                rows.add(row(part.list().channels().get(n), recorded.get(n)));
            }
            tables.add(new TableSheet.Table(part.name(), EntryColumns.with("Found"), rows));
        }
        if (!file.waivers().isEmpty()) {
            tables.add(waivers(file));
        }
        String carriers = FormController.carriers(file);
        return PaperFile.pdf(
                file,
                "list",
                new TableSheet(
                                file.list() + ", release " + file.number(),
                                List.of(
                                        "Carried by " + carriers + ". Released "
                                                + PaperDates.moment(file.releasedAt(), zone) + " by "
                                                + file.releasedBy() + ", signed by " + file.signedBy() + ".",
                                        "SHA-256 " + ReleaseReport.spaced(file.sum())),
                                tables,
                                "Judged for " + PaperDates.day(file.day())
                                        + ". The rulebook was written from memory: check against the current rules; this tool does not replace your licence terms.")
                        .write(paper, true, PaperFile.foot(file)));
    }

    /** What was let stand with one reason is told together. */
    private static TableSheet.Table waivers(ReleaseFile file) {
        Map<List<String>, List<Waiver>> together = new LinkedHashMap<>();
        file.waivers().forEach(waiver -> together.computeIfAbsent(
                        List.of(
                                waiver.rule(),
                                waiver.model(),
                                waiver.reason(),
                                waiver.by() + ", " + PaperDates.day(waiver.on()),
                                waiver.until().map(PaperDates::day).orElse("for good")),
                        any -> new ArrayList<>())
                .add(waiver));
        List<List<String>> rows = together.entrySet().stream()
                .map(each -> List.of(
                        String.join(
                                ", ",
                                each.getValue().stream().map(Waiver::number).toList()),
                        (each.getKey().get(1).isEmpty() ? "" : each.getKey().get(1) + ": ")
                                + (each.getValue().size() == 1
                                        ? each.getValue().get(0).message()
                                        : Titles.of(Slug.of(each.getKey().get(0)))),
                        each.getKey().get(2),
                        each.getKey().get(3),
                        each.getKey().get(4)))
                .toList();
        return new TableSheet.Table(
                "Let stand, by name",
                List.of(
                        Column.name("Entries", 14),
                        Column.words("What was found", 32),
                        Column.words("Why it may stand", 28),
                        Column.words("Who, when", 16),
                        Column.words("Until", 10)),
                rows);
    }

    private static List<String> row(Channel channel, ReleaseFile.Recorded recorded) {
        return EntryColumns.row(
                channel,
                Wording.capital(recorded.verdict()),
                recorded.findings().isEmpty()
                        ? channel.text(org.wache.channel.Field.NOTE)
                        : recorded.findings().stream()
                                .map(each -> each.message() + " (" + each.source() + ")")
                                .reduce((one, other) -> one + " " + other)
                                .orElse(""));
    }

    /** The band edges of the amateur classes that its carriers hold, on the bands that it uses. */
    @GetMapping(path = "/api/releases/{release}/edges.pdf", produces = "application/pdf")
    ResponseEntity<byte[]> edges(@PathVariable long release, @RequestParam(defaultValue = "letter") PaperSize paper) {
        ReleaseFile file = releases.file(release);
        Edition edition = rulebooks.with(file.rulebook(), file.additions()).on(file.day());
        BandService amateur = edition.planned()
                .orElseThrow(() -> new org.wache.server.web.Refused(
                        "The rulebook has no service with bands: there are no edges to print."));
        Set<String> bands = new TreeSet<>();
        file.parts().forEach(part -> part.list().channels().forEach(channel -> channel.receive()
                .ifPresent(hears -> amateur.grants().stream()
                        .filter(grant -> grant.span().contains(hears))
                        .forEach(grant -> bands.add(grant.band())))));
        Set<String> classes = new TreeSet<>(Comparator.comparingInt(amateur.traits()::classIndex));
        file.parts().forEach(part -> part.context().holders().forEach(holder -> holder.licences().stream()
                .filter(each -> each.service().equals(amateur.id()))
                .map(Licence::licenceClass)
                .flatMap(Optional::stream)
                .forEach(classes::add)));
        Map<List<List<String>>, List<String>> alike =
                new LinkedHashMap<>(); // classes that have the same edges share a table
        classes.forEach(each -> alike.computeIfAbsent(edges(edition, amateur, each, bands), any -> new ArrayList<>())
                .add(Wording.capital(each)));
        List<TableSheet.Table> tables = alike.entrySet().stream()
                .map(each -> new TableSheet.Table(
                        Wording.list(each.getValue()),
                        List.of(
                                Column.name("Band", 14),
                                Column.words("Sending", 46),
                                Column.figures("From, MHz", 20),
                                Column.figures("To, MHz", 20)),
                        each.getKey()))
                .toList();
        return PaperFile.pdf(
                file,
                "edges",
                new TableSheet(
                                "Band edges",
                                List.of(
                                        "For " + file.list() + ", release " + file.number()
                                                + ": the bands that it uses, by the classes that"
                                                + " carry it. A signal has to stay inside with its whole width, not with its dial frequency."),
                                tables,
                                "Check against the current rules; this card does not replace your licence terms.")
                        .write(paper, false, PaperFile.foot(file)));
    }

    /** The edges of a class; what may be sent between the same edges stands in one row. */
    private static List<List<String>> edges(
            Edition edition, BandService amateur, String licenceClass, Set<String> bands) {
        int held = amateur.traits().classIndex(licenceClass);
        Map<EdgeRow, List<String>> kinds = new TreeMap<>(
                Comparator.comparingLong((EdgeRow row) -> row.low()).thenComparingLong(EdgeRow::high));
        EmissionKind.ALL.forEach(kind -> EdgeTable.of(amateur, edition.plan(), held, kind.bits(), bands, EDGE_SLOTS)
                .slots()
                .forEach(slot -> kinds.computeIfAbsent(
                                new EdgeRow(
                                        slot.band(),
                                        slot.span().low(),
                                        slot.span().high()),
                                any -> new ArrayList<>())
                        .add(kind.title())));
        return kinds.entrySet().stream()
                .map(each -> List.of(
                        each.getKey().band(),
                        String.join(", ", each.getValue()),
                        Frequency.megahertz(each.getKey().low()),
                        Frequency.megahertz(each.getKey().high())))
                .toList();
    }

    private record EdgeRow(String band, long low, long high) {}

    /** How its entries are typed into a radio of one of its models. */
    @GetMapping(path = "/api/releases/{release}/keypad.pdf", produces = "application/pdf")
    ResponseEntity<byte[]> keypad(
            @PathVariable long release,
            @RequestParam String model,
            @RequestParam(defaultValue = "letter") PaperSize paper) {
        ReleaseFile file = releases.file(release);
        ReleaseFile.Model chosen = file.models().stream()
                .filter(each -> each.name().equals(model))
                .findFirst()
                .orElseThrow(() -> new Missing("The model"));
        RadioModel radio = chosen.radio().model();
        ReleaseFile.Part part = file.parts().get(0);
        ListPaper steps = ListPaper.of(
                part.list(),
                radio,
                part.list().channels().stream()
                        .map(channel -> chosen.leftOut().contains(channel.number())
                                ? Optional.of("Left out of this model.")
                                : Optional.<String>empty())
                        .toList());
        List<KeypadSheet.Entry> entries = new ArrayList<>();
        steps.tables()
                .forEach(table ->
                        entries.add(new KeypadSheet.Entry(table.title(), String.join(", ", table.rows()), List.of())));
        for (ReleaseContent.TeamProfile each : file.profiles()) {
            section(
                    entries,
                    "Settings"
                            + (file.profiles().size() == 1
                                    ? ""
                                    : each.team().isEmpty() ? " of everybody" : " of " + each.team())
                            + ": " + each.profile().name(),
                    SettingSteps.of(radio, SettingPlan.of(each.profile(), radio)).stream()
                            .map(step -> new Step(
                                    step.what() + (step.why().isEmpty() ? "" : ". " + step.why()),
                                    step.keys(),
                                    step.see(),
                                    ""))
                            .toList());
        }
        section(entries, "Before the first entry", steps.before());
        steps.entries()
                .forEach(entry -> entries.add(
                        new KeypadSheet.Entry(heading(entry), entry.impossible().orElse(""), printed(entry.steps()))));
        section(entries, "After the last entry", steps.after());
        return PaperFile.pdf(
                file,
                "keypad",
                new KeypadSheet(
                                file.list() + " by keypad: " + chosen.name(),
                                "Release " + file.number() + ". " + ListPaper.method(radio)
                                        + " An antenna or a dummy load on the radio before its key is pressed.",
                                entries)
                        .write(paper, PaperFile.foot(file)));
    }

    private static void section(List<KeypadSheet.Entry> entries, String heading, List<Step> steps) {
        if (!steps.isEmpty()) {
            entries.add(new KeypadSheet.Entry(heading, "", printed(steps)));
        }
    }

    private static List<KeypadSheet.Step> printed(List<Step> steps) {
        return steps.stream()
                .map(step -> new KeypadSheet.Step(step.what(), String.join("  ", step.keys()), step.see()))
                .toList();
    }

    private static String heading(ListPaper.Entry entry) {
        Channel channel = entry.channel();
        return channel.number() + "  " + channel.name() + "  ·  hears "
                + channel.receive().map(Frequency::megahertz).orElse("")
                + channel.transmit()
                        .filter(f -> !f.equals(channel.receive().orElse(null)))
                        .map(f -> ", talks on " + f.megahertz())
                        .orElse("")
                + (entry.impossible().isEmpty() ? "  ·  into memory " + entry.memory() : "");
    }

    /** Which radio has which release, since when, and who has the radio. */
    @GetMapping(path = "/api/releases/{release}/loads.pdf", produces = "application/pdf")
    ResponseEntity<byte[]> loads(@PathVariable long release, @RequestParam(defaultValue = "letter") PaperSize paper) {
        ReleaseStore.Head head = head(release);
        ReleaseFile file = releases.file(release);
        List<List<String>> rows = store.loads(head.club()).stream()
                .map(load -> List.of(
                        load.label(),
                        load.model(),
                        load.carrier() == null ? "" : load.carrier(),
                        load.at() == null
                                ? "nothing was put into it"
                                : load.listName()
                                        + (load.number() == null ? "" : ", release " + load.number())
                                        + (load.release() != null && load.release() == release
                                                ? ""
                                                : load.list() != null && load.list() == head.list()
                                                        ? " (another)"
                                                        : ""),
                        load.at() == null ? "" : PaperDates.day(load.at().toLocalDate()),
                        load.at() == null
                                ? ""
                                : load.verified()
                                        ? "read back and keyed"
                                        : load.declared() ? "declared by hand" : "written only"))
                .toList();
        return PaperFile.pdf(
                file,
                "loads",
                new TableSheet(
                                "What is in which radio",
                                List.of(head.name() + ", release " + head.number()
                                        + ", and every radio of the group as it is now."),
                                List.of(new TableSheet.Table(
                                        "",
                                        List.of(
                                                Column.name("Radio", 16),
                                                Column.words("Model", 16),
                                                Column.words("Who has it", 20),
                                                Column.words("What is in it", 24),
                                                Column.words("Since", 11),
                                                Column.words("Checked", 13)),
                                        rows)),
                                "")
                        .write(paper, true, PaperFile.foot(file)));
    }
}
