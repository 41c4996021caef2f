package org.wache.rulebook;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.wache.place.Border;
import org.wache.place.Box;
import org.wache.place.Circle;
import org.wache.place.Outlines;
import org.wache.place.Place;
import org.wache.place.Shapes;
import org.wache.place.Zone;

/** Reads what a rulebook says of places. */
final class GeographyReader {

    private static final double POLE = 90;
    private static final double DATE_LINE = 180;

    private final Row file;
    private final Supplier<Outlines> outlines;

    /** @param outlines gives the outlines of the regions, when one of them is first needed */
    GeographyReader(Row file, Supplier<Outlines> outlines) {
        this.file = file;
        this.outlines = outlines;
    }

    Geography geography() {
        List<Border> borders = file.rows("lines").stream()
                .map(row -> Border.of(
                        row.text("id"), row.text("name"), row.texts("path"), row.texts("behind"), row.text("source")))
                .toList();
        List<Zone> zones =
                file.rows("zones").stream().map(row -> zone(row, borders)).toList();
        List<Closure> closures = file.rows("closed").stream()
                .map(row -> new Closure(
                        row.text("service"),
                        row.span("mhz"),
                        row.text("say", row.span("mhz").toString()),
                        zone(row, "zone", row.text("zone"), zones),
                        row.flag("outside"),
                        row.flag("ask"),
                        row.text("source")))
                .toList();
        List<LocalLimit> limits = file.rows("power").stream()
                .map(row -> new LocalLimit(
                        row.text("service"),
                        row.span("mhz"),
                        new PowerLimit(row.watts("watts"), row.choice("measure", Measure.class), row.text("source")),
                        row.texts("zones").stream()
                                .map(id -> zone(row, "zones", id, zones))
                                .toList(),
                        row.text("say"),
                        exception(row)))
                .toList();
        return new Geography(borders, zones, closures, limits, outlines);
    }

    /** What stations that talk to satellites may do instead. */
    private static Optional<LocalLimit.Exception> exception(Row row) {
        if (!row.has("earth_stations")) {
            return Optional.empty();
        }
        Row given = row.row("earth_stations");
        return Optional.of(new LocalLimit.Exception(
                given.span("mhz"),
                new PowerLimit(given.watts("watts"), given.choice("measure", Measure.class), given.text("source")),
                given.text("say")));
    }

    private static Zone zone(Row row, String key, String id, List<Zone> zones) {
        return zones.stream()
                .filter(each -> each.id().equals(id))
                .findFirst()
                .orElseThrow(() -> row.problem(key, "a zone of this file"));
    }

    private Zone zone(Row row, List<Border> borders) {
        String id = row.text("id");
        String name = row.text("name");
        if (row.has("behind")) {
            return Zone.behind(
                    id,
                    name,
                    borders.stream()
                            .filter(each -> each.id().equals(row.text("behind")))
                            .findFirst()
                            .orElseThrow(() -> row.problem("behind", "a line of this file")));
        }
        if (row.has("regions")) {
            Optional<Box> part = row.has("south_of")
                    ? Optional.of(new Box(-POLE, -DATE_LINE, row.number("south_of"), DATE_LINE))
                    : row.has("west_of")
                            ? Optional.of(new Box(-POLE, -DATE_LINE, POLE, row.number("west_of")))
                            : Optional.empty();
            return Zone.regions(id, name, row.texts("regions"), part, outlines);
        }
        if (row.has("at")) {
            double[] at = numbers(row, "at", 2);
            return Zone.around(id, name, new Circle(Place.at(at[0], at[1]), row.number("km")));
        }
        Row shaped = row.has("around")
                ? file.rows("zones").stream()
                        .filter(each -> each.text("id").equals(row.text("around")))
                        .findFirst()
                        .orElseThrow(() -> row.problem("around", "a zone of this file"))
                : row;
        List<Box> boxes = shaped.texts("boxes").stream()
                .map(text -> numbers(row, text))
                .map(each -> new Box(each[0], each[1], each[2], each[3]))
                .toList();
        double margin = row.has("margin_km") ? row.number("margin_km") : 0;
        return Zone.shaped(id, name, () -> boxes.stream()
                .map(box -> margin == 0 ? Shapes.box(box) : Shapes.around(box, margin))
                .reduce((a, b) -> a.union(b))
                .orElseThrow(() -> row.problem("boxes", "given")));
    }

    private static double[] numbers(Row row, String key, int many) {
        double[] numbers = numbers(row, row.text(key));
        if (numbers.length != many) {
            throw row.problem(key, many + " numbers");
        }
        return numbers;
    }

    private static double[] numbers(Row row, String text) {
        try {
            return Arrays.stream(text.trim().split("\\s+"))
                    .mapToDouble(Double::parseDouble)
                    .toArray();
        } catch (NumberFormatException e) {
            throw row.problem(text, "numbers");
        }
    }
}
