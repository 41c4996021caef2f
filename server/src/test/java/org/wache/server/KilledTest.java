package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.wache.exchange.ReleaseCheck;
import org.wache.exchange.ReleaseFile;
import tools.jackson.databind.JsonNode;

/**
 * kill -9 of the server, of PostgreSQL and of both, and a disk that is full, at moments chosen from a seed, in imports, releases, bench
 * runs, changes of lists, of the roster and of settings: afterwards each is there as a whole or not at all, and the next server goes on.
 * What must hold is written down in docs/security.md. With {@code -Dwache.torture.minutes=60} (./wache test --torture) it goes on for so
 * long, with a seed of its own that it tells.
 */
class KilledTest {

    private enum Strike {
        SERVER,
        DATABASE,
        BOTH,
        DISK_FULL
    }

    /** What is struck in the ordinary run. */
    private static final List<Strike> ORDINARY = List.of(
            Strike.SERVER,
            Strike.DATABASE,
            Strike.DATABASE,
            Strike.SERVER,
            Strike.DATABASE,
            Strike.DATABASE,
            Strike.BOTH,
            Strike.DATABASE,
            Strike.DATABASE,
            Strike.SERVER,
            Strike.DISK_FULL,
            Strike.DATABASE,
            Strike.DATABASE,
            Strike.SERVER);

    private static final long TORTURE_MINUTES = Long.getLong("wache.torture.minutes", 0);
    private static final int LATEST_MS = 500;
    /** A release takes several steps: rename, sign, release. */
    private static final int LATEST_OF_A_RELEASE_MS = 1_600;

    private static final int ENTRIES = 300;
    private static final int ADDED = 40;
    private static final int PATIENCE_S = 60;
    private static final int KINDS_OF_WORK = 6;

    private final TestDatabase cluster = TestDatabase.own();
    private final String database = cluster.database();
    private final long seed = TORTURE_MINUTES > 0 ? System.nanoTime() : 20_261_125;
    private final Random random = new Random(seed);
    private int tried;
    private Process server;

    @Test
    void nothingIsHalfDone() throws Exception {
        try {
            int port = freePort();
            server = started(port);
            Browserless who = Browserless.signedIn(
                    "http://127.0.0.1:" + port, "coordinator"); // sessions are in the database, and outlive the servers
            if (TORTURE_MINUTES > 0) {
                torture(who, port);
            } else {
                for (Strike strike : ORDINARY) {
                    struck(strike, who, port);
                }
            }
            everythingGoesOn("http://127.0.0.1:" + port);
        } finally {
            if (server != null) {
                server.destroyForcibly();
            }
            cluster.destroy();
        }
    }

    private void torture(Browserless who, int port) throws Exception {
        System.out.println("Torture for " + TORTURE_MINUTES + " minutes, seed " + seed);
        long end = System.nanoTime() + TimeUnit.MINUTES.toNanos(TORTURE_MINUTES);
        int[] strikes = new int[Strike.values().length];
        while (System.nanoTime() < end) {
            Strike strike = Strike.values()[random.nextInt(Strike.values().length)];
            struck(strike, who, port);
            strikes[strike.ordinal()]++;
        }
        for (Strike strike : Strike.values()) {
            System.out.println(strike + ": " + strikes[strike.ordinal()] + " times");
        }
    }

    /** Begins some work, strikes in the middle of it, and looks at what is there. */
    private void struck(Strike strike, Browserless who, int port) throws Exception {
        if (strike == Strike.DISK_FULL && !cluster.hasDisk()) {
            System.out.println("The disk is not filled: this user may not mount one.");
            return;
        }
        if (strike == Strike.DISK_FULL) {
            cluster.fill();
        }
        CompletableFuture<Void> work = CompletableFuture.runAsync(work(who));
        Thread.sleep(moment());
        if (strike == Strike.SERVER || strike == Strike.BOTH) {
            server.destroyForcibly();
            assertThat(server.waitFor(PATIENCE_S, TimeUnit.SECONDS)).isTrue();
        }
        if (strike == Strike.DATABASE || strike == Strike.BOTH) {
            cluster.kill();
        }
        if (strike == Strike.DISK_FULL) {
            work.handle((done, problem) -> null).get(PATIENCE_S, TimeUnit.SECONDS);
            cluster.clear();
        }
        if (!cluster.answers()) {
            cluster.start();
        }
        work.handle((done, problem) -> null).get(PATIENCE_S, TimeUnit.SECONDS);
        nothingHalf(strike + ", strike " + tried);
        if (!server.isAlive()) {
            server = started(port);
        }
        answers(port);
    }

