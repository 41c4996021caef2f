package org.wache.audit.rules.law;

import java.util.List;
import java.util.Optional;
import org.wache.audit.Entry;
import org.wache.audit.RulePage;
import org.wache.audit.StrandedRule;
import org.wache.audit.cure.Cures;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Sum;
import org.wache.rulebook.Allocation;
import org.wache.signal.Frequency;

/** No service open to clubs, families or firms transmits there. */
public final class NoService implements StrandedRule {

    @Override
    public Slug slug() {
        return Slug.NO_SERVICE;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "Nobody who carries such a list may transmit there",
                "The frequency is an aircraft's, a ship's, a broadcaster's, a telephone company's or the government's. Some of "
                        + "them are safety of life: one press of a key can cost somebody their rescue.",
                "Take the transmit frequency out: listening stays possible. Locking the keypad does not stop the key.",
                RulePage.entry("amateur:extra", "rx_mhz=121.500 tx_mhz=121.500 mode=AM power_w=5"),
                RulePage.entry("amateur:extra", "rx_mhz=121.500 mode=AM"));
    }

    @Override
    public List<Finding> on(Entry entry) {
        Frequency transmit = entry.channel().transmit().orElseThrow();
        Optional<Allocation> allocation = entry.edition().allocation(transmit);
        String whose = allocation
                .map(NoService::belongs)
                .orElse("belongs to no service that this rulebook opens to clubs, families or firms");
        return List.of(Finding.hold(Slug.NO_SERVICE)
                .message("%s %s.", transmit, whose)
                .working(() -> allocation
                        .map(row -> Sum.of(transmit, "talks on").inside(row.span(), row.whose()))
                        .orElse(Sum.NONE))
                .source(entry.edition().cite(entry.edition().allocationSource()))
                .cures(() -> Cures.orListen(Cures.otherOffsets(entry))));
    }

    private static String belongs(Allocation row) {
        return "is for " + row.whose() + (row.whose().contains(row.say()) ? "" : ": " + row.say());
    }
}
