package org.wache.audit.rules.law;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wache.audit.Reckoned;
import org.wache.audit.Route;
import org.wache.audit.RouteRule;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.channel.Field;
import org.wache.rulebook.PowerLimit;
import org.wache.signal.Watts;

/** A limit of power applies, and the list does not say the power. */
public final class PowerUnknown implements RouteRule {

    /** Above this no radio of such a list comes near the limit, and writing the limit into the list would be absurd. */
    private static final double WORTH_OFFERING = 50;
    /** What most hand-helds give at their most. Common practice, no source. */
    private static final Watts USUAL = new Watts(5);

    private static final int MOST_LEVELS = 4;

    @Override
    public Slug slug() {
        return Slug.POWER_UNKNOWN;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "The power is not given",
                "A limit applies, and without the transmitter's output it cannot be held against the entry.",
                "Fill in the output in watts that the radio will use on this entry.",
                RulePage.entry("nobody", "rx_mhz=462.5625 tx_mhz=462.5625 mode=NFM"),
                RulePage.entry("nobody", "rx_mhz=462.5625 tx_mhz=462.5625 mode=NFM power_w=0.5"));
    }

    @Override
    public List<Finding> on(Route route) {
        if (route.on().power().isPresent() || !route.on().text(Field.POWER_W).isBlank()) {
            return List.of();
        }
        Optional<PowerLimit> limit = route.powerLimit().or(() -> OutsideAuthorisation.outputLimit(route));
        if (limit.isEmpty()) {
            return List.of();
        }
        return List.of(route.query(Slug.POWER_UNKNOWN)
                .message(
                        "The power is not given; %s allows %s %s.",
                        route.place(),
                        limit.get().watts(),
                        limit.get().measure().words())
                .source(route.cite(limit.get().source()))
                .cures(() -> cures(route, limit.get())));
    }

    /** The levels of the radios that the list is for, which is what will be set; without any, the most that is allowed. */
    private static List<Change> cures(Route route, PowerLimit limit) {
        Map<String, Change> levels = new LinkedHashMap<>();
        route.entry().context().radios().stream()
                .flatMap(radio -> radio.model().powerAt(route.transmit()).stream())
                .flatMap(at -> at.levels().stream())
                .filter(level -> !Reckoned.of(route, level.output(), limit).over())
                .sorted(Comparator.comparingDouble(level -> -level.output().value()))
                .forEach(level -> levels.putIfAbsent(
                        level.output().number(),
                        Change.of(
                                "Use " + level.output() + ", level “" + level.name() + "”",
                                Field.POWER_W,
                                level.output().number())));
        if (!levels.isEmpty()) {
            return levels.values().stream().limit(MOST_LEVELS).toList();
        }
        Watts most = Reckoned.of(route, limit.watts(), limit).mostOutput();
        return most.value() > WORTH_OFFERING
                ? List.of(Change.of("Use " + USUAL, Field.POWER_W, USUAL.number()))
                : List.of(Change.of("Use " + most, Field.POWER_W, most.number()));
    }
}
