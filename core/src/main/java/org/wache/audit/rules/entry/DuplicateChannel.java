package org.wache.audit.rules.entry;

import java.util.List;
import java.util.OptionalInt;
import org.wache.audit.Entry;
import org.wache.audit.EntryRule;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;

/** Two entries that are the same on the air. */
public final class DuplicateChannel implements EntryRule {

    @Override
    public Slug slug() {
        return Slug.DUPLICATE_CHANNEL;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "Two entries for one channel",
                "Both hear and talk on the same frequencies with the same tones. People believe that they are two channels.",
                "Drop one of them, or correct the one that was meant to be another.",
                RulePage.entry(
                        "amateur:technician",
                        "number=1 rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5"
                                + " | number=2 rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5"),
                RulePage.entry(
                        "amateur:technician",
                        "number=1 rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5"
                                + " | number=2 rx_mhz=146.565 tx_mhz=146.565 mode=FM power_w=5"));
    }

    @Override
    public List<Finding> on(Entry entry) {
        OptionalInt other = entry.channel().receive().isPresent() ? entry.sameOnAir() : OptionalInt.empty();
        return other.isEmpty()
                ? List.of()
                : List.of(Finding.query(Slug.DUPLICATE_CHANNEL)
                        .message("Same frequencies and tones as %s.", entry.named(other.getAsInt()))
                        .source("common practice"));
    }
}
