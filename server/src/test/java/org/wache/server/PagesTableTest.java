package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.FieldSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.wache.server.access.Pages;

/** One table of pages: the server answers by it, and the application has a screen for each. */
@ExtendWith(RunningServer.class)
class PagesTableTest {

    static final java.util.List<String> PATHS = Pages.PATHS;
    /** Shown before anybody is signed in. */
    private static final Set<String> OUTSIDE = Set.of("/sign-in", "/first-account", "/invitation", "/password");

    private final String address;

    PagesTableTest(RunningServer server) {
        this.address = server.address();
    }

    private HttpResponse<String> get(String path) throws IOException, InterruptedException {
        return HttpClient.newHttpClient()
                .send(HttpRequest.newBuilder(URI.create(address + path)).build(), HttpResponse.BodyHandlers.ofString());
    }

    @ParameterizedTest
    @FieldSource("PATHS")
    void aPageIsTheApplicationForWhoeverAsks(String path) throws IOException, InterruptedException {
        HttpResponse<String> answer = get(path.replaceAll("\\{\\w+}", "1"));
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.headers().firstValue("content-type"))
                .hasValueSatisfying(type -> assertThat(type).startsWith("text/html"));
        assertThat(answer.body()).isEqualTo(get("/").body());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"/nosuch", "/lists/1/nosuch", "/lists/1/fit/2", "/roster/1", "/lists/", "/Lists", "/lists;a=b"})
    void whatIsNotInTheTableIsNoPage(String path) throws IOException, InterruptedException {
        assertThat(get(path).statusCode()).isBetween(400, 404);
    }

    @Test
    void theApplicationHasAScreenForEachPageAndNoOther() throws IOException {
        String source = Files.readString(Path.of("..", "web", "src", "App.tsx"));
        Set<String> screens = Pattern.compile("^  '(/[^']*)': <\\w+ />,$", Pattern.MULTILINE)
                .matcher(source)
                .results()
                .map(found -> found.group(1))
                .collect(Collectors.toCollection(TreeSet::new));
        Set<String> pages = new TreeSet<>(Pages.PATHS);
        pages.removeAll(OUTSIDE);
        assertThat(screens).isEqualTo(pages);
    }

    private static final Pattern SCRIPT = Pattern.compile("/assets/[\\w-]+\\.js");
    private static final int MOST_BYTES = 120_000;

    /** What is named by its content is asked for once; the page that names it is asked for every time. */
    @Test
    void whatIsBuiltIsKeptByBrowsers() throws IOException, InterruptedException {
        String script = SCRIPT.matcher(get("/").body())
                .results()
                .findFirst()
                .orElseThrow()
                .group();
        assertThat(get(script).headers().firstValue("cache-control")).contains("max-age=31536000, public, immutable");
        assertThat(get("/").headers().firstValue("cache-control")).contains("no-cache");
    }

    /** The script that the first page comes with, as it goes over the line; other pages bring theirs when they are looked at. */
    @Test
    void theFirstPageIsLight() throws IOException, InterruptedException {
        long bytes = 0;
        for (String script : SCRIPT.matcher(get("/").body())
                .results()
                .map(java.util.regex.MatchResult::group)
                .distinct()
                .toList()) {
            HttpResponse<byte[]> answer = HttpClient.newHttpClient()
                    .send(
                            HttpRequest.newBuilder(URI.create(address + script))
                                    .header("accept-encoding", "gzip")
                                    .build(),
                            HttpResponse.BodyHandlers.ofByteArray());
            boolean small = answer.body().length < 2_048; // is sent as it is
            assertThat(small || answer.headers().firstValue("content-encoding").equals(Optional.of("gzip")))
                    .as(script)
                    .isTrue();
            bytes += answer.body().length;
        }
        assertThat(bytes).isBetween(20_000L, (long) MOST_BYTES);
    }
}
