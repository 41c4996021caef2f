package org.wache.audit.rules.fit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wache.audit.Reckoned;
import org.wache.audit.Route;
import org.wache.audit.RouteRule;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Sum;
import org.wache.channel.Field;
import org.wache.radio.PowerLevels;
import org.wache.radio.Radio;
import org.wache.signal.Watts;

/** The radio has no level of power within the limit, or none like the one asked for. */
public final class RadioPower implements RouteRule {

    @Override
    public Slug slug() {
        return Slug.RADIO_POWER;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                        "No such level of power",
                        "A radio has a few levels of power. Where even the least is above the limit, the radio may not be used there at "
                                + "all; where the nearest differs from what the list asks for, it is said which one the radio would be set to.",
                        "Ask for a level that the radio has; where none is low enough, use another model or only listen.",
                        RulePage.entry("amateur:technician", "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=2.5"),
                        RulePage.entry("amateur:technician", "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=4"))
                .within(
                        "{\"format\": \"wache-context/1\", \"radios\": [{\"model\": \"The hand-held\", \"powerLevelsW\": [1, 4, 5]}]}");
    }

    @Override
    public List<Finding> on(Route route) {
        Optional<PowerLevels> levels =
                route.radio().flatMap(radio -> radio.model().powerAt(route.transmit()));
        if (levels.isEmpty()) {
            return List.of();
        }
        PowerLevels.Level least = levels.get().least();
        Optional<Reckoned> reckoned = route.powerLimit().map(limit -> Reckoned.of(route, least.output(), limit));
        if (reckoned.isPresent() && reckoned.get().over()) {
            return List.of(tooStrong(route, levels.get(), reckoned.get()));
        }
        Optional<Watts> asked = route.on().power();
        if (asked.isEmpty() || levels.get().exactly(asked.get()).isPresent()) {
            return List.of();
        }
        return List.of(differs(route, levels.get(), asked.get()));
    }

    private static Finding tooStrong(Route route, PowerLevels levels, Reckoned reckoned) {
        Radio radio = route.radio().orElseThrow();
        return route.hold(Slug.RADIO_POWER)
                .radio(radio.name())
                .message(
                        "%s has no level as low as %s allows: its least gives %s %s, the limit is %s.",
                        radio.name(),
                        route.place(),
                        reckoned.power(),
                        reckoned.limit().measure().words(),
                        reckoned.limit().watts())
                .working(() -> reckoned.sum()
                        .limit(
                                reckoned.limit().watts().number(),
                                "W",
                                reckoned.limit().measure().words() + " limit"))
                .source(route.cite(reckoned.limit().source()) + "; the model's data (" + levels.words() + ")")
                .cures(() -> List.of(Change.listenOnly()))
                .advice(() -> List.of("Use a model with a lower level."));
    }

    private static Finding differs(Route route, PowerLevels levels, Watts asked) {
        Radio radio = route.radio().orElseThrow();
        PowerLevels.Level set = levels.setFor(asked);
        return route.query(Slug.RADIO_POWER)
                .radio(radio.name())
                .message(
                        "%s has no level of %s; it has %s and would be set to %s.",
                        radio.name(), asked, levels.words(), set.output())
                .working(() -> Sum.of(asked.number(), "W", "asked for")
                        .gives(set.output().number(), "W", "level “" + set.name() + "”"))
                .source("the model's data")
                .cures(() -> cures(levels, asked));
    }

    private static List<Change> cures(PowerLevels levels, Watts asked) {
        List<Change> cures = new ArrayList<>();
        levels.under(asked).ifPresent(level -> cures.add(ask(level)));
        levels.levels().stream()
                .filter(level -> level.output().value() > asked.value())
                .min(java.util.Comparator.comparingDouble(
                        level -> level.output().value()))
                .ifPresent(level -> cures.add(ask(level)));
        return cures;
    }

    private static Change ask(PowerLevels.Level level) {
        return Change.of("Use " + level.output(), Field.POWER_W, level.output().number());
    }
}
