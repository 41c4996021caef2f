package org.wache.typed;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.wache.rulebook.BandService;
import org.wache.rulebook.Edition;
import org.wache.rulebook.Partner;
import org.wache.rulebook.PlanRow;
import org.wache.rulebook.PlanUse;
import org.wache.rulebook.Service;
import org.wache.signal.Frequency;
import org.wache.signal.Span;

/** The usual offsets from where one hears to where one talks, by the band plan and by the services' own pairs. */
public final class Offsets {

    private Offsets() {}

    /**
     * An offset.
     *
     * @param hertz from where one hears to where one talks
     * @param whose what it is, in words: {@code the plan's offset there}
     * @param where who has it: {@code the plan has}
     */
    record Usual(long hertz, String whose, String where) {}

    /** The offsets that are usual on an output, the preferred one first; none where nothing is planned. */
    static List<Usual> at(Edition edition, Frequency output) {
        List<Usual> all = new ArrayList<>();
        for (PlanRow row : edition.plan().at(output)) {
            row.offsets()
                    .forEach(offset -> add(
                            all,
                            row.local()
                                    ? new Usual(
                                            offset, "the offset of the group's own plan", "the group's own plan has")
                                    : new Usual(offset, "the plan's offset there", "the plan has")));
        }
        for (Service service : edition.servicesAt(output)) {
            for (Partner partner : service.partners(output)) {
                if (partner.input()) {
                    add(
                            all,
                            new Usual(
                                    partner.frequency().minus(output),
                                    "the distance of " + service.inText() + " pairs",
                                    service.inText() + " pairs have"));
                }
            }
        }
        return all;
    }

    private static void add(List<Usual> all, Usual more) {
        if (all.stream().noneMatch(each -> each.hertz() == more.hertz())) {
            all.add(more);
        }
    }

    /** What is usual on the nearest outputs of the same band. */
    static List<Usual> near(Edition edition, Frequency receive) {
        Optional<Span> band = edition.servicesAt(receive).stream()
                .filter(BandService.class::isInstance)
                .flatMap(service -> service.spanAt(receive).stream())
                .findFirst();
        return band.flatMap(span -> edition.plan().rows().stream()
                        .filter(row -> !row.offsets().isEmpty() && row.span().overlaps(span))
                        .min(Comparator.comparingLong(row -> distance(row.span(), receive))))
                .map(row -> row.offsets().stream()
                        .map(offset -> new Usual(offset, "the plan's offset on " + row.span(), "the plan has nearby"))
                        .toList())
                .orElse(List.of());
    }

    private static long distance(Span span, Frequency from) {
        return Math.max(Math.max(span.low() - from.hertz(), from.hertz() - span.high()), 0);
    }

    /** Whether the plan has repeater outputs there and nothing direct. */
    public static boolean outputsOnly(Edition edition, Frequency frequency) {
        return edition.plan()
                .rowAt(frequency)
                .filter(row -> row.uses().contains(PlanUse.REPEATER_OUTPUT)
                        && !row.uses().contains(PlanUse.FM_SIMPLEX))
                .isPresent();
    }
}
