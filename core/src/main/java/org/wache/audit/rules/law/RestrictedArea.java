package org.wache.audit.rules.law;

import java.util.ArrayList;
import java.util.List;
import org.wache.audit.Route;
import org.wache.audit.RouteRule;
import org.wache.audit.RulePage;
import org.wache.audit.context.Whereabouts;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Sum;
import org.wache.audit.finding.Wording;
import org.wache.place.Area;
import org.wache.place.Region;
import org.wache.place.Zone;
import org.wache.rulebook.Closure;

/** The list is used where that part of the spectrum is closed. */
public final class RestrictedArea implements RouteRule {

    @Override
    public Slug slug() {
        return Slug.RESTRICTED_AREA;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "Closed where the list is used",
                "Some parts of the spectrum are closed in some places. Where nobody said where the list is used, the entry is a "
                        + "question.",
                "Name the site of the list; if it lies inside, use another part of the band.",
                RulePage.entry("amateur:technician", "rx_mhz=427.000 tx_mhz=427.000 mode=NFM power_w=5"),
                RulePage.entry("amateur:technician", "rx_mhz=446.000 tx_mhz=446.000 mode=NFM power_w=5"));
    }

    @Override
    public List<Finding> on(Route route) {
        List<Closure> closures =
                route.entry().edition().geography().closures(route.service().id(), route.occupied());
        if (closures.isEmpty()) {
            return List.of();
        }
        List<Finding> found = new ArrayList<>();
        Whereabouts where = route.entry().context().where();
        for (Closure closure : closures) {
            switch (lies(closure, where)) {
                case IN, PARTLY -> found.add(hold(route, closure, where));
                case UNKNOWN -> {
                    if (closure.ask() || where.area().isPresent()) { // of a region that was named, a part lies there
                        found.add(route.query(Slug.RESTRICTED_AREA)
                                .message(
                                        "%s is closed to %s %s%s; where%s the list is used is not known.",
                                        Wording.capital(closure.words()),
                                        service(route),
                                        closure.outside() ? "except " : "",
                                        closure.zone().name(),
                                        where.area()
                                                .filter(Region.class::isInstance)
                                                .map(area -> " in " + ((Region) area).code())
                                                .orElse(""))
                                .working(() ->
                                        Sum.of(route.transmit(), "talks on").inside(closure.span(), "closed there"))
                                .source(route.cite(closure.source()))
                                .advice(() -> List.of("Say where the list is used: then it is clear or on hold.")));
                    }
                }
                case OUT -> {}
            }
        }
        return found;
    }

    /** How the list lies to where it is closed: inside the zone, or everywhere but there. */
    private static Whereabouts.Lies lies(Closure closure, Whereabouts where) {
        Whereabouts.Lies lies = where.to(closure.zone());
        if (!closure.outside()) {
            return lies;
        }
        return lies == Whereabouts.Lies.IN
                ? Whereabouts.Lies.OUT
                : lies == Whereabouts.Lies.OUT ? Whereabouts.Lies.IN : lies;
    }

    private static Finding hold(Route route, Closure closure, Whereabouts where) {
        boolean partly = where.to(closure.zone()) == Whereabouts.Lies.PARTLY;
        return route.hold(Slug.RESTRICTED_AREA)
                .message(
                        "%s is closed to %s %s%s, and %s the list is used lies %s.",
                        Wording.capital(closure.words()),
                        service(route),
                        closure.outside() ? "except " : "",
                        closure.zone().name(),
                        partly ? "a part of the area where" : "the place where",
                        closure.outside() ? "elsewhere" : "there")
                .working(() -> measured(
                        Sum.of(route.transmit(), "talks on").inside(closure.span(), "closed there"),
                        closure.zone(),
                        where.area().orElseThrow()))
                .source(route.cite(closure.source()))
                .cures(() -> List.of(Change.listenOnly()));
    }

    private static String service(Route route) {
        return route.service().inText() + " stations";
    }

    /** The sum with how the site lies to a zone. */
    static Sum measured(Sum sum, Zone zone, Area site) {
        Sum all = sum;
        for (Zone.Measured each : zone.measured(site)) {
            all = each.limit()
                    ? all.limit(each.amount(), each.unit(), each.label())
                    : all.step("", each.amount(), each.unit(), each.label());
        }
        return all;
    }
}
