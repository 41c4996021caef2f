package org.wache.audit.rules.law;

import java.util.List;
import java.util.Optional;
import org.wache.audit.Route;
import org.wache.audit.RouteRule;
import org.wache.audit.RulePage;
import org.wache.audit.cure.Cures;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Sum;
import org.wache.audit.finding.Wording;
import org.wache.rulebook.BandService;
import org.wache.rulebook.FixedChannel;
import org.wache.rulebook.Grant;
import org.wache.rulebook.Room;

/** A higher class may use this emission there, this holder's may not. */
public final class ClassTooLow implements RouteRule {

    @Override
    public Slug slug() {
        return Slug.CLASS_TOO_LOW;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "Outside what this class of licence may use",
                "The emission is allowed on the frequency, but only from a higher class up. Operating through a repeater does "
                        + "not widen it: what counts is where the operator transmits.",
                "Listen only for this class; a higher class may keep the entry.",
                RulePage.entry("amateur:technician", "rx_mhz=29.600 tx_mhz=29.600 mode=FM power_w=10"),
                RulePage.entry("amateur:general", "rx_mhz=29.600 tx_mhz=29.600 mode=FM power_w=10"));
    }

    @Override
    public List<Finding> on(Route route) {
        if (!(route.service() instanceof BandService bands)
                || !route.placed()
                || mayUse(route)
                || PlaceUnknown.mayDecide(route)) {
            return List.of();
        }
        int lowest = bands.lowestClassFor(route.emission(), route.transmit());
        if (lowest < 0) {
            return List.of(); // nobody may: another rule says so
        }
        String needed = Wording.capital(bands.traits().classes().get(lowest));
        String has = Wording.capital(route.licenceClass().orElse(""));
        return List.of(route.hold(Slug.CLASS_TOO_LOW)
                .message(
                        "%s on %s (%s) needs %s class; the holder is %s%s.",
                        Wording.emission(route.on()),
                        route.transmit(),
                        route.place(),
                        needed,
                        has,
                        own(route, bands)
                                .map(grant -> ", who may use " + Wording.contents(grant.allow()) + " there")
                                .orElse(""))
                .working(() -> working(route, bands, lowest, needed, has))
                .source(route.cite(own(route, bands)
                        .map(grant -> source(route, bands, lowest) + "; "
                                + grant.source(route.held().classIndex()))
                        .orElse(source(route, bands, lowest))))
                .cures(() -> Cures.orListen(Cures.intoRoom(route))));
    }

    /** What the holder's own class has there, for other emissions. */
    private static Optional<Grant> own(Route route, BandService bands) {
        return bands.grantsAt(route.transmit()).stream()
                .filter(grant -> grant.lowestClass() <= route.held().classIndex())
                .findFirst();
    }

    private static boolean mayUse(Route route) {
        if (route.channel().isPresent()) {
            FixedChannel channel = route.channel().get();
            return channel.lowestClass() <= route.held().classIndex()
                    && (channel.allow() & route.emission().contents()) != 0;
        }
        return route.room().isPresent();
    }

    private static Sum working(Route route, BandService bands, int lowest, String needed, String has) {
        String emission = Wording.emission(route.on());
        Sum sum = bands.room(lowest, route.emission(), route.transmit())
                .map(room ->
                        Sum.of(route.transmit(), "talks on").inside(room.span(), emission + " from " + needed + " up"))
                .orElse(Sum.of(route.transmit(), "talks on"));
        Optional<Grant> own = own(route, bands);
        if (own.isPresent()) {
            sum = sum.limit(
                    own.get().span().toString(),
                    "",
                    Wording.contents(own.get().allow()) + ": what " + has + " holds there");
        }
        for (Room room : bands.rooms(route.held().classIndex(), route.emission())) {
            if (room.band().equals(route.place())) {
                sum = sum.limit(room.span().toString(), "", has + "'s part for " + emission);
            }
        }
        return sum;
    }

    private static String source(Route route, BandService bands, int lowest) {
        return bands.grantsAt(route.transmit()).stream()
                .filter(grant -> grant.lowestClass() == lowest
                        && (grant.allow() & route.emission().contents()) != 0)
                .findFirst()
                .map(Grant::source)
                .or(() -> route.channel().map(FixedChannel::source))
                .orElse(bands.traits().part());
    }
}