    /** An import, a release, a run of the bench, a change of a list, of the roster or of settings, in turn; what fails because of the strike is what is tested. */
    private Runnable work(Browserless who) {
        int number = tried++;
        return () -> {
            switch (number % KINDS_OF_WORK) {
                case 0 -> who.take("Killed " + number, list());
                case 1 -> release(who, number);
                case 2 -> run(who);
                case 3 -> change(who, number);
                case 4 ->
                    who.post(
                            "/api/groups/" + who.group() + "/parties",
                            "{\"kind\":\"person\",\"name\":\"Killed " + number
                                    + "\",\"note\":\"\",\"teams\":[\"Struck\"],\"licences\":[]}");
                default -> bringIn(who, number);
            }
        };
    }

    /** Many entries added and the first taken out, in one change. */
    private static void change(Browserless who, int number) {
        long list = who.take("Changed " + number, list());
        long first = Browserless.json(who.get("/api/lists/" + list))
                .path("slips")
                .path(0)
                .path("id")
                .asLong();
        String add = "{\"kind\":\"add\",\"before\":{},\"after\":{\"number\":\"9\",\"rxMhz\":\"146.550\"}}";
        who.post(
                "/api/lists/" + list + "/changes",
                "{\"version\":1,\"changes\":[{\"kind\":\"remove\",\"entry\":" + first + ",\"before\":{},\"after\":{}},"
                        + String.join(",", java.util.Collections.nCopies(ADDED, add)) + "]}");
    }

    /** A spreadsheet that is read and then taken. */
    private static void bringIn(Browserless who, int number) {
        long intake = Browserless.json(who.file(
                        "/api/groups/" + who.group() + "/intakes?name=t",
                        ("Freq,Name\n" + "146.52,A\nno frequency,B\n".repeat(ENTRIES))
                                .getBytes(StandardCharsets.UTF_8)))
                .path("id")
                .asLong();
        who.post(
                "/api/intakes/" + intake + "/list",
                "{\"name\":\"Brought " + number + "\",\"sheet\":\"\",\"mapping\":null,\"into\":null}");
    }

    /** When the work that was just begun is struck. */
    private int moment() {
        return random.nextInt((tried - 1) % KINDS_OF_WORK == 1 ? LATEST_OF_A_RELEASE_MS : LATEST_MS);
    }

    private static String list() {
        StringBuilder csv = new StringBuilder("number,name,rx_mhz,tx_mhz,mode,power_w,timeout_s\n");
        for (int i = 1; i <= ENTRIES; i++) {
            csv.append(i)
                    .append(",E")
                    .append(i)
                    .append(",146.5")
                    .append(i % 4 == 0 ? "20" : "50")
                    .append(",,FM,,\n");
        }
        return csv.toString();
    }

    /** The demo's short list waits for its signature only; a change of its name makes each release another. */
    private static void release(Browserless who, int number) {
        long list = 0;
        for (JsonNode each : Browserless.json(who.get("/api/groups/" + who.group() + "/lists"))) {
            list = each.path("name").asString().startsWith("Net control")
                    ? each.path("id").asLong()
                    : list;
        }
        who.put("/api/lists/" + list + "/name", "{\"name\":\"Net control " + number + "\"}");
        Fleets fleets = new Fleets(who);
        fleets.sign(list);
        fleets.releaseNow(list);
    }

    private static void run(Browserless who) {
        List<Long> free = new ArrayList<>();
        JsonNode radios = Browserless.json(who.get("/api/groups/" + who.group() + "/radios"))
                .path("units");
        radios.forEach(each -> {
            boolean idle =
                    !List.of("waiting", "running").contains(each.path("bench").asString(""))
                            && each.path("held").isNull();
            if (each.path("modelName").asString().equals("Heron H2") && idle && free.size() < 3) {
                free.add(each.path("id").asLong());
            }
        });
        new Fleets(who).run(7, free);
    }

