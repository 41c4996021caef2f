package org.wache.audit.rules.plan;

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
import org.wache.channel.Field;
import org.wache.rulebook.AuthorisedService;
import org.wache.rulebook.FixedChannel;
import org.wache.rulebook.Partner;
import org.wache.signal.Frequency;

/** A pair whose offset or sign differs from the plan's. */
public final class OffsetUnusual implements RouteRule {

    @Override
    public Slug slug() {
        return Slug.OFFSET_UNUSUAL;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "An unusual offset",
                "The distance from the repeater's output to its input is not the one that the plan uses there: wrong size, wrong "
                        + "sign, none at all, or an offset left on a direct channel. Odd splits exist and are legal.",
                "Use the plan's offset, or keep the odd split on purpose.",
                RulePage.entry("amateur:technician", "rx_mhz=146.940 tx_mhz=147.540 mode=FM power_w=5 tx_tone=100.0"),
                RulePage.entry("amateur:technician", "rx_mhz=146.940 tx_mhz=146.340 mode=FM power_w=5 tx_tone=100.0"));
    }

    @Override
    public List<Finding> on(Route route) {
        if (route.split()) {
            return route.on().text(Field.USE).isBlank() ? List.of(split(route)) : List.of();
        }
        Optional<Pairing> found = Pairing.of(route);
        if (found.isEmpty() || found.get().usual() || found.get().reversed()) {
            return List.of();
        }
        Pairing pair = found.get();
        List<Long> usual = usual(route, pair);
        return List.of(route.query(Slug.OFFSET_UNUSUAL)
                .message(() -> route.service() instanceof AuthorisedService
                        ? noPair(route, pair, usual)
                        : message(pair, usual))
                .working(() -> working(pair, usual))
                .source(source(route, pair))
                .cures(() -> cures(route, pair, usual)));
    }

    /** Split working is asked about once; no cure brings the two frequencies together. */
    private static Finding split(Route route) {
        Frequency receive = route.on().receive().orElseThrow();
        return route.query(Slug.OFFSET_UNUSUAL)
                .message(
                        "Hears %s and talks on %s in %s without a tone: that is split working, no repeater. It should say so.",
                        receive, route.transmit(), Wording.emission(route.on()))
                .working(() -> Sum.of(receive, "hears")
                        .plus(route.transmit().minus(receive), "split")
                        .gives(route.transmit(), "talks on"))
                .source("common practice, no source")
                .cures(() -> List.of(Change.of("Say that it is direct, in split", Field.USE, "direct")));
    }

    private static String noPair(Route route, Pairing pair, List<Long> usual) {
        return pair.receive() + " and " + pair.transmit() + " are no pair of "
                + route.service().inText()
                + (usual.isEmpty()
                        ? ": the licence lists only what is talked on."
                        : ": who hears " + pair.receive() + " talks on "
                                + pair.receive().plus(usual.get(0)) + ".");
    }

    /** Where the pairs come from. */
    static String source(Route route, Pairing pair) {
        if (pair.planned()) {
            return route.entry().plan().source();
        }
        return route.cite(
                route.service() instanceof AuthorisedService lines
                        ? lines.partners(pair.transmit()).stream()
                                .findFirst()
                                .map(Partner::source)
                                .orElse(lines.source())
                        : route.service().traits().channelSource());
    }

    private static String message(Pairing pair, List<Long> usual) {
        String plan = usual.isEmpty()
                ? "no repeater output is planned on " + pair.receive()
                : "usual there is "
                        + String.join(
                                " or ", usual.stream().map(Wording::offset).toList());
        return (pair.offset() == 0 ? "No offset" : "Offset " + Wording.offset(pair.offset())) + ": " + plan + ".";
    }

    /** The plan's offsets; in a service with fixed pairs, the distance to the input of the channel heard. */
    private static List<Long> usual(Route route, Pairing pair) {
        if (pair.planned() || !pair.offsets().isEmpty()) {
            return pair.offsets();
        }
        return route.channel()
                .map(channel -> inputOf(route, channel))
                .orElse(Optional.empty())
                .map(input -> List.of(input.minus(route.transmit())))
                .orElse(List.of());
    }

    /** In a service with fixed pairs: where its repeaters on this output listen. */
    private static Optional<Frequency> inputOf(Route route, FixedChannel output) {
        if (!(route.service() instanceof org.wache.rulebook.ChannelService channels)) {
            return Optional.empty();
        }
        return channels.channels().stream()
                .filter(each -> each.reaches()
                        .filter(reached -> reached.equals(output.centre()))
                        .isPresent())
                .findFirst()
                .map(FixedChannel::centre);
    }

    private static Sum working(Pairing pair, List<Long> usual) {
        Sum sum = Sum.of(pair.receive(), "hears").plus(pair.offset(), "offset").gives(pair.transmit(), "talks on");
        return usual.isEmpty() ? sum : sum.limit(pair.receive().plus(usual.get(0)), "the usual input");
    }

    private static List<Change> cures(Route route, Pairing pair, List<Long> usual) {
        List<Change> cures = new ArrayList<>();
        if (!pair.planned() && route.channel().flatMap(FixedChannel::reaches).isPresent()) {
            Frequency output = route.channel().get().reaches().get();
            cures.add(Cures.pair("Hear " + output, output, pair.transmit()));
        } else {
            route.service().partners(pair.transmit()).stream()
                    .filter(each -> route.service() instanceof AuthorisedService && !each.input())
                    .forEach(each ->
                            cures.add(Cures.pair("Hear " + each.frequency(), each.frequency(), pair.transmit())));
            usual.forEach(offset -> cures.add(Cures.pair(
                    "Set the offset " + Wording.offset(offset),
                    pair.receive(),
                    pair.receive().plus(offset))));
        }
        cures.add(Cures.pair("Talk direct on " + pair.receive(), pair.receive(), pair.receive()));
        return Cures.orListen(cures);
    }
}
