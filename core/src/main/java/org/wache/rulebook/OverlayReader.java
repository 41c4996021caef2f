package org.wache.rulebook;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import org.wache.signal.Frequency;
import org.wache.signal.Span;
import tools.jackson.databind.JsonNode;

/**
 * Reads the rows of a group's own band plan: {@code {"mhz":"442.000-445.000","uses":"repeater-output","offsetsMhz":[5],
 * "rasters":["442.000+25"],"calling":"FM","note":"…","warning":"…"}}.
 */
public final class OverlayReader {

    private static final int LONGEST_TEXT = 300;
    private static final BigDecimal FARTHEST_OFFSET_MHZ = BigDecimal.valueOf(100);

    private OverlayReader() {}

    /** @throws RulebookProblem when a row cannot be read; the message names the row and what was expected */
    public static List<PlanRow> rows(JsonNode rows) {
        if (!rows.isArray() && !rows.isMissingNode() && !rows.isNull()) {
            throw new RulebookProblem("overlay should be a list of rows");
        }
        List<PlanRow> all = new ArrayList<>();
        for (JsonNode each : rows) {
            all.add(row(each, "overlay row " + (all.size() + 1)));
        }
        return all;
    }

    private static PlanRow row(JsonNode node, String place) {
        if (!node.isObject()) {
            throw new RulebookProblem(
                    place + " should be an object such as {\"mhz\": \"446.000-446.100\", \"uses\": \"fm-simplex\"}");
        }
        Span span = span(text(node, place, "mhz").orElse(""), place);
        TreeSet<PlanUse> uses = new TreeSet<>();
        for (String word : text(node, place, "uses").orElse("any").trim().split("[\\s,]+")) {
            try {
                uses.add(PlanUse.of(word));
            } catch (IllegalArgumentException e) {
                throw problem(
                        place,
                        "uses",
                        "out of cw, weak-signal, phone, fm-simplex, repeater-input, repeater-output, data …",
                        word);
            }
        }
        List<Long> offsets = new ArrayList<>();
        list(node, place, "offsetsMhz").forEach(each -> offsets.add(offset(each.asString(""), place)));
        List<Raster> rasters = new ArrayList<>();
        list(node, place, "rasters").forEach(each -> rasters.add(raster(each.asString(""), place)));
        return new PlanRow(
                span,
                uses,
                text(node, place, "calling"),
                offsets,
                rasters,
                false,
                text(node, place, "note"),
                text(node, place, "warning"),
                true);
    }

    private static Span span(String text, String place) {
        try {
            return Span.ofMegahertz(text.replace('–', '-').replace(" ", ""));
        } catch (IllegalArgumentException e) {
            throw problem(place, "mhz", "a range such as 442.000-445.000 or one frequency such as 146.520", text);
        }
    }

    private static long offset(String text, String place) {
        try {
            BigDecimal megahertz = new BigDecimal(text.trim().replace('−', '-').replace("+", ""));
            if (megahertz.abs().compareTo(FARTHEST_OFFSET_MHZ) <= 0) {
                return megahertz.movePointRight(6).longValueExact();
            }
        } catch (ArithmeticException | NumberFormatException e) {
            // told below
        }
        throw problem(place, "offsetsMhz", "input minus output in MHz such as -0.6 or 5", text);
    }

    private static Raster raster(String text, String place) {
        int plus = text.indexOf('+');
        Optional<Frequency> start = plus < 0
                ? Optional.empty()
                : Frequency.ofMegahertz(text.substring(0, plus).trim());
        try {
            long step = start.isEmpty()
                    ? 0
                    : new BigDecimal(text.substring(plus + 1).trim())
                            .movePointRight(3)
                            .longValueExact();
            if (step > 0) {
                return new Raster(start.get().hertz(), step);
            }
        } catch (ArithmeticException | NumberFormatException e) {
            // told below
        }
        throw problem(place, "rasters", "a first channel in MHz and a step in kHz such as 442.000+25", text);
    }

    private static JsonNode list(JsonNode node, String place, String key) {
        JsonNode list = node.path(key);
        if (!list.isArray() && !list.isMissingNode() && !list.isNull()
                || list.valueStream().anyMatch(JsonNode::isContainer)) {
            throw new RulebookProblem(place + ": " + key + " should be a list of texts or numbers");
        }
        return list;
    }

    private static Optional<String> text(JsonNode node, String place, String key) {
        if (node.path(key).isContainer()) {
            throw new RulebookProblem(place + ": " + key + " should be a text");
        }
        Optional<String> text =
                node.hasNonNull(key) ? Optional.of(node.get(key).asString("").trim()) : Optional.empty();
        return text.filter(each -> !each.isEmpty())
                .map(each -> each.substring(0, Math.min(LONGEST_TEXT, each.length())));
    }

    private static RulebookProblem problem(String place, String key, String expected, String found) {
        return new RulebookProblem(place + ": " + key + " should be " + expected + ", not “" + found + "”");
    }
}
