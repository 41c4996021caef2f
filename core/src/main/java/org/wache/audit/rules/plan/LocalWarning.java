package org.wache.audit.rules.plan;

import java.util.List;
import org.wache.audit.Route;
import org.wache.audit.RouteRule;
import org.wache.audit.RulePage;
import org.wache.audit.cure.Cures;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Sum;
import org.wache.rulebook.PlanRow;

/** The group's own overlay of the band plan has something to say of that part. */
public final class LocalWarning implements RouteRule {

    @Override
    public Slug slug() {
        return Slug.LOCAL_WARNING;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                        "The group's own plan has a warning there",
                        "The group wrote a warning into its overlay of the band plan, and the entry talks in that part.",
                        "Heed the warning: use another frequency, or keep the entry on purpose.",
                        RulePage.entry("amateur:technician", "rx_mhz=146.460 tx_mhz=146.460 mode=FM power_w=5"),
                        RulePage.entry("amateur:technician", "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5"))
                .within(
                        "{\"format\": \"wache-context/1\", \"overlay\": [{\"mhz\": \"146.445-146.475\", \"uses\": \"fm-simplex\", \"warning\": \"kept for "
                                + "the river gauges\"}]}");
    }

    @Override
    public List<Finding> on(Route route) {
        if (!route.planned() || route.planRow().flatMap(PlanRow::warning).isEmpty()) {
            return List.of();
        }
        PlanRow row = route.planRow().get();
        return List.of(route.query(Slug.LOCAL_WARNING)
                .message(
                        "The group's plan says of %s: “%s”.",
                        row.span().length() == 0 ? route.transmit() : row.span(),
                        row.warning().get())
                .working(() -> Sum.of(route.transmit(), "talks on").inside(row.span(), row.words()))
                .source(route.entry().plan().source(row))
                .cures(() -> Cures.orListen(List.of())));
    }
}
