package org.wache.audit.rules.tone;

import java.util.List;
import org.wache.audit.Route;
import org.wache.audit.RouteRule;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.signal.Content;

/** A repeater entry that sends no tone. */
public final class AccessToneMissing implements RouteRule {

    @Override
    public Slug slug() {
        return Slug.ACCESS_TONE_MISSING;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "No tone for the repeater",
                "Nearly every repeater opens only with a tone, and the entry sends none. Without it the repeater stays silent.",
                "Ask the repeater's owner or the directory for its tone.",
                RulePage.entry("amateur:technician", "rx_mhz=146.940 tx_mhz=146.340 mode=FM power_w=5"),
                RulePage.entry("amateur:technician", "rx_mhz=146.940 tx_mhz=146.340 mode=FM power_w=5 tx_tone=100.0"));
    }

    @Override
    public List<Finding> on(Route route) {
        boolean repeater = route.throughRepeater()
                && route.on().isPair()
                && route.service().traits().tonesExpected();
        boolean analogue = route.emission().is(Content.FM);
        boolean given = !route.on().text(org.wache.channel.Field.TX_TONE).isBlank();
        return !repeater || !analogue || given
                ? List.of()
                : List.of(route.query(Slug.ACCESS_TONE_MISSING)
                        .message("Sends no tone; most repeaters open only on one.")
                        .source("common practice"));
    }
}
