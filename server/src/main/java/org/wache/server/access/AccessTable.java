package org.wache.server.access;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Who may call which endpoint: the lines of {@code access/endpoints.txt}, in their order, and the pages. */
public final class AccessTable {

    /** The table that ships with the application. */
    public static final AccessTable SHIPPED = read("/access/endpoints.txt");

    private final Map<String, Right> lines;

    private AccessTable(Map<String, Right> lines) {
        this.lines = lines;
    }

    private static AccessTable read(String file) {
        try (InputStream in = AccessTable.class.getResourceAsStream(file)) {
            String pages =
                    Pages.PATHS.stream().map(path -> "file GET " + path + "\n").collect(Collectors.joining());
            return parsed(new String(in.readAllBytes(), StandardCharsets.UTF_8) + pages);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * A table from its text.
     *
     * @throws IllegalArgumentException for a line that cannot be read, or an endpoint that is there twice
     */
    static AccessTable parsed(String text) {
        Map<String, Right> lines = new LinkedHashMap<>();
        text.lines().filter(line -> !line.isBlank() && !line.startsWith("#")).forEach(line -> {
            String[] words = line.strip().split(" +");
            Right right = words.length == 3 ? Right.ofText(words[0]).orElse(null) : null;
            if (right == null) {
                throw new IllegalArgumentException("“" + line + "” is no line of the table: a right, a method, a path");
            }
            if (lines.put(words[1] + " " + words[2], right) != null) {
                throw new IllegalArgumentException(words[1] + " " + words[2] + " is there twice");
            }
        });
        return new AccessTable(lines);
    }

    /** What an endpoint asks; nothing when it is not in the table. */
    Optional<Right> of(String method, String path) {
        return Optional.ofNullable(lines.get(method + " " + path));
    }

    /** Every endpoint, as method and path, with its right. */
    public Map<String, Right> lines() {
        return java.util.Collections.unmodifiableMap(lines);
    }

    /** The lines that ask this right. */
    List<Map.Entry<String, Right>> with(Right right) {
        return lines.entrySet().stream()
                .filter(each -> each.getValue() == right)
                .toList();
    }
}
