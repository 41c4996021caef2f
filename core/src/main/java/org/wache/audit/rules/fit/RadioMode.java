package org.wache.audit.rules.fit;

import java.util.ArrayList;
import java.util.List;
import org.wache.audit.Fit;
import org.wache.audit.FitRule;
import org.wache.audit.RulePage;
import org.wache.audit.cure.Cures;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Wording;
import org.wache.radio.ModesNeeded;
import org.wache.signal.Mode;

/** The radio lacks the mode. */
public final class RadioMode implements FitRule {

    @Override
    public Slug slug() {
        return Slug.RADIO_MODE;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                        "The radio lacks the mode",
                        "Wide and narrow FM count as two modes: a narrow set heard on a wide channel is faint, a wide one on a narrow "
                                + "channel is distorted and over the limit.",
                        "Use a mode that the radio has, where the rules allow it there, or another model.",
                        RulePage.entry("amateur:technician", "rx_mhz=144.200 tx_mhz=144.200 mode=USB power_w=5"),
                        RulePage.entry("amateur:technician", "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5"))
                .within(
                        "{\"format\": \"wache-context/1\", \"radios\": [{\"model\": \"The hand-held\", \"modes\": [\"FM\", \"NFM\"]}]}");
    }

    @Override
    public List<Finding> on(Fit fit) {
        List<Mode> has = fit.model().tuning().modes();
        if (has.isEmpty()) {
            return List.of();
        }
        List<Mode> needed = ModesNeeded.of(fit.channel());
        if (needed.isEmpty() || needed.stream().anyMatch(has::contains)) {
            return List.of();
        }
        return List.of(fit.hold(Slug.RADIO_MODE)
                .message(() -> fit.name() + " has no " + Wording.emission(fit.channel()) + "; it has "
                        + Wording.list(has.stream().map(Mode::name).toList()) + ".")
                .source("the model's data")
                .cures(() -> cures(fit, has))
                .advice(() -> {
                    List<String> others =
                            fit.others(radio -> radio.model().tuning().modes().isEmpty()
                                    || needed.stream()
                                            .anyMatch(radio.model().tuning().modes()::contains));
                    return others.isEmpty() ? List.of() : List.of("Use it in " + Wording.list(others) + " only.");
                }));
    }

    private static List<Change> cures(Fit fit, List<Mode> has) {
        List<Change> cures = new ArrayList<>();
        if (fit.channel().emission().isPresent()) {
            Cures.otherModes(fit.channel()).stream()
                    .filter(change ->
                            has.stream().anyMatch(mode -> change.fields().containsValue(mode.name())))
                    .forEach(cures::add);
        }
        return fit.channel().transmit().isPresent() ? Cures.orListen(cures) : cures;
    }
}
