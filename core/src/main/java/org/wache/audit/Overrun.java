package org.wache.audit;

import org.wache.audit.finding.Sum;
import org.wache.audit.finding.Wording;
import org.wache.rulebook.Room;
import org.wache.signal.Frequency;
import org.wache.signal.Span;

/**
 * How a signal stands to the edge of its room that it crosses, or comes nearest to.
 *
 * @param atTop whether that edge is the upper
 * @param over how far it crosses in hertz; negative while it stays inside
 * @param reach the end of the signal
 * @param edge the end of the room
 */
public record Overrun(boolean atTop, long over, Frequency reach, Frequency edge) {

    public static Overrun of(Span signal, Span room) {
        long below = room.low() - signal.low();
        long above = signal.high() - room.high();
        return above >= below
                ? new Overrun(true, above, new Frequency(signal.high()), new Frequency(room.high()))
                : new Overrun(false, below, new Frequency(signal.low()), new Frequency(room.low()));
    }

    /** What the edge is called: the end of a band, of its part for such an emission, or of what this class may use. */
    public String edgeName(Route route, Room room) {
        String side = atTop ? "top" : "bottom";
        String band = (atTop ? room.high() : room.low()).band();
        boolean ofBand = route.bands()
                .flatMap(bands -> bands.band(band))
                .map(span -> (atTop ? span.high() : span.low()) == edge.hertz())
                .orElse(false);
        if (ofBand) {
            return "the " + side + " of the " + band + " band";
        }
        String emission = Wording.emission(route.on());
        return sameForAll(route)
                ? "the " + side + " of the " + band + " part for " + emission
                : "the " + side + " of the " + band + " part where "
                        + Wording.capital(route.licenceClass().orElse("anyone")) + " may use " + emission;
    }

    /** Whether the highest class has its edge there too. */
    private boolean sameForAll(Route route) {
        return route.bands()
                .flatMap(bands -> bands.room(bands.traits().classes().size() - 1, route.emission(), route.transmit()))
                .map(highest -> (atTop ? highest.span().high() : highest.span().low()) == edge.hertz())
                .orElse(false);
    }

    /** The sum: where it talks, the side of the signal towards the edge, where that reaches. */
    public Sum working(Route route, Room room) {
        long side = reach.minus(route.transmit());
        boolean half = route.emission().symmetrical();
        Sum sum = Sum.of(route.transmit(), "talks on")
                .plus(
                        side,
                        half
                                ? "half of " + route.emission()
                                : (route.emission().vestigial() ? "this side of " : "far side of ") + route.emission())
                .gives(reach, "reaches")
                .limit(edge, edgeLabel(route, room));
        return sum.rest(Wording.length(Math.abs(over)), "", over > 0 ? "over" : "left");
    }

    private String edgeLabel(Route route, Room room) {
        String section = (atTop ? room.high() : room.low()).source(route.held().classIndex());
        String first = section.contains(",") ? section.substring(0, section.indexOf(',')) : section;
        return edgeName(route, room) + " (" + route.cite(first) + ")";
    }
}
