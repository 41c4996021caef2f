package org.wache.audit.rules.tone;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wache.audit.Entry;
import org.wache.audit.EntryRule;
import org.wache.audit.RulePage;
import org.wache.audit.context.HouseRules.DirectTones;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Wording;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.channel.Use;
import org.wache.rulebook.ToneTable;
import org.wache.signal.Tone;

/** A direct entry that sends one tone and opens with another: the fleet does not hear itself. */
public final class ToneMismatch implements EntryRule {

    @Override
    public Slug slug() {
        return Slug.TONE_MISMATCH;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "Sends one tone and opens with another",
                "On a direct channel all radios have the same entry, so none of them sends what the others open on. DCS codes "
                        + "that sound the same under inversion count as equal. With the house rule “same tone both ways”, a receiver left "
                        + "open beside a sent tone is named too.",
                "Open the receiver, or use the same tone both ways.",
                RulePage.entry(
                        "amateur:technician",
                        "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5 tx_tone=100.0 rx_tone=103.5"),
                RulePage.entry(
                        "amateur:technician",
                        "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5 tx_tone=100.0 rx_tone=100.0"));
    }

    @Override
    public List<Finding> on(Entry entry) {
        Channel channel = entry.channel();
        if (channel.use() != Use.DIRECT
                || channel.isPair()
                || ToneTable.same(channel.sends(), channel.opensOn())
                || unreadable(channel)) {
            return List.of();
        }
        Optional<DirectTones> house = entry.context().houseRules().directTones();
        boolean bothWays = house.isPresent() && house.get() == DirectTones.SAME_BOTH_WAYS;
        if (channel.opensOn().isEmpty() && !bothWays
                || CallingTone.calling(entry).isPresent()) {
            return List.of();
        }
        String sends =
                channel.sends().map(tone -> "Sends " + Wording.tone(tone)).orElse("Sends no tone");
        String opens = channel.opensOn()
                .map(tone -> "opens only with " + Wording.tone(tone) + ": the fleet does not hear itself")
                .orElse("the receiver is open; the house rule is the same tone both ways");
        return List.of(Finding.query(Slug.TONE_MISMATCH)
                .message("%s, %s.", sends, opens)
                .source(channel.opensOn().isPresent() ? "common practice" : "house rule")
                .cures(() -> cures(channel, bothWays)));
    }

    private static boolean unreadable(Channel channel) {
        return channel.misreads().stream()
                .anyMatch(misread -> misread.field() == Field.TX_TONE || misread.field() == Field.RX_TONE);
    }

    private static List<Change> cures(Channel channel, boolean bothWays) {
        List<Change> cures = new ArrayList<>();
        Change open = Change.of("Open the receiver", Field.RX_TONE, "");
        if (!bothWays) {
            cures.add(open);
        }
        channel.sends().map(Tone::text).ifPresent(text -> cures.add(Change.of("Open on " + text, Field.RX_TONE, text)));
        channel.opensOn().map(Tone::text).ifPresent(text -> cures.add(Change.of("Send " + text, Field.TX_TONE, text)));
        return cures;
    }
}
