package org.wache.server.web;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import tools.jackson.databind.json.JsonMapper;

/** A problem (RFC 9457) written where the dispatcher has not been reached. */
final class PlainProblem {

    private static final JsonMapper JSON = Json.MAPPER;

    private PlainProblem() {}

    static void write(HttpServletResponse response, HttpStatus status, String title, String detail) throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        byte[] body = JSON.writeValueAsString(JSON.createObjectNode()
                        .put("title", title)
                        .put("status", status.value())
                        .put("detail", detail))
                .getBytes(StandardCharsets.UTF_8);
        response.setContentLength(body.length);
        response.getOutputStream().write(body);
    }
}
