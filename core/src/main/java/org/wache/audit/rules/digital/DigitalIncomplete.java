package org.wache.audit.rules.digital;

import java.util.ArrayList;
import java.util.List;
import org.wache.audit.Entry;
import org.wache.audit.EntryRule;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.channel.Channel;
import org.wache.channel.Digital;
import org.wache.channel.Field;
import org.wache.signal.Mode;

/** A digital channel that nobody would hear, because what tells its radios apart is not given. */
public final class DigitalIncomplete implements EntryRule {

    @Override
    public Slug slug() {
        return Slug.DIGITAL_INCOMPLETE;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "A digital channel without its codes",
                "Digital radios open only on what carries their code. DMR needs a colour code, a talk group, and through a repeater "
                        + "a time slot; P25 a network access code; NXDN a random access number. Without them a radio takes "
                        + "whatever it was set to before, and stays silent.",
                "Ask the repeater's owner, or settle it within the group for a direct channel.",
                RulePage.entry("amateur:technician", "rx_mhz=442.425 tx_mhz=447.425 mode=DMR power_w=5 colour_code=1"),
                RulePage.entry(
                        "amateur:technician",
                        "rx_mhz=442.425 tx_mhz=447.425 mode=DMR power_w=5 colour_code=1 time_slot=2 talk_group=3100"));
    }

    @Override
    public List<Finding> on(Entry entry) {
        Channel channel = entry.channel();
        if (channel.transmit().isEmpty() || channel.mode().isEmpty()) {
            return List.of();
        }
        Mode mode = channel.mode().get();
        List<String> missing = missing(channel, mode);
        return missing.isEmpty()
                ? List.of()
                : List.of(Finding.query(Slug.DIGITAL_INCOMPLETE)
                        .message("%s needs %s, and the entry has none.", mode.name(), String.join(" and ", missing))
                        .source("common practice")
                        .cures(() -> cures(entry, mode)));
    }

    /**
     * Directly, the colour code that most use is as good as another. What a repeater wants, and whom the entry calls, is a fact to be asked
     * for: a guess would be clear and silent.
     */
    private static List<Change> cures(Entry entry, Mode mode) {
        Channel channel = entry.channel();
        return mode == Mode.DMR && !channel.isPair() && blank(channel, Field.COLOUR_CODE)
                ? List.of(Change.of("Colour code 1", Field.COLOUR_CODE, "1"))
                : List.of();
    }

    /** What is not given; a text that cannot be read is another finding's matter. */
    private static List<String> missing(Channel channel, Mode mode) {
        Digital digital = channel.digital();
        List<String> missing = new ArrayList<>();
        if (mode == Mode.DMR) {
            if (digital.colourCode().isEmpty() && blank(channel, Field.COLOUR_CODE)) {
                missing.add("a colour code");
            }
            if (channel.isPair() && digital.timeSlot().isEmpty() && blank(channel, Field.TIME_SLOT)) {
                missing.add("a time slot");
            }
            if (digital.talkGroup().isEmpty() && blank(channel, Field.TALK_GROUP)) {
                missing.add("a talk group");
            }
        } else if (mode == Mode.P25 && blank(channel, Field.ACCESS_CODE)) {
            missing.add("a network access code");
        } else if (mode == Mode.NXDN && blank(channel, Field.ACCESS_CODE)) {
            missing.add("a random access number");
        }
        return missing;
    }

    private static boolean blank(Channel channel, Field field) {
        return channel.text(field).isBlank();
    }
}
