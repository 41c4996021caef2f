package org.wache.audit.rules.law;

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
import org.wache.channel.Field;
import org.wache.rulebook.WidthLimit;
import org.wache.signal.Frequency;

/** Wider than the service allows there. */
public final class BandwidthOver implements RouteRule {

    @Override
    public Slug slug() {
        return Slug.BANDWIDTH_OVER;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "Wider than the channel allows",
                "The necessary bandwidth exceeds the limit of the channel or of the part of the band.",
                "Use the narrow width.",
                RulePage.entry("nobody", "rx_mhz=462.5625 tx_mhz=462.5625 mode=FM power_w=0.5"),
                RulePage.entry("nobody", "rx_mhz=462.5625 tx_mhz=462.5625 mode=NFM power_w=0.5"));
    }

    @Override
    public List<Finding> on(Route route) {
        Optional<WidthLimit> limit = route.widthLimit();
        if (route.bySet()
                && limit.isPresent()
                && route.emission().bandwidth() <= limit.get().hertz()
                && route.on().emission().orElseThrow().bandwidth() > limit.get().hertz()) {
            return List.of(asSetsDo(route, limit.get()));
        }
        if (limit.isEmpty() || route.emission().bandwidth() <= limit.get().hertz()) {
            return List.of();
        }
        String width = Frequency.kilohertz(route.emission().bandwidth());
        String most = Frequency.kilohertz(limit.get().hertz());
        long over = route.emission().bandwidth() - limit.get().hertz();
        return List.of(route.hold(Slug.BANDWIDTH_OVER)
                .message(
                        "%s is %s kHz wide; %s allows %s kHz.",
                        Wording.emission(route.on()), width, route.place(), most)
                .working(() -> Sum.of(width, "kHz", "necessary bandwidth of " + route.emission())
                        .limit(most, "kHz", "widest on " + route.place())
                        .rest(Wording.length(over), "", "over"))
                .source(route.cite(limit.get().source()))
                .cures(() -> Cures.orListen(Cures.narrower(route.on()))));
    }

    /** A mode that elsewhere is wider: a certified set keeps to its own width, another does not. */
    private static Finding asSetsDo(Route route, WidthLimit limit) {
        return route.query(Slug.BANDWIDTH_OVER)
                .message(
                        "%s elsewhere is %s; sets certified for %s send %s. Is it such a set?",
                        route.on().mode().orElseThrow(),
                        route.on().emission().orElseThrow(),
                        route.service().title(),
                        route.emission())
                .working(() -> Sum.of(
                                Frequency.kilohertz(route.emission().bandwidth()),
                                "kHz",
                                "necessary bandwidth of " + route.emission())
                        .limit(Frequency.kilohertz(limit.hertz()), "kHz", "widest on " + route.place()))
                .source(route.cite(limit.source()))
                .cures(() -> List.of(Change.of(
                        "It sends " + route.emission(),
                        Field.EMISSION,
                        route.emission().designator())));
    }
}
