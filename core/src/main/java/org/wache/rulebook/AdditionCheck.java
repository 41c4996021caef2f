package org.wache.rulebook;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wache.signal.Frequency;
import org.wache.signal.Span;
import tools.jackson.databind.node.ObjectNode;

/**
 * Checks the text of an addition before anybody puts it in force. What was not understood is refused with its line; what
 * is odd but may be meant is told.
 *
 * @param rulebook the rulebook that it is for
 * @param kind what is added
 * @param id the edition's or the service's identifier
 * @param title its name for people
 * @param from the day from which an edition counts
 * @param notices what whoever puts it in force should have looked at
 * @param changed for an edition what it changes from the one before
 */
public record AdditionCheck(
        String rulebook,
        Kind kind,
        String id,
        String title,
        Optional<LocalDate> from,
        List<String> notices,
        EditionDifference changed) {

    /** What can be added to a rulebook. */
    public enum Kind {
        EDITION,
        SERVICE
    }

    private static final int NEAR_WORD = 3;

    /**
     * Reads and checks a text.
     *
     * @param text YAML in the form {@code wache-rulebook/1}
     * @param before the texts that are in force, in their order
     * @throws RulebookProblem with the line, when something in it is wrong
     */
    public static AdditionCheck of(String text, List<String> before) {
        String id = rulebookOf(text);
        List<String> all = new ArrayList<>(
                before.stream().filter(each -> rulebookOf(each).equals(id)).toList());
        Rulebook old = RulebookReader.with(id, List.copyOf(all));
        all.add(text);
        RulebookFiles files = RulebookReader.files(id, all);
        Addition added = files.additions().get(files.additions().size() - 1);
        return added.edition().isPresent() ? edition(files, added, old) : service(files, added, old);
    }

    /** The rulebook that a text is for. */
    public static String rulebookOf(String text) {
        MarkedYaml marks = new MarkedYaml();
        Row root = new Row("The file", marks.read("The file", text), marks, Optional.empty());
        if (!root.node().isObject()) {
            throw new RulebookProblem(
                    "The file, line 1: an addition starts with “format: " + Addition.FORMAT + "”.", 1);
        }
        String id = root.text("rulebook");
        if (!RulebookReader.ids().contains(id)) {
            throw root.problem("rulebook", "one of " + String.join(", ", RulebookReader.ids()));
        }
        return id;
    }

    private static AdditionCheck edition(RulebookFiles files, Addition added, Rulebook old) {
        Edition.EditionDates dates = added.edition().orElseThrow();
        Row head = files.lastAdded().row("edition");
        Edition.EditionDates last = old.editions().get(old.editions().size() - 1);
        if (old.editions().stream().anyMatch(each -> each.id().equals(dates.id()))) {
            throw head.problem("id", "new: there is an edition of that name");
        }
        if (!dates.from().isAfter(last.from())) {
            throw head.problem("from", "after " + last.from() + ", the day of the edition before");
        }
        List<String> sections = new ArrayList<>();
        for (Addition.Change change : added.changes()) {
            read(files, change);
            sections.add(change.file() + "/" + change.section());
        }
        Rulebook with = RulebookReader.rulebook(files);
        Edition now = with.on(dates.from());
        unread(files);
        EditionDifference changed = EditionDifference.between(old.on(dates.from()), now);
        List<String> notices = new ArrayList<>();
        boolean listed = sections.stream().allMatch(each -> old.on(dates.from()).services().stream()
                .anyMatch(service -> each.startsWith(service.id() + "/")));
        if (listed && changed.gone().isEmpty() && changed.come().isEmpty()) {
            notices.add("Nothing that a service may do changes: are the rows the same as before?");
        }
        return new AdditionCheck(
                old.id(), Kind.EDITION, dates.id(), dates.title(), Optional.of(dates.from()), notices, changed);
    }

    private static void read(RulebookFiles files, Addition.Change change) {
        try {
            files.file(change.file());
        } catch (RulebookProblem e) {
            throw e.line() > 0
                    ? e
                    : change.row()
                            .problem(
                                    "in",
                                    "a file of the rulebook, such as amateur/grants, allocations/rows or band-plan/rows");
        }
    }

    private static AdditionCheck service(RulebookFiles files, Addition added, Rulebook old) {
        Row row = added.service().orElseThrow();
        String id = row.text("id");
        Edition newest = old.on(old.editions().get(old.editions().size() - 1).from());
        if (newest.service(id).isPresent()) {
            throw row.problem("id", "new: there is a service of that name");
        }
        Service service = RulebookReader.rulebook(files)
                .on(newest.dates().from())
                .service(id)
                .orElseThrow();
        unread(files);
        List<Span> spans = spans(service);
        if (spans.isEmpty()) {
            throw row.problem(
                    "channels", "given (or grants, or bands): a service without frequencies is open to nobody");
        }
        List<String> notices = new ArrayList<>();
        for (Span span : spans) {
            Frequency middle = new Frequency((span.low() + span.high()) / 2);
            if (!newest.plausible().contains(span)) {
                notices.add(span + " lies outside " + newest.plausible()
                        + ", where lists are taken to be: is the unit right?");
            }
            newest.allocation(middle)
                    .filter(there -> !there.licensable())
                    .ifPresent(there -> notices.add(span + " belongs to " + there.whose() + " (" + there.say()
                            + "): look twice before you open it."));
            newest.servicesAt(middle).forEach(there -> notices.add(span + " is shared with " + there.inText() + "."));
        }
        return new AdditionCheck(
                old.id(),
                Kind.SERVICE,
                id,
                row.text("title"),
                Optional.empty(),
                notices.stream().distinct().toList(),
                new EditionDifference(List.of(), List.of()));
    }

    private static List<Span> spans(Service service) {
        if (service instanceof BandService bands) {
            return bands.grants().stream().map(Grant::span).toList();
        }
        if (service instanceof ChannelService channels) {
            return channels.channels().stream()
                    .map(each -> new Span(each.centre().hertz(), each.centre().hertz()))
                    .toList();
        }
        return ((AuthorisedService) service)
                .bands().stream().map(AuthorisedService.Band::span).toList();
    }

    /** A key that nobody asked for is a slip of the pen, or it would be passed over in silence. */
    private static void unread(RulebookFiles files) {
        MarkedYaml marks = files.marks();
        Row root = files.lastAdded();
        for (ObjectNode object : MarkedYaml.objects(root.node())) {
            for (var each : object.properties()) {
                String key = each.getKey();
                boolean ours = key.equals("from") || key.equals("until") || key.equals("confidence");
                if (!marks.asked(object).contains(key) && !ours) {
                    String near = marks.asked(object).stream()
                            .filter(known -> !object.has(known))
                            .filter(known -> distance(known, key) <= NEAR_WORD)
                            .min(java.util.Comparator.comparingInt(known -> distance(known, key)))
                            .map(known -> " Is “" + known + "” meant?")
                            .orElse(
                                    key.matches("[0-9]+")
                                            ? " A comma parts keys: decimals have a point."
                                            : " Take it out.");
                    int line = marks.line(object, key);
                    throw new RulebookProblem(
                            "The file, line " + line + ": “" + key + "” says nothing here." + near, line);
                }
            }
        }
    }

    /** How many letters must be changed, added or taken out to make one word of the other. */
    private static int distance(String one, String other) {
        return org.apache.commons.text.similarity.LevenshteinDistance.getDefaultInstance()
                .apply(one, other);
    }
}
