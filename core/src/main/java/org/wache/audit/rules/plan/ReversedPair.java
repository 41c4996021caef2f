package org.wache.audit.rules.plan;

import java.util.List;
import java.util.Optional;
import org.wache.audit.Route;
import org.wache.audit.RouteRule;
import org.wache.audit.RulePage;
import org.wache.audit.cure.Cures;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Sum;

/** Receive in an input part and transmit in the matching output part. */
public final class ReversedPair implements RouteRule {

    @Override
    public Slug slug() {
        return Slug.REVERSED_PAIR;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "The pair is the wrong way round",
                "The entry hears the repeater's input and talks on its output: the repeater will not answer, and everyone who "
                        + "listens to it is disturbed.",
                "Swap the two frequencies.",
                RulePage.entry("amateur:technician", "rx_mhz=146.340 tx_mhz=146.940 mode=FM power_w=5 tx_tone=100.0"),
                RulePage.entry("amateur:technician", "rx_mhz=146.940 tx_mhz=146.340 mode=FM power_w=5 tx_tone=100.0"));
    }

    @Override
    public List<Finding> on(Route route) {
        Optional<Pairing> pair = Pairing.of(route).filter(Pairing::reversed);
        return pair.map(found -> List.of(route.query(Slug.REVERSED_PAIR)
                        .message(
                                "Hears the input %s and talks on the output %s: the wrong way round.",
                                found.receive(), found.transmit())
                        .working(() -> Sum.of(found.transmit(), "an output, talked on")
                                .plus(-found.offset(), "offset")
                                .gives(found.receive(), "its input, heard"))
                        .source(OffsetUnusual.source(route, found))
                        .cures(() -> List.of(Cures.pair("Swap them", found.transmit(), found.receive())))))
                .orElse(List.of());
    }
}
