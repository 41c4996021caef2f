package org.wache.server.access;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import org.wache.server.web.Json;
import tools.jackson.databind.JsonNode;

/**
 * The addresses of the web application's pages, from {@code access/pages.json}: the application has its routes and its
 * header from the same file. Whoever asks gets the application there, and nothing of a group.
 */
public final class Pages {

    /** As the table of endpoints writes them, such as {@code /lists/{list}/fit}. */
    public static final List<String> PATHS = read();

    private Pages() {}

    private static List<String> read() {
        try (InputStream in = Pages.class.getResourceAsStream("/access/pages.json")) {
            return Json.MAPPER
                    .readTree(in.readAllBytes())
                    .valueStream()
                    .map((JsonNode page) -> page.path("path").asString())
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
