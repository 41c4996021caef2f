package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.BindException;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The launcher with the server as it was packaged: what it says and does when something dies under it. */
class LauncherIT {

    private static final Path LAUNCHER = Path.of("..", "wache").toAbsolutePath().normalize();
    private static final int PATIENCE_S = 120;
    private Path data;
    private int port;
    private Process launcher;
    private final List<String> said = new CopyOnWriteArrayList<>();

    @BeforeEach
    void place() throws IOException {
        data = Files.createTempDirectory("wache-launched");
        Files.setPosixFilePermissions(
                data, PosixFilePermissions.fromString("rwxr-xr-x")); // PostgreSQL runs as another user
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
    }

    @AfterEach
    void nothingIsLeft() throws Exception {
        if (launcher != null && launcher.isAlive()) {
            launcher.destroy();
            launcher.waitFor(20, TimeUnit.SECONDS);
            launcher.destroyForcibly();
        }
        Path pid = data.resolve("demo/pg/postmaster.pid");
        if (Files.exists(pid)) {
            new ProcessBuilder("kill", "-9", Files.readAllLines(pid).get(0))
                    .start()
                    .waitFor();
        }
        new ProcessBuilder("rm", "-rf", data.toString()).start().waitFor();
    }

    private void start() throws IOException {
        ProcessBuilder builder = new ProcessBuilder(LAUNCHER.toString(), "demo", "--port", Integer.toString(port))
                .redirectErrorStream(true);
        builder.environment().put("WACHE_DATA", data.toString());
        builder.environment().put("WACHE_BENCH_BAUD", "0");
        launcher = builder.start();
        Process reads = launcher;
        Thread reader = new Thread(() -> {
            try (BufferedReader lines =
                    new BufferedReader(new InputStreamReader(reads.getInputStream(), StandardCharsets.UTF_8))) {
                lines.lines().forEach(said::add);
            } catch (IOException | java.io.UncheckedIOException e) {
                // it has ended
            }
        });
        reader.setDaemon(true);
        reader.start();
        says("Ctrl-C stops");
    }

    private void says(String words) {
        for (int i = 0; i < PATIENCE_S * 10; i++) {
            if (said.stream().anyMatch(line -> line.contains(words))) {
                return;
            }
            Fleets.pause();
        }
        throw new AssertionError("“" + words + "” was not said; but: " + said);
    }

    private Browserless signedIn() {
        return Browserless.signedIn("http://127.0.0.1:" + port, "coordinator");
    }

    private String server() throws IOException {
        return Files.readString(data.resolve("demo.pid")).split(" ")[0];
    }

    private String database() throws IOException {
        return Files.readAllLines(data.resolve("demo/pg/postmaster.pid")).get(0);
    }

    private static void kill(String signal, String process) throws Exception {
        new ProcessBuilder("kill", signal, process).start().waitFor();
    }

    private int endsWithin(int seconds) throws InterruptedException {
        assertThat(launcher.waitFor(seconds, TimeUnit.SECONDS))
                .as("ended within %d s; it said %s", seconds, said)
                .isTrue();
        return launcher.exitValue();
    }

    /** When it says so one can sign in; a database that dies is started again, with everything in it; asked to stop, it stops. */
    @Test
    void aDatabaseThatDiesIsStartedAgain() throws Exception {
        // Nobody answers at the port that it would take first, and yet it is held.
        try (Socket holds = new Socket()) {
            try {
                holds.bind(new InetSocketAddress("127.0.0.1", 25430));
            } catch (BindException e) {
                // somebody else holds it
            }
            start();
        }
        Browserless who = signedIn();
        long list = who.take("Kept over the death", "number,rx_mhz\n1,162.550\n");
        kill("-9", database());
        says("the database is there again");
        assertThat(signedIn().get("/api/lists/" + list).statusCode()).isEqualTo(200);
        kill("-9", database());
        Fleets.pause(500);
        kill("-INT", Long.toString(launcher.pid())); // even then it stops
        assertThat(endsWithin(10)).isEqualTo(130);
        assertThat(new ProcessBuilder("bash", "-c", "exec 3<>/dev/tcp/127.0.0.1/" + port)
                        .start()
                        .waitFor())
                .as("the port is free")
                .isNotZero();
    }

    /** A server that dies is told by the exit status; a number in a stale file is nobody's death. */
    @Test
    void aServerThatDiesIsToldAndAStrangerIsLeftAlone() throws Exception {
        Process stranger =
                new ProcessBuilder("bash", "-c", "exec -a " + data + "/demo-run/wache-server.jar sleep 300").start();
        try {
            Files.writeString(data.resolve("demo.pid"), stranger.pid() + " 1\n");
            start();
            assertThat(stranger.isAlive()).isTrue();
            signedIn();
            kill("-9", server());
            assertThat(endsWithin(10)).isEqualTo(1);
            assertThat(said).anyMatch(line -> line.contains("the server has ended (status 137)"));
            said.clear();
            Files.writeString(
                    data.resolve("demo.pid"),
                    stranger.pid() + "\n"); // as it was written before it told when a process began
            start();
            assertThat(stranger.isAlive()).isTrue();
            assertThat(signedIn().get("/api/session").statusCode()).isEqualTo(200);
            kill("-TERM", Long.toString(launcher.pid()));
            endsWithin(10);
        } finally {
            stranger.destroyForcibly();
        }
    }
}
