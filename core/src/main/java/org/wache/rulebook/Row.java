package org.wache.rulebook;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.wache.signal.Content;
import org.wache.signal.Frequency;
import org.wache.signal.Span;
import org.wache.signal.Watts;
import tools.jackson.databind.JsonNode;

/**
 * One row of a rulebook file, read by key, with messages that name the file and the line.
 *
 * @param file the name of the file
 * @param node what stands there
 * @param marks where it stands
 * @param day of rows with from and until dates only those that count on this day are seen; without it all
 */
record Row(String file, JsonNode node, MarkedYaml marks, Optional<LocalDate> day) {

    /** The same as it is on a day. */
    Row on(LocalDate some) {
        return new Row(file, node, marks, Optional.of(some));
    }

    RulebookProblem problem(String key, String expected) {
        int line = marks.line(node, key);
        String given = node.hasNonNull(key) && node.get(key).isValueNode()
                ? ", not “" + node.get(key).asString() + "”"
                : "";
        return new RulebookProblem(
                file + (line > 0 ? ", line " + line : "") + ": " + key + " should be " + expected + given + ".", line);
    }

    boolean has(String key) {
        marks.ask(node, key);
        return node.has(key);
    }

    String text(String key) {
        return optional(key).orElseThrow(() -> problem(key, "given"));
    }

    String text(String key, String otherwise) {
        return optional(key).orElse(otherwise);
    }

    Optional<String> optional(String key) {
        marks.ask(node, key);
        if (node.hasNonNull(key) && node.get(key).isContainer()) {
            throw problem(key, "one value");
        }
        return node.hasNonNull(key) ? Optional.of(node.get(key).asString()) : Optional.empty();
    }

    boolean flag(String key) {
        marks.ask(node, key);
        JsonNode value = node.path(key);
        if (!value.isMissingNode() && !value.isBoolean()) {
            throw problem(key, "true or false");
        }
        return value.asBoolean(false);
    }

    double number(String key) {
        try {
            return Double.parseDouble(text(key));
        } catch (NumberFormatException e) {
            throw problem(key, "a number");
        }
    }

    Watts watts(String key) {
        double value = number(key);
        if (!(value > 0) || Double.isInfinite(value)) {
            throw problem(key, "a power above 0 W");
        }
        return new Watts(value);
    }

    /** Kilohertz of a key, in hertz. */
    long kilohertz(String key) {
        return Math.round(number(key) * 1000);
    }

    Span span(String key) {
        return span(key, text(key));
    }

    private Span span(String key, String text) {
        try {
            return Span.ofMegahertz(text);
        } catch (IllegalArgumentException e) {
            throw problem(key, "a span in MHz with the lower end first, such as 144.1-148.0");
        }
    }

    /** The spans of a key with several. */
    List<Span> spans(String key) {
        return texts(key).stream().map(text -> span(key, text)).toList();
    }

    Frequency frequency(String key) {
        return Frequency.ofMegahertz(text(key)).orElseThrow(() -> problem(key, "a frequency in MHz such as 146.520"));
    }

    /** A set of contents such as {@code cw phone}. */
    int contents(String key) {
        try {
            return Content.bits(text(key));
        } catch (IllegalArgumentException e) {
            throw problem(
                    key,
                    "out of any, "
                            + String.join(
                                    ", ",
                                    Arrays.stream(Content.values())
                                            .map(Row::word)
                                            .toList()) + ", with blanks between");
        }
    }

    /** One of the values of an enumeration. */
    <E extends Enum<E>> E choice(String key, Class<E> kind) {
        String text = text(key);
        return Arrays.stream(kind.getEnumConstants())
                .filter(each -> word(each).equals(text))
                .findFirst()
                .orElseThrow(() -> problem(
                        key,
                        "one of "
                                + String.join(
                                        ", ",
                                        Arrays.stream(kind.getEnumConstants())
                                                .map(Row::word)
                                                .toList())));
    }

    private static String word(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    LocalDate date(String key) {
        try {
            return LocalDate.parse(text(key));
        } catch (DateTimeException e) {
            throw problem(key, "a day such as 2027-03-01");
        }
    }

    /** The row that stands under a key. */
    Row row(String key) {
        marks.ask(node, key);
        if (!node.path(key).isObject()) {
            throw problem(key, "keys with values");
        }
        return new Row(file, node.get(key), marks, day);
    }

    /** All of its keys; they count as asked for. */
    List<String> keys() {
        List<String> keys =
                node.properties().stream().map(java.util.Map.Entry::getKey).toList();
        keys.forEach(key -> marks.ask(node, key));
        return keys;
    }

    /** The rows of a key that count on the day. */
    List<Row> rows(String key) {
        marks.ask(node, key);
        List<Row> rows = new ArrayList<>();
        JsonNode all = node.path(key);
        if (!all.isMissingNode() && !all.isNull() && !all.isArray()) {
            throw problem(key, "a list, each row on a line of its own after “- ”");
        }
        for (JsonNode each : all) {
            if (!each.isObject()) {
                throw problem(key, "a list of rows such as {mhz: 144-148, source: \"…\"}");
            }
            Row row = new Row(file, each, marks, day);
            if (row.day.isEmpty() || row.inForce(row.day.get())) {
                rows.add(row);
            }
        }
        return rows;
    }

    List<String> texts(String key) {
        marks.ask(node, key);
        List<String> texts = new ArrayList<>();
        for (JsonNode each : node.path(key)) {
            texts.add(each.asString(""));
        }
        return texts;
    }

    /** Whether a row with from and until dates counts on a day. */
    boolean inForce(LocalDate some) {
        boolean begun = !has("from") || !date("from").isAfter(some);
        boolean going = !has("until") || !date("until").isBefore(some);
        return begun && going;
    }
}
