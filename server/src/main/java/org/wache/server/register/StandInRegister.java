package org.wache.server.register;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.wache.server.web.Json;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A small licence register with invented records, answering {@code GET /licences/CALLSIGN} on loopback. It stands in
 * for a public register, and is started only where no other is named ({@code WACHE_REGISTER_URL}).
 */
@Component
public class StandInRegister {

    private static final JsonMapper JSON = Json.MAPPER;
    private static final String PATH = "/licences/";
    private static final int OK = 200;
    private static final int NOT_FOUND = 404;

    private final HttpServer server;
    private final Map<String, String> records = new HashMap<>();

    StandInRegister(@Value("${wache.register-url}") String url) {
        this.server = url.isBlank() ? started() : null;
    }

    private HttpServer started() {
        try (InputStream in = StandInRegister.class.getResourceAsStream("/register/records.json")) {
            for (JsonNode each : JSON.readTree(in)) {
                records.put(each.path("callSign").asString(), JSON.writeValueAsString(each));
            }
            HttpServer made = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
            made.createContext(PATH, this::answer);
            made.start();
            return made;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void answer(HttpExchange exchange) throws IOException {
        String callSign =
                exchange.getRequestURI().getPath().substring(PATH.length()).toUpperCase(Locale.ROOT);
        String found = records.get(callSign);
        byte[] body = (found == null ? "{\"message\":\"no such call sign\"}" : found).getBytes(StandardCharsets.UTF_8);
        exchange.getResponseHeaders().set("Content-Type", "application/json");
        exchange.sendResponseHeaders(found == null ? NOT_FOUND : OK, body.length);
        exchange.getResponseBody().write(body);
        exchange.close();
    }

    /** Where it answers; empty when another register is used. */
    public String url() {
        return server == null ? "" : "http://127.0.0.1:" + server.getAddress().getPort();
    }

    /** Ends it; from then on the register is down. */
    @PreDestroy
    public void stop() {
        if (server != null) {
            server.stop(0);
        }
    }
}
