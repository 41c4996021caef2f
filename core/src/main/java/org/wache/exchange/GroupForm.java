package org.wache.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.signal.Emission;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;
import org.wache.signal.Tone;

/**
 * A list in the columns that emergency groups hand in: the communications plan (form 205) or the inventory of frequencies (form 217A).
 * The columns are from memory; check them against the form that is asked for. A column of the list that has the heading of one of
 * the form is what stands in it.
 */
public enum GroupForm {
    /** What is used on an operation: who is on which channel. */
    COMMUNICATIONS_PLAN(List.of(
            "Zone Grp.",
            "Ch #",
            "Function",
            "Channel Name/Trunked Radio System Talkgroup",
            "Assignment",
            "RX Freq N or W",
            "RX Tone/NAC",
            "TX Freq N or W",
            "TX Tone/NAC",
            "Mode (A, D, or M)",
            "Remarks")),
    /** What there is. */
    INVENTORY(List.of(
            "Channel Configuration",
            "Channel Name/Trunked Radio System Talkgroup",
            "Eligible Users",
            "RX Freq",
            "N or W",
            "RX Tone/NAC",
            "TX Freq",
            "N or W",
            "TX Tone/NAC",
            "Mode (A, D, or M)",
            "Remarks"));

    /** A signal up to this width is a narrow one, in hertz: 12.5 kHz channels (47 CFR 90.209). */
    private static final long NARROW = 12_500;

    private final List<String> headings;

    GroupForm(List<String> headings) {
        this.headings = headings;
    }

    /** The headings of its columns. */
    public List<String> headings() {
        return headings;
    }

    /** The entries of a list, a row each. */
    public List<List<String>> rows(ChannelList list) {
        List<List<String>> rows = new ArrayList<>();
        for (Channel channel : list.channels()) {
            rows.add(this == COMMUNICATIONS_PLAN ? plan(list, channel) : inventory(list, channel));
        }
        return rows;
    }

    private static List<String> plan(ChannelList list, Channel channel) {
        return List.of(
                channel.text(Field.ZONE),
                channel.number(),
                own(list, channel, "Function").orElseGet(() -> configuration(channel)),
                channel.name(),
                own(list, channel, "Assignment").orElse(""),
                withWidth(receive(channel), channel),
                toneOr(channel, channel.opensOn(), Field.RX_TONE),
                withWidth(transmit(channel), channel),
                transmit(channel).isEmpty() ? "" : toneOr(channel, channel.sends(), Field.TX_TONE),
                letter(channel),
                remarks(channel));
    }

    private static List<String> inventory(ChannelList list, Channel channel) {
        String transmit = transmit(channel);
        return List.of(
                own(list, channel, "Channel Configuration").orElseGet(() -> configuration(channel)),
                channel.name(),
                own(list, channel, "Eligible Users").orElse(""),
                receive(channel),
                width(channel),
                toneOr(channel, channel.opensOn(), Field.RX_TONE),
                transmit,
                transmit.isEmpty() ? "" : width(channel),
                transmit.isEmpty() ? "" : toneOr(channel, channel.sends(), Field.TX_TONE),
                letter(channel),
                remarks(channel));
    }

    private static Optional<String> own(ChannelList list, Channel channel, String heading) {
        for (int i = 0; i < list.extraColumns().size(); i++) {
            if (list.extraColumns().get(i).equalsIgnoreCase(heading)) {
                return Optional.of(channel.extras().get(i)).filter(text -> !text.isBlank());
            }
        }
        return Optional.empty();
    }

    private static String configuration(Channel channel) {
        if (channel.text(Field.TX_MHZ).isBlank()) {
            return "Listen only";
        }
        return channel.isPair() ? "Repeater" : "Direct";
    }

    /** What cannot be read stands as it was written. */
    private static String receive(Channel channel) {
        return channel.receive().map(GroupForm::four).orElse(channel.text(Field.RX_MHZ));
    }

    private static String transmit(Channel channel) {
        return channel.transmit().map(GroupForm::four).orElse(channel.text(Field.TX_MHZ));
    }

    /** Four decimals as on the form; more where a frequency has them. */
    private static String four(Frequency frequency) {
        String megahertz = frequency.megahertz();
        int decimals = megahertz.length() - megahertz.indexOf('.') - 1;
        return megahertz + "0".repeat(Math.max(0, 4 - decimals));
    }

    private static String withWidth(String frequency, Channel channel) {
        return frequency.isEmpty() ? "" : (frequency + " " + width(channel)).strip();
    }

    private static String width(Channel channel) {
        return channel.emission()
                .map(Emission::bandwidth)
                .map(width -> width <= NARROW ? "N" : "W")
                .orElse("");
    }

    private static boolean isDigital(Channel channel) {
        return channel.mode()
                .map(mode -> switch (mode) {
                    case DMR, P25, NXDN, DV, C4FM, DSTAR, M17, TETRA -> true;
                    default -> false;
                })
                .orElse(false);
    }

    private static String letter(Channel channel) {
        return isDigital(channel) ? "D" : "A";
    }

    private static String toneOr(Channel channel, Optional<Tone> tone, Field field) {
        return channel.mode().equals(Optional.of(Mode.P25))
                ? channel.text(Field.ACCESS_CODE)
                : tone.map(Tone::text).orElse(channel.text(field));
    }

    /** What the columns have no place for: which digital mode, its settings, the power, the note. */
    private static String remarks(Channel channel) {
        List<String> parts = new ArrayList<>();
        if (isDigital(channel)) {
            parts.add(channel.mode().orElseThrow().name());
        }
        channel.power().ifPresent(watts -> parts.add(watts.number() + " W"));
        setting(parts, "colour code", channel.text(Field.COLOUR_CODE));
        setting(parts, "slot", channel.text(Field.TIME_SLOT));
        setting(parts, "talk group", channel.text(Field.TALK_GROUP));
        if (!channel.text(Field.NOTE).isBlank()) {
            parts.add(channel.text(Field.NOTE));
        }
        return String.join(", ", parts);
    }

    private static void setting(List<String> parts, String what, String value) {
        if (!value.isBlank()) {
            parts.add(what + " " + value);
        }
    }
}
