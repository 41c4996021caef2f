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
import org.wache.rulebook.Ban;
import org.wache.rulebook.BandService;
import org.wache.rulebook.ChannelService;
import org.wache.rulebook.Inclusion;
import org.wache.rulebook.PlanRow;
import org.wache.signal.Frequency;

/** Talk-through where the service or the part of the band forbids repeaters. */
public final class RepeaterNotAllowed implements RouteRule {

    @Override
    public Slug slug() {
        return Slug.REPEATER_NOT_ALLOWED;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "No repeaters there",
                "The entry talks through a repeater that would receive or transmit where repeaters are forbidden: in some "
                        + "services altogether, in others in parts of their bands. That is law, not merely a band plan.",
                "Correct the offset, or talk direct.",
                RulePage.entry("amateur:general", "rx_mhz=146.520 tx_mhz=145.920 mode=FM power_w=5 tx_tone=100.0"),
                RulePage.entry("amateur:general", "rx_mhz=146.940 tx_mhz=146.340 mode=FM power_w=5 tx_tone=100.0"));
    }

    @Override
    public List<Finding> on(Route route) {
        if (!route.throughRepeater()) {
            return List.of();
        }
        if (route.service() instanceof ChannelService) {
            boolean fine = !route.placed() || route.channel().get().repeaters();
            return fine
                    ? List.of()
                    : List.of(route.hold(Slug.REPEATER_NOT_ALLOWED)
                            .message("%s may not be used through a repeater.", route.place())
                            .source(route.cite(route.service().traits().repeaterSource()))
                            .cures(() -> cures(route)));
        }
        return route.service() instanceof BandService bands ? onBand(route, bands) : List.of();
    }

    private static List<Finding> onBand(Route route, BandService bands) {
        Optional<Ban> input = bands.repeaterBan(route.transmit());
        Optional<Frequency> output = route.on().receive().filter(receive -> bands.includes(receive) == Inclusion.EXACT);
        Optional<Ban> outputBan = output.flatMap(bands::repeaterBan);
        if (input.isEmpty() && outputBan.isEmpty()) {
            return List.of();
        }
        Ban ban = input.or(() -> outputBan).get();
        Frequency there = input.isPresent() ? route.transmit() : output.get();
        return List.of(route.hold(Slug.REPEATER_NOT_ALLOWED)
                .message(
                        "A repeater may not %s on %s: none are allowed %s.",
                        input.isPresent() ? "receive" : "transmit",
                        there,
                        ban.words().startsWith("below") ? ban.words() : "in " + ban.words())
                .working(() -> Sum.of(there, input.isPresent() ? "the repeater's input" : "the repeater's output")
                        .inside(ban.span(), "no repeaters"))
                .source(route.cite(ban.source()))
                .cures(() -> cures(route)));
    }

    /** The plan's offset, or direct on the frequency heard; what it talked on to reach a repeater is no channel to talk on. */
    private static List<Change> cures(Route route) {
        List<Change> cures = new ArrayList<>();
        route.on().receive().ifPresent(receive -> {
            for (PlanRow row : route.heardRows()) {
                row.offsets()
                        .forEach(offset -> cures.add(
                                Cures.pair("Talk on " + receive.plus(offset), receive, receive.plus(offset))));
            }
            cures.add(Cures.pair("Talk direct on " + receive, receive, receive));
        });
        return Cures.orListen(cures);
    }
}
