package org.wache.audit.rules.entry;

import java.util.List;
import java.util.OptionalInt;
import org.wache.audit.Entry;
import org.wache.audit.EntryRule;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Sum;
import org.wache.channel.Field;
import org.wache.radio.Radio;

/** The time-out is longer than the group settled for. */
public final class TimeoutLong implements EntryRule {

    @Override
    public Slug slug() {
        return Slug.TIMEOUT_LONG;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                        "The time-out is longer than the house rule",
                        "The group has settled for a longest time-out, and this entry exceeds it. Without such a house rule nothing is "
                                + "said.",
                        "Set the time-out to the house rule.",
                        RulePage.entry(
                                "amateur:technician", "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5 timeout_s=600"),
                        RulePage.entry(
                                "amateur:technician", "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5 timeout_s=120"))
                .within("{\"format\": \"wache-context/1\", \"houseRules\": {\"maxTimeoutS\": 180}}");
    }

    /** The radio has no setting as short as the house rule. */
    private static Finding atLeast(Radio radio, int most) {
        int shortest = radio.model().guard().setFor(most).orElseThrow();
        return Finding.query(Slug.TIMEOUT_LONG)
                .radio(radio.name())
                .message("The shortest time-out of %s is %d s; the house rule is %d s.", radio.name(), shortest, most)
                .working(() -> Sum.of(Integer.toString(shortest), "s", "shortest setting")
                        .limit(Integer.toString(most), "s", "house rule"))
                .source("house rule; the model's data");
    }

    @Override
    public List<Finding> on(Entry entry) {
        OptionalInt timeout = entry.channel().timeout();
        OptionalInt most = entry.context().houseRules().maxTimeoutS();
        if (timeout.isEmpty() || most.isEmpty() || entry.channel().transmit().isEmpty()) {
            return List.of();
        }
        if (timeout.getAsInt() <= most.getAsInt()) {
            return entry.context().radios().stream()
                    .filter(radio -> radio.talksOn(entry.channel()).isPresent())
                    .filter(radio ->
                            radio.model().guard().setFor(timeout.getAsInt()).orElse(0) > most.getAsInt())
                    .map(radio -> atLeast(radio, most.getAsInt()))
                    .toList();
        }
        return List.of(Finding.query(Slug.TIMEOUT_LONG)
                .message("Times out after %d s; the house rule is %d s.", timeout.getAsInt(), most.getAsInt())
                .working(() -> Sum.of(Integer.toString(timeout.getAsInt()), "s", "time-out")
                        .limit(Integer.toString(most.getAsInt()), "s", "house rule"))
                .source("house rule")
                .cures(() -> List.of(Change.of(
                        "Time out after " + most.getAsInt() + " s",
                        Field.TIMEOUT_S,
                        Integer.toString(most.getAsInt())))));
    }
}
