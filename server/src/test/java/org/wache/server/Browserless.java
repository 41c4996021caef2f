package org.wache.server;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Talks HTTP to the server as the web application does: cookies, and the token against forged requests. */
final class Browserless {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String PASSWORD = "tern-valley";

    private final String address;
    private final CookieManager cookies;
    private final HttpClient http;

    Browserless(String address) {
        this(address, new CookieManager());
    }

    private Browserless(String address, CookieManager cookies) {
        this.address = address;
        this.cookies = cookies;
        this.http = HttpClient.newBuilder().cookieHandler(cookies).build();
    }

    /** The same session at another server. */
    Browserless at(String other) {
        return new Browserless(other, cookies);
    }

    static Browserless signedIn(String address, String login) {
        Browserless who = new Browserless(address);
        who.get("/api/session");
        HttpResponse<String> answer =
                who.post("/api/session", "{\"login\":\"" + login + "\",\"password\":\"" + PASSWORD + "\"}");
        if (answer.statusCode() != 200) {
            throw new IllegalStateException(answer.body());
        }
        return who;
    }

    HttpResponse<String> get(String path) {
        return send("GET", path, null, null);
    }

    HttpResponse<String> post(String path, String json) {
        return send("POST", path, "application/json", json.getBytes(StandardCharsets.UTF_8));
    }

    HttpResponse<String> delete(String path) {
        return send("DELETE", path, null, null);
    }

    HttpResponse<String> put(String path, String json) {
        return send("PUT", path, "application/json", json.getBytes(StandardCharsets.UTF_8));
    }

    HttpResponse<String> file(String path, byte[] bytes) {
        return send("POST", path, "application/octet-stream", bytes);
    }

    HttpResponse<String> send(String method, String path, String type, byte[] body) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + path))
                .method(method, body == null ? BodyPublishers.noBody() : BodyPublishers.ofByteArray(body))
                .header("X-XSRF-TOKEN", cookie("XSRF-TOKEN"));
        if (type != null) {
            request.header("Content-Type", type);
        }
        try {
            return http.send(request.build(), BodyHandlers.ofString());
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** An answer that is no text. */
    HttpResponse<byte[]> bytes(String path) {
        try {
            return http.send(HttpRequest.newBuilder(URI.create(address + path)).build(), BodyHandlers.ofByteArray());
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    String address() {
        return address;
    }

    /** All cookies, as a request carries them. */
    String cookieHeader() {
        return cookies.getCookieStore().getCookies().stream()
                .map(each -> each.getName() + "=" + each.getValue())
                .collect(java.util.stream.Collectors.joining("; "));
    }

    String cookie(String name) {
        return cookies.getCookieStore().getCookies().stream()
                .filter(each -> each.getName().equals(name))
                .findFirst()
                .map(HttpCookie::getValue)
                .orElse("");
    }

    static JsonNode json(HttpResponse<String> answer) {
        return json(answer.body());
    }

    static JsonNode json(String body) {
        return JSON.readTree(body);
    }

    /** The key of the group that this account sees first. */
    long group() {
        return json(get("/api/session")).path("groups").path(0).path("id").asLong();
    }

    /** Takes in a list and returns its key. */
    long take(String name, String csv) {
        return json(file(
                        "/api/groups/" + group() + "/lists?name=" + URLEncoder.encode(name, StandardCharsets.UTF_8),
                        csv.getBytes(StandardCharsets.UTF_8)))
                .path("id")
                .asLong();
    }
}
