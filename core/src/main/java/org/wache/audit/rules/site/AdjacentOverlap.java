package org.wache.audit.rules.site;

import org.wache.audit.Entry;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Slug;
import org.wache.signal.Frequency;
import org.wache.site.Hit;

/** The signal of another entry of the site reaches into this one's channel. */
public final class AdjacentOverlap extends Beside {

    public AdjacentOverlap() {
        super(Slug.ADJACENT_OVERLAP, Hit.Kind.OVERLAP);
    }

    @Override
    public RulePage page() {
        return new RulePage(
                        "Signals of one site overlap",
                        "The signals of two entries that may be keyed at one site at one time share spectrum: one is heard in the "
                                + "other's channel. On a raster narrower than the signals they overlap by design, and so do narrow channels "
                                + "between wide ones; that is no fault until both are used at one place. Judged for lists that are marked as used "
                                + "at one site.",
                        "Stand further apart, or use the narrow width on both.",
                        RulePage.entry(
                                "amateur:technician",
                                "number=1 rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5"
                                        + " | number=2 rx_mhz=146.565 tx_mhz=146.565 mode=FM power_w=5"),
                        RulePage.entry(
                                "amateur:technician",
                                "number=1 rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5"
                                        + " | number=2 rx_mhz=147.570 tx_mhz=147.570 mode=FM power_w=5"))
                .within("{\"format\": \"wache-context/1\", \"houseRules\": {\"keyedTogether\": true}}");
    }

    @Override
    String words(Entry entry, Hit nearest) {
        return HitMessage.sources(nearest, entry.list()) + " reaches into this channel from "
                + Frequency.kilohertz(nearest.off()) + " kHz away, at one site";
    }
}
