package org.wache.audit.rules.digital;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.wache.audit.Entry;
import org.wache.audit.EntryRule;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.signal.Mode;

/** A code, slot or talk group where the mode has none, or a slot where there is no repeater to keep the slots apart. */
public final class DigitalAstray implements EntryRule {

    @Override
    public Slug slug() {
        return Slug.DIGITAL_ASTRAY;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "A digital setting that this channel does not have",
                "Colour code, slot and talk group belong to DMR, an access code to P25, NXDN and the digital squelch of two others; "
                        + "with another mode they do nothing, or the mode is wrong. A slot on a direct channel does nothing either: it "
                        + "is the repeater that keeps the slots apart.",
                "Take the setting out, or give the mode that was meant.",
                RulePage.entry(
                        "amateur:technician",
                        "rx_mhz=446.500 tx_mhz=446.500 mode=DMR power_w=5 colour_code=1 time_slot=2 talk_group=99"),
                RulePage.entry(
                        "amateur:technician",
                        "rx_mhz=446.500 tx_mhz=446.500 mode=DMR power_w=5 colour_code=1 talk_group=99"));
    }

    @Override
    public List<Finding> on(Entry entry) {
        Channel channel = entry.channel();
        if (channel.mode().isEmpty()) {
            return List.of();
        }
        Mode mode = channel.mode().get();
        Map<Field, String> out = new EnumMap<>(Field.class);
        for (Field field : Field.values()) {
            if (!field.modes().isEmpty() && !field.modes().contains(mode)) {
                take(channel, field, out);
            }
        }
        if (!out.isEmpty()) {
            return List.of(finding(
                    out,
                    "%s has no %s.",
                    mode.name(),
                    out.keySet().stream().map(Field::changed).collect(Collectors.joining(" and no "))));
        }
        boolean direct = channel.transmit().isPresent() && !channel.isPair();
        if (direct && mode == Mode.DMR) {
            take(channel, Field.TIME_SLOT, out);
        }
        return out.isEmpty()
                ? List.of()
                : List.of(finding(
                        out,
                        "Names slot %s on a direct channel: only a repeater keeps the slots apart.",
                        channel.text(Field.TIME_SLOT).trim()));
    }

    private static void take(Channel channel, Field field, Map<Field, String> out) {
        if (!channel.text(field).isBlank()) {
            out.put(field, "");
        }
    }

    private static Finding finding(Map<Field, String> out, String message, Object... arguments) {
        return Finding.query(Slug.DIGITAL_ASTRAY)
                .message(message, arguments)
                .source("common practice")
                .cures(() -> List.of(new Change(
                        "Take out " + out.keySet().stream().map(Field::words).collect(Collectors.joining(" and ")),
                        out)));
    }
}
