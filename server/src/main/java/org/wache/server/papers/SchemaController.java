package org.wache.server.papers;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import org.wache.exchange.JsonLists;
import org.wache.server.web.Missing;

/** The JSON Schemas of the file formats. */
@RestController
class SchemaController {

    private static final Map<String, String> FILES = Map.of(
            "list",
            "wache-list-1.schema.json",
            "context",
            "wache-context-1.schema.json",
            "radio",
            "wache-radio-1.schema.json");

    /** The schema of lists (list), of what they are held against (context), or of models of radio (radio). */
    @GetMapping(path = "/api/schemas/{format}", produces = "application/schema+json")
    ResponseEntity<String> schema(@PathVariable String format) throws IOException {
        String file = FILES.get(format);
        if (file == null) {
            throw new Missing("A schema of that name");
        }
        try (InputStream in = JsonLists.class.getResourceAsStream("/schemas/" + file)) {
            return ResponseEntity.ok()
                    .contentType(MediaType.parseMediaType("application/schema+json"))
                    .body(new String(in.readAllBytes(), StandardCharsets.UTF_8));
        }
    }
}
