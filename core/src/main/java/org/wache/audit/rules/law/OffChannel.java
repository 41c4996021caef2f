package org.wache.audit.rules.law;

import java.util.ArrayList;
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
import org.wache.rulebook.FixedChannel;
import org.wache.signal.Frequency;

/** A service with fixed channels, and the frequency is on none of them. */
public final class OffChannel implements RouteRule {

    @Override
    public Slug slug() {
        return Slug.OFF_CHANNEL;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "Between the channels",
                "The service may be used on its channels only, and the transmit frequency is none of them. Often the last digits "
                        + "were left out: 462.562 for 462.5625.",
                "Use the nearest channel.",
                RulePage.entry("nobody", "rx_mhz=462.562 tx_mhz=462.562 mode=NFM power_w=0.5"),
                RulePage.entry("nobody", "rx_mhz=462.5625 tx_mhz=462.5625 mode=NFM power_w=0.5"));
    }

    @Override
    public List<Finding> on(Route route) {
        if (route.placed()) {
            return List.of();
        }
        boolean oneSided = route.emission().oneSided();
        Optional<FixedChannel> nearest = route.service().nearestChannel(route.transmit(), oneSided);
        String offer = nearest.map(channel -> "; the nearest is " + channel.name() + " on " + channel.dial(oneSided))
                .orElse("");
        return List.of(route.hold(Slug.OFF_CHANNEL)
                .message("%s is on no %s channel%s.", route.transmit(), channelWord(route), offer)
                .working(() -> nearest.map(channel -> working(route.transmit(), channel, oneSided))
                        .orElse(Sum.NONE))
                .source(route.cite(nearest.filter(
                                any -> route.service().traits().channelSource().isEmpty())
                        .map(FixedChannel::source)
                        .orElse(route.service().traits().channelSource())))
                .cures(() -> cures(route, nearest, oneSided)));
    }

    private static String channelWord(Route route) {
        return route.bands().isPresent() ? route.place() : route.service().title();
    }

    private static Sum working(Frequency transmit, FixedChannel channel, boolean oneSided) {
        long off = transmit.minus(channel.dial(oneSided));
        Sum sum = oneSided && channel.dialBelow() != 0
                ? Sum.of(channel.centre(), "centre of " + channel.name())
                        .plus(-channel.dialBelow(), "dial below the centre")
                        .gives(channel.dial(true), "where the dial belongs")
                        .limit(transmit, "talks on")
                : Sum.of(transmit, "talks on").limit(channel.dial(oneSided), "channel " + channel.name());
        return sum.rest(Wording.length(Math.abs(off)), "", off < 0 ? "below" : "above");
    }

    private static List<Change> cures(Route route, Optional<FixedChannel> nearest, boolean oneSided) {
        List<Change> cures = new ArrayList<>();
        nearest.ifPresent(
                channel -> cures.add(Cures.moved("Use " + channel.dial(oneSided), route.on(), channel.dial(oneSided))));
        cures.add(Change.listenOnly());
        return cures;
    }
}
