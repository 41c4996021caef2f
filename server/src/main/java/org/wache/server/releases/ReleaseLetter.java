package org.wache.server.releases;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.wache.audit.finding.Wording;
import org.wache.compare.ListDifference;
import org.wache.exchange.ReleaseFile;
import org.wache.release.Waiver;
import org.wache.server.prints.PaperDates;
import org.wache.server.prints.TableSheet;
import org.wache.server.prints.TableSheet.Column;

/** The letter that goes out with a release: what is new, who needs it, what was let stand, and what to do. */
final class ReleaseLetter {

    private static final Map<ListDifference.Kind, String> KINDS = Map.of(
            ListDifference.Kind.ADDED, "New",
            ListDifference.Kind.REMOVED, "Gone",
            ListDifference.Kind.CHANGED, "Changed");

    private ReleaseLetter() {}

    /** The letter as a paper. */
    static TableSheet of(ReleaseStore.Head head, ReleaseFile file, Optional<ReleaseFile> earlier, ZoneId zone) {
        List<String> lead = new ArrayList<>();
        lead.add("To those who carry it: " + FormController.carriers(file) + ".");
        lead.add("Released " + PaperDates.moment(file.releasedAt(), zone) + " by " + file.releasedBy() + ", signed by "
                + file.signedBy() + ", judged for " + PaperDates.day(file.day()) + ".");
        if (head.isRecalled()) {
            lead.add("This release was recalled on "
                    + PaperDates.moment(head.recalledAt().toInstant().toString(), zone) + " by " + head.recalledBy()
                    + ": " + head.recallReason() + ". Do not put it into radios.");
        }
        Optional<SinceRelease> since = earlier.map(each -> SinceRelease.of(each, file));
        lead.add(since.map(each -> whatIsNew(each, earlier.get().number()))
                .orElse("It is the first release of this list: " + count(file) + "."));
        List<TableSheet.Table> tables = new ArrayList<>();
        since.ifPresent(each -> changes(each, earlier.get().number(), tables));
        standing(file, tables);
        tables.add(new TableSheet.Table(
                "What to do",
                List.of(Column.figures("#", 4), Column.words("Step", 96)),
                steps(file, earlier.isPresent())));
        return new TableSheet(
                file.list() + ": release " + file.number(),
                lead,
                tables,
                "The licence of whoever presses the key comes first; this letter does not replace it. Whether you hold the right release: its"
                        + " SHA-256 is " + file.sum() + ".");
    }

    private static String count(ReleaseFile file) {
        int entries = file.parts().get(0).list().channels().size();
        return entries == 1 ? "one entry" : entries + " entries";
    }

    private static String whatIsNew(SinceRelease since, int before) {
        if (since.isNothing()) {
            return "Nothing in it differs from release " + before + ".";
        }
        List<String> parts = new ArrayList<>();
        for (ListDifference.Kind kind : ListDifference.Kind.values()) {
            long number =
                    since.entries().stream().filter(each -> each.kind() == kind).count();
            if (number > 0) {
                parts.add(number + " " + KINDS.get(kind).toLowerCase(Locale.ROOT));
            }
        }
        if (since.moved()) {
            parts.add("entries stand in another order");
        }
        return "Since release " + before + ": " + (parts.isEmpty() ? "no entry changed" : Wording.list(parts))
                + ". The radios need loading again.";
    }

    private static void changes(SinceRelease since, int before, List<TableSheet.Table> tables) {
        if (!since.entries().isEmpty()) {
            tables.add(new TableSheet.Table(
                    "Entries since release " + before,
                    List.of(
                            Column.words("What", 11),
                            Column.figures("No.", 7),
                            Column.name("Name", 22),
                            Column.words("How", 60)),
                    since.entries().stream()
                            .map(each -> List.of(
                                    KINDS.get(each.kind()),
                                    each.number(),
                                    each.name(),
                                    String.join("; ", each.words())))
                            .toList()));
        }
        if (!since.others().isEmpty()) {
            tables.add(new TableSheet.Table(
                    "Besides the entries",
                    List.of(Column.words("What", 100)),
                    since.others().stream().map(List::of).toList()));
        }
    }

    private static void standing(ReleaseFile file, List<TableSheet.Table> tables) {
        if (!file.waivers().isEmpty()) {
            tables.add(new TableSheet.Table(
                    "Let stand, by name",
                    List.of(
                            Column.figures("No.", 7),
                            Column.name("Name", 20),
                            Column.words("Why it may stand", 48),
                            Column.words("Who, until when", 25)),
                    file.waivers().stream().map(ReleaseLetter::row).toList()));
        }
    }

    private static List<String> row(Waiver waiver) {
        return List.of(
                waiver.number(),
                waiver.name(),
                waiver.reason(),
                waiver.by() + ", "
                        + waiver.until()
                                .map(day -> "until " + PaperDates.day(day))
                                .orElse("for good"));
    }

    private static List<List<String>> steps(ReleaseFile file, boolean earlier) {
        List<String> steps = new ArrayList<>();
        steps.add(
                file.models().isEmpty()
                        ? "Load each radio that carries this list with release " + file.number() + "."
                        : "Load each "
                                + String.join(
                                        " and ",
                                        file.models().stream()
                                                .map(ReleaseFile.Model::name)
                                                .toList())
                                + " with release " + file.number() + ", by cable or by the keypad sheet of its model.");
        steps.add("Read each radio back, and compare. An antenna or a dummy load before a key is pressed.");
        steps.add(
                earlier
                        ? "Take back the cards of the release before, and hand out the new ones."
                        : "Hand out the cards, one to everybody who carries it.");
        return java.util.stream.IntStream.range(0, steps.size())
                .mapToObj(i -> List.of(Integer.toString(i + 1), steps.get(i)))
                .toList();
    }
}
