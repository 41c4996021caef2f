package org.wache.audit.rules.site;

import org.wache.audit.Entry;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Slug;
import org.wache.site.Hit;

/** Two entries that are keyed at one site use the same frequency. */
public final class CoChannel extends Beside {

    public CoChannel() {
        super(Slug.CO_CHANNEL, Hit.Kind.CO_CHANNEL);
    }

    @Override
    public RulePage page() {
        return new RulePage(
                        "The same frequency twice at one site",
                        "Two entries that may be keyed at one site at one time talk on the same frequency, or one talks where the other "
                                + "listens. While one is keyed the other hears nothing else. Judged for lists that are marked as used at one site.",
                        "Work one channel at a time from that site, or move one of the two.",
                        RulePage.entry(
                                "amateur:technician",
                                "number=1 rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5 tx_tone=100.0"
                                        + " | number=2 rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5 tx_tone=100.0"),
                        RulePage.entry(
                                "amateur:technician",
                                "number=1 rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5"
                                        + " | number=2 rx_mhz=147.570 tx_mhz=147.570 mode=FM power_w=5"))
                .within("{\"format\": \"wache-context/1\", \"houseRules\": {\"keyedTogether\": true}}");
    }

    @Override
    String words(Entry entry, Hit nearest) {
        boolean hears =
                nearest.terms().get(0).emitter().centre() == nearest.receiver().centre();
        return HitMessage.sources(nearest, entry.list())
                + (hears ? " transmits where this entry listens" : " transmits where this entry does")
                + ", at one site";
    }
}
