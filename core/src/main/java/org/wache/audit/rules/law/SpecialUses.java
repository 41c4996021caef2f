package org.wache.audit.rules.law;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wache.audit.Reckoned;
import org.wache.audit.Route;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Sum;
import org.wache.channel.Field;
import org.wache.rulebook.PowerLimit;
import org.wache.rulebook.SpecialUse;
import org.wache.signal.Frequency;
import org.wache.signal.Span;

/** Auxiliary stations, links, beacons, automatic data: each has parts of its own. */
final class SpecialUses {

    private SpecialUses() {}

    static List<Finding> on(Route route) {
        Optional<SpecialUse> use =
                route.service().traits().terms().use(route.on().use().text());
        if (use.isEmpty()) {
            return List.of();
        }
        List<Finding> found = new ArrayList<>();
        if (!use.get().allowed(route.transmit())
                && use.get()
                        .elsewhere()
                        .filter(limit -> route.emission().bandwidth() <= limit.hertz())
                        .isEmpty()) {
            found.add(notThere(route, use.get()));
        }
        use.get()
                .power()
                .filter(limit -> route.on()
                        .power()
                        .map(power -> Reckoned.of(route, power, limit).over())
                        .orElse(false))
                .ifPresent(limit -> found.add(tooStrong(route, use.get(), limit)));
        return found;
    }

    private static Finding notThere(Route route, SpecialUse use) {
        String elsewhere = use.elsewhere()
                .map(limit ->
                        ", unless it is at most " + Frequency.kilohertz(limit.hertz()) + " kHz wide and answers a call")
                .orElse("");
        return route.hold(Slug.CHANNEL_RESTRICTED)
                .message("%s (%s) is not for %s%s.", route.transmit(), route.place(), words(use.use()), elsewhere)
                .working(() -> working(route, use))
                .source(route.cite(use.elsewhere()
                        .map(limit -> use.source() + ", " + limit.source())
                        .orElse(use.source())))
                .cures(() -> List.of(Change.of("It is direct", Field.USE, "direct"), Change.listenOnly()));
    }

    private static Sum working(Route route, SpecialUse use) {
        Sum sum = Sum.of(route.transmit(), "talks on");
        for (Span span : use.never()) {
            if (span.contains(route.transmit())) {
                return sum.inside(span, "none there");
            }
        }
        return use.only().stream()
                .min(java.util.Comparator.comparingLong(span -> distance(span, route.transmit())))
                .map(span -> span.low() == span.high()
                        ? sum.limit(new Frequency(span.low()), "the nearest channel for " + words(use.use()))
                        : sum.limit(span.toString(), "", "the nearest part for " + words(use.use())))
                .orElse(sum);
    }

    private static long distance(Span span, Frequency from) {
        return span.contains(from)
                ? 0
                : Math.min(Math.abs(span.low() - from.hertz()), Math.abs(span.high() - from.hertz()));
    }

    private static Finding tooStrong(Route route, SpecialUse use, PowerLimit limit) {
        Reckoned reckoned = Reckoned.of(route, route.on().power().orElseThrow(), limit);
        return route.hold(Slug.POWER_OVER)
                .message(
                        "%s %s is above the %s that %s may send.",
                        reckoned.power(), limit.measure().words(), limit.watts(), words(use.use()))
                .working(() -> reckoned.sum()
                        .limit(limit.watts().number(), "W", limit.measure().words() + " limit"))
                .source(route.cite(limit.source()))
                .cures(() -> List.of(Change.of(
                        "Use " + reckoned.mostOutput(),
                        Field.POWER_W,
                        reckoned.mostOutput().number())));
    }

    private static String words(String use) {
        return switch (use) {
            case "auxiliary" -> "auxiliary stations";
            case "beacon" -> "beacons";
            case "automatic" -> "automatically controlled data";
            case "link" -> "links between fixed stations";
            default -> use;
        };
    }
}
