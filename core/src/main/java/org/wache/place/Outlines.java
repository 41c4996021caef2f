package org.wache.place;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.locationtech.jts.geom.Geometry;

/** The outlines of a country's regions by code, in degrees, longitude first. */
public final class Outlines {

    private final Map<String, Outline> regions = new LinkedHashMap<>();

    /**
     * One region.
     *
     * @param code {@code AZ}
     * @param name {@code Arizona}
     * @param shape its outline
     */
    public record Outline(String code, String name, Geometry shape) {}

    public Outlines(Iterable<Outline> outlines) {
        outlines.forEach(each -> regions.put(each.code(), each));
    }

    /** The region of this code. */
    public Optional<Outline> of(String code) {
        return Optional.ofNullable(regions.get(code));
    }

    /** The region that a place lies in by its coordinates. */
    public Optional<Outline> at(Place place) {
        Geometry point = Shapes.point(place);
        return regions.values().stream()
                .filter(each -> each.shape().covers(point))
                .findFirst();
    }

    /** All regions in the order of their codes. */
    public Iterable<Outline> all() {
        return regions.values();
    }
}
