package org.wache.rulebook;

import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.dataformat.yaml.YAMLMapper;

/**
 * Reads YAML and remembers on which line each key stood, and which keys were asked for: so that a message can name the
 * line, and a key that nobody asked for is told and not passed over in silence.
 */
final class MarkedYaml {

    private static final YAMLMapper YAML = new YAMLMapper();
    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private final Map<JsonNode, Integer> lines = new IdentityHashMap<>();
    private final Map<JsonNode, Map<String, Integer>> keyLines = new IdentityHashMap<>();
    private final Map<JsonNode, Set<String>> asked = new IdentityHashMap<>();

    /**
     * Reads a text.
     *
     * @throws RulebookProblem when it is not YAML; with the line
     */
    JsonNode read(String name, String text) {
        try (JsonParser parser = YAML.createParser(text)) {
            JsonToken first = parser.nextToken();
            if (first == null) {
                throw new RulebookProblem(name + " is empty");
            }
            return node(parser, name);
        } catch (JacksonException e) {
            int line = e.getLocation() == null ? 1 : Math.max(1, e.getLocation().getLineNr());
            throw new RulebookProblem(
                    name + ", line " + line + ": this is not YAML: " + firstLine(e.getOriginalMessage())
                            + ". Look for a missing colon, quote or bracket, or blanks at the start that do not stand under the line before.",
                    line);
        }
    }

    private static String firstLine(String message) {
        int end = message.indexOf('\n');
        return (end < 0 ? message : message.substring(0, end)).trim();
    }

    private JsonNode node(JsonParser parser, String name) {
        int line = parser.currentTokenLocation().getLineNr();
        JsonNode node =
                switch (parser.currentToken()) {
                    case START_OBJECT -> object(parser, name);
                    case START_ARRAY -> array(parser, name);
                    case VALUE_NULL -> NODES.nullNode();
                    case VALUE_TRUE -> NODES.booleanNode(true);
                    case VALUE_FALSE -> NODES.booleanNode(false);
                    default -> NODES.stringNode(parser.getString());
                };
        if (node.isContainer()) {
            lines.put(node, line);
        }
        return node;
    }

    private ObjectNode object(JsonParser parser, String name) {
        ObjectNode object = NODES.objectNode();
        Map<String, Integer> at = new LinkedHashMap<>();
        while (parser.nextToken() == JsonToken.PROPERTY_NAME) {
            String key = parser.currentName();
            int line = parser.currentTokenLocation().getLineNr();
            if (at.put(key, line) != null) {
                throw new RulebookProblem(
                        name + ", line " + line + ": " + key + " is given twice. Keep one of them.", line);
            }
            parser.nextToken();
            object.set(key, node(parser, name));
        }
        keyLines.put(object, at);
        return object;
    }

    private ArrayNode array(JsonParser parser, String name) {
        ArrayNode array = NODES.arrayNode();
        while (parser.nextToken() != JsonToken.END_ARRAY) {
            array.add(node(parser, name));
        }
        return array;
    }

    /** The line of a key, else of what holds it; 0 when it was not read here. */
    int line(JsonNode node, String key) {
        return keyLines.getOrDefault(node, Map.of()).getOrDefault(key, lines.getOrDefault(node, 0));
    }

    /** Notes that somebody asked for a key. */
    void ask(JsonNode node, String key) {
        asked.computeIfAbsent(node, any -> new LinkedHashSet<>()).add(key);
    }

    /** The keys that were asked for in a node. */
    Set<String> asked(JsonNode node) {
        return asked.getOrDefault(node, Set.of());
    }

    /** The objects in a node, itself first. */
    static List<ObjectNode> objects(JsonNode node) {
        List<ObjectNode> all = new ArrayList<>();
        if (node instanceof ObjectNode object) {
            all.add(object);
        }
        node.forEach(child -> all.addAll(objects(child)));
        return all;
    }
}
