package org.wache.audit.rules.fit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wache.audit.Fit;
import org.wache.audit.FitRule;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Wording;
import org.wache.channel.Field;
import org.wache.radio.ToneAbility;
import org.wache.signal.GolayWord;
import org.wache.signal.Tone;

/** The radio lacks the kind of tone, or the tone itself. */
public final class RadioTone implements FitRule {

    @Override
    public Slug slug() {
        return Slug.RADIO_TONE;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                        "The radio lacks the tone",
                        "Some radios have no digital codes, or only those of normal polarity; others have a table of their own, in which "
                                + "69.3 may be missing. Without the right tone the repeater or the colleague stays silent.",
                        "Leave the receiver open, use another code that sounds the same, or choose one tone that all models have.",
                        RulePage.entry(
                                "amateur:technician", "rx_mhz=146.940 tx_mhz=146.340 mode=FM power_w=5 tx_tone=69.3"),
                        RulePage.entry(
                                "amateur:technician", "rx_mhz=146.940 tx_mhz=146.340 mode=FM power_w=5 tx_tone=71.9"))
                .within(
                        "{\"format\": \"wache-context/1\", \"radios\": [{\"model\": \"The hand-held\", \"toneTable\": [\"67.0\", \"71.9\", \"74.4\"]}]}");
    }

    @Override
    public List<Finding> on(Fit fit) {
        if (!fit.model().tones().known()) {
            return List.of();
        }
        List<Finding> found = new ArrayList<>(1);
        if (fit.talksOn().isPresent()) {
            lacking(fit, fit.channel().sends()).ifPresent(tone -> found.add(finding(fit, tone, Field.TX_TONE, "send")));
        }
        lacking(fit, fit.channel().opensOn())
                .ifPresent(tone -> found.add(finding(fit, tone, Field.RX_TONE, "open on")));
        return found;
    }

    private static Optional<Tone> lacking(Fit fit, Optional<Tone> tone) {
        return tone.filter(each -> !fit.model().tones().has(each));
    }

    private static Finding finding(Fit fit, Tone tone, Field field, String verb) {
        ToneAbility has = fit.model().tones();
        return fit.hold(Slug.RADIO_TONE)
                .message(() -> fit.name() + " cannot " + verb + " " + Wording.tone(tone) + ": "
                        + (has.hasKind(tone)
                                ? "its table of " + has.table().size() + " tones lacks it."
                                : has.kinds().isEmpty()
                                        ? "it has no tones."
                                        : "it has "
                                                + Wording.list(has.kinds().stream()
                                                        .sorted()
                                                        .map(ToneAbility.Kind::words)
                                                        .toList())
                                                + " only."))
                .source("the model's data")
                .cures(() -> cures(fit, tone, field))
                .advice(() -> {
                    List<String> others =
                            fit.others(radio -> !radio.model().tones().known()
                                    || radio.model().tones().has(tone));
                    String common = "Choose a tone that every model has.";
                    return others.isEmpty()
                            ? List.of(common)
                            : List.of(common, "Use it in " + Wording.list(others) + " only.");
                });
    }

    private static List<Change> cures(Fit fit, Tone tone, Field field) {
        List<Change> cures = new ArrayList<>();
        if (tone instanceof Tone.Dcs code) {
            fit.entry().tones().dcs().stream()
                    .filter(each -> GolayWord.sound(each) == GolayWord.sound(code)
                            && fit.model().tones().has(each))
                    .findFirst()
                    .ifPresent(same -> cures.add(Change.of(
                            "Write it as " + Wording.tone(same) + ", which sounds the same", field, same.text())));
        }
        if (field == Field.RX_TONE) {
            cures.add(Change.of("Leave the receiver open", field, ""));
        } else {
            cures.add(Change.listenOnly());
        }
        return cures;
    }
}
