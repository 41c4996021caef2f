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
import org.wache.rulebook.FixedChannel;
import org.wache.signal.Frequency;

/** Direct use of a frequency that may only reach a repeater. */
public final class RepeaterInputOnly implements RouteRule {

    @Override
    public Slug slug() {
        return Slug.REPEATER_INPUT_ONLY;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "This frequency may only reach a repeater",
                "The channel is a repeater's input: talking direct on it is not allowed.",
                "Hear the repeater's output, or talk direct on that output.",
                RulePage.entry("gmrs", "rx_mhz=467.600 tx_mhz=467.600 mode=NFM power_w=5"),
                RulePage.entry("gmrs", "rx_mhz=462.600 tx_mhz=467.600 mode=NFM power_w=5 tx_tone=141.3"));
    }

    @Override
    public List<Finding> on(Route route) {
        Optional<Frequency> reaches = route.channel().flatMap(FixedChannel::reaches);
        if (reaches.isEmpty() || route.on().isPair() || route.channel().get().directToo()) {
            return List.of();
        }
        Frequency output = reaches.get();
        return List.of(route.hold(Slug.REPEATER_INPUT_ONLY)
                .message("%s may only be used to reach a repeater, which answers on %s.", route.transmit(), output)
                .working(() -> Sum.of(route.transmit(), "talks on")
                        .plus(output.minus(route.transmit()), "to the output")
                        .gives(output, "the repeater's output"))
                .source(route.cite(route.channel().get().source()))
                .cures(() -> Cures.orListen(List.of(
                        Cures.pair("Hear the repeater on " + output, output, route.transmit()),
                        Cures.pair("Talk direct on " + output, output, output)))));
    }
}
