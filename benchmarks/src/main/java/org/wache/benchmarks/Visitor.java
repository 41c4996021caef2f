package org.wache.benchmarks;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;

/** Somebody who is signed in at a demo, as a browser would be. */
final class Visitor {

    private static final Duration PATIENCE = Duration.ofMinutes(3);

    private final String address;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(cookies).build();

    /** @throws IllegalStateException when the demo does not let them in */
    Visitor(String address, String login) throws IOException, InterruptedException {
        this.address = address;
        get("/api/session");
        Answer in = send("POST", "/api/session", "{\"login\":\"" + login + "\",\"password\":\"tern-valley\"}");
        if (in.status() != 200) {
            throw new IllegalStateException(
                    login + " is not let in at " + address + " (" + in.status() + "): is it ./wache demo --large?");
        }
    }

    /** What came back, in what time. */
    record Answer(int status, String body, double ms) {}

    Answer get(String path) throws IOException, InterruptedException {
        return send("GET", path, null);
    }

    /** @param body JSON; null for none */
    Answer send(String method, String path, String body) throws IOException, InterruptedException {
        HttpRequest request = HttpRequest.newBuilder(URI.create(address + path))
                .timeout(PATIENCE)
                .method(
                        method,
                        body == null ? HttpRequest.BodyPublishers.noBody() : HttpRequest.BodyPublishers.ofString(body))
                .header("Content-Type", "application/json")
                .header("X-XSRF-TOKEN", token())
                .build();
        long begun = System.nanoTime();
        HttpResponse<String> answer = http.send(request, HttpResponse.BodyHandlers.ofString());
        return new Answer(answer.statusCode(), answer.body(), (System.nanoTime() - begun) / 1e6);
    }

    private String token() {
        return cookies.getCookieStore().getCookies().stream()
                .filter(each -> each.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElse("");
    }
}
