package org.wache.audit.rules.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wache.audit.Route;
import org.wache.audit.RouteRule;
import org.wache.audit.RulePage;
import org.wache.audit.context.Neighbour;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Sum;
import org.wache.audit.finding.Wording;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.signal.Content;
import org.wache.signal.Frequency;
import org.wache.signal.Tone;

/** A neighbour or a repeater near uses the same frequency with the same tone: each would open the other's radios. */
public final class NeighbourChannel implements RouteRule {

    private static final int OFFERED = 2;
    /** Lower tones take decoders longer, and lie nearer to hum: tenths of hertz. Common practice, no source. */
    private static final int LOWEST_OFFERED = 885;

    @Override
    public Slug slug() {
        return Slug.NEIGHBOUR_CHANNEL;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                        "Somebody near uses it",
                        "Another group, or a repeater in the directory near the site, uses the frequency with the same tone: they open "
                                + "your radios and you open theirs. The repeater that the entry itself goes through does not count.",
                        "Use another tone or another channel, or agree with the neighbour and keep the entry on purpose.",
                        RulePage.entry(
                                "amateur:technician",
                                "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5 tx_tone=103.5 rx_tone=103.5"),
                        RulePage.entry(
                                "amateur:technician",
                                "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5 tx_tone=88.5 rx_tone=88.5"))
                .within(
                        "{\"format\": \"wache-context/1\", \"neighbours\": [{\"name\": \"The mill\", \"mhz\": \"146.550\", \"tone\": \"103.5\"}]}");
    }

    @Override
    public List<Finding> on(Route route) {
        List<Finding> found = new ArrayList<>();
        for (Neighbour each : route.entry().context().neighbours().on(route.transmit())) {
            if (!isIts(route.on(), each) && meets(route.on(), each)) {
                found.add(finding(route, each));
            }
        }
        return found;
    }

    /** Whether the entry is the way to that very repeater. */
    private static boolean isIts(Channel channel, Neighbour neighbour) {
        return neighbour.input().isPresent()
                && channel.transmit().equals(neighbour.input())
                && channel.receive().filter(neighbour.frequency()::equals).isPresent();
    }

    /** With a tone that is known, only the same one meets; where the neighbour's is not known, any may. */
    private static boolean meets(Channel channel, Neighbour neighbour) {
        return neighbour.tone().isEmpty()
                || channel.sends().equals(neighbour.tone())
                || channel.opensOn().equals(neighbour.tone());
    }

    private static Finding finding(Route route, Neighbour neighbour) {
        Frequency there = route.transmit();
        String tone = neighbour
                .tone()
                .map(Wording::tone)
                .map(words -> " with " + words)
                .orElse("; with what tone is not known");
        boolean input = neighbour.input().filter(there::equals).isPresent()
                && !neighbour.frequency().equals(there);
        return route.query(Slug.NEIGHBOUR_CHANNEL)
                .message("%s %s %s%s.", neighbour.name(), input ? "listens on" : "uses", there, tone)
                .working(() -> Sum.of(there, "talks on").limit(neighbour.frequency(), neighbour.name()))
                .source("what is known of neighbours and repeaters near the site")
                .cures(() -> tones(route));
    }

    /** Tones that nobody known uses there. */
    private static List<Change> tones(Route route) {
        if (route.on().isPair() || !route.emission().is(Content.FM)) {
            return List.of();
        }
        List<Optional<Tone>> taken = route.entry().context().neighbours().on(route.transmit()).stream()
                .map(Neighbour::tone)
                .toList();
        return route.entry().tones().ctcss().stream()
                .filter(tone -> tone.tenths() >= LOWEST_OFFERED
                        && !taken.contains(Optional.of((Tone) tone))
                        && !tone.equals(route.entry().tones().factoryDefault()))
                .limit(OFFERED)
                .map(tone -> new Change(
                        "Use the tone " + tone.text(), Map.of(Field.TX_TONE, tone.text(), Field.RX_TONE, tone.text())))
                .toList();
    }
}
