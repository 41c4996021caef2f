package org.wache.place;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import org.locationtech.jts.geom.Geometry;

/** An area in which a rule holds or does not: north of a line, around a place, in a state or part of one. */
public final class Zone {

    private final String id;
    private final String name;
    private final List<String> regions;
    private final boolean whole;
    private final Optional<Circle> circle;
    private final Optional<Border> border;
    private final Supplier<Geometry> shape;
    private Geometry drawn;

    private Zone(
            String id,
            String name,
            List<String> regions,
            boolean whole,
            Optional<Circle> circle,
            Optional<Border> border,
            Supplier<Geometry> shape) {
        this.id = id;
        this.name = name;
        this.regions = List.copyOf(regions);
        this.whole = whole;
        this.circle = circle;
        this.border = border;
        this.shape = shape;
    }

    /** What lies behind a line. */
    public static Zone behind(String id, String name, Border border) {
        return new Zone(id, name, List.of(), false, Optional.empty(), Optional.of(border), border::far);
    }

    /** What lies within a distance of a place. */
    public static Zone around(String id, String name, Circle circle) {
        return new Zone(id, name, List.of(), false, Optional.of(circle), Optional.empty(), () -> Shapes.circle(circle));
    }

    /** Any shape, given when it is first needed. */
    public static Zone shaped(String id, String name, Supplier<Geometry> shape) {
        return new Zone(id, name, List.of(), false, Optional.empty(), Optional.empty(), shape);
    }

    /** Regions, or the part of them inside a box. */
    public static Zone regions(
            String id, String name, List<String> codes, Optional<Box> part, Supplier<Outlines> outlines) {
        return new Zone(id, name, codes, part.isEmpty(), Optional.empty(), Optional.empty(), () -> {
            Geometry all = codes.stream()
                    .map(code -> outlines.get().of(code).orElseThrow().shape())
                    .reduce(Geometry::union)
                    .orElseThrow();
            return part.map(box -> all.intersection(Shapes.box(box))).orElse(all);
        });
    }

    public String id() {
        return id;
    }

    /** As findings say where it is: {@code north of Line A}. */
    public String name() {
        return name;
    }

    /** Its shape in degrees, longitude first. */
    public synchronized Geometry shape() {
        if (drawn == null) {
            drawn = shape.get();
        }
        return drawn;
    }

    /** The circle that it is, where it is one. */
    public Optional<Circle> circle() {
        return circle;
    }

    /** How much of an area lies in it; nothing when the area's outline is not known. */
    public Optional<Inside> inside(Area used, Outlines outlines) {
        if (!regions.isEmpty()) {
            Optional<String> said = used instanceof Region region
                    ? Optional.of(region.code())
                    : used instanceof Circle site && site.radiusKm() == 0
                            ? site.centre().region()
                            : Optional.empty();
            if (said.isPresent() && (whole || !regions.contains(said.get()))) {
                return Optional.of(regions.contains(said.get()) ? Inside.ALL : Inside.NONE);
            }
        }
        if (circle.isPresent() && used instanceof Circle inner) {
            return Optional.of(circle.get().holds(inner));
        }
        return Shapes.of(used, outlines).map(inner -> Shapes.inside(inner, shape()));
    }

    /** How a site lies to it, as figures to be shown: how far from the middle, or past the line. */
    public List<Measured> measured(Area used) {
        if (!(used instanceof Circle site)) {
            return List.of();
        }
        if (circle.isPresent()) {
            return List.of(
                    new Measured(
                            false,
                            km(circle.get().distanceKm(site.centre())),
                            "km",
                            "from the middle, " + circle.get().centre().words()),
                    new Measured(true, km(circle.get().radiusKm()), "km", "how far it reaches"));
        }
        if (border.isPresent() && border.get().latitudeNear(site.centre()).isPresent()) {
            return List.of(
                    new Measured(
                            false,
                            degrees(site.centre().latitude()),
                            "° N",
                            "the site, at " + Place.degrees(site.centre().longitude(), "E", "W")),
                    new Measured(
                            true,
                            degrees(border.get().latitudeNear(site.centre()).getAsDouble()),
                            "° N",
                            border.get().name() + " there, " + km(border.get().distanceKm(site.centre()))
                                    + " km away at its nearest"));
        }
        return List.of();
    }

    /**
     * A figure of {@link #measured}.
     *
     * @param limit whether it is what the one before is held against
     * @param amount figure
     * @param unit its unit
     * @param label what it is
     */
    public record Measured(boolean limit, String amount, String unit, String label) {}

    private static String km(double kilometres) {
        return String.format(Locale.ROOT, "%.1f", kilometres);
    }

    private static String degrees(double value) {
        return String.format(Locale.ROOT, "%.4f", value);
    }
}
