package org.wache.audit.rules.law;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.wache.audit.Reckoned;
import org.wache.audit.Route;
import org.wache.audit.RouteRule;
import org.wache.audit.RulePage;
import org.wache.audit.context.Whereabouts;
import org.wache.audit.cure.Cures;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Wording;
import org.wache.channel.Field;
import org.wache.place.Zone;
import org.wache.rulebook.LocalLimit;
import org.wache.rulebook.PowerLimit;
import org.wache.signal.Watts;

/** Output, PEP, ERP or EIRP above the limit. */
public final class PowerOver implements RouteRule {

    @Override
    public Slug slug() {
        return Slug.POWER_OVER;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "More power than allowed",
                "The power, in the measure that the limit is given in, exceeds it. Radiated power is output less feed loss plus "
                        + "antenna gain; where nothing is known of the antenna, a half-wave dipole without a line is assumed and said.",
                "Use less power: from 8 W to 5 W is 2 dB, nothing that anyone notices.",
                RulePage.entry("gmrs", "rx_mhz=467.5625 tx_mhz=467.5625 mode=NFM power_w=5"),
                RulePage.entry("gmrs", "rx_mhz=467.5625 tx_mhz=467.5625 mode=NFM power_w=0.5"));
    }

    @Override
    public List<Finding> on(Route route) {
        Optional<Watts> output = route.on().power();
        if (output.isEmpty()) {
            return List.of();
        }
        List<Finding> found = new ArrayList<>();
        inZone(route, output.get()).ifPresent(found::add);
        route.powerLimits().stream()
                .map(limit -> Reckoned.of(route, output.get(), limit))
                .filter(Reckoned::over)
                .sorted(Comparator.comparingDouble(each -> each.mostOutput().value()))
                .forEach(each -> found.add(over(route, each)));
        return found;
    }

    private static Finding over(Route route, Reckoned reckoned) {
        PowerLimit limit = reckoned.limit();
        String measure = limit.measure().words();
        return route.hold(Slug.POWER_OVER)
                .message(
                        "%s %s is above the %s that %s allows%s.",
                        reckoned.power(),
                        measure,
                        limit.watts(),
                        route.place(),
                        route.licenceClass()
                                .map(name -> " " + Wording.capital(name))
                                .orElse(""))
                .working(() -> reckoned.sum().limit(limit.watts().number(), "W", measure + " limit"))
                .source(route.cite(limit.source()))
                .cures(() -> cures(reckoned.mostOutput()));
    }

    /** Where the list is used, less may be allowed than elsewhere. */
    private static Optional<Finding> inZone(Route route, Watts output) {
        Whereabouts where = route.entry().context().where();
        Optional<LocalLimit> local =
                route.localLimit(Whereabouts.Lies.IN).or(() -> route.localLimit(Whereabouts.Lies.PARTLY));
        if (local.isEmpty()) {
            return Optional.empty();
        }
        Optional<LocalLimit.Exception> excepted = local.get()
                .earthStations()
                .filter(each -> route.viaSatellite() && each.span().contains(route.transmit()));
        if (excepted.isPresent()) {
            return earthStation(route, output, excepted.get());
        }
        PowerLimit limit = local.get().limit();
        Reckoned reckoned = Reckoned.of(route, output, limit);
        if (!reckoned.over()) {
            return Optional.empty();
        }
        Zone zone = local.get().zones().stream()
                .filter(each -> where.to(each) == Whereabouts.Lies.IN || where.to(each) == Whereabouts.Lies.PARTLY)
                .findFirst()
                .orElseThrow();
        String measure = limit.measure().words();
        return Optional.of(route.hold(Slug.POWER_OVER)
                .message(
                        "%s %s is above the %s that %s allows %s, where the list is used.",
                        reckoned.power(), measure, limit.watts(), route.place(), zone.name())
                .working(() -> RestrictedArea.measured(
                        reckoned.sum().limit(limit.watts().number(), "W", measure + " limit there"),
                        zone,
                        where.area().orElseThrow()))
                .source(route.cite(limit.source()))
                .cures(() -> cures(reckoned.mostOutput())));
    }

    /** Who talks to a satellite there may send more, if the antenna looks up. */
    private static Optional<Finding> earthStation(Route route, Watts output, LocalLimit.Exception excepted) {
        PowerLimit limit = excepted.limit();
        Reckoned reckoned = Reckoned.of(route, output, limit);
        String measure = limit.measure().words();
        Finding finding = reckoned.over() ? route.hold(Slug.POWER_OVER) : route.query(Slug.POWER_OVER);
        return Optional.of(finding.message(
                        "%s %s: who talks to a satellite from there may send %s %s %s.",
                        reckoned.power(), measure, limit.watts(), measure, excepted.words())
                .working(() -> reckoned.sum().limit(limit.watts().number(), "W", measure + " limit there"))
                .source(route.cite(limit.source()))
                .cures(() -> reckoned.over() ? cures(reckoned.mostOutput()) : List.of()));
    }

    private static List<Change> cures(Watts most) {
        return Cures.orListen(List.of(Change.of("Use " + most, Field.POWER_W, most.number())));
    }
}
