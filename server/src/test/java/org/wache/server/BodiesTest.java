package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.File;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.context.ConfigurableApplicationContext;

/** Requests that are long, slow, or never end: they hold up nobody else, and end. */
@ExtendWith(RunningServer.class)
class BodiesTest {

    private static final int HANGING = 230;
    private static final int PATIENCE_S = 1;
    private static final int TOO_MUCH = 5 * 1024 * 1024;
    private static ConfigurableApplicationContext impatient;
    private static String address;
    private static Browserless who;

    @BeforeAll
    static void start(RunningServer server) {
        impatient = RunningServer.start(
                server.database(),
                true,
                "--wache.patience=" + PATIENCE_S + "s",
                "--wache.connections-of-an-address=280");
        address = RunningServer.addressOf(impatient);
        who = Browserless.signedIn(address, "coordinator");
    }

    @AfterAll
    static void stop() {
        impatient.close();
    }

    private static String head(String method, String path, String more) {
        return method + " " + path + " HTTP/1.1\r\nHost: x\r\nCookie: " + who.cookieHeader() + "\r\nX-XSRF-TOKEN: "
                + who.cookie("XSRF-TOKEN") + "\r\n" + more;
    }

    private static String length(String type, int length) {
        return "Content-Type: " + type + "\r\nContent-Length: " + length + "\r\n\r\n";
    }

    private static String begun(String kind) {
        String group = "/api/groups/" + who.group();
        return switch (kind) {
            case "a sign-in" -> "POST /api/session HTTP/1.1\r\nHost: x\r\n" + length("application/json", 3000) + "{";
            case "a list" ->
                head("POST", group + "/lists?name=slow", length("application/octet-stream", 9_000_000)) + "number";
            case "chunks" ->
                head(
                        "PUT",
                        group + "/overlay",
                        "Content-Type: application/json\r\nTransfer-Encoding: chunked\r\n\r\n5\r\n{\"bef");
            case "a form" -> head("POST", "/api/session", length("application/x-www-form-urlencoded", 3000)) + "a";
            case "a form without the token" ->
                "POST /api/session HTTP/1.1\r\nHost: x\r\n" + length("application/x-www-form-urlencoded", 3000) + "a";
            case "parts" ->
                head("POST", group + "/lists?name=x", length("multipart/form-data; boundary=x", 3000)) + "--x";
            case "a stranger's file" ->
                "POST " + group + "/lists?name=x HTTP/1.1\r\nHost: x\r\n"
                        + length("application/octet-stream", 9_000_000) + "x";
            case "far too much" -> head("POST", group + "/parties", length("application/json", 900_000_000)) + "{";
            case "a question with a body" -> head("GET", group + "/lists", length("application/json", 3000)) + "{";
            case "no such page" -> head("POST", "/nosuch", length("application/json", 3000)) + "{";
            case "headers" -> "GET /api/session HTTP/1.1\r\nHost: x\r\nX-A: ";
            default -> "GE";
        };
    }

    /** 230 at one time that send a byte now and then; those who ask as people do are answered meanwhile, and the slow ones are let go. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "a sign-in",
                "a list",
                "chunks",
                "a form",
                "a form without the token",
                "parts",
                "a stranger's file",
                "far too much",
                "a question with a body",
                "no such page",
                "headers",
                "a first line"
            })
    void whoSendsSlowlyHoldsUpNobody(String kind) throws IOException {
        List<RawHttp> slow = new ArrayList<>();
        try {
            for (int i = 0; i < HANGING; i++) {
                slow.add(new RawHttp(address).begin(begun(kind)));
            }
            for (int round = 0; round < 2; round++) {
                answersAtOnce();
                for (RawHttp each : slow) {
                    drip(each);
                }
            }
            int held = HANGING;
            for (int waited = 0; held > 0 && waited < 15; waited++) {
                Fleets.pause(1000);
                slow.removeIf(each -> !each.isOpen());
                slow.forEach(BodiesTest::drip);
                held = slow.size();
            }
            assertThat(held).as("connections that are still held").isZero();
            answersAtOnce();
        } finally {
            slow.forEach(RawHttp::close);
        }
    }

    private static void drip(RawHttp slow) {
        try {
            slow.begin("x");
        } catch (IOException e) {
            // it has been let go
        }
    }

    /** What is asked by whom while the others hang: a page, a sign-in with its body, a list, and a change of it. */
    private static void answersAtOnce() {
        long began = System.nanoTime();
        assertThat(who.get("/").statusCode()).isEqualTo(200);
        Browserless other = new Browserless(address);
        other.get("/api/session");
        assertThat(other.post("/api/session", "{\"login\":\"reviewer\",\"password\":\"tern-valley\"}")
                        .statusCode())
                .isEqualTo(200);
        long list = who.take("Asked meanwhile", "number,rx_mhz\n1,162.550\n");
        assertThat(who.put("/api/lists/" + list + "/name", "{\"name\":\"Answered\"}")
                        .statusCode())
                .isEqualTo(204);
        assertThat((System.nanoTime() - began) / 1_000_000_000).as("seconds").isLessThan(15);
    }

