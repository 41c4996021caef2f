package org.wache.audit.rules.law;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.wache.audit.Route;
import org.wache.audit.RouteRule;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;

/** A scrambler or encryption is switched on where messages may not hide their meaning. */
public final class HiddenMeaning implements RouteRule {

    private static final Set<String> COLUMNS =
            Set.of("scramble", "scrambler", "scrambling", "encrypt", "encryption", "encrypted", "voice_inversion");
    private static final Set<String> OFF = Set.of("", "0", "off", "no", "none", "false", "-");

    @Override
    public Slug slug() {
        return Slug.HIDDEN_MEANING;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "A scrambler is on where meaning may not be hidden",
                "Where messages may not be encoded to hide their meaning, a scrambler may not be on. A list says so in a further "
                        + "column named scramble, scrambler, encrypt or encryption with anything but off in it. Tones hide nothing and are "
                        + "fine. Where it may be on, it is asked how the station identifies: its call sign has to be sent in the clear.",
                "Switch the scrambler off.",
                RulePage.entry("amateur:technician", "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5 scramble=on"),
                RulePage.entry("amateur:technician", "rx_mhz=146.550 mode=FM"));
    }

    @Override
    public List<Finding> on(Route route) {
        List<String> columns = route.entry().list().extraColumns();
        for (int i = 0; i < columns.size() && i < route.on().extras().size(); i++) {
            String setting = route.on().extras().get(i).trim();
            boolean hidden = !OFF.contains(setting.toLowerCase(Locale.ROOT))
                    && COLUMNS.contains(columns.get(i).trim().toLowerCase(Locale.ROOT));
            String inClear = route.service().traits().terms().clearSource();
            if (hidden && route.service().traits().hiddenMeaningSource().isEmpty() && !inClear.isEmpty()) {
                return List.of(
                        route.query(Slug.HIDDEN_MEANING)
                                .message(
                                        "%s is “%s”: the call sign still has to be sent in the clear, so that it can be told whose station it is.",
                                        columns.get(i), setting)
                                .source(route.cite(inClear))
                                .advice(
                                        () -> List.of(
                                                "Say how its carriers identify: a channel without it, or a radio that sends the call sign by itself.")));
            }
            if (hidden && !route.service().traits().hiddenMeaningSource().isEmpty()) {
                return List.of(route.hold(Slug.HIDDEN_MEANING)
                        .message(
                                "%s is “%s”; %s may not hide the meaning of a message.",
                                columns.get(i), setting, route.service().title())
                        .source(route.cite(route.service().traits().hiddenMeaningSource()))
                        .cures(() -> List.of(Change.listenOnly())));
            }
        }
        return List.of();
    }
}
