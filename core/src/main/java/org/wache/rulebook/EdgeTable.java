package org.wache.rulebook;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.wache.signal.Content;
import org.wache.signal.Emission;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;
import org.wache.signal.Span;

/**
 * Band edges for a transceiver that keeps its transmit limits in a table of so many slots: rising, never overlapping,
 * one contiguous span a slot.
 *
 * @param slots what goes into the table
 * @param left what found no slot, in the same order
 * @param channelised bands used on fixed channels only: they are memories, not ranges
 */
public record EdgeTable(List<Slot> slots, List<Slot> left, List<String> channelised) {

    /** What is sent when it is asked for, the usual widths of it. */
    private static final Map<Content, Emission> SENT = Map.of(
            Content.CW,
            Mode.CW.emission(),
            Content.DATA,
            Mode.DATA.emission(),
            Content.SSB,
            Mode.USB.emission(),
            Content.FM,
            Mode.FM.emission());

    /**
     * One slot.
     *
     * @param number from 1
     * @param band the band's name
     * @param span where the whole signal has to stay
     * @param dial where the dial may stand so that it does
     */
    public record Slot(int number, String band, Span span, Span dial) {}

    public EdgeTable {
        slots = List.copyOf(slots);
        left = List.copyOf(left);
        channelised = List.copyOf(channelised);
    }

    /**
     * The table of a class.
     *
     * @param plan tells the usual sideband
     * @param contents set of {@link org.wache.signal.Content} bits: what the operator wants to send
     * @param bands names of the bands wanted; empty for all
     * @param most slots that the transceiver has, at least 1
     */
    public static EdgeTable of(
            BandService service, BandPlan plan, int licenceClass, int contents, Set<String> bands, int most) {
        if (most < 1) {
            throw new IllegalArgumentException("A table has at least one slot");
        }
        List<Slot> slots = new ArrayList<>();
        List<Slot> left = new ArrayList<>();
        for (Room room : service.rooms(licenceClass, contents)) {
            if (room.low().restricted().isPresent() && room.high().restricted().isPresent()) {
                continue; // kept for stations of another kind
            }
            if (bands.isEmpty()
                    || bands.contains(room.low().band())
                    || bands.contains(room.high().band())) {
                Slot slot =
                        new Slot(slots.size() + left.size() + 1, room.band(), room.span(), dial(room, plan, contents));
                (slots.size() < most ? slots : left).add(slot);
            }
        }
        List<String> channelised = service.channelised().stream()
                .map(Grant::band)
                .filter(band -> bands.isEmpty() || bands.contains(band))
                .filter(band -> service.channels().stream()
                        .anyMatch(
                                channel -> channel.lowestClass() <= licenceClass && (channel.allow() & contents) != 0))
                .toList();
        return new EdgeTable(slots, left, channelised);
    }

    /**
     * Where the dial may stand: of an upper sideband from the bottom to its width below the top, of a lower one the other way, of what lies
     * around the dial half its width inside both. At each end the emissions count that may be sent there, the strictest of them.
     */
    private static Span dial(Room room, BandPlan plan, int contents) {
        boolean lower = plan.lowerSidebandAt(
                new Frequency((room.span().low() + room.span().high()) / 2));
        long below = 0;
        long above = 0;
        for (Map.Entry<Content, Emission> each : SENT.entrySet()) {
            if ((contents & each.getKey().bit()) == 0) {
                continue;
            }
            Span around = each.getValue().aroundDial(lower && each.getKey() == Content.SSB);
            below = (room.low().allow() & each.getValue().contents()) != 0 ? Math.max(below, -around.low()) : below;
            above = (room.high().allow() & each.getValue().contents()) != 0 ? Math.max(above, around.high()) : above;
        }
        long low = room.span().low() + below;
        long high = room.span().high() - above;
        return low <= high ? new Span(low, high) : room.span();
    }

    /** As text, a line a slot: {@code 1  14.025000  14.147100  20 m}. */
    public String text() {
        StringBuilder text = new StringBuilder();
        for (Slot slot : slots) {
            text.append(String.format(
                    java.util.Locale.ROOT,
                    "%2d  %12.6f  %12.6f  %s%n",
                    slot.number(),
                    slot.dial().low() / 1e6,
                    slot.dial().high() / 1e6,
                    slot.band()));
        }
        return text.toString().replace("\r\n", "\n");
    }
}
