package org.wache.audit.rules.law;

import java.util.List;
import java.util.Optional;
import org.wache.audit.LicenceTime;
import org.wache.audit.Route;
import org.wache.audit.RouteRule;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.licence.Licence;

/** The licence of the route has ended on the audit's day. */
public final class LicenceExpired implements RouteRule {

    @Override
    public Slug slug() {
        return Slug.LICENCE_EXPIRED;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                        "The licence has ended",
                        "On the day of the audit the licence is past its last day. It may still be renewed for a while, but until it is, "
                                + "its holder may not transmit.",
                        "Renew the licence; until then, listen only.",
                        RulePage.entry("amateur:technician", "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5"),
                        RulePage.entry("amateur:technician", "rx_mhz=146.550 mode=FM"))
                .within(
                        "{\"format\": \"wache-context/1\", \"on\": \"2026-11-25\", \"holders\": [{\"name\": \"R. Quill\", \"licences\": [{\"service\": "
                                + "\"amateur\", \"class\": \"technician\", \"expires\": \"2026-11-24\"}]}]}");
    }

    @Override
    public List<Finding> on(Route route) {
        Optional<Licence> licence = route.held().licence();
        if (licence.isEmpty()
                || !LicenceTime.expired(licence.get(), route.entry().context().on())) {
            return List.of();
        }
        return List.of(route.hold(Slug.LICENCE_EXPIRED)
                .message(
                        "The %s licence%s ended on %s.",
                        route.service().inText(),
                        LicenceExpiring.callSign(licence.get()),
                        LicenceExpiring.DAY.format(licence.get().expires().get()))
                .working(() -> LicenceExpiring.working(
                        licence.get(), route.entry().context().on()))
                .source(route.cite(route.service().traits().renewalSource()))
                .cures(() -> List.of(Change.listenOnly())));
    }
}
