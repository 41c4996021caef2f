package org.wache.place;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import org.locationtech.jts.geom.Geometry;

/**
 * A line across the land that a rule goes by, such as Line A.
 *
 * @param id identifier
 * @param name as the law calls it
 * @param path places so close together that straight pieces between them will do
 * @param corners where its legs meet, as the law names them
 * @param behind places that close the line to an area around its far side
 * @param source section of the law
 */
public record Border(String id, String name, List<Place> path, List<Place> corners, List<Place> behind, String source) {

    /**
     * Reads legs such as {@code 46.98 -123.82}, then {@code arc 48 -120}, {@code parallel 48 -95} or {@code meridian 41
     * -85}.
     *
     * @throws IllegalArgumentException when a leg cannot be read
     */
    public static Border of(String id, String name, List<String> legs, List<String> behind, String source) {
        List<Place> path = new ArrayList<>();
        List<Place> corners = new ArrayList<>();
        for (String leg : legs) {
            String[] words = leg.trim().split("\\s+");
            Place to = place(words[words.length - 2], words[words.length - 1]);
            corners.add(to);
            if (path.isEmpty()) {
                path.add(to);
            } else {
                Place from = path.get(path.size() - 1);
                path.addAll(
                        switch (words[0].toLowerCase(Locale.ROOT)) {
                            case "arc" -> Shapes.arc(from, to);
                            case "parallel", "meridian" -> Shapes.straight(from, to);
                            default ->
                                throw new IllegalArgumentException(
                                        "A leg is an arc, a parallel or a meridian, not: " + leg);
                        });
            }
        }
        return new Border(
                id, name, path, corners, behind.stream().map(Border::place).toList(), source);
    }

    private static Place place(String text) {
        String[] words = text.trim().split("\\s+");
        return place(words[0], words[1]);
    }

    private static Place place(String latitude, String longitude) {
        return Place.at(Double.parseDouble(latitude), Double.parseDouble(longitude));
    }

    /** The area behind the line. */
    Geometry far() {
        List<Place> ring = new ArrayList<>(path);
        ring.addAll(behind);
        return Shapes.ring(ring);
    }

    /** The latitude at which the line is met first going north or south from a place; none where it never passes. */
    public OptionalDouble latitudeNear(Place place) {
        double best = Double.NaN;
        for (int i = 1; i < path.size(); i++) {
            Place a = path.get(i - 1);
            Place b = path.get(i);
            double low = Math.min(a.longitude(), b.longitude());
            double high = Math.max(a.longitude(), b.longitude());
            if (low <= place.longitude() && place.longitude() <= high && high > low) {
                double share = (place.longitude() - a.longitude()) / (b.longitude() - a.longitude());
                double latitude = a.latitude() + share * (b.latitude() - a.latitude());
                if (Double.isNaN(best) || Math.abs(latitude - place.latitude()) < Math.abs(best - place.latitude())) {
                    best = latitude;
                }
            }
        }
        return Double.isNaN(best) ? OptionalDouble.empty() : OptionalDouble.of(best);
    }

    /** The distance from a place to the nearest point of the path, in kilometres. */
    public double distanceKm(Place place) {
        Circle here = Circle.site(place);
        return path.stream().mapToDouble(here::distanceKm).min().orElseThrow();
    }
}
