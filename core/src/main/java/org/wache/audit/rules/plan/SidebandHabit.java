package org.wache.audit.rules.plan;

import java.util.List;
import org.wache.audit.Route;
import org.wache.audit.RouteRule;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.signal.Content;
import org.wache.signal.Mode;

/** The unusual sideband: nobody will understand. */
public final class SidebandHabit implements RouteRule {

    @Override
    public Slug slug() {
        return Slug.SIDEBAND_HABIT;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "The unusual sideband",
                "By habit amateur voice is on the lower sideband below 10 MHz and on the upper above, and on 60 m upper. The "
                        + "other one is legal, but the others will not understand a word.",
                "Use the usual sideband.",
                RulePage.entry("amateur:general", "rx_mhz=7.230 tx_mhz=7.230 mode=USB power_w=100"),
                RulePage.entry("amateur:general", "rx_mhz=7.230 tx_mhz=7.230 mode=LSB power_w=100"));
    }

    @Override
    public List<Finding> on(Route route) {
        if (!route.planned()
                || !route.emission().is(Content.SSB)
                || route.on().mode().isEmpty()
                || route.viaSatellite()) { // an inverting transponder takes LSB up for USB down
            return List.of();
        }
        Mode mode = route.on().mode().get();
        Mode usual = route.entry().plan().lowerSidebandAt(route.transmit()) ? Mode.LSB : Mode.USB;
        if (mode == usual || mode != Mode.LSB && mode != Mode.USB) {
            return List.of();
        }
        return List.of(route.query(Slug.SIDEBAND_HABIT)
                .message("%s on %s: voice there is on %s by habit.", mode, route.transmit(), usual)
                .source("common practice")
                .cures(() -> List.of(Change.of("Use " + usual, org.wache.channel.Field.MODE, usual.name()))));
    }
}
