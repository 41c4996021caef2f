package org.wache.rulebook;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.wache.place.Border;
import org.wache.place.Outlines;
import org.wache.place.Zone;
import org.wache.signal.Frequency;
import org.wache.signal.Span;

/** What a rulebook says of places: lines, zones, and what is closed or limited in them. */
public final class Geography {

    private final List<Border> borders;
    private final List<Zone> zones;
    private final List<Closure> closures;
    private final List<LocalLimit> limits;
    private final Supplier<Outlines> outlines;

    Geography(
            List<Border> borders,
            List<Zone> zones,
            List<Closure> closures,
            List<LocalLimit> limits,
            Supplier<Outlines> outlines) {
        this.borders = List.copyOf(borders);
        this.zones = List.copyOf(zones);
        this.closures = List.copyOf(closures);
        this.limits = List.copyOf(limits);
        this.outlines = outlines;
    }

    /** The lines that rules go by. */
    public List<Border> borders() {
        return borders;
    }

    /** The zones that rules go by. */
    public List<Zone> zones() {
        return zones;
    }

    /** The zone with this identifier. */
    public Optional<Zone> zone(String id) {
        return zones.stream().filter(each -> each.id().equals(id)).findFirst();
    }

    /** The outlines of the country's regions; read when first asked for. */
    public Outlines outlines() {
        return outlines.get();
    }

    /** All closures. */
    public List<Closure> closures() {
        return closures;
    }

    /** All local limits. */
    public List<LocalLimit> limits() {
        return limits;
    }

    /** The closures that a signal would reach into, wherever they hold. */
    public List<Closure> closures(String service, Span signal) {
        List<Closure> found = List.of();
        for (Closure each : closures) {
            if (each.service().equals(service) && each.span().overlaps(signal)) {
                found = found.isEmpty() ? new ArrayList<>() : found;
                found.add(each);
            }
        }
        return found;
    }

    /** The local limit for a frequency, wherever it holds. */
    public Optional<LocalLimit> limit(String service, Frequency frequency) {
        for (LocalLimit each : limits) {
            if (each.service().equals(service) && each.span().contains(frequency)) {
                return Optional.of(each);
            }
        }
        return Optional.empty();
    }
}
