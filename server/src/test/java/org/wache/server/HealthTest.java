package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;
import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.slf4j.LoggerFactory;
import org.springframework.context.ConfigurableApplicationContext;

/** What those who run the server ask of it: live, ready, figures, the lines of its log, the unit of its service. */
@ExtendWith(RunningServer.class)
class HealthTest {

    private final RunningServer server;

    HealthTest(RunningServer server) {
        this.server = server;
    }

    /** The way to a database, which can be cut and mended. */
    private static final class Way implements AutoCloseable {

        private final int to;
        private final ServerSocket door;
        private final Set<Socket> open = ConcurrentHashMap.newKeySet();
        private volatile boolean cut = false;

        Way(int to) throws IOException {
            this.to = to;
            door = new ServerSocket(0, 50, InetAddress.getLoopbackAddress());
            daemon(() -> {
                while (!door.isClosed()) {
                    join(door.accept());
                }
            });
        }

        private interface Work {
            void run() throws IOException;
        }

        private static void daemon(Work work) {
            Thread thread = new Thread(() -> {
                try {
                    work.run();
                } catch (IOException e) {
                    // cut, or the end
                }
            });
            thread.setDaemon(true);
            thread.start();
        }

        private void join(Socket from) throws IOException {
            if (cut) {
                from.close();
                return;
            }
            Socket onward = new Socket(InetAddress.getLoopbackAddress(), to);
            open.addAll(List.of(from, onward));
            daemon(() -> from.getInputStream().transferTo(onward.getOutputStream()));
            daemon(() -> onward.getInputStream().transferTo(from.getOutputStream()));
        }

        int port() {
            return door.getLocalPort();
        }

        void cut() throws IOException {
            cut = true;
            for (Socket each : open) {
                each.close();
            }
        }

        void mend() {
            cut = false;
        }

        @Override
        public void close() throws IOException {
            door.close();
            cut();
        }
    }

    private static HttpResponse<String> get(String address) throws IOException, InterruptedException {
        return HttpClient.newHttpClient()
                .send(HttpRequest.newBuilder(URI.create(address)).build(), HttpResponse.BodyHandlers.ofString());
    }

    private static int becomes(String address, int status) throws IOException, InterruptedException {
        int now = 0;
        for (int i = 0; i < 100 && now != status; i++) {
            now = get(address).statusCode();
            Thread.sleep(100);
        }
        return now;
    }

    @Test
    void aDeadDatabaseMakesItUnreadyAndNotDead() throws Exception {
        String database = TestDatabase.newDatabase();
        int port = URI.create(database.substring("jdbc:".length())).getPort();
        try (Way way = new Way(port);
                ConfigurableApplicationContext own =
                        RunningServer.start(database.replace(":" + port + "/", ":" + way.port() + "/"), false)) {
            String at = RunningServer.addressOf(own);
            assertThat(get(at + "/health/ready").statusCode()).isEqualTo(200);
            way.cut();
            assertThat(becomes(at + "/health/ready", 503)).isEqualTo(503);
            assertThat(get(at + "/health/ready").body()).contains("The database does not answer.");
            assertThat(get(at + "/health/live").statusCode()).isEqualTo(200);
            way.mend();
            assertThat(becomes(at + "/health/ready", 200)).isEqualTo(200);
        }
    }

    /** Prometheus' text format, version 0.0.4: https://prometheus.io/docs/instrumenting/exposition_formats (from memory). */
    private static final Pattern LINE = Pattern.compile(
            "# (HELP|TYPE|UNIT) .*|# EOF|[a-zA-Z_:][a-zA-Z0-9_:]*(\\{([a-zA-Z_][a-zA-Z0-9_]*=\"(\\\\[\\\\\"n]|[^\"\\\\])*\",?)*})? (\\+Inf|-Inf|NaN|[0-9.eE+-]+)");

    @Test
    void figuresAreToldOnAnAddressOfTheirOwnWithoutNames() throws Exception {
        int port;
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        try (ConfigurableApplicationContext own =
                RunningServer.start(server.database(), false, "--wache.figures=127.0.0.1:" + port)) {
            Browserless who = Browserless.signedIn(RunningServer.addressOf(own), "coordinator");
            assertThat(who.get("/api/lists/1").statusCode()).isEqualTo(200);
            who.get("/api/groups/" + who.group() + "/lists?find=Secret%20words");
            who.get("/nowhere/Secret%20words");
            String figures = get("http://127.0.0.1:" + port + "/metrics").body();
            assertThat(figures.lines().filter(line -> !LINE.matcher(line).matches()))
                    .isEmpty();
            assertThat(figures)
                    .contains(
                            "http_server_requests_seconds_count{method=\"GET\",status=\"200\",uri=\"/api/lists/{list}\"} 1")
                    .contains("uri=\"none\"", "hikaricp_connections_pending", "jvm_memory_used_bytes")
                    .doesNotContain("Secret", "coordinator", "lists/1");
            assertThat(who.get("/metrics").statusCode())
                    .as("not where people are")
                    .isEqualTo(404);
        }
    }

    @Test
    void aLineOfTheLogHasTheReferenceAndNothingOfWhoOrWhat() throws Exception {
        Logger lines = (Logger) LoggerFactory.getLogger("org.wache.requests");
        Level before = lines.getLevel();
        ListAppender<ILoggingEvent> kept = new ListAppender<>();
        kept.start();
        lines.addAppender(kept);
        lines.setLevel(Level.INFO);
        try {
            Browserless who = Browserless.signedIn(server.address(), "coordinator");
            HttpResponse<String> answer = who.post(
                    "/api/groups/" + who.group() + "/areas?why=Secret",
                    "{\"name\":\"Secret team\",\"latitude\":99,\"longitude\":0,\"radiusKm\":1}");
            String reference = answer.headers().firstValue("Wache-Reference").orElseThrow();
            assertThat(reference).matches("[2-9A-Z]{4}-[2-9A-Z]{4}");
            ILoggingEvent line = null;
            for (int i = 0; i < 50 && line == null; i++) {
                Thread.sleep(50); // it is written after the answer
                line = List.copyOf(kept.list).stream()
                        .filter(each ->
                                reference.equals(each.getMDCPropertyMap().get("request")))
                        .findFirst()
                        .orElse(null);
            }
            assertThat(line).isNotNull();
            assertThat(line.getFormattedMessage()).matches("POST /api/groups/\\{group}/areas 422 \\d+ ms");
            assertThat(List.copyOf(kept.list).toString()).doesNotContain("Secret", "coordinator", "tern-valley");
        } finally {
            lines.setLevel(before);
            lines.detachAppender(kept);
        }
    }

    /** systemd's own check of the unit, with the program where it is here. */
    @Test
    void theUnitIsOneThatSystemdTakes() throws Exception {
        String java = Path.of(System.getProperty("java.home"), "bin", "java").toString();
        Path unit = Files.createTempDirectory("unit").resolve("wache.service");
        String shipped = Files.readString(Path.of("../ops/wache.service"));
        assertThat(shipped).contains("ExecStart=/usr/bin/java ");
        Files.writeString(unit, shipped.replace("/usr/bin/java", java));
        Process verify = new ProcessBuilder("systemd-analyze", "verify", "--man=no", unit.toString())
                .redirectErrorStream(true)
                .start();
        String said = new String(verify.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(verify.waitFor()).as(said).isZero();
        assertThat(said.lines().filter(line -> line.contains("wache.service"))).isEmpty();
    }
}
