package org.wache.audit.rules.law;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.wache.audit.Reckoned;
import org.wache.audit.Route;
import org.wache.audit.RouteRule;
import org.wache.audit.RulePage;
import org.wache.audit.context.Whereabouts.Lies;
import org.wache.audit.cure.Cures;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Sum;
import org.wache.audit.finding.Wording;
import org.wache.channel.Field;
import org.wache.licence.AuthorisationLine;
import org.wache.place.Zone;
import org.wache.rulebook.AuthorisedService;
import org.wache.rulebook.LocalLimit;
import org.wache.signal.Watts;

/** A licence line or a limit of power holds for an area, and nobody said where the list is used. */
public final class PlaceUnknown implements RouteRule {

    @Override
    public Slug slug() {
        return Slug.PLACE_UNKNOWN;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                        "Where the list is used is not known",
                        "The licence line holds for an area, or less power is allowed in some areas. Without the site of the list it "
                                + "cannot be said whether the area covers it.",
                        "Name the site of the list.",
                        RulePage.entry("land-mobile", "rx_mhz=451.800 tx_mhz=451.800 mode=NFM power_w=5"),
                        RulePage.entry("land-mobile", "rx_mhz=456.800 tx_mhz=456.800 mode=NFM power_w=5"))
                .within(
                        "{\"format\": \"wache-context/1\", \"holders\": [{\"name\": \"The ferry\", \"licences\": [{\"service\": \"land-mobile\", "
                                + "\"callSign\": \"WZZB202\", \"lines\": [{\"mhz\": \"451.800\", \"emission\": \"11K2F3E\", \"outputW\": 5, \"area\": {\"latitude\": "
                                + "45.2, \"longitude\": -93.1, \"radiusKm\": 40}}, {\"mhz\": \"456.800\", \"emission\": \"11K2F3E\", \"outputW\": 5}]}]}]}");
    }

    @Override
    public List<Finding> on(Route route) {
        if (route.service() instanceof AuthorisedService service) {
            return line(route, service);
        }
        if (mayDecide(route)) {
            return List.of(granted(route));
        }
        Optional<LocalLimit> limit = route.localLimit(Lies.UNKNOWN);
        Optional<Watts> output = route.on().power();
        if (limit.isEmpty() || output.isEmpty()) {
            return List.of();
        }
        Reckoned reckoned = Reckoned.of(route, output.get(), limit.get().limit());
        if (!reckoned.over()) {
            return List.of();
        }
        String measure = limit.get().limit().measure().words();
        return List.of(route.query(Slug.PLACE_UNKNOWN)
                .message(
                        "%s %s is more than the %s allowed in %s; where the list is used is not known.",
                        reckoned.power(),
                        measure,
                        limit.get().limit().watts(),
                        limit.get().words())
                .working(() -> reckoned.sum().limit(limit.get().limit().watts().number(), "W", "in those areas"))
                .source(route.cite(limit.get().limit().source()))
                .cures(() -> List.of(Change.of(
                        "Use " + reckoned.mostOutput(),
                        Field.POWER_W,
                        reckoned.mostOutput().number()))));
    }

    /** Whether the emission is allowed there in some zones only, and it is not known whether the list is used in one. */
    static boolean mayDecide(Route route) {
        return route.room().isEmpty()
                && zones(route).anyMatch(zone -> route.entry().context().where().to(zone) == Lies.UNKNOWN);
    }

    private static Stream<Zone> zones(Route route) {
        return route
                .bands()
                .map(bands -> bands.zonesFor(route.held().classIndex(), route.emission(), route.transmit()))
                .orElse(List.of())
                .stream()
                .flatMap(id -> route.entry().edition().geography().zone(id).stream());
    }

    private static Finding granted(Route route) {
        return route.query(Slug.PLACE_UNKNOWN)
                .message(
                        "%s on %s is allowed only %s; where the list is used is not known.",
                        Wording.emission(route.on()),
                        route.transmit(),
                        zones(route).findFirst().orElseThrow().name())
                .working(() -> Sum.of(route.transmit(), "talks on"))
                .source(route.cite(route.bands().orElseThrow().localSource(route.transmit())))
                .cures(() -> Cures.orListen(Cures.intoRoom(route)));
    }

    private static List<Finding> line(Route route, AuthorisedService service) {
        List<AuthorisationLine> there = route.held().licence().stream()
                .flatMap(licence -> licence.lines().stream())
                .filter(line -> line.frequency().equals(route.transmit()))
                .toList();
        boolean covered = there.isEmpty()
                || there.stream()
                        .anyMatch(line -> line.area().isEmpty()
                                || route.entry()
                                                .context()
                                                .where()
                                                .to(line.area().get())
                                        == Lies.IN);
        boolean matters = !covered
                && there.stream()
                        .anyMatch(line ->
                                route.entry().context().where().to(line.area().get()) == Lies.UNKNOWN);
        return matters
                ? List.of(route.query(Slug.PLACE_UNKNOWN)
                        .message(
                                "The licence line for %s holds for an area; where the list is used is not known.",
                                route.transmit())
                        .source(route.cite(service.source())))
                : List.of();
    }
}
