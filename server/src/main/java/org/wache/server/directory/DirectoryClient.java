package org.wache.server.directory;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.wache.server.web.Json;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Asks a repeater directory over HTTP; one that does not answer is told, not waited for. */
@Component
class DirectoryClient {

    private static final Duration PATIENCE = Duration.ofSeconds(3);
    private static final int OK = 200;
    private static final JsonMapper JSON = Json.MAPPER;

    private final HttpClient http =
            HttpClient.newBuilder().connectTimeout(PATIENCE).build();
    private final String url;

    DirectoryClient(@Value("${wache.directory-url}") String url, StandInDirectory standIn) {
        this.url = url.isBlank() ? standIn.url() : url.replaceFirst("/+$", "");
    }

    /** The directory is down, or says what cannot be understood. */
    static final class Down extends Exception {
        private static final long serialVersionUID = 1;

        Down(String message) {
            super(message);
        }
    }

    /** All lines of the directory. */
    List<DirectoryLine> lines() throws Down {
        try {
            HttpResponse<String> answer = http.send(
                    HttpRequest.newBuilder(URI.create(url + "/repeaters"))
                            .timeout(PATIENCE)
                            .build(),
                    HttpResponse.BodyHandlers.ofString(StandardCharsets.UTF_8));
            if (answer.statusCode() != OK) {
                throw new Down("The directory answers with " + answer.statusCode() + ".");
            }
            return JSON.readValue(answer.body(), new TypeReference<List<DirectoryLine>>() {});
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new Down("The directory was not waited for.");
        } catch (IOException | IllegalArgumentException e) {
            throw new Down("The directory does not answer.");
        } catch (JacksonException e) {
            throw new Down("The directory says something that cannot be understood.");
        }
    }
}
