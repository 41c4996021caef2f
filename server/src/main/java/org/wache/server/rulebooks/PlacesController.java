package org.wache.server.rulebooks;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.StreamSupport;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.simplify.TopologyPreservingSimplifier;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.wache.place.Border;
import org.wache.place.Circle;
import org.wache.place.Inside;
import org.wache.place.Outlines;
import org.wache.place.Place;
import org.wache.place.Zone;
import org.wache.rulebook.Closure;
import org.wache.rulebook.Edition;
import org.wache.rulebook.Geography;
import org.wache.rulebook.LocalLimit;
import org.wache.server.web.Refused;

/** What the rulebook says of places: for a map, and for a place that somebody asks about. */
@RestController
class PlacesController {

    private static final double MAP_DEGREES = 0.02;

    private final Editions editions;

    PlacesController(Editions editions) {
        this.editions = editions;
    }

    /** Lines and zones that rules go by, in degrees, longitude first. */
    record Places(List<DrawnLine> lines, List<DrawnZone> zones, List<RegionName> regions, MapCentre centre) {}

    /** Where a map looks that knows no site. */
    record MapCentre(double latitude, double longitude) {}

    record DrawnLine(String id, String name, List<double[]> path, String source) {}

    record DrawnZone(String id, String name, String does, List<double[]> outline) {}

    record RegionName(String code, String name) {}

    @GetMapping("/api/rulebook/places")
    Places places(@RequestParam Optional<String> rulebook) {
        Geography geography = editions.on(rulebook, Optional.empty()).geography();
        List<DrawnLine> lines = geography.borders().stream()
                .map(each -> new DrawnLine(
                        each.id(),
                        each.name(),
                        each.path().stream()
                                .map(p -> new double[] {p.longitude(), p.latitude()})
                                .toList(),
                        each.source()))
                .toList();
        List<DrawnZone> zones = geography.limits().stream()
                .flatMap(limit -> limit.zones().stream()
                        .map(zone -> new DrawnZone(zone.id(), zone.name(), does(limit), outline(zone))))
                .toList();
        List<RegionName> regions = StreamSupport.stream(
                        geography.outlines().all().spliterator(), false)
                .map(each -> new RegionName(each.code(), each.name()))
                .toList();
        Place centre = editions.rulebook(rulebook).centre();
        return new Places(lines, zones, regions, new MapCentre(centre.latitude(), centre.longitude()));
    }

    private static String does(LocalLimit limit) {
        return limit.span() + ": not more than " + limit.limit().watts() + " "
                + limit.limit().measure().words();
    }

    /** The outside of its largest part, as fine as a map of this size can show. */
    private static List<double[]> outline(Zone zone) {
        Geometry shape = zone.shape();
        Geometry largest = shape;
        for (int i = 0; i < shape.getNumGeometries(); i++) {
            Geometry part = shape.getGeometryN(i);
            largest = i == 0 || part.getArea() > largest.getArea() ? part : largest;
        }
        Geometry simple = TopologyPreservingSimplifier.simplify(largest, MAP_DEGREES);
        Coordinate[] ring = simple instanceof Polygon polygon
                ? polygon.getExteriorRing().getCoordinates()
                : simple.convexHull().getCoordinates();
        return Arrays.stream(ring).map(c -> new double[] {c.x, c.y}).toList();
    }

    /** What holds at a place: its region, how it lies to the lines, and what is closed or limited there. */
    record PlaceFacts(@Schema(nullable = true) String region, List<LineFact> lines, List<PlaceRule> rules) {}

    /** A line, which side of it the place is on, and how far away it is at its nearest. */
    record LineFact(String name, boolean beyond, double km, String source) {}

    /** A rule that holds at the place. */
    record PlaceRule(String words, String where, String source) {}

    @GetMapping("/api/rulebook/place")
    PlaceFacts place(
            @RequestParam double latitude, @RequestParam double longitude, @RequestParam Optional<String> rulebook) {
        Edition edition = editions.on(rulebook, Optional.empty());
        Geography geography = edition.geography();
        Place place = placeAt(latitude, longitude);
        Circle site = Circle.site(place);
        List<LineFact> lines = new ArrayList<>();
        for (Border border : geography.borders()) {
            boolean beyond = geography.zones().stream()
                    .filter(zone -> zone.name().endsWith(border.name()))
                    .anyMatch(zone -> within(zone, site, geography));
            lines.add(new LineFact(border.name(), beyond, border.distanceKm(place), edition.cite(border.source())));
        }
        List<PlaceRule> rules = new ArrayList<>();
        for (Closure closure : geography.closures()) {
            if (within(closure.zone(), site, geography)) {
                String service = edition.service(closure.service())
                        .map(each -> each.title())
                        .orElse(closure.service());
                rules.add(new PlaceRule(
                        closure.words() + " is closed (" + service + ")",
                        closure.zone().name(),
                        edition.cite(closure.source())));
            }
        }
        for (LocalLimit limit : geography.limits()) {
            limit.zones().stream()
                    .filter(zone -> within(zone, site, geography))
                    .forEach(zone -> rules.add(new PlaceRule(
                            does(limit), zone.name(), edition.cite(limit.limit().source()))));
        }
        return new PlaceFacts(
                geography.outlines().at(place).map(Outlines.Outline::name).orElse(null), lines, rules);
    }

    private static Place placeAt(double latitude, double longitude) {
        try {
            return Place.at(latitude, longitude);
        } catch (IllegalArgumentException e) {
            throw new Refused(e.getMessage() + ".");
        }
    }

    private static boolean within(Zone zone, Circle site, Geography geography) {
        return zone.inside(site, geography.outlines())
                .filter(inside -> inside != Inside.NONE)
                .isPresent();
    }
}
