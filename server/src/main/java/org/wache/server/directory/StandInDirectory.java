package org.wache.server.directory;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * A small repeater directory with invented repeaters, answering {@code GET /repeaters} on loopback with all of its lines.
 * It stands in for a real one, and is started only where no other is named ({@code WACHE_DIRECTORY_URL}).
 */
@Component
public class StandInDirectory {

    private static final int OK = 200;

    private final HttpServer server;
    private volatile byte[] lines = new byte[0];

    StandInDirectory(@Value("${wache.directory-url}") String url) {
        this.server = url.isBlank() ? started() : null;
    }

    private HttpServer started() {
        try {
            lines = file();
            HttpServer made = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
            made.createContext("/repeaters", this::answer);
            made.start();
            return made;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static byte[] file() throws IOException {
        try (InputStream in = StandInDirectory.class.getResourceAsStream("/directory/repeaters.json")) {
            return in.readAllBytes();
        }
    }

    /** The invented repeaters as they ship. */
    public static List<DirectoryLine> shipped() {
        try {
            return JsonMapper.builder().build().readValue(file(), new TypeReference<List<DirectoryLine>>() {});
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void answer(HttpExchange exchange) throws IOException {
        exchange.getResponseHeaders().set("Content-Type", "application/json");
        exchange.sendResponseHeaders(OK, lines.length);
        exchange.getResponseBody().write(lines);
        exchange.close();
    }

    /** What it answers from now on: for showing what a changed line does. */
    public void answersFromNowOn(String json) {
        lines = json.getBytes(StandardCharsets.UTF_8);
    }

    /** What it answers. */
    public String answers() {
        return new String(lines, StandardCharsets.UTF_8);
    }

    /** Where it answers; empty when another directory is used. */
    public String url() {
        return server == null ? "" : "http://127.0.0.1:" + server.getAddress().getPort();
    }

    /** Ends it; from then on the directory is down. */
    @PreDestroy
    public void stop() {
        if (server != null) {
            server.stop(0);
        }
    }
}
