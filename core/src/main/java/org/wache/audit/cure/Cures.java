package org.wache.audit.cure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.wache.audit.Entry;
import org.wache.audit.Route;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Wording;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.signal.Content;
import org.wache.signal.Emission;
import org.wache.signal.Frequency;
import org.wache.signal.Span;

/** Changes that several rules offer. */
public final class Cures {

    private static final List<String> VOICE = List.of("NFM", "FM", "USB", "LSB", "AM");
    private static final List<String> DATA = List.of("DATA", "PKT");
    private static final String NARROW_PACKET = "11K2F2D";
    private static final long WIDE_STEP = 5_000;
    private static final long SIDEBAND_STEP = 500;
    private static final long FINE_STEP = 100;
    /** How far an entry may be moved and still be the same channel to its users. Common practice, no source. */
    private static final long NEAR = 25_000;

    private Cures() {}

    /** The transmit frequency moved, and the receive frequency by as much. */
    public static Change moved(String label, Channel channel, Frequency transmit) {
        Frequency before = channel.transmit().orElseThrow();
        Frequency receive = channel.receive().orElse(before);
        long moved = receive.hertz() + transmit.minus(before);
        return Change.frequencies(label, moved > 0 ? new Frequency(moved) : transmit, transmit);
    }

    /** Other modes that carry the same kind of message. */
    public static List<Change> otherModes(Channel channel) {
        Emission emission = channel.emission().orElseThrow();
        List<String> modes = emission.is(Content.PHONE) ? VOICE : emission.is(Content.DATA) ? DATA : List.of();
        return modes.stream().map(mode -> Change.mode("Use " + mode, mode)).toList();
    }

    /** Other voice modes: on a channel those that fit it, in a band the usual sideband first. */
    public static List<Change> otherVoice(Route route) {
        boolean narrowFits = route.widthLimit()
                .map(limit ->
                        limit.hertz() >= org.wache.signal.Mode.NFM.emission().bandwidth())
                .orElse(true);
        String sideband = route.entry().plan().lowerSidebandAt(route.transmit()) ? "LSB" : "USB";
        List<String> modes = !narrowFits
                ? List.of("AM", sideband)
                : route.bands().isPresent() ? List.of(sideband, "NFM", "FM") : List.of("NFM", "FM");
        return modes.stream().map(mode -> Change.mode("Use " + mode, mode)).toList();
    }

    /** The narrow form of an FM signal; nothing for others. */
    public static List<Change> narrower(Channel channel) {
        Emission emission = channel.emission().orElseThrow();
        Emission narrow = org.wache.signal.Mode.NFM.emission();
        if (emission.bandwidth() <= narrow.bandwidth()) {
            return List.of();
        }
        if (emission.is(Content.FM)) {
            return List.of(Change.mode("Use the narrow width", "NFM"));
        }
        return emission.kind().equals("F2D")
                ? List.of(Change.of("Use the narrow width", Field.EMISSION, NARROW_PACKET))
                : List.of();
    }

    /**
     * The signal moved by at least so many hertz (negative: down), in steps that its kind is tuned in: 5 kHz for FM, 500
     * Hz for sideband, 100 Hz for narrower signals.
     */
    public static Change shifted(Channel channel, long atLeast) {
        Emission emission = channel.emission().orElseThrow();
        long step = emission.oneSided() ? SIDEBAND_STEP : emission.bandwidth() < WIDE_STEP ? FINE_STEP : WIDE_STEP;
        Frequency now = channel.transmit().orElseThrow();
        long wanted = now.hertz() + atLeast;
        long onStep = atLeast < 0 ? Math.floorDiv(wanted, step) * step : -Math.floorDiv(-wanted, step) * step;
        Frequency to = new Frequency(onStep);
        return moved("Move to " + to, channel, to);
    }

    /**
     * The signal moved just into the nearest part where the holder may use such an emission, with room for the radio's error;
     * none where it would be another channel to its users, or the entry is a pair.
     */
    public static List<Change> intoRoom(Route route) {
        if (route.on().isPair() || route.bands().isEmpty()) {
            return List.of();
        }
        Span signal = route.occupied();
        long error = route.frequencyError();
        return route.bands().get().rooms(route.held().classIndex(), route.emission()).stream()
                .filter(room -> room.span().length() >= signal.length() + 2 * error)
                .map(room -> room.span().low() > signal.low()
                        ? room.span().low() + error - signal.low()
                        : room.span().high() - error - signal.high())
                .filter(move -> Math.abs(move) <= NEAR)
                .min(Comparator.comparingLong(Math::abs))
                .map(move -> List.of(shifted(route.on(), move)))
                .orElse(List.of());
    }

    /**
     * The pair with another offset: those that the plan uses where it hears, and the written one with the other sign. Of an entry
     * that is no pair, nothing.
     */
    public static List<Change> otherOffsets(Entry entry) {
        Channel channel = entry.channel();
        if (!channel.isPair()) {
            return List.of();
        }
        Frequency receive = channel.receive().orElseThrow();
        long written = channel.transmit().orElseThrow().minus(receive);
        return Stream.concat(
                        entry.plan().counting(receive).stream().flatMap(row -> row.offsets().stream()),
                        Stream.of(-written))
                .distinct()
                .filter(offset -> offset != written && receive.hertz() + offset > 0)
                .map(offset -> pair("Set the offset " + Wording.offset(offset), receive, receive.plus(offset)))
                .toList();
    }

    /** These changes and then listening only. */
    public static List<Change> orListen(List<Change> changes) {
        List<Change> all = new ArrayList<>(changes);
        all.add(Change.listenOnly());
        return all;
    }

    /** The repeater entry that hears one frequency and talks on another. */
    public static Change pair(String label, Frequency receive, Frequency transmit) {
        return new Change(
                label, Map.of(Field.RX_MHZ, receive.megahertz(), Field.TX_MHZ, transmit.megahertz(), Field.USE, ""));
    }
}