    private void nothingHalf(String when) throws SQLException {
        try (Connection connection = DriverManager.getConnection(database, "wache", "")) {
            assertThat(
                            count(
                                    connection,
                                    """
          select count(*) from channel_list where name like 'Killed %' and (
            (select count(*) from entry where list_id = channel_list.id) <> 300
            or (select count(*) from entry_past where list_id = channel_list.id) <> 300
            or not exists (select 1 from entry_order where list_id = channel_list.id)
            or not exists (select 1 from list_change where list_id = channel_list.id)
            or not exists (select 1 from log where kind = 'list' and subject_id = channel_list.id))"""))
                    .as("%s: a list came in by half", when)
                    .isZero();
            assertThat(
                            count(
                                    connection,
                                    """
          select count(*) from channel_list where name like 'Changed %' and version > 1 and (
            (select count(*) from entry where list_id = channel_list.id and not removed) <> 339 or version <> 2
            or (select cardinality(entries) from entry_order where list_id = channel_list.id order by entry_order.version desc limit 1) <> 339)"""))
                    .as("%s: a change by half", when)
                    .isZero();
            assertThat(
                            count(
                                    connection,
                                    """
          select count(*) from channel_list where name like 'Brought %' and (
            (select count(*) from entry where list_id = channel_list.id) <> 300 or (select count(*) from row_aside where list_id = channel_list.id) <> 300)"""))
                    .as("%s: a table taken by half", when)
                    .isZero();
            assertThat(
                            count(
                                    connection,
                                    """
          select count(*) from club where roster_version <> (select coalesce(max(version), 1) from roster_change where club_id = club.id)"""))
                    .as("%s: a roster without its record", when)
                    .isZero();
            assertThat(
                            count(
                                    connection,
                                    """
          select count(*) from party where name like 'Killed %' and not exists (select 1 from log where kind = 'roster' and subject_id = party.id)"""))
                    .as("%s: somebody whom the log does not know", when)
                    .isZero();
            assertThat(
                            count(
                                    connection,
                                    "select count(*) from entry where not exists (select 1 from channel_list where channel_list.id = entry.list_id)"))
                    .isZero();
            assertThat(
                            count(
                                    connection,
                                    """
          select count(*) from channel_list where version <> (select max(version) from list_change where list_id = channel_list.id)
            and parent_id is null"""))
                    .as("%s: a version without its record", when)
                    .isZero();
            assertThat(
                            count(
                                    connection,
                                    """
          select count(*) from release where not exists (select 1 from release_carrier where release_id = release.id)
            or not exists (select 1 from log where kind = 'release' and subject_id = release.id and what like 'release %')"""))
                    .as("%s: a release by half", when)
                    .isZero();
            assertThat(
                            count(
                                    connection,
                                    "select count(*) from bench_run where not exists (select 1 from bench_job where run_id = bench_run.id)"))
                    .as("%s: a run without its radios", when)
                    .isZero();
            assertThat(
                            count(
                                    connection,
                                    "select count(*) from bench_job where kept and not exists (select 1 from unit_load where job_id = bench_job.id)"))
                    .as("%s: a radio written and not noted", when)
                    .isZero();
            try (ResultSet releases = connection
                    .createStatement()
                    .executeQuery("select body, sha256 from release order by id desc limit 3")) {
                while (releases.next()) {
                    ReleaseFile file = ReleaseFile.read(releases.getString(1).getBytes(StandardCharsets.UTF_8));
                    assertThat(file.sum()).isEqualTo(releases.getString(2));
                    assertThat(ReleaseCheck.of(file).good())
                            .as("%s: %s", when, ReleaseCheck.of(file).lines())
                            .isTrue();
                }
            }
        }
    }

    private static long count(Connection connection, String question) throws SQLException {
        try (ResultSet found = connection.createStatement().executeQuery(question)) {
            found.next();
            return found.getLong(1);
        }
    }

    /** After all of it: a list comes in, every run ends, and some of each kind did happen. */
    private void everythingGoesOn(String address) throws SQLException {
        Browserless who = Browserless.signedIn(address, "coordinator");
        assertThat(who.take("Killed last", list())).isPositive();
        Fleets fleets = new Fleets(who);
        for (JsonNode run : Browserless.json(who.get("/api/groups/" + who.group() + "/runs"))) {
            fleets.ended(run.path("id").asLong());
        }
        nothingHalf("at the end");
        try (Connection connection = DriverManager.getConnection(database, "wache", "")) {
            assertThat(count(connection, "select count(*) from channel_list where name like 'Killed %'"))
                    .as("imports that got through")
                    .isGreaterThan(1);
            assertThat(count(connection, "select count(*) from bench_run"))
                    .as("runs that got through")
                    .isPositive();
            assertThat(count(connection, "select count(*) from release"))
                    .as("releases that got through")
                    .isPositive();
        }
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    private Process started(int port) throws IOException {
        String classes = System.getProperty("surefire.test.class.path", System.getProperty("java.class.path"));
        List<String> command = List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Xmx512m",
                "-XX:TieredStopAtLevel=1",
                "-XX:+UseSerialGC",
                "-cp",
                classes,
                "org.wache.server.WacheServer",
                "--server.port=" + port,
                "--spring.datasource.url=" + database,
                "--spring.datasource.username=wache",
                "--wache.demo=true",
                "--wache.secure-cookies=false",
                "--wache.bench.baud=0");
        Process process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        answers(port);
        return process;
    }

    /** Waits until the server answers questions that go to the database, and the demo's data is there. */
    private static void answers(int port) {
        for (int i = 0; i < PATIENCE_S * 10; i++) {
            try {
                Browserless who = new Browserless("http://127.0.0.1:" + port);
                who.get("/api/session");
                if (who.post("/api/session", "{\"login\":\"coordinator\",\"password\":\"tern-valley\"}")
                                        .statusCode()
                                == 200
                        && Browserless.json(who.get("/api/groups/1/runs")).size() > 0) {
                    return;
                }
            } catch (RuntimeException e) {
                // not yet
            }
            Fleets.pause();
        }
        throw new AssertionError("The server does not answer");
    }
}
