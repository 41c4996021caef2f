package org.wache.exchange;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import tools.jackson.databind.JsonNode;

/**
 * An object within a JSON document, with its place there. Whatever is asked of it has to have the shape and the range that it is
 * asked for: anything else is told with its place and what was expected.
 */
final class Part {

    /** The longest text that a name, a word or a number has, in characters. */
    private static final int LONGEST_TEXT = 2_000;

    private static final int MOST_ELEMENTS = 100_000;

    private final JsonNode node;
    private final String path;

    private Part(JsonNode node, String path) {
        this.node = node;
        this.path = path;
    }

    /** The whole of a document; {@code what} is told when it is no object. */
    static Part root(JsonNode node, String format, String what) {
        Part root = new Part(node, "");
        if (!node.isObject() || !root.text("format").orElse(format).equals(format)) {
            throw new FileProblem(1, 1, "not " + what + ": expected an object with \"format\": \"" + format + "\"");
        }
        return root;
    }

    /** Part of a document that has been looked at before. */
    static Part at(JsonNode node, String path) {
        if (!node.isObject()) {
            throw new FileProblem(1, 1, path + " should be an object in braces");
        }
        return new Part(node, path + ".");
    }

    /** Where it is, for messages. */
    String place() {
        return path.isEmpty() ? "the file" : path.substring(0, path.length() - 1);
    }

    boolean has(String key) {
        return node.hasNonNull(key);
    }

    /** The node behind a key, unlooked at. */
    JsonNode raw(String key) {
        return node.path(key);
    }

    /** Every key of it with its text, in the order of the file. */
    Map<String, String> texts() {
        Map<String, String> all = new LinkedHashMap<>();
        for (String key : node.propertyNames()) {
            all.put(key, text(key).orElse(""));
        }
        return all;
    }

    /** An object behind a key; an empty one when there is none. */
    Part object(String key) {
        JsonNode value = node.path(key);
        if (value.isMissingNode() || value.isNull()) {
            return new Part(JsonText.MAPPER.createObjectNode(), path + key + ".");
        }
        return at(value, path + key);
    }

    /** The objects of an array; none when there is no array. */
    List<Part> objects(String key) {
        List<Part> parts = new ArrayList<>();
        for (JsonNode each : array(key)) {
            parts.add(at(each, path + key + "[" + parts.size() + "]"));
        }
        return parts;
    }

    /** The elements of an array, unlooked at; none when there is no array. */
    List<JsonNode> array(String key) {
        JsonNode values = node.path(key);
        if (values.isMissingNode() || values.isNull()) {
            return List.of();
        }
        if (!values.isArray()) {
            throw problem(key, "a list in square brackets");
        }
        if (values.size() > MOST_ELEMENTS) {
            throw problem(key, "a list of up to " + MOST_ELEMENTS);
        }
        return values.valueStream().toList();
    }

    /** The texts and numbers of an array. */
    List<String> texts(String key) {
        List<String> texts = new ArrayList<>();
        for (JsonNode each : array(key)) {
            texts.add(scalar(each, key + "[" + texts.size() + "]"));
        }
        return texts;
    }

    /** A text or a number; nothing when the key is absent or null. */
    Optional<String> text(String key) {
        return node.hasNonNull(key) ? Optional.of(scalar(node.get(key), key)) : Optional.empty();
    }

    private String scalar(JsonNode value, String key) {
        if (value.isContainer() || value.isNull()) {
            throw problem(key, "a text or a number");
        }
        String text = JsonText.scalar(value);
        if (text.length() > LONGEST_TEXT) {
            throw problem(key, "a text of up to " + LONGEST_TEXT + " characters");
        }
        return text;
    }

    /** Yes or no; no when the key is absent. */
    boolean flag(String key) {
        JsonNode value = node.path(key);
        if (value.isMissingNode() || value.isNull()) {
            return false;
        }
        if (!value.isBoolean()) {
            throw problem(key, "true or false");
        }
        return value.asBoolean();
    }

    /** A number within a range, both ends included. */
    OptionalDouble number(String key, double least, double most, String unit) {
        Optional<String> text = text(key);
        if (text.isEmpty()) {
            return OptionalDouble.empty();
        }
        try {
            double number = Double.parseDouble(text.get());
            if (number >= least && number <= most) { // not so for what is no number
                return OptionalDouble.of(number);
            }
        } catch (NumberFormatException e) {
            // told below
        }
        throw problem(key, "a number from " + plain(least) + " to " + plain(most) + unit);
    }

    private static String plain(double number) {
        return new java.math.BigDecimal(number).stripTrailingZeros().toPlainString();
    }

    /** A whole number within a range, both ends included. */
    OptionalInt whole(String key, int least, int most) {
        Optional<String> text = text(key);
        if (text.isEmpty()) {
            return OptionalInt.empty();
        }
        if (text.get().matches("[0-9]{1,9}")
                && Integer.parseInt(text.get()) >= least
                && Integer.parseInt(text.get()) <= most) {
            return OptionalInt.of(Integer.parseInt(text.get()));
        }
        throw problem(key, "a whole number from " + least + " to " + most);
    }

    /** A day. */
    Optional<LocalDate> day(String key) {
        return text(key).map(text -> {
            try {
                LocalDate day = LocalDate.parse(text);
                if (day.getYear() >= 1900 && day.getYear() <= 2999) {
                    return day;
                }
            } catch (DateTimeException e) {
                // told below
            }
            throw problem(key, "a day such as 2026-11-25");
        });
    }

    /** What is wrong behind a key of it. */
    FileProblem problem(String key, String expected) {
        return new FileProblem(1, 1, path + key + " should be " + expected);
    }

    /** What is wrong with it as a whole. */
    FileProblem problem(String expected) {
        return new FileProblem(1, 1, place() + " should be " + expected);
    }
}
