package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.wache.server.access.AccessTable;

/** Headers, sizes of requests, and the pages that say what is promised. */
@ExtendWith(RunningServer.class)
class SecurityTest {

    private final String address;

    SecurityTest(RunningServer server) {
        this.address = server.address();
    }

    @ParameterizedTest
    @CsvSource({
        "/, 200",
        "/lists, 200",
        "/card, 200",
        "/card-worker.js, 200",
        "/api/session, 200",
        "/api/groups/1/lists, 401",
        "/api/nosuch, 401",
        "/assets/nosuch.js, 404",
        "/nosuch, 404",
        "/api/groups/x%zz, 400",
        "/?a=%zz, 400",
        "/%2e%2e/x, 400"
    })
    void everyAnswerCarriesTheHeaders(String path, int status) throws IOException {
        try (RawHttp http = new RawHttp(address)) {
            carriesTheHeaders(http.send("GET " + path + " HTTP/1.1\r\nHost: x\r\n\r\n"), status);
        }
    }

    /** Those too that the container answers before anything of the application has seen them. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "GET / HTTP/1.1\r\n\r\n",
                "GET /\u0001 HTTP/1.1\r\nHost: x\r\n\r\n",
                "NONSENSE\r\n\r\n",
                "GET / HTTP/1.1\r\nHost: x\r\nContent-Length: -5\r\n\r\n",
                "GET /{} HTTP/1.1\r\nHost: x\r\n\r\n",
                "GET / HTTP/1.1\r\nHost: x y\r\n\r\n",
                "POST /api/session HTTP/1.1\r\nHost: x\r\nTransfer-Encoding: tea\r\n\r\n"
            })
    void theContainersOwnAnswersCarryThemToo(String request) throws IOException {
        try (RawHttp http = new RawHttp(address)) {
            RawHttp.Answer answer = http.send(request);
            carriesTheHeaders(answer, answer.status());
            assertThat(answer.status()).isBetween(400, 501);
            assertThat(answer.body()).doesNotContain("Tomcat", "Exception", "at org.");
        }
    }

    private static void carriesTheHeaders(RawHttp.Answer answer, int status) {
        assertThat(answer.status()).as(answer.body()).isEqualTo(status);
        assertThat(answer.headers().get("content-security-policy"))
                .contains("default-src 'self'", "object-src 'none'", "base-uri 'none'", "frame-ancestors 'none'")
                .doesNotContain("unsafe", "http:", "*", "\n");
        assertThat(answer.headers())
                .containsEntry("x-content-type-options", "nosniff")
                .containsEntry("x-frame-options", "DENY")
                .containsEntry("referrer-policy", "same-origin")
                .containsEntry("cross-origin-opener-policy", "same-origin")
                .containsEntry("cross-origin-resource-policy", "same-origin")
                .doesNotContainKeys("server", "strict-transport-security");
        assertThat(answer.headers().get("permissions-policy")).contains("camera=()", "geolocation=()");
    }

    /** The policy forbids inline scripts; so the pages have none, nor handlers or styles within them. */
    @ParameterizedTest
    @CsvSource({"/", "/card"})
    void pagesHoldNoInlineScript(String path) {
        String page = new Browserless(address).get(path).body();
        Matcher scripts =
                Pattern.compile("<script([^>]*)>(.*?)</script>", Pattern.DOTALL).matcher(page);
        int found = 0;
        while (scripts.find()) {
            found++;
            assertThat(scripts.group(1)).contains("src=\"/assets/");
            assertThat(scripts.group(2)).isBlank();
        }
        assertThat(found).isPositive();
        assertThat(page).doesNotContain("<style", " style=", " onclick=", "javascript:", "http://", "https://");
    }

    @Test
    void thePageOfPromisesNamesTestsThatExist() throws IOException {
        String page = Files.readString(Path.of("..", "docs", "security.md"));
        Matcher names = Pattern.compile("`([A-Z][A-Za-z]+(?:Test|IT))(?:\\.([a-zA-Z]+))?`")
                .matcher(page);
        int found = 0;
        while (names.find()) {
            found++;
            Path here = Path.of("src", "test", "java", "org", "wache", "server", names.group(1) + ".java");
            Path core =
                    Path.of("..", "core", "src", "test", "java", "org", "wache", "exchange", names.group(1) + ".java");
            Path file = Files.exists(here) ? here : core;
            assertThat(file).exists();
            if (names.group(2) != null) {
                assertThat(Files.readString(file)).contains("void " + names.group(2) + "(");
            }
        }
        assertThat(found).isGreaterThan(10);
        assertThat(AccessTable.SHIPPED.lines()).hasSizeGreaterThan(100);
    }

    /** Every library on the class path, and every package that ships with the web application, is listed with its licence. */
    @Test
    void theListOfDependenciesIsCurrent() throws IOException {
        String list = Files.readString(Path.of("..", "docs", "dependencies.md"));
        String paths = System.getProperty("surefire.test.class.path", System.getProperty("java.class.path"));
        int libraries = 0;
        for (String path : paths.split(java.io.File.pathSeparator)) {
            Path jar = Path.of(path);
            if (path.endsWith(".jar") && !path.contains("wache-")) {
                String row = "| " + jar.getParent().getParent().getFileName() + " | "
                        + jar.getParent().getFileName() + " |";
                assertThat(list).as("run node docs/dependencies.mjs").contains(row);
                libraries++;
            }
        }
        assertThat(libraries).isGreaterThan(50);
        var packages = tools.jackson.databind.json.JsonMapper.builder()
                .build()
                .readTree(Files.readString(Path.of("..", "web", "package.json")))
                .path("dependencies");
        packages.propertyNames()
                .forEach(name ->
                        assertThat(list).as("run node docs/dependencies.mjs").contains("| " + name + " | "));
        assertThat(list).doesNotContain("| not said |", "| undefined |");
    }
}
