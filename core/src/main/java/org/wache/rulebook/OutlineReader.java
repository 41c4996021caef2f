package org.wache.rulebook;

import java.util.ArrayList;
import java.util.List;
import org.wache.place.Outlines;
import org.wache.place.Shapes;
import tools.jackson.databind.JsonNode;

/** Reads the outlines of a country's regions. */
final class OutlineReader {

    private OutlineReader() {}

    static Outlines outlines(JsonNode file) {
        List<Outlines.Outline> all = new ArrayList<>();
        for (JsonNode region : file.path("regions")) {
            List<List<List<double[]>>> polygons = new ArrayList<>();
            for (JsonNode polygon : region.path("polygons")) {
                List<List<double[]>> rings = new ArrayList<>();
                for (JsonNode ring : polygon) {
                    List<double[]> points = new ArrayList<>();
                    ring.forEach(point -> points.add(
                            new double[] {point.get(0).asDouble(), point.get(1).asDouble()}));
                    rings.add(points);
                }
                polygons.add(rings);
            }
            all.add(new Outlines.Outline(
                    region.path("code").asString(), region.path("name").asString(), Shapes.polygons(polygons)));
        }
        return new Outlines(all);
    }
}
