package org.wache.place;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import net.sf.geographiclib.Geodesic;
import net.sf.geographiclib.GeodesicData;
import net.sf.geographiclib.GeodesicLine;
import net.sf.geographiclib.GeodesicMask;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.MultiPoint;
import org.locationtech.jts.geom.Polygon;

/**
 * Areas as shapes in degrees, longitude first. Parallels and meridians are straight in that plane; circles and great
 * circles are drawn with so many points that they are off by metres.
 */
public final class Shapes {

    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final int CIRCLE_POINTS = 360;
    private static final double STEP_KM = 5;

    private Shapes() {}

    /** A point. */
    public static Geometry point(Place place) {
        return FACTORY.createPoint(coordinate(place.latitude(), place.longitude()));
    }

    /** The shape of an area; nothing for a region whose outline is not known. */
    public static Optional<Geometry> of(Area area, Outlines outlines) {
        if (area instanceof Circle circle) {
            return Optional.of(circle.radiusKm() == 0 ? point(circle.centre()) : circle(circle));
        }
        return area instanceof Box box
                ? Optional.of(box(box))
                : outlines.of(((Region) area).code()).map(Outlines.Outline::shape);
    }

    /**
     * How much of one area lies inside another: circles by geodesics, all else by shape. Nothing when an outline is
     * missing.
     */
    public static Optional<Inside> inside(Area used, Area whole, Outlines outlines) {
        if (used.equals(whole)) {
            return Optional.of(Inside.ALL);
        }
        if (used instanceof Circle inner && whole instanceof Circle outer) {
            return Optional.of(outer.holds(inner));
        }
        if (whole instanceof Region region
                && used instanceof Circle circle
                && circle.radiusKm() == 0
                && circle.centre().region().isPresent()) {
            return Optional.of(circle.centre().region().get().equals(region.code()) ? Inside.ALL : Inside.NONE);
        }
        return of(used, outlines).flatMap(inner -> of(whole, outlines).map(outer -> inside(inner, outer)));
    }

    /** How much of one shape lies inside another. */
    static Inside inside(Geometry inner, Geometry outer) {
        return outer.covers(inner) ? Inside.ALL : outer.intersects(inner) ? Inside.PART : Inside.NONE;
    }

    /** A circle along the earth. */
    public static Polygon circle(Circle circle) {
        Coordinate[] ring = new Coordinate[CIRCLE_POINTS + 1];
        for (int i = 0; i < CIRCLE_POINTS; i++) {
            GeodesicData at = Geodesic.WGS84.Direct(
                    circle.centre().latitude(), circle.centre().longitude(), i, circle.radiusKm() * 1000);
            ring[i] = coordinate(at.lat2, at.lon2);
        }
        ring[CIRCLE_POINTS] = ring[0];
        return FACTORY.createPolygon(ring);
    }

    /** A box between parallels and meridians. */
    public static Polygon box(Box box) {
        return FACTORY.createPolygon(new Coordinate[] {
            coordinate(box.south(), box.west()),
            coordinate(box.south(), box.east()),
            coordinate(box.north(), box.east()),
            coordinate(box.north(), box.west()),
            coordinate(box.south(), box.west())
        });
    }

    /** What lies within a distance of a box: circles around points all along its sides, and what is between them. */
    public static Geometry around(Box box, double kilometres) {
        List<Coordinate> points = new ArrayList<>();
        int steps = 20;
        for (int i = 0; i <= steps; i++) {
            double latitude = box.south() + (box.north() - box.south()) * i / steps;
            double longitude = box.west() + (box.east() - box.west()) * i / steps;
            for (Place place : List.of(
                    Place.at(latitude, box.west()),
                    Place.at(latitude, box.east()),
                    Place.at(box.south(), longitude),
                    Place.at(box.north(), longitude))) {
                points.addAll(List.of(circle(new Circle(place, kilometres)).getCoordinates()));
            }
        }
        MultiPoint cloud = FACTORY.createMultiPointFromCoords(points.toArray(Coordinate[]::new));
        return cloud.convexHull();
    }

    /** A closed ring of places. */
    public static Polygon ring(List<Place> places) {
        List<Coordinate> ring = new ArrayList<>(places.stream()
                .map(p -> coordinate(p.latitude(), p.longitude()))
                .toList());
        ring.add(ring.get(0));
        return FACTORY.createPolygon(ring.toArray(Coordinate[]::new));
    }

    /** Rings of longitude and latitude, the first the outside, the others holes, as one shape of many parts. */
    public static Geometry polygons(List<List<List<double[]>>> polygons) {
        Polygon[] parts = polygons.stream()
                .map(rings -> FACTORY.createPolygon(
                        linear(rings.get(0)),
                        rings.subList(1, rings.size()).stream()
                                .map(Shapes::linear)
                                .toArray(org.locationtech.jts.geom.LinearRing[]::new)))
                .toArray(Polygon[]::new);
        return FACTORY.createMultiPolygon(parts).buffer(0);
    }

    private static org.locationtech.jts.geom.LinearRing linear(List<double[]> ring) {
        return FACTORY.createLinearRing(
                ring.stream().map(p -> new Coordinate(p[0], p[1])).toArray(Coordinate[]::new));
    }

    /** The places along the shortest way between two, without the first. */
    static List<Place> arc(Place from, Place to) {
        GeodesicLine line = Geodesic.WGS84.InverseLine(
                from.latitude(),
                from.longitude(),
                to.latitude(),
                to.longitude(),
                GeodesicMask.STANDARD | GeodesicMask.DISTANCE_IN);
        int steps = Math.max(1, (int) Math.ceil(line.Distance() / 1000 / STEP_KM));
        List<Place> places = new ArrayList<>();
        for (int i = 1; i < steps; i++) {
            GeodesicData at = line.Position(line.Distance() * i / steps);
            places.add(Place.at(at.lat2, at.lon2));
        }
        places.add(to);
        return places;
    }

    /** The places along a parallel or meridian, without the first. */
    static List<Place> straight(Place from, Place to) {
        int steps = Math.max(1, (int) Math.ceil(Circle.site(from).distanceKm(to) / STEP_KM));
        List<Place> places = new ArrayList<>();
        for (int i = 1; i < steps; i++) {
            places.add(Place.at(
                    from.latitude() + (to.latitude() - from.latitude()) * i / steps,
                    from.longitude() + (to.longitude() - from.longitude()) * i / steps));
        }
        places.add(to);
        return places;
    }

    private static Coordinate coordinate(double latitude, double longitude) {
        return new Coordinate(longitude, latitude);
    }
}
