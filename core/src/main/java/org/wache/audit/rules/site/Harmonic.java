package org.wache.audit.rules.site;

import org.wache.audit.Entry;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Slug;
import org.wache.site.Hit;

/** Twice or three times a frequency of the site lands in this entry's receive channel. */
public final class Harmonic extends Beside {

    public Harmonic() {
        super(Slug.HARMONIC, Hit.Kind.HARMONIC);
    }

    @Override
    public RulePage page() {
        return new RulePage(
                        "A harmonic lands in a receiver",
                        "A transmitter also sends a little on twice and three times its frequency: the third harmonic of 2 m lies in 70 "
                                + "cm. At one site that little is enough. Judged for lists that are marked as used at one site.",
                        "Move one of the two, filter the transmitter, or work one at a time.",
                        RulePage.entry(
                                "amateur:technician",
                                "number=1 rx_mhz=439.560 tx_mhz=434.560 mode=FM power_w=5 tx_tone=100.0"
                                        + " | number=2 rx_mhz=146.520 tx_mhz=146.520 mode=FM power_w=5"),
                        RulePage.entry(
                                "amateur:technician",
                                "number=1 rx_mhz=443.600 tx_mhz=448.600 mode=FM power_w=5 tx_tone=100.0"
                                        + " | number=2 rx_mhz=146.520 tx_mhz=146.520 mode=FM power_w=5"))
                .within("{\"format\": \"wache-context/1\", \"houseRules\": {\"keyedTogether\": true}}");
    }

    @Override
    String words(Entry entry, Hit nearest) {
        return "The harmonic " + HitMessage.equation(nearest) + " MHz of " + HitMessage.sources(nearest, entry.list())
                + " lands where this entry listens";
    }
}
