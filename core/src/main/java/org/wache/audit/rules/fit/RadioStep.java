package org.wache.audit.rules.fit;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.stream.Collectors;
import org.wache.audit.Fit;
import org.wache.audit.FitRule;
import org.wache.audit.RulePage;
import org.wache.audit.cure.Cures;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Sum;
import org.wache.audit.finding.Wording;
import org.wache.channel.Field;
import org.wache.radio.Tuning;
import org.wache.signal.Frequency;

/** The frequency stands on none of the radio's steps, so the radio would round it. */
public final class RadioStep implements FitRule {

    @Override
    public Slug slug() {
        return Slug.RADIO_STEP;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                        "On none of the radio's steps",
                        "A radio tunes in steps. What lies between two steps is rounded without a word, and the radio then talks beside "
                                + "the channel.",
                        "Use a model that has the step. A frequency that may be moved can be moved to a step.",
                        RulePage.entry("gmrs", "rx_mhz=462.5625 tx_mhz=462.5625 mode=NFM power_w=2"),
                        RulePage.entry("gmrs", "rx_mhz=462.575 tx_mhz=462.575 mode=NFM power_w=2"))
                .within(
                        "{\"format\": \"wache-context/1\", \"radios\": [{\"model\": \"The hand-held\", \"stepsKhz\": [\"5\", \"10\"], \"certifiedFor\": "
                                + "[\"95E\"]}]}");
    }

    @Override
    public List<Finding> on(Fit fit) {
        Tuning tuning = fit.model().tuning();
        LinkedHashSet<Frequency> wanted = new LinkedHashSet<>();
        fit.channel().receive().ifPresent(wanted::add);
        fit.talksOn().ifPresent(wanted::add);
        List<Finding> found = new ArrayList<>(1);
        for (Frequency frequency : wanted) {
            if (!tuning.onStep(frequency) && tuning.table().isEmpty()) {
                found.add(finding(fit, frequency, tuning.rounded(frequency)));
            }
        }
        return found;
    }

    private static Finding finding(Fit fit, Frequency wanted, Frequency got) {
        String steps = fit.model().tuning().stepsHz().stream()
                        .map(step -> Frequency.kilohertz(step).replaceFirst("\\.0$", ""))
                        .collect(Collectors.joining(", "))
                + " kHz";
        return fit.hold(Slug.RADIO_STEP)
                .message(() -> fit.name() + " would round " + wanted + " to " + got.megahertz() + ", which is "
                        + Wording.length(Math.abs(got.minus(wanted))) + " off. Its steps are " + steps + ".")
                .working(() -> Sum.of(wanted, "asked for")
                        .gives(got, "nearest step of " + steps)
                        .rest(Frequency.kilohertz(Math.abs(got.minus(wanted))), "kHz", "off"))
                .source("the model's data")
                .cures(() -> cures(fit, got))
                .advice(() -> {
                    List<String> others =
                            fit.others(radio -> radio.model().tuning().onStep(wanted));
                    return others.isEmpty()
                            ? List.of("Use a model with a step that divides it.")
                            : List.of("Use it in " + Wording.list(others) + " only.");
                });
    }

    private static List<Change> cures(Fit fit, Frequency got) {
        boolean talks = fit.channel().transmit().isPresent();
        return talks && !fit.channel().isPair()
                ? List.of(Cures.moved("Move to " + got, fit.channel(), got))
                : talks ? List.of() : List.of(Change.of("Move to " + got, Field.RX_MHZ, got.megahertz()));
    }
}
