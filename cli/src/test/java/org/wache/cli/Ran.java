package org.wache.cli;

import java.io.ByteArrayOutputStream;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What a command said, and its exit status. */
record Ran(int status, String out, String error) {

    /** Runs a command within this process. */
    static Ran of(String... arguments) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        StringWriter error = new StringWriter();
        int status = Main.run(out, new PrintWriter(error, true), arguments);
        return new Ran(status, out.toString(StandardCharsets.UTF_8), error.toString());
    }

    JsonNode json() {
        return JsonMapper.builder().build().readTree(out);
    }
}
