package org.wache.audit.rules.tone;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wache.audit.Entry;
import org.wache.audit.EntryRule;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Sum;
import org.wache.audit.finding.Wording;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.rulebook.ToneTable;
import org.wache.signal.Tone;

/** A tone or code that is in no radio's table. */
public final class ToneUnknown implements EntryRule {

    @Override
    public Slug slug() {
        return Slug.TONE_UNKNOWN;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "A tone that is in no table",
                "The value is none of the 50 CTCSS tones or the 104 DCS codes. Often it is the number of a consumer code, taken "
                        + "for hertz.",
                "Use the nearest tone, or the tone that the code stands for.",
                RulePage.entry("amateur:technician", "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5 tx_tone=101.0"),
                RulePage.entry("amateur:technician", "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5 tx_tone=100.0"));
    }

    @Override
    public List<Finding> on(Entry entry) {
        Channel channel = entry.channel();
        boolean sent = unknown(channel.sends(), entry.tones());
        boolean heard = unknown(channel.opensOn(), entry.tones());
        if (!sent && !heard) {
            return List.of();
        }
        List<Finding> findings = new ArrayList<>(2);
        if (sent && heard && channel.sends().equals(channel.opensOn())) {
            findings.add(finding(entry, channel.sends().get(), List.of(Field.TX_TONE, Field.RX_TONE)));
            return findings;
        }
        if (sent) {
            findings.add(finding(entry, channel.sends().get(), List.of(Field.TX_TONE)));
        }
        if (heard) {
            findings.add(finding(entry, channel.opensOn().get(), List.of(Field.RX_TONE)));
        }
        return findings;
    }

    private static boolean unknown(Optional<Tone> tone, ToneTable table) {
        return tone.isPresent() && !table.knows(tone.get());
    }

    private static Finding finding(Entry entry, Tone tone, List<Field> fields) {
        List<Tone> offers = offers(entry.tones(), tone);
        String offer = offers.isEmpty()
                ? ""
                : "; " + (tone instanceof Tone.Dcs ? "the same on the air is " : "nearest is ")
                        + Wording.tone(offers.get(0));
        return Finding.query(Slug.TONE_UNKNOWN)
                .message("%s is in no table of tones%s.", Wording.tone(tone), offer)
                .working(() -> working(tone, offers))
                .source("common practice")
                .cures(() -> offers.stream().map(each -> change(each, fields)).toList());
    }

    private static Sum working(Tone tone, List<Tone> offers) {
        return offers.isEmpty() || !(tone instanceof Tone.Ctcss)
                ? Sum.NONE
                : Sum.of(tone.text(), "Hz", "as given").limit(offers.get(0).text(), "Hz", "nearest tone");
    }

    private static List<Tone> offers(ToneTable table, Tone tone) {
        List<Tone> offers = new ArrayList<>();
        if (tone instanceof Tone.Ctcss continuous) {
            if (continuous.tenths() % 10 == 0) {
                table.consumerCode(continuous.tenths() / 10).ifPresent(offers::add); // a code number taken for hertz
            }
            offers.add(table.nearest(continuous));
        } else if (tone instanceof Tone.Dcs code) {
            table.sameSound(code).ifPresent(offers::add);
        }
        return offers;
    }

    private static Change change(Tone tone, List<Field> fields) {
        java.util.Map<Field, String> texts = new java.util.EnumMap<>(Field.class);
        fields.forEach(field -> texts.put(field, tone.text()));
        return new Change("Use " + Wording.tone(tone), texts);
    }
}
