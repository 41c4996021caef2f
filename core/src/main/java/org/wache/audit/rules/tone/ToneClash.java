package org.wache.audit.rules.tone;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.wache.audit.Entry;
import org.wache.audit.EntryRule;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Wording;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.signal.Content;
import org.wache.signal.Tone;

/** One channel in one list with different tones: half of the fleet does not hear the other half. */
public final class ToneClash implements EntryRule {

    @Override
    public Slug slug() {
        return Slug.TONE_CLASH;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "One channel with different tones",
                "Two entries of the list use the same frequencies with different tones. Those who chose the one do not hear "
                        + "those who chose the other, though all are on the same channel.",
                "Use one tone on both, or keep them apart on purpose.",
                RulePage.entry(
                        "amateur:technician",
                        "number=1 rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5 tx_tone=100.0"
                                + " | number=2 rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5 tx_tone=103.5"),
                RulePage.entry(
                        "amateur:technician",
                        "number=1 rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5 tx_tone=100.0"
                                + " | number=2 rx_mhz=146.565 tx_mhz=146.565 mode=FM power_w=5 tx_tone=103.5"));
    }

    @Override
    public List<Finding> on(Entry entry) {
        Channel channel = entry.channel();
        if (channel.transmit().isEmpty() || channel.receive().isEmpty() || !analogue(channel)) {
            return List.of();
        }
        OptionalInt other = entry.otherTones();
        return other.isEmpty() || !analogue(entry.list().channels().get(other.getAsInt()))
                ? List.of()
                : List.of(finding(entry, other.getAsInt()));
    }

    /** Only analogue FM has such tones: digital voice tells its groups apart by other means. */
    private static boolean analogue(Channel channel) {
        return channel.emission().isPresent() && channel.emission().get().is(Content.FM);
    }

    private static Finding finding(Entry entry, int other) {
        Channel there = entry.list().channels().get(other);
        return Finding.query(Slug.TONE_CLASH)
                .message(() -> "Same frequencies as " + entry.named(other) + ", other tones: " + tones(entry.channel())
                        + " here, " + tones(there) + " there.")
                .source("common practice")
                .cures(() -> List.of(new Change(
                        "Use the tones of " + entry.named(other),
                        java.util.Map.of(
                                Field.TX_TONE, there.text(Field.TX_TONE), Field.RX_TONE, there.text(Field.RX_TONE)))));
    }

    private static String tones(Channel channel) {
        return "sends " + word(channel.sends(), "none") + ", opens with " + word(channel.opensOn(), "anything");
    }

    private static String word(Optional<Tone> tone, String none) {
        return tone.map(Wording::tone).orElse(none);
    }
}
