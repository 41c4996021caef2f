package org.wache.audit.rules.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wache.audit.Route;
import org.wache.audit.RouteRule;
import org.wache.audit.RulePage;
import org.wache.audit.cure.Cures;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Sum;
import org.wache.audit.finding.Wording;
import org.wache.rulebook.PlanRow;
import org.wache.rulebook.PlanUse;
import org.wache.signal.Content;
import org.wache.signal.Emission;
import org.wache.signal.Frequency;
import org.wache.signal.Span;

/** Against the band plan's use of that part. Pairs are judged by their offset instead. */
public final class AgainstPlan implements RouteRule {

    @Override
    public Slug slug() {
        return Slug.PLAN_USE;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "Against the band plan",
                "The band plan keeps this part for another use. A plan is an agreement, not law: against it is a question, never "
                        + "a stop. Talking direct on a repeater's output mostly means that the offset was forgotten.",
                "Set the offset, use a frequency that the plan keeps for this use, or keep the entry on purpose.",
                RulePage.entry("amateur:technician", "rx_mhz=146.940 tx_mhz=146.940 mode=FM power_w=5"),
                RulePage.entry("amateur:technician", "rx_mhz=146.940 tx_mhz=146.340 mode=FM power_w=5 tx_tone=100.0"));
    }

    @Override
    public List<Finding> on(Route route) {
        if (!route.planned()) {
            return List.of();
        }
        if (route.entry().dataBySideband()) {
            return List.of(dataBySideband(route));
        }
        if (route.uplinkAstray()) {
            return List.of(uplinkAstray(route));
        }
        if (route.on().isPair() && !route.split() || route.throughRepeater()) {
            return List.of();
        }
        Optional<PlanRow> beacon = route.entry().plan().beaconWithin(route.occupied());
        if (beacon.isEmpty()
                && (route.planRow().isEmpty() || accepts(route.planRow().get(), route) || atSharedEnd(route))) {
            return List.of();
        }
        PlanRow row = beacon.orElseGet(() -> route.planRow().get());
        return List.of(route.query(Slug.PLAN_USE)
                .message(() -> Wording.emission(route.on()) + how(row) + " on " + route.transmit() + ": the plan keeps "
                        + where(row) + " for " + row.words() + ".")
                .working(() -> Sum.of(route.transmit(), "talks on").inside(row.span(), row.words()))
                .source(route.entry().plan().source(row))
                .cures(() -> cures(route, row)));
    }

    /** Sound-card data through a sideband transmitter: as data it is judged; as voice it would stand where data is. */
    private static Finding dataBySideband(Route route) {
        return route.query(Slug.PLAN_USE)
                .message(
                        "USB on %s is the dial of data by a sideband radio; it is judged as data, %s.",
                        route.transmit(), route.emission())
                .working(() -> Sum.of(route.transmit(), "dial of an upper sideband")
                        .inside(route.occupied(), "where the data is"))
                .source("common practice, no source")
                .cures(() -> List.of(Change.mode("Use DATA", "DATA")));
    }

    /** Heard from a satellite, and talked on where no satellite listens. */
    private static Finding uplinkAstray(Route route) {
        Frequency heard = route.on().receive().orElseThrow();
        return route.query(Slug.PLAN_USE)
                .message(
                        "Hears the satellite segment at %s and talks on %s, which lies in no satellite segment: no satellite listens there.",
                        heard, route.transmit())
                .working(() -> Sum.of(route.transmit(), "talks on")
                        .limit(route.receiveRows().get(0).span().toString(), "", "satellites, heard"))
                .source(route.entry().plan().source())
                .cures(() -> Cures.orListen(List.of()));
    }

    private static String how(PlanRow row) {
        boolean repeaters =
                row.uses().contains(PlanUse.REPEATER_INPUT) || row.uses().contains(PlanUse.REPEATER_OUTPUT);
        return repeaters ? " direct" : "";
    }

    private static String where(PlanRow row) {
        return row.span().length() == 0
                ? new Frequency(row.span().low()).toString()
                : row.span().toString();
    }

    /** At an end that two rows share, either will do. */
    private static boolean atSharedEnd(Route route) {
        long hertz = route.transmit().hertz();
        if (route.planRow().get().span().length() == 0) {
            return false;
        }
        for (PlanRow other : route.entry().plan().at(route.transmit())) {
            Span span = other.span();
            if ((span.low() == hertz || span.high() == hertz) && accepts(other, route)) {
                return true;
            }
        }
        return false;
    }

    private static boolean accepts(PlanRow row, Route route) {
        if (row.uses().contains(PlanUse.ANY)) {
            return true;
        }
        PlanUse named =
                switch (route.on().use()) {
                    case BEACON -> PlanUse.BEACON;
                    case LINK, AUXILIARY -> PlanUse.LINK;
                    default -> null;
                };
        if (named != null && row.isFor(named)) {
            return true;
        }
        Emission emission = route.emission();
        if (emission.oneSided() && emission.is(Content.DIGITAL_VOICE)) {
            return row.isFor(PlanUse.WEAK_SIGNAL) || row.isFor(PlanUse.PHONE);
        }
        if (emission.is(Content.CW)) {
            return row.isFor(PlanUse.CW) || row.isFor(PlanUse.WEAK_SIGNAL) || row.isFor(PlanUse.PHONE);
        }
        if (emission.is(Content.SSB)) {
            return row.isFor(PlanUse.WEAK_SIGNAL)
                    || row.isFor(PlanUse.PHONE)
                    || emission.kind().startsWith("H") && row.isFor(PlanUse.AM);
        }
        if (emission.is(Content.AM)) {
            return row.isFor(PlanUse.AM);
        }
        if (emission.is(Content.DATA)) {
            boolean narrow = emission.oneSided() && row.isFor(PlanUse.WEAK_SIGNAL);
            return narrow || row.isFor(PlanUse.DATA) || row.isFor(PlanUse.DATA_DIAL) || row.isFor(PlanUse.FM_SIMPLEX);
        }
        if (emission.is(Content.IMAGE)) {
            return row.isFor(PlanUse.ATV)
                    || row.isFor(PlanUse.IMAGE)
                    || row.isFor(PlanUse.FM_SIMPLEX)
                    || row.isFor(PlanUse.PHONE);
        }
        return row.isFor(PlanUse.FM_SIMPLEX);
    }

    private static List<Change> cures(Route route, PlanRow row) {
        List<Change> cures = new ArrayList<>();
        Frequency transmit = route.transmit();
        if (row.uses().contains(PlanUse.SATELLITE)) {
            return Cures.orListen(cures); // no other mode makes a station in orbit of it
        }
        boolean carried =
                route.emission().is(Content.FM) || route.emission().is(Content.DIGITAL_VOICE); // what repeaters carry
        if (carried && row.uses().contains(PlanUse.REPEATER_OUTPUT)) {
            row.offsets()
                    .forEach(offset -> cures.add(
                            Cures.pair("Set the offset " + Wording.offset(offset), transmit, transmit.plus(offset))));
        } else if (carried && row.uses().contains(PlanUse.REPEATER_INPUT)) {
            output(route, transmit)
                    .ifPresent(receive -> cures.add(Cures.pair("Hear the output " + receive, receive, transmit)));
        }
        cures.addAll(Cures.otherModes(route.on()).stream().limit(3).toList());
        return Cures.orListen(cures);
    }

    /** The output whose repeater would hear this input. */
    private static Optional<Frequency> output(Route route, Frequency input) {
        for (PlanRow row : route.entry().plan().rows()) {
            for (long offset : row.offsets()) {
                long output = input.hertz() - offset;
                if (output > 0 && row.span().contains(output)) {
                    return Optional.of(new Frequency(output));
                }
            }
        }
        return Optional.empty();
    }
}
