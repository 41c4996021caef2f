package org.wache.audit.rules.entry;

import java.util.List;
import org.wache.audit.Entry;
import org.wache.audit.EntryRule;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.channel.Field;
import org.wache.radio.Radio;

/** The time-out timer is off: a radio wedged in a seat keys until the battery is flat. */
public final class TimeoutOff implements EntryRule {

    private static final int USUAL_SECONDS = 180;

    @Override
    public Slug slug() {
        return Slug.TIMEOUT_OFF;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "The time-out timer is off",
                "A radio with a stuck key blocks the channel for everyone until its battery is flat. The same holds for a radio "
                        + "that has no such timer.",
                "Set a time-out: 60 s where messages are short, up to 180 s for fleets.",
                RulePage.entry("amateur:technician", "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5 timeout_s=0"),
                RulePage.entry("amateur:technician", "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5 timeout_s=180"));
    }

    private static Finding noTimer(Radio radio) {
        return Finding.query(Slug.TIMEOUT_OFF)
                .radio(radio.name())
                .message(
                        "%s has no time-out timer: a stuck key blocks the channel until its battery is flat.",
                        radio.name())
                .source("common practice; the model's data")
                .advice(() -> List.of("Give it to people who know, or use a model with a timer."));
    }

    @Override
    public List<Finding> on(Entry entry) {
        if (entry.channel().transmit().isEmpty()) {
            return List.of();
        }
        if (entry.channel().timeout().orElse(1) != 0) {
            return entry.context().radios().stream()
                    .filter(radio -> radio.model().guard().noTimer()
                            && radio.talksOn(entry.channel()).isPresent())
                    .map(TimeoutOff::noTimer)
                    .toList();
        }
        int most = Math.min(
                USUAL_SECONDS, entry.context().houseRules().maxTimeoutS().orElse(USUAL_SECONDS));
        int seconds = entry.context().radios().stream()
                .mapToInt(radio -> radio.model().guard().setFor(most).orElse(most))
                .filter(each -> each > 0)
                .min()
                .orElse(most);
        return List.of(Finding.query(Slug.TIMEOUT_OFF)
                .message("The time-out timer is off; a stuck key blocks the channel.")
                .source("common practice")
                .cures(() -> List.of(
                        Change.of("Time out after " + seconds + " s", Field.TIMEOUT_S, Integer.toString(seconds)))));
    }
}
