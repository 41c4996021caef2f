package org.wache.rulebook;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wache.place.Outlines;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.databind.node.StringNode;

/** The files of a rulebook as it ships, with what was added to it. */
final class RulebookFiles {

    private static final String ROOT = "/rulebooks/";
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final String id;
    private final MarkedYaml marks = new MarkedYaml();
    private final List<String> added;
    private final List<Addition> additions = new ArrayList<>();
    private final List<Row> texts = new ArrayList<>();
    private final Map<String, Optional<Row>> read = new HashMap<>();
    private Outlines outlines;

    /**
     * @param id the rulebook
     * @param added the texts of additions, in the order in which they were put in force
     */
    RulebookFiles(String id, List<String> added) {
        this.id = id;
        this.added = List.copyOf(added);
        for (String text : added) {
            Row root = new Row("The file", marks.read("The file", text), marks, Optional.empty());
            texts.add(root);
            additions.add(Addition.of(root));
        }
    }

    /** The texts of what was added. */
    List<String> added() {
        return added;
    }

    /** What was added. */
    List<Addition> additions() {
        return additions;
    }

    /** The last of the added texts, as it was read. */
    Row lastAdded() {
        return texts.get(texts.size() - 1);
    }

    MarkedYaml marks() {
        return marks;
    }

    /** A file that a rulebook must have. */
    synchronized Row file(String name) {
        return find(name).orElseThrow(() -> new RulebookProblem(ROOT + id + "/" + name + ".yaml is missing"));
    }

    /** A file that it may have; without it nothing is said of the matter. */
    synchronized Row optional(String name) {
        return find(name)
                .orElseGet(() -> new Row(name, JsonNodeFactory.instance.objectNode(), marks, Optional.empty()));
    }

    /** A file that is the same in every country. */
    synchronized Row common(String name) {
        return read.computeIfAbsent(ROOT + name, path -> resource(path + ".yaml"))
                .orElseThrow(() -> new RulebookProblem(ROOT + name + ".yaml is missing"));
    }

    /** The outlines of its regions, read when they are first asked for; none where it has none. */
    synchronized Outlines outlines() {
        if (outlines == null) {
            outlines = OutlineReader.outlines(regions());
        }
        return outlines;
    }

    private JsonNode regions() {
        String path = ROOT + id + "/regions.json";
        Optional<String> beside = RulebookFolder.file(id, "regions.json");
        if (beside.isPresent()) {
            return JSON.readTree(beside.get());
        }
        try (InputStream in = RulebookFiles.class.getResourceAsStream(path)) {
            return in == null ? JsonNodeFactory.instance.objectNode() : JSON.readTree(in);
        } catch (IOException | JacksonException e) {
            throw new RulebookProblem(path + ": " + e.getMessage(), e);
        }
    }

    private Optional<Row> find(String name) {
        return read.computeIfAbsent(name, any -> {
            Optional<Row> own = added(name).or(() -> beside(name)).or(() -> resource(ROOT + id + "/" + name + ".yaml"));
            own.ifPresent(row -> change(row, name));
            return own;
        });
    }

    private Optional<Row> added(String name) {
        return additions.stream()
                .map(Addition::service)
                .flatMap(Optional::stream)
                .filter(row -> row.text("id").equals(name))
                .findFirst();
    }

    private Optional<Row> beside(String name) {
        return RulebookFolder.file(id, name + ".yaml").map(text -> {
            String path = id + "/" + name + ".yaml";
            return new Row(path, marks.read(path, text), marks, Optional.empty());
        });
    }

    private Optional<Row> resource(String path) {
        try (InputStream in = RulebookFiles.class.getResourceAsStream(path)) {
            return in == null
                    ? Optional.empty()
                    : Optional.of(new Row(
                            path,
                            marks.read(path, new String(in.readAllBytes(), StandardCharsets.UTF_8)),
                            marks,
                            Optional.empty()));
        } catch (IOException e) {
            throw new RulebookProblem(path + ": " + e.getMessage(), e);
        }
    }

    private void change(Row file, String name) {
        for (Addition addition : additions) {
            for (Addition.Change change : addition.changes()) {
                if (change.file().equals(name)) {
                    if (!file.node().path(change.section()).isArray()) {
                        throw change.row().problem("in", "a section of " + name + ", such as " + sections(file));
                    }
                    LocalDate from = addition.edition().orElseThrow().from();
                    change.end().forEach(row -> end(file, change, row, from));
                    ArrayNode section = (ArrayNode) file.node().get(change.section());
                    change.add().forEach(row -> section.add(((ObjectNode) row.node()).put("from", from.toString())));
                }
            }
        }
    }

    private static String sections(Row file) {
        return String.join(
                ", ",
                file.node().properties().stream()
                        .filter(each -> each.getValue().isArray()
                                && each.getValue().path(0).isObject())
                        .map(Map.Entry::getKey)
                        .toList());
    }

    private static void end(Row file, Addition.Change change, Row wanted, LocalDate from) {
        List<Row> all = file.on(from.minusDays(1)).rows(change.section());
        List<Row> found = all.stream().filter(row -> says(row, wanted)).toList();
        if (found.isEmpty()) {
            String some = all.stream()
                    .filter(row -> wanted.keys().stream()
                            .anyMatch(key ->
                                    same(row.node().get(key), wanted.node().get(key))))
                    .limit(3)
                    .map(row -> "{"
                            + wanted.keys().stream()
                                    .filter(row.node()::has)
                                    .map(key -> key + ": " + row.node().get(key).asString(""))
                                    .reduce((a, b) -> a + ", " + b)
                                    .orElse("")
                            + "}")
                    .reduce((a, b) -> a + ", " + b)
                    .map(list -> " There is " + list + ".")
                    .orElse("");
            throw new RulebookProblem(
                    wanted.file() + ", line " + wanted.marks().line(wanted.node(), "") + ": " + change.file() + "/"
                            + change.section() + " has no row in force with all of this, so that none can end." + some,
                    wanted.marks().line(wanted.node(), ""));
        }
        found.forEach(
                row -> ((ObjectNode) row.node()).put("until", from.minusDays(1).toString()));
    }

    private static boolean says(Row row, Row wanted) {
        return wanted.keys().stream()
                .allMatch(key -> same(row.node().get(key), wanted.node().get(key)));
    }

    /** Equal as text, or as numbers: 146.52 is 146.520. */
    private static boolean same(JsonNode one, JsonNode other) {
        if (one == null || other == null) {
            return false;
        }
        if (one instanceof StringNode && other instanceof StringNode) {
            return trimmed(one.asString()).equals(trimmed(other.asString()));
        }
        return one.equals(other);
    }

    private static String trimmed(String text) {
        return text.replaceAll("(\\.\\d*?)0+(?!\\d)", "$1").replaceAll("\\.(?!\\d)", "");
    }
}
