package org.wache.audit.rules.law;

import java.util.ArrayList;
import java.util.List;
import org.wache.audit.Route;
import org.wache.audit.RouteRule;
import org.wache.audit.RulePage;
import org.wache.audit.cure.Cures;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Sum;
import org.wache.audit.finding.Wording;
import org.wache.rulebook.AuthorisedService;
import org.wache.rulebook.Grant;
import org.wache.signal.Content;

/** No class or licensee of the service may use this kind of emission there. */
public final class EmissionNotAllowed implements RouteRule {

    @Override
    public Slug slug() {
        return Slug.EMISSION_NOT_ALLOWED;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "This kind of emission is not allowed there",
                "Whatever the class of the licence: the part of the band, or the channel, is for other kinds of emission. Voice "
                        + "in a data part, FM in a CW-only part, digital voice where only analogue voice may be.",
                "Use a mode that is allowed there, or a frequency where this one is.",
                RulePage.entry("amateur:extra", "rx_mhz=144.050 tx_mhz=144.050 mode=FM power_w=5"),
                RulePage.entry("amateur:extra", "rx_mhz=144.050 tx_mhz=144.050 mode=CW power_w=5"));
    }

    @Override
    public List<Finding> on(Route route) {
        if (!route.placed() || route.service() instanceof AuthorisedService) {
            return List.of();
        }
        if ((ofAnyone(route) & route.emission().contents()) != 0) {
            return List.of();
        }
        if (PlaceUnknown.mayDecide(route)) {
            return List.of();
        }
        int allowed = allowed(route);
        return List.of(route.hold(Slug.EMISSION_NOT_ALLOWED)
                .message(
                        "%s is not allowed on %s (%s): %s is for %s.",
                        Wording.emission(route.on()),
                        route.transmit(),
                        route.place(),
                        own(route).isEmpty() || allowed == ofAnyone(route)
                                ? "it"
                                : "what " + Wording.capital(route.licenceClass().orElse("anyone")) + " holds there",
                        Wording.contents(allowed))
                .working(() -> working(route, allowed))
                .source(source(route))
                .cures(() -> Cures.orListen(cures(route))));
    }

    private static List<Change> cures(Route route) {
        List<Change> cures = new ArrayList<>(Cures.intoRoom(route));
        cures.addAll(route.emission().is(Content.PHONE) ? Cures.otherVoice(route) : Cures.otherModes(route.on()));
        cures.addAll(Cures.otherOffsets(route.entry()));
        return cures;
    }

    private static Sum working(Route route, int allowed) {
        Sum sum = Sum.of(route.transmit(), "talks on");
        return grants(route).stream()
                .findFirst()
                .map(grant -> sum.inside(grant.span(), "for " + Wording.contents(allowed)))
                .orElse(Sum.NONE);
    }

    /** What some class may send there: what only a higher class may is another rule's matter. */
    private static int ofAnyone(Route route) {
        return route.channel().isPresent()
                ? route.channel().get().allow()
                : route.bands()
                        .map(bands -> bands.grantsAt(route.transmit()).stream()
                                .mapToInt(Grant::allow)
                                .reduce(0, (one, other) -> one | other))
                        .orElse(-1);
    }

    private static int allowed(Route route) {
        if (route.channel().isPresent()) {
            return route.channel().get().allow();
        }
        return route.bands().isEmpty()
                ? -1
                : grants(route).stream().mapToInt(Grant::allow).reduce(0, (one, other) -> one | other);
    }

    /** The grants there that the holder's own class has, narrowest first. */
    private static List<Grant> own(Route route) {
        return route.bands().map(bands -> bands.grantsAt(route.transmit())).orElse(List.of()).stream()
                .filter(grant -> grant.lowestClass() <= route.held().classIndex()
                        && route.licenceClass().isPresent())
                .toList();
    }

    /** The holder's own grants there, or where the class has none, everybody's. */
    private static List<Grant> grants(Route route) {
        List<Grant> own = own(route);
        return own.isEmpty()
                ? route.bands().map(bands -> bands.grantsAt(route.transmit())).orElse(List.of())
                : own;
    }

    private static String source(Route route) {
        String section = grants(route).stream()
                .findFirst()
                .map(grant ->
                        grant.source(Math.max(grant.lowestClass(), route.held().classIndex())))
                .orElse(route.service().traits().emissionSource());
        return route.cite(section);
    }
}
