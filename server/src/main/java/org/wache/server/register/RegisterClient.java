package org.wache.server.register;

import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.wache.server.web.Json;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** Asks a licence register over HTTP; a register that does not answer is told, not waited for. */
@Component
class RegisterClient {

    private static final Duration PATIENCE = Duration.ofSeconds(2);
    private static final int LONGEST_SIGN = 20;
    private static final int OK = 200;
    private static final int NOT_FOUND = 404;
    private static final JsonMapper JSON = Json.MAPPER;

    private final HttpClient http =
            HttpClient.newBuilder().connectTimeout(PATIENCE).build();
    private final String url;

    RegisterClient(@Value("${wache.register-url}") String url, StandInRegister standIn) {
        this.url = url.isBlank() ? standIn.url() : url.replaceFirst("/+$", "");
    }

    /** The register is down, or says what cannot be understood. */
    static final class Down extends Exception {
        private static final long serialVersionUID = 1;

        Down(String message) {
            super(message);
        }
    }

    /** What the register says of a call sign; nothing when it does not know it. */
    Optional<RegisterRecord> record(String callSign) throws Down {
        String sign = callSign.trim().toUpperCase(java.util.Locale.ROOT);
        if (sign.isEmpty() || sign.length() > LONGEST_SIGN) {
            return Optional.empty();
        }
        try {
            HttpResponse<String> answer = http.send(
                    HttpRequest.newBuilder(
                                    URI.create(url + "/licences/" + URLEncoder.encode(sign, StandardCharsets.UTF_8)))
                            .timeout(PATIENCE)
                            .build(),
                    HttpResponse.BodyHandlers.ofString(StandardCharsets.UTF_8));
            if (answer.statusCode() == NOT_FOUND) {
                return Optional.empty();
            }
            if (answer.statusCode() != OK) {
                throw new Down("The licence register answers with " + answer.statusCode() + ".");
            }
            return Optional.of(JSON.readValue(answer.body(), RegisterRecord.class));
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new Down("The licence register was not waited for.");
        } catch (IOException | IllegalArgumentException e) {
            throw new Down("The licence register does not answer.");
        } catch (JacksonException e) {
            throw new Down("The licence register says something that cannot be understood.");
        }
    }
}
