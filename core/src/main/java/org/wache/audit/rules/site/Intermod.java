package org.wache.audit.rules.site;

import org.wache.audit.Entry;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Slug;
import org.wache.site.Hit;

/** A product of transmitters that are keyed together lands in this entry's receive channel. */
public final class Intermod extends Beside {

    public Intermod() {
        super(Slug.INTERMOD, Hit.Kind.THIRD_ORDER, Hit.Kind.FIFTH_ORDER);
    }

    @Override
    public RulePage page() {
        return new RulePage(
                        "A product of transmitters lands in a receiver",
                        "Transmitters that are keyed together mix in each other's output stages, in receivers and in rusty joints: 2A − "
                                + "B and A + B − C (third order), 3A − 2B (fifth). Such a product is as wide as the deviations that go into it, "
                                + "each as often as its frequency counts, and 3 kHz: 18 kHz to each side for wide FM, 10.5 kHz for narrow. Where "
                                + "it comes within half of the receiver's width of that, it is heard. A radio does not listen while it is keyed, "
                                + "so that products of the entry's own transmitter do not count. Judged for lists that are marked as used at one "
                                + "site.",
                        "Move one of the frequencies, use the narrow width, or do not key these together.",
                        RulePage.entry(
                                "amateur:technician",
                                "number=1 rx_mhz=147.030 tx_mhz=147.630 mode=FM power_w=5 tx_tone=100.0"
                                        + " | number=2 rx_mhz=146.520 tx_mhz=146.520 mode=FM power_w=5 | number=3 rx_mhz=146.610 tx_mhz=146.010 mode=FM power_w=5 tx_tone=100.0"),
                        RulePage.entry(
                                "amateur:technician",
                                "number=1 rx_mhz=147.090 tx_mhz=147.690 mode=FM power_w=5 tx_tone=100.0"
                                        + " | number=2 rx_mhz=146.520 tx_mhz=146.520 mode=FM power_w=5 | number=3 rx_mhz=146.610 tx_mhz=146.010 mode=FM power_w=5 tx_tone=100.0"))
                .within("{\"format\": \"wache-context/1\", \"houseRules\": {\"keyedTogether\": true}}");
    }

    @Override
    String words(Entry entry, Hit nearest) {
        return "The " + HitMessage.kind(nearest.kind()) + " " + HitMessage.equation(nearest) + " MHz of "
                + HitMessage.sources(nearest, entry.list()) + " lands where this entry listens";
    }
}
