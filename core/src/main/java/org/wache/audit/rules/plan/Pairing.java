package org.wache.audit.rules.plan;

import java.util.List;
import java.util.Optional;
import org.wache.audit.Route;
import org.wache.rulebook.AuthorisedService;
import org.wache.rulebook.FixedChannel;
import org.wache.rulebook.Partner;
import org.wache.rulebook.PlanRow;
import org.wache.signal.Frequency;

/** How the two frequencies of an entry stand to the pairs of a band plan or a service. */
record Pairing(Frequency receive, Frequency transmit, List<Long> offsets, boolean planned, boolean reversed) {

    /** The pairing of a route that goes through a repeater or is a pair; empty for others and for satellites. */
    static Optional<Pairing> of(Route route) {
        boolean candidate = route.on().isPair() || route.throughRepeater();
        if (!candidate
                || route.split()
                || route.uplinkAstray()
                || route.viaSatellite()
                || route.on().receive().isEmpty()) {
            return Optional.empty();
        }
        Frequency receive = route.on().receive().get();
        if (route.planned()) {
            return planned(route, receive);
        }
        if (route.service() instanceof AuthorisedService lines) {
            return authorised(route, lines, receive);
        }
        return route.channel()
                .filter(channel -> channel.repeaters())
                .flatMap(channel -> fixed(route, receive, channel));
    }

    private static Optional<Pairing> planned(Route route, Frequency receive) {
        List<PlanRow> rows = route.heardRows();
        long back = receive.minus(route.transmit());
        List<Long> offsets =
                rows.stream().flatMap(row -> row.offsets().stream()).distinct().toList();
        boolean usual = offsets.contains(-back);
        boolean reversed = !usual
                && route.entry().plan().counting(route.transmit()).stream()
                        .anyMatch(row -> row.offsets().contains(back));
        if (rows.isEmpty() && !reversed) {
            return Optional.empty(); // the plan says nothing of what it hears
        }
        return Optional.of(new Pairing(receive, route.transmit(), offsets, true, reversed));
    }

    /**
     * Licensed line by line: where the service has pairs, both sides of the entry have to be one. On VHF it has none.
     */
    private static Optional<Pairing> authorised(Route route, AuthorisedService lines, Frequency receive) {
        if (!route.on().isPair()) {
            return Optional.empty();
        }
        List<Partner> partners = lines.partners(route.transmit());
        if (partners.isEmpty()) {
            return Optional.empty();
        }
        boolean usual = partners.stream()
                .anyMatch(each -> !each.input() && each.frequency().equals(receive));
        boolean reversed = partners.stream()
                .anyMatch(each -> each.input() && each.frequency().equals(receive));
        List<Long> offsets = lines.partners(receive).stream()
                .filter(Partner::input)
                .map(each -> each.frequency().minus(receive))
                .toList();
        return usual ? Optional.empty() : Optional.of(new Pairing(receive, route.transmit(), offsets, false, reversed));
    }

    /** A service whose channels pair by themselves: an input reaches one output. */
    private static Optional<Pairing> fixed(Route route, Frequency receive, FixedChannel channel) {
        if (channel.reaches().isPresent()) {
            long offset = route.transmit().minus(channel.reaches().get());
            return route.on().isPair()
                    ? Optional.of(new Pairing(receive, route.transmit(), List.of(offset), false, false))
                    : Optional.empty();
        }
        boolean reversed = route.service()
                .channelAt(receive, false)
                .flatMap(FixedChannel::reaches)
                .filter(output -> output.equals(route.transmit()))
                .isPresent();
        return Optional.of(new Pairing(receive, route.transmit(), List.of(), false, reversed));
    }

    /** Input minus output in hertz. */
    long offset() {
        return transmit.minus(receive);
    }

    /** Whether the offset is one of the usual ones. */
    boolean usual() {
        return offsets.contains(offset());
    }
}
