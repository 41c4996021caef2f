package org.wache.audit.rules.law;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wache.audit.Overrun;
import org.wache.audit.Route;
import org.wache.audit.RouteRule;
import org.wache.audit.RulePage;
import org.wache.audit.cure.Cures;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Sum;
import org.wache.audit.finding.Wording;
import org.wache.channel.Channel;
import org.wache.rulebook.FixedChannel;
import org.wache.rulebook.Room;
import org.wache.signal.Span;

/**
 * The transmit frequency is inside what the holder may use, but part of the signal is not. A signal is its whole
 * occupied span, not its dial frequency: 47 CFR 97.307(b).
 */
public final class EdgeOverrun implements RouteRule {

    @Override
    public Slug slug() {
        return Slug.EDGE_OVERRUN;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "The signal reaches over an edge",
                "The dial frequency is inside, but the signal is wider than its dial frequency, and all of it has to stay inside "
                        + "the band or the part that the holder may use.",
                "Move away from the edge, or use a narrower signal.",
                RulePage.entry("amateur:technician", "rx_mhz=147.995 tx_mhz=147.995 mode=FM power_w=5"),
                RulePage.entry("amateur:technician", "rx_mhz=147.990 tx_mhz=147.990 mode=FM power_w=5"));
    }

    @Override
    public List<Finding> on(Route route) {
        if (route.channel().isPresent()) {
            return onChannel(route, route.channel().get());
        }
        Optional<Room> room = route.room();
        if (room.isEmpty() || room.get().span().contains(route.occupied())) {
            return List.of();
        }
        Overrun over = Overrun.of(route.occupied(), room.get().span());
        return List.of(route.hold(Slug.EDGE_OVERRUN)
                .message(
                        "The signal reaches %s past %s.", Wording.length(over.over()), over.edgeName(route, room.get()))
                .working(() -> over.working(route, room.get()))
                .source(route.cite(route.service().traits().edgeSource()))
                .cures(() -> cures(route, room.get().span(), over)));
    }

    private static List<Finding> onChannel(Route route, FixedChannel channel) {
        if (channel.room().isEmpty()
                || channel.room().get().contains(route.occupied())
                || route.emission().bandwidth() > channel.width().hertz()) { // too wide is said by another rule
            return List.of();
        }
        Overrun over = Overrun.of(route.occupied(), channel.room().get());
        return List.of(route.hold(Slug.EDGE_OVERRUN)
                .message(
                        "The signal reaches %s out of the channel %s: the voice there is upper sideband.",
                        Wording.length(over.over()), channel.name())
                .working(() -> Sum.of(route.transmit(), "talks on")
                        .plus(over.reach().minus(route.transmit()), "far side of " + route.emission())
                        .gives(over.reach(), "reaches")
                        .limit(over.edge(), "end of the channel"))
                .source(route.cite(channel.source()))
                .cures(() -> Cures.orListen(List.of(Change.mode("Use USB", "USB")))));
    }

    /** A narrower signal where that is enough by itself, else the move, and both only where neither is enough. */
    private static List<Change> cures(Route route, Span room, Overrun over) {
        List<Change> cures = new ArrayList<>();
        List<Change> narrower = Cures.narrower(route.on());
        long error = route.frequencyError();
        for (Change narrow : narrower) {
            if (Overrun.of(route.on().with(narrow.fields()).occupied().orElseThrow(), room)
                            .over()
                    <= -error) {
                cures.add(narrow);
            }
        }
        if (room.length() >= route.occupied().length() + 2 * error) {
            cures.add(Cures.shifted(route.on(), inward(over, over.over() + error)));
        } else if (room.length() >= route.occupied().length()) {
            cures.add(Cures.shifted(route.on(), inward(over, over.over())));
        } else {
            for (Change narrow : narrower) {
                Channel narrowed = route.on().with(narrow.fields());
                Overrun left = Overrun.of(narrowed.occupied().orElseThrow(), room);
                if (left.over() > -error) {
                    cures.add(narrow.and(Cures.shifted(narrowed, inward(left, left.over() + error))));
                }
            }
        }
        cures.addAll(Cures.otherOffsets(route.entry()));
        return Cures.orListen(cures);
    }

    private static long inward(Overrun over, long hertz) {
        return over.atTop() ? -hertz : hertz;
    }
}
