package org.wache.audit.context;

import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.wache.place.Area;
import org.wache.place.Inside;
import org.wache.place.Region;
import org.wache.place.Shapes;
import org.wache.place.Zone;
import org.wache.rulebook.Geography;

/** Where a list is used, and how that lies to the zones of a rulebook. Each answer is worked out once. */
public final class Whereabouts {

    /** How a list's place lies to a zone or to a licence's area. */
    public enum Lies {
        IN,
        PARTLY,
        OUT,
        UNKNOWN
    }

    private final Optional<Area> area;
    private final Geography geography;
    private final Map<Zone, Lies> known = new ConcurrentHashMap<>();

    public Whereabouts(Optional<Area> area, Geography geography) {
        this.area = area;
        this.geography = geography;
    }

    /** The site or area, when somebody said it. */
    public Optional<Area> area() {
        return area;
    }

    /** How it lies to a zone. */
    public Lies to(Zone zone) {
        return known.computeIfAbsent(zone, each -> lies(area.flatMap(used -> each.inside(used, geography.outlines()))));
    }

    /** How it lies to the area of a licence line. */
    public Lies to(Area whole) {
        return lies(area.flatMap(used -> Shapes.inside(used, whole, geography.outlines())));
    }

    /** A list used somewhere in a region of which a part lies inside may be used there or not: that is not known. */
    private Lies lies(Optional<Inside> inside) {
        if (inside.isEmpty()) {
            return Lies.UNKNOWN;
        }
        return switch (inside.get()) {
            case ALL -> Lies.IN;
            case NONE -> Lies.OUT;
            case PART -> area.orElseThrow() instanceof Region ? Lies.UNKNOWN : Lies.PARTLY;
        };
    }
}
