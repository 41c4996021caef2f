package org.wache.rulebook;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * What somebody adds to a rulebook: an edition, or a private service ({@code wache-rulebook/1}).
 *
 * @param rulebook the rulebook that it is for
 * @param edition the edition that it makes; empty for a service
 * @param changes what the edition changes
 * @param service the service; empty for an edition
 */
record Addition(String rulebook, Optional<Edition.EditionDates> edition, List<Change> changes, Optional<Row> service) {

    static final String FORMAT = "wache-rulebook/1";
    private static final String SERVICE_ID = "[a-z][a-z0-9-]{1,30}";

    /**
     * Rows of one section that end the day before, and rows that begin.
     *
     * @param row where it is written
     * @param file the rulebook's file
     * @param section the section in it
     * @param end what the rows say that end
     * @param add the rows that begin
     */
    record Change(Row row, String file, String section, List<Row> end, List<Row> add) {}

    /** @throws RulebookProblem when it does not say what it must */
    static Addition of(Row root) {
        if (!root.node().isObject()) {
            throw new RulebookProblem(root.file() + ", line 1: an addition starts with “format: " + FORMAT + "”.", 1);
        }
        if (!FORMAT.equals(root.text("format", ""))) {
            throw root.problem("format", FORMAT);
        }
        String rulebook = root.text("rulebook");
        if (root.has("edition") == root.has("service")) {
            throw root.problem("edition", "given, or else service: a file adds one of them");
        }
        return root.has("edition") ? edition(root, rulebook) : service(root, rulebook);
    }

    private static Addition edition(Row root, String rulebook) {
        Row head = root.row("edition");
        Edition.EditionDates dates =
                new Edition.EditionDates(head.text("id"), head.date("from"), head.text("title"), head.text("source"));
        List<Change> changes = root.rows("changes").stream()
                .map(row -> change(row, dates.from()))
                .toList();
        if (changes.isEmpty()) {
            throw root.problem("changes", "given: an edition without changes is none");
        }
        return new Addition(rulebook, Optional.of(dates), changes, Optional.empty());
    }

    private static Change change(Row row, LocalDate from) {
        String[] in = row.text("in").split("/");
        if (in.length != 2) {
            throw row.problem("in", "a file and a section of the rulebook, such as amateur/grants");
        }
        List<Row> add = row.rows("add");
        add.forEach(each -> {
            if (each.has("from")) {
                throw each.problem("from", "left out: rows of an edition begin on its day, " + from);
            }
            each.text("source");
        });
        List<Row> end = row.rows("end");
        if (add.isEmpty() && end.isEmpty()) {
            throw row.problem("add", "given, or end");
        }
        return new Change(row, in[0], in[1], end, add);
    }

    private static Addition service(Row root, String rulebook) {
        Row service = root.row("service");
        if (!service.text("id").matches(SERVICE_ID)) {
            throw service.problem("id", "2 to 31 small letters, digits and hyphens, such as harbour-net");
        }
        return new Addition(rulebook, Optional.empty(), List.of(), Optional.of(service));
    }
}
