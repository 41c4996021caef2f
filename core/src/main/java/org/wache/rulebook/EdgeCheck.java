package org.wache.rulebook;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wache.signal.Span;

/**
 * What a transceiver really has in its slots for band edges, held against what the table of a class wants there.
 *
 * @param lines what was entered, in its order
 * @param missing what the table wants where the radio transmits, and no slot reaches into
 */
public record EdgeCheck(List<EdgeCheck.Line> lines, List<EdgeTable.Slot> missing) {

    /** How a slot stands. */
    public enum Kind {
        /** It is the table's. */
        SAME,
        /** It lies inside of it: nothing forbidden, and less than there is. */
        NARROWER,
        /** It reaches further: the dial may stand where the signal leaves what may be keyed. */
        WIDER,
        /** It lies where nothing may be keyed. */
        NOTHING
    }

    /**
     * A slot as it was entered.
     *
     * @param entered where the dial may stand, as the radio has it
     * @param wanted the table's slot that it comes nearest to; empty when it meets none
     * @param belowHz how far it reaches below that, in hertz; 0 when it does not
     * @param aboveHz how far it reaches above that, in hertz; 0 when it does not
     */
    public record Line(Span entered, Optional<EdgeTable.Slot> wanted, Kind kind, long belowHz, long aboveHz) {}

    public EdgeCheck {
        lines = List.copyOf(lines);
        missing = List.copyOf(missing);
    }

    /**
     * Compares them by where the dial may stand. What found no slot in the table counts too: a radio may have it elsewhere.
     *
     * @param transmits where the radio transmits at all; nothing else is missed in its slots. Empty when that is not known
     */
    public static EdgeCheck of(EdgeTable table, List<Span> entered, List<Span> transmits) {
        List<EdgeTable.Slot> all = new ArrayList<>(table.slots());
        all.addAll(table.left());
        List<Line> lines = entered.stream().map(each -> line(each, all)).toList();
        return new EdgeCheck(
                lines,
                all.stream()
                        .filter(slot ->
                                transmits.isEmpty() || transmits.stream().anyMatch(span -> span.overlaps(slot.dial())))
                        .filter(slot -> lines.stream()
                                .noneMatch(line -> shared(line.entered(), slot.dial()) >= 0
                                        && line.wanted().isPresent()))
                        .toList());
    }

    private static Line line(Span entered, List<EdgeTable.Slot> all) {
        Optional<EdgeTable.Slot> wanted = all.stream()
                .filter(slot -> shared(entered, slot.dial()) >= 0)
                .max(java.util.Comparator.comparingLong(slot -> shared(entered, slot.dial())));
        if (wanted.isEmpty()) {
            return new Line(entered, wanted, Kind.NOTHING, 0, 0);
        }
        Span dial = wanted.get().dial();
        long below = Math.max(0, dial.low() - entered.low());
        long above = Math.max(0, entered.high() - dial.high());
        Kind kind = below + above > 0 ? Kind.WIDER : dial.equals(entered) ? Kind.SAME : Kind.NARROWER;
        return new Line(entered, wanted, kind, below, above);
    }

    /** Hertz that both have; negative when they have none. */
    private static long shared(Span one, Span other) {
        return Math.min(one.high(), other.high()) - Math.max(one.low(), other.low());
    }
}
