package org.wache.audit.rules.law;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wache.audit.Route;
import org.wache.audit.RouteRule;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Sum;
import org.wache.rulebook.HeightLimit;

/** The antenna stands higher than the service allows. Judged where its height is known. */
public final class HeightOver implements RouteRule {

    @Override
    public Slug slug() {
        return Slug.HEIGHT_OVER;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                        "The antenna is too high",
                        "Some services let an antenna stand only so high above the ground, or above the house or tree that carries it. "
                                + "Where the height of the antenna is known and is more than the first, the second has to be known too.",
                        "Lower the antenna, or make sure that it is low above what carries it.",
                        RulePage.entry("nobody", "rx_mhz=151.820 tx_mhz=151.820 mode=NFM power_w=2"),
                        RulePage.entry("gmrs", "rx_mhz=462.600 tx_mhz=462.600 mode=NFM power_w=5"))
                .within("{\"format\": \"wache-context/1\", \"site\": {\"antennaHeightM\": 25}}");
    }

    @Override
    public List<Finding> on(Route route) {
        OptionalDouble height = route.entry().context().antenna().heightM();
        Optional<HeightLimit> limit = route.service().traits().terms().height(route.transmit());
        if (height.isEmpty()
                || limit.isEmpty()
                || height.getAsDouble() <= limit.get().metres()) {
            return List.of();
        }
        HeightLimit most = limit.get();
        return List.of(route.query(Slug.HEIGHT_OVER)
                .message(
                        "The antenna stands %s m high; %s allows %s m above the ground%s.",
                        metres(height.getAsDouble()),
                        route.place(),
                        metres(most.metres()),
                        most.say().isEmpty() ? "" : ", " + most.say())
                .working(() -> Sum.of(metres(height.getAsDouble()), "m", "height of the antenna")
                        .limit(metres(most.metres()), "m", "above the ground")
                        .rest(metres(height.getAsDouble() - most.metres()), "m", "over"))
                .source(route.cite(most.source())));
    }

    private static String metres(double value) {
        return String.format(Locale.ROOT, "%.1f", value).replaceFirst("\\.0$", "");
    }
}
