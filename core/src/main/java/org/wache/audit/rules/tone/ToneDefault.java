package org.wache.audit.rules.tone;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.wache.audit.Route;
import org.wache.audit.RouteRule;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Wording;
import org.wache.channel.Field;
import org.wache.rulebook.ToneTable;
import org.wache.signal.Tone;

/** The factory's own tone on a channel shared with strangers. */
public final class ToneDefault implements RouteRule {

    /** Codes from the middle of the consumer table: every radio has them, and few people leave them set. */
    private static final int FIRST_OFFER = 12;

    private static final int LAST_OFFER = 30;

    @Override
    public Slug slug() {
        return Slug.TONE_DEFAULT;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "The factory's tone",
                "67.0 Hz, code 1, is what radios are sold with. On a channel shared with the public the neighbours have it too, "
                        + "and each opens the other's receivers.",
                "Use another tone; one that the list does not use yet is offered.",
                RulePage.entry("gmrs", "rx_mhz=462.6125 tx_mhz=462.6125 mode=NFM power_w=2 tx_tone=67.0 rx_tone=67.0"),
                RulePage.entry(
                        "gmrs", "rx_mhz=462.6125 tx_mhz=462.6125 mode=NFM power_w=2 tx_tone=141.3 rx_tone=141.3"));
    }

    @Override
    public List<Finding> on(Route route) {
        ToneTable tones = route.entry().tones();
        boolean sent = isDefault(route.on().sends(), tones);
        boolean heard = isDefault(route.on().opensOn(), tones);
        if (!route.service().traits().sharedWithPublic() || route.throughRepeater() || !sent && !heard) {
            return List.of();
        }
        return List.of(route.query(Slug.TONE_DEFAULT)
                .message(
                        "%s is the tone radios are sold with; strangers on %s have it too.",
                        Wording.tone(tones.factoryDefault()), route.place())
                .source("common practice")
                .cures(() -> cures(route, sent, heard)));
    }

    private static boolean isDefault(Optional<Tone> tone, ToneTable tones) {
        return tone.isPresent() && tone.get().equals(tones.factoryDefault());
    }

    private static List<Change> cures(Route route, boolean sent, boolean heard) {
        Set<Tone> used = route.entry().listFacts().tones();
        return IntStream.rangeClosed(FIRST_OFFER, LAST_OFFER)
                .mapToObj(code -> route.entry().tones().consumerCode(code).orElseThrow())
                .filter(tone -> !used.contains(tone))
                .limit(1)
                .map(tone -> change(tone, sent, heard))
                .toList();
    }

    private static Change change(Tone tone, boolean sent, boolean heard) {
        java.util.Map<Field, String> fields = new java.util.EnumMap<>(Field.class);
        if (sent) {
            fields.put(Field.TX_TONE, tone.text());
        }
        if (heard) {
            fields.put(Field.RX_TONE, tone.text());
        }
        return new Change("Use " + Wording.tone(tone), fields);
    }
}
