package org.wache.audit.rules.law;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.wache.audit.LicenceTime;
import org.wache.audit.Route;
import org.wache.audit.RouteRule;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Sum;
import org.wache.licence.Licence;

/** The licence of the route ends within the days in which it may be renewed. */
public final class LicenceExpiring implements RouteRule {

    static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

    @Override
    public Slug slug() {
        return Slug.LICENCE_EXPIRING;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                        "The licence ends soon",
                        "The licence ends within the days in which it may be renewed: time to do so, before the list stops being legal "
                                + "in its holder's hands.",
                        "Renew the licence.",
                        RulePage.entry("amateur:technician", "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5"),
                        RulePage.entry("amateur:technician", "rx_mhz=146.550 mode=FM"))
                .within(
                        "{\"format\": \"wache-context/1\", \"on\": \"2026-11-25\", \"holders\": [{\"name\": \"R. Quill\", \"licences\": [{\"service\": "
                                + "\"amateur\", \"class\": \"technician\", \"expires\": \"2026-12-25\"}]}]}");
    }

    @Override
    public List<Finding> on(Route route) {
        Optional<Licence> licence = route.held().licence();
        if (licence.isEmpty()
                || !LicenceTime.expiring(
                        licence.get(), route.service(), route.entry().context().on())) {
            return List.of();
        }
        return List.of(route.query(Slug.LICENCE_EXPIRING)
                .message(
                        "The %s licence%s ends on %s.",
                        route.service().inText(),
                        callSign(licence.get()),
                        DAY.format(licence.get().expires().get()))
                .working(() -> working(licence.get(), route.entry().context().on()))
                .source(route.cite(route.service().traits().renewalSource())));
    }

    static String callSign(Licence licence) {
        return licence.callSign().map(call -> " " + call).orElse("");
    }

    static Sum working(Licence licence, LocalDate on) {
        LocalDate ends = licence.expires().orElseThrow();
        long days = ChronoUnit.DAYS.between(on, ends);
        return Sum.of(DAY.format(on), "", "day of the audit")
                .limit(DAY.format(ends), "", "last day of the licence")
                .rest(Math.abs(days) + (Math.abs(days) == 1 ? " day" : " days"), "", days < 0 ? "over" : "left");
    }
}