    /** Whoever keeps the pace is heard to the end, however long it takes. */
    @Test
    void aBodyThatKeepsThePaceIsRead() throws IOException {
        String csv = "number,name,rx_mhz\n" + "1,Weather,162.550\n".repeat(2000);
        try (RawHttp http = new RawHttp(address)) {
            http.begin(head(
                    "POST",
                    "/api/groups/" + who.group() + "/lists?name=steady",
                    length("application/octet-stream", csv.length())));
            int part = csv.length() / 10;
            for (int from = 0; from < csv.length(); from += part) {
                http.begin(csv.substring(from, Math.min(csv.length(), from + part)));
                Fleets.pause(500);
            }
            assertThat(http.answer(false).status()).isEqualTo(201);
        }
    }

    @Test
    void aBodyOnTheEdgeOfTheMemoryComesInWholeAndItsFileGoes() {
        for (int length : new int[] {64 * 1024 - 1, 64 * 1024, 64 * 1024 + 1, 3_000_000}) {
            String name = "x".repeat(100);
            String csv = "number,name,rx_mhz,note\n1," + name + ",162.550,\n";
            csv += "\n".repeat(length - csv.length());
            assertThat(who.take("edge " + length, csv)).isPositive();
        }
        assertThat(Optional.ofNullable(new File(System.getProperty("java.io.tmpdir"))
                                .list((dir, file) -> file.startsWith("wache-body")))
                        .orElse(new String[0]))
                .isEmpty();
    }

    @Test
    void aRequestThatIsTooLargeIsRefusedWithWords() {
        HttpResponse<String> answer =
                who.post("/api/groups/" + who.group() + "/parties", "{\"name\":\"" + "x".repeat(TOO_MUCH) + "\"}");
        assertThat(answer.statusCode()).isEqualTo(413);
        assertThat(answer.body()).contains("up to 4 MB");
    }

    /** A body in chunks says no length beforehand. */
    @Test
    void neitherIsOneThatDoesNotSayItsLength() throws IOException {
        try (RawHttp http = new RawHttp(address)) {
            http.begin(head(
                    "POST",
                    "/api/groups/" + who.group() + "/parties",
                    "Content-Type: application/json\r\nTransfer-Encoding: chunked\r\n\r\n"));
            String more = "10000\r\n" + "x".repeat(0x10000) + "\r\n";
            for (int sent = 0; sent < TOO_MUCH; sent += 0x10000) {
                http.begin(more);
            }
            RawHttp.Answer answer = http.begin("0\r\n\r\n").answer(false);
            assertThat(answer.status()).isEqualTo(413);
            assertThat(answer.body()).contains("up to 4 MB");
        }
    }

    /** A file over the size is told at once, before it is sent. */
    @Test
    void aFileOfAGigabyteIsRefusedAtOnce() throws IOException {
        try (RawHttp http = new RawHttp(address)) {
            RawHttp.Answer answer = http.begin(head(
                                    "POST",
                                    "/api/groups/" + who.group() + "/intakes?name=x",
                                    length("application/octet-stream", 1_000_000_000))
                            + "number")
                    .answer(false);
            assertThat(answer.status()).isEqualTo(413);
            assertThat(answer.body()).contains("larger than 20 MB");
        }
    }

    /** A stranger has nothing long to say. */
    @Test
    void aStrangersFileIsNotKept() throws IOException {
        try (RawHttp http = new RawHttp(address)) {
            String start = "POST /api/groups/1/lists?name=x HTTP/1.1\r\nHost: x\r\n"
                    + length("application/octet-stream", 100_000);
            assertThat(http.begin(start + "x".repeat(100_000)).answer(false).status())
                    .isEqualTo(401);
        }
        try (RawHttp http = new RawHttp(address)) {
            RawHttp.Answer form = http.send("POST /api/session HTTP/1.1\r\nHost: x\r\n"
                    + length("application/x-www-form-urlencoded", 3) + "a=b");
            assertThat(form.status()).isEqualTo(415);
            assertThat(form.body()).contains("Send JSON");
        }
    }

    /** Too many connections of one address: the idle ones are let go, those who ask are answered. */
    @Test
    void oneAddressHoldsSoManyConnections() throws IOException {
        List<RawHttp> idle = new ArrayList<>();
        try {
            for (int i = 0; i < 500; i++) {
                idle.add(new RawHttp(address).begin("GET /api/session HTTP/1.1\r\nHost: x\r\n\r\n"));
            }
            for (RawHttp each : idle) {
                try {
                    each.answer(false);
                } catch (IOException e) {
                    // let go before its turn
                }
            }
            Fleets.pause(2500);
            assertThat(idle.stream().filter(RawHttp::isOpen).count()).isLessThanOrEqualTo(280);
            answersAtOnce();
        } finally {
            idle.forEach(RawHttp::close);
        }
    }

    /** Bodies that come in together are not mixed up. */
    @Test
    void whatComesInTogetherStaysApart() {
        List<Long> lists = java.util.stream.IntStream.range(0, 24)
                .parallel()
                .mapToObj(i -> who.take(
                        "Apart " + i, "number,name,rx_mhz\n" + ("1,N" + i + ",162.550\n").repeat(50 * (i + 1))))
                .toList();
        for (int i = 0; i < lists.size(); i++) {
            String csv = new String(
                    who.bytes("/api/lists/" + lists.get(i) + "/export.csv").body(), StandardCharsets.UTF_8);
            int number = Integer.parseInt(csv.replaceFirst("(?s).*?1,N(\\d+),.*", "$1"));
            assertThat(csv.lines()
                            .filter(line -> line.contains("N" + number + ","))
                            .count())
                    .isEqualTo(50L * (number + 1));
        }
    }
}
