package org.wache.audit.rules.site;

import org.wache.audit.Entry;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Slug;
import org.wache.rulebook.Nearness;
import org.wache.site.Hit;

/** A transmitter of the site is so near to a receiver that it makes it deaf. */
public final class TransmitNearReceive extends Beside {

    public TransmitNearReceive() {
        super(Slug.TRANSMIT_NEAR_RECEIVE, Hit.Kind.NEAR);
    }

    @Override
    public RulePage page() {
        return new RulePage(
                        "A transmitter too near to a receiver of the same site",
                        "Without filters between them a receiver goes deaf while a transmitter beside it is keyed on a near frequency: "
                                + "under 600 kHz on 2 m, under 5 MHz on 70 cm. Judged for lists that are marked as used at one site.",
                        "Work one at a time, stand the antennas well apart, put a filter or a duplexer between, or use another band.",
                        RulePage.entry(
                                "amateur:technician",
                                "number=1 rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5"
                                        + " | number=2 rx_mhz=146.430 tx_mhz=146.430 mode=FM power_w=5"),
                        RulePage.entry(
                                "amateur:technician",
                                "number=1 rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5"
                                        + " | number=2 rx_mhz=147.570 tx_mhz=147.570 mode=FM power_w=5"))
                .within("{\"format\": \"wache-context/1\", \"houseRules\": {\"keyedTogether\": true}}");
    }

    @Override
    String words(Entry entry, Hit nearest) {
        return HitMessage.sources(nearest, entry.list()) + " talks only " + HitMessage.distance(nearest.off())
                + " from where this entry listens, at one site without filters";
    }

    @Override
    String source(Entry entry, Hit nearest) {
        return entry.edition().nearness().stream()
                .filter(row -> row.span().contains(nearest.receiver().centre()))
                .findFirst()
                .map(Nearness::source)
                .orElse("common practice, no source");
    }
}
