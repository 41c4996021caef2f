package org.wache.audit.rules.tone;

import java.util.List;
import java.util.Optional;
import org.wache.audit.Entry;
import org.wache.audit.EntryRule;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Wording;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.rulebook.PlanRow;

/** A receive tone on a calling channel: whoever calls there without it is not heard. */
public final class CallingTone implements EntryRule {

    @Override
    public Slug slug() {
        return Slug.CALLING_TONE;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "A receive tone on a calling frequency",
                "The receiver opens only with a tone, and whoever calls there does not know it. Calling frequencies are kept open, "
                        + "whatever the house rule for direct channels says.",
                "Open the receiver.",
                RulePage.entry(
                        "amateur:technician",
                        "rx_mhz=146.520 tx_mhz=146.520 mode=FM power_w=5 tx_tone=100.0 rx_tone=100.0"),
                RulePage.entry("amateur:technician", "rx_mhz=146.520 tx_mhz=146.520 mode=FM power_w=5"));
    }

    @Override
    public List<Finding> on(Entry entry) {
        Channel channel = entry.channel();
        if (channel.opensOn().isEmpty()) {
            return List.of();
        }
        return calling(entry)
                .map(row -> List.of(Finding.query(Slug.CALLING_TONE)
                        .message(
                                "Opens only with %s on %s; callers there are not heard.",
                                Wording.tone(channel.opensOn().get()), row.words())
                        .source(entry.plan().source())
                        .cures(() -> List.of(Change.of("Open the receiver", Field.RX_TONE, "")))))
                .orElse(List.of());
    }

    /** The calling frequency on which an entry listens. */
    static Optional<PlanRow> calling(Entry entry) {
        return entry.channel().receive().flatMap(entry.plan()::rowAt).filter(row -> row.calling()
                .isPresent());
    }
}
