package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.ServerSocket;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;

/** Lists go into fleets of simulated radios, with everything going wrong that can. */
@ExtendWith(RunningServer.class)
class BenchTest {

    private final Browserless who;
    private final Fleets fleets;

    BenchTest(RunningServer server) {
        this.who = Browserless.signedIn(server.address(), "coordinator");
        this.fleets = new Fleets(who);
    }

    private static JsonNode of(JsonNode jobs, long unit) {
        for (JsonNode job : jobs) {
            if (job.path("unit").asLong() == unit) {
                return job;
            }
        }
        throw new AssertionError("no work on " + unit);
    }

    @Test
    void twentyRadiosInOneGoAndThoseThatFailStopNoOther() {
        List<Long> units = fleets.herons(20);
        long list = fleets.released("Twenty", Fleets.LIST);
        fleets.fault(units.get(2), "cable-out", 18);
        fleets.fault(units.get(7), "flat-battery", 16);
        fleets.fault(units.get(11), "wrong-model", 0);
        fleets.fault(units.get(15), "checksum", 20);
        fleets.fault(units.get(19), "checksum-once", 20);
        long run = fleets.run(list, units);
        JsonNode jobs = fleets.ended(run);
        assertThat(jobs).hasSize(20);
        assertThat(jobs)
                .filteredOn(job -> job.path("state").asString().equals("good"))
                .hasSize(16);
        assertThat(of(jobs, units.get(2)).path("message").asString()).contains("does not answer");
        assertThat(of(jobs, units.get(7)).path("message").asString()).contains("battery is flat");
        assertThat(of(jobs, units.get(11)).path("message").asString())
                .contains("Gannet G9")
                .contains("not the Heron H2");
        assertThat(of(jobs, units.get(15)).path("message").asString()).contains("damaged");
        assertThat(jobs)
                .filteredOn(job -> job.path("state").asString().equals("failed"))
                .allSatisfy(job -> assertThat(job.path("cure").asString()).isNotBlank());
        for (int bad : new int[] {2, 7, 11, 15}) {
            fleets.fault(units.get(bad), "none", 0);
            assertThat(who.post(
                                    "/api/jobs/"
                                            + of(jobs, units.get(bad))
                                                    .path("id")
                                                    .asLong() + "/again",
                                    "{}")
                            .statusCode())
                    .isEqualTo(204);
        }
        JsonNode after = fleets.ended(run);
        assertThat(after)
                .allSatisfy(job -> assertThat(job.path("state").asString()).isEqualTo("good"));
        assertThat(of(after, units.get(2)).path("attempts").asInt()).isEqualTo(2);
        JsonNode loaded = fleets.view(units.get(2)).path("load");
        assertThat(loaded.path("name").asString()).isEqualTo("Twenty");
        assertThat(loaded.path("verified").asBoolean()).isTrue();
        assertThat(who.post("/api/jobs/" + of(after, units.get(2)).path("id").asLong() + "/again", "{}")
                        .statusCode())
                .isEqualTo(422);
    }

    @Test
    void whatWasInARadioIsSavedForGoodAndCanBeReadAsAList() {
        long unit = fleets.herons(1).get(0);
        fleets.ended(fleets.run(fleets.released("First", Fleets.LIST), List.of(unit)));
        fleets.ended(fleets.run(
                fleets.released(
                        "Second", "number,name,rx_mhz,tx_mhz,mode,power_w,timeout_s\n1,ONE,146.520,146.520,FM,5,180\n"),
                List.of(unit)));
        JsonNode saved =
                Browserless.json(who.get("/api/units/" + unit + "/bench")).path("saved");
        assertThat(saved).hasSize(2);
        assertThat(saved.path(0).path("entries").asInt()).isEqualTo(4);
        assertThat(saved.path(1).path("entries").asInt()).isZero();
        assertThat(who.get("/api/images/" + saved.path(0).path("id").asLong() + "/list.csv")
                        .body())
                .contains("RIDGE,146.940,146.340,FM")
                .contains("100.0");
        assertThat(Browserless.json(who.get("/api/units/" + unit)).path("loads"))
                .hasSize(2);
    }

    @Test
    void entriesOnHoldStayOutAndThePlanSaysWhy() {
        long unit = fleets.herons(1).get(0);
        long list = fleets.released("Holds", Fleets.LIST + "6,SIX,52.525,52.525,FM,5,,,yes,180\n");
        JsonNode plan = fleets.plan(list, List.of(unit)).path("units").path(0);
        assertThat(plan.path("entries").asInt()).isEqualTo(4);
        assertThat(plan.path("leftOut"))
                .extracting(each -> each.path("name").asString())
                .containsExactly("SIX");
        JsonNode jobs = fleets.ended(fleets.run(list, List.of(unit)));
        JsonNode report =
                Browserless.json(who.get("/api/jobs/" + jobs.path(0).path("id").asLong()));
        assertThat(report.path("leftOut")).hasSize(1);
        assertThat(report.path("presses"))
                .filteredOn(each -> each.path("keyed").asBoolean())
                .hasSize(3);
        assertThat(report.path("presses"))
                .allSatisfy(each -> assertThat(each.path("keyed").asBoolean())
                        .isEqualTo(each.path("shouldKey").asBoolean()));
    }

    @Test
    void aRadioIsOnOneCableAtATimeAndARunBegunOnAnOldReleaseIsRefused() {
        List<Long> units = fleets.herons(1);
        long list = fleets.released("Once", Fleets.LIST);
        long before = fleets.plan(list, units).path("release").asLong();
        long release = fleets.release(list, "Heron H2");
        HttpResponse<String> old = fleets.start(list, before, units);
        assertThat(old.statusCode()).isEqualTo(409);
        assertThat(old.body()).contains("Release 2 of the list came out meanwhile");
        fleets.fault(units.get(0), "cable-out", 10);
        long run = fleets.run(list, units);
        HttpResponse<String> second = fleets.start(list, release, units);
        assertThat(second.statusCode()).isEqualTo(422);
        assertThat(second.body()).contains("on the bench just now");
        fleets.ended(run);
    }

    @Test
    void aRadioOfTheWrongCountryKeepsOutWhatItRefuses() {
        long unit = fleets.unit("Heron H2", "Amateur II", false);
        JsonNode plan = fleets.plan(fleets.released("Foreign", Fleets.LIST), List.of(unit))
                .path("units")
                .path(0);
        assertThat(plan.path("leftOut").path(0).path("reason").asString()).contains("IARU Region 1");
        assertThat(fleets.view(unit).path("facts").path(0).path("text").asString())
                .contains("IARU Region 1");
    }

    @Test
    void pairsAndRepeatersAreTried() {
        List<Long> units = fleets.herons(2);
        fleets.ended(fleets.run(fleets.released("Air", Fleets.LIST), units));
        JsonNode pair = Browserless.json(who.post(
                "/api/units/" + units.get(0) + "/pair-check",
                "{\"other\":" + units.get(1) + ",\"callSign\":\"KE9QRB\"}"));
        assertThat(pair.path("good").asBoolean()).isTrue();
        assertThat(pair.path("lines"))
                .singleElement()
                .satisfies(line -> assertThat(line.path("said").asString()).contains("silent without"));
        JsonNode repeaters = Browserless.json(
                who.post("/api/units/" + units.get(0) + "/repeater-check", "{\"callSign\":\"KE9QRB\"}"));
        assertThat(repeaters.path("lines"))
                .anySatisfy(line -> assertThat(line.path("said").asString())
                        .contains("Identified as KE9QRB")
                        .contains("tail"));
        HttpResponse<String> alone = who.post(
                "/api/units/" + units.get(0) + "/pair-check",
                "{\"other\":" + units.get(0) + ",\"callSign\":\"KE9QRB\"}");
        assertThat(alone.statusCode()).isEqualTo(422);
    }

    @Test
    void aRadioForAChildIsSwitchedOffAndCheckedBeforeItIsHandedOut() {
        long unit = fleets.unit("Heron H2", "Amateur", true);
        long family = Browserless.json(who.get("/api/groups/" + who.group() + "/roster"))
                .path("parties")
                .path(0)
                .path("id")
                .asLong();
        String to = "{\"party\":" + family + ",\"note\":\"spare battery\"}";
        HttpResponse<String> tooEarly = who.post("/api/units/" + unit + "/hand-out", to);
        assertThat(tooEarly.statusCode()).isEqualTo(422);
        assertThat(tooEarly.body()).contains("transmitter off");
        JsonNode empty =
                Browserless.json(who.post("/api/units/" + unit + "/inhibit-check", "{\"callSign\":\"KE9QRB\"}"));
        assertThat(empty.path("good").asBoolean())
                .as("an empty radio that still keys")
                .isFalse();
        assertThat(who.post("/api/units/" + unit + "/hand-out", to).statusCode())
                .isEqualTo(422);
        JsonNode jobs = fleets.ended(fleets.run(fleets.released("Child", Fleets.LIST), List.of(unit)));
        assertThat(jobs.path(0).path("state").asString()).isEqualTo("good");
        JsonNode report =
                Browserless.json(who.get("/api/jobs/" + jobs.path(0).path("id").asLong()));
        assertThat(report.path("presses")).noneMatch(each -> each.path("keyed").asBoolean());
        assertThat(who.post("/api/units/" + unit + "/hand-out", to).statusCode())
                .isEqualTo(204);
        assertThat(fleets.view(unit).path("carrier").path("note").asString()).isEqualTo("spare battery");
        assertThat(fleets.view(unit).path("carrier").path("with").asString()).startsWith("Child, release 1");
        assertThat(who.post("/api/units/" + unit + "/hand-out", to).body()).contains("Take it back first");
        assertThat(who.post("/api/units/" + unit + "/hand-in", "{\"note\":\"scratched\"}")
                        .statusCode())
                .isEqualTo(204);
        assertThat(Browserless.json(who.get("/api/units/" + unit))
                        .path("custody")
                        .path(0)
                        .path("inNote")
                        .asString())
                .isEqualTo("scratched");
        JsonNode now = fleets.view(unit);
        String changed =
                Fleets.draft(now.path("model").asLong(), now.path("serial").asString(), "Changed since", "Open", true);
        assertThat(who.put(
                                "/api/units/" + unit,
                                "{\"version\":" + now.path("version").asInt() + ",\"unit\":" + changed + "}")
                        .statusCode())
                .isEqualTo(204);
        assertThat(who.post("/api/units/" + unit + "/hand-out", to).body()).contains("nobody has checked");
    }

    @Test
    void aRadioWhoseLockWasChangedSinceIsPlannedAnew() {
        long unit = fleets.unit("Heron H2", "Amateur II", false);
        long list = fleets.released("Replanned", Fleets.LIST);
        fleets.fault(unit, "cable-out", 3);
        long run = fleets.run(list, List.of(unit));
        JsonNode failed = fleets.ended(run).path(0);
        assertThat(failed.path("leftOut").asInt()).isEqualTo(3);
        JsonNode before = fleets.view(unit);
        String changed = Fleets.draft(
                before.path("model").asLong(),
                before.path("serial").asString(),
                before.path("label").asString(),
                "Amateur",
                false);
        assertThat(who.put("/api/units/" + unit, "{\"version\":1,\"unit\":" + changed + "}")
                        .statusCode())
                .isEqualTo(204);
        fleets.fault(unit, "none", 0);
        assertThat(who.post("/api/jobs/" + failed.path("id").asLong() + "/again", "{}")
                        .statusCode())
                .isEqualTo(204);
        JsonNode done = fleets.ended(run).path(0);
        assertThat(done.path("state").asString()).isEqualTo("good");
        assertThat(done.path("entries").asInt()).isEqualTo(4);
        assertThat(done.path("leftOut").asInt()).isZero();
    }

    @Test
    void whatWaitsCanBeStopped() {
        List<Long> units = fleets.herons(8);
        units.forEach(unit -> fleets.fault(unit, "cable-out", 4));
        long run = fleets.run(fleets.released("Stopped", Fleets.LIST), units);
        assertThat(Browserless.json(who.post("/api/runs/" + run + "/stop", "{}"))
                        .path("jobs")
                        .asInt())
                .isPositive();
        JsonNode jobs = fleets.ended(run);
        assertThat(jobs)
                .anySatisfy(job -> assertThat(job.path("state").asString()).isEqualTo("stopped"));
        assertThat(jobs)
                .noneSatisfy(job -> assertThat(job.path("state").asString()).isEqualTo("good"));
    }

    /** A server is killed, or ended, in the middle of a run; the next one finds what it broke off and finishes it. */
    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void aRunBrokenOffWithItsServerIsFoundAndFinished(boolean killed) throws Exception {
        String database = TestDatabase.newDatabase();
        int port = freePort();
        Process server = killable(database, port);
        String address = "http://127.0.0.1:" + port;
        awaitDemo(database);
        Browserless first = Browserless.signedIn(address, "coordinator");
        JsonNode before = atWork(first);
        if (killed) {
            server.destroyForcibly();
        } else {
            server.destroy();
        }
        assertThat(server.waitFor(30, TimeUnit.SECONDS)).isTrue();
        assertThat(before)
                .anySatisfy(job -> assertThat(job.path("state").asString()).isEqualTo("running"));
        try (ConfigurableApplicationContext next = RunningServer.start(database, false)) {
            Browserless second = Browserless.signedIn(RunningServer.addressOf(next), "coordinator");
            JsonNode after = new Fleets(second).ended(1);
            assertThat(after)
                    .allSatisfy(job -> assertThat(job.path("state").asString()).isEqualTo("good"));
            assertThat(after)
                    .anySatisfy(job -> assertThat(job.path("brokenOff").asInt()).isPositive());
            JsonNode radios = Browserless.json(second.get("/api/groups/" + second.group() + "/radios"))
                    .path("units");
            assertThat(radios)
                    .filteredOn(unit -> unit.path("load").path("verified").asBoolean())
                    .hasSize(5);
        }
    }

    private static JsonNode atWork(Browserless who) {
        for (int i = 0; i < 300; i++) {
            JsonNode jobs = Browserless.json(who.get("/api/runs/1")).path("jobs");
            for (JsonNode job : jobs) {
                if (job.path("stage").asString().equals("write")) {
                    return jobs;
                }
            }
            Fleets.pause();
        }
        throw new AssertionError("The demo's run never came to writing");
    }

    /** The demo's data is there once its run is. */
    private static void awaitDemo(String database) {
        for (int i = 0; i < 600; i++) {
            try (Connection connection = DriverManager.getConnection(database, "wache", "");
                    ResultSet row = connection.createStatement().executeQuery("select count(*) from bench_job")) {
                if (row.next() && row.getInt(1) > 0) {
                    return;
                }
            } catch (SQLException e) {
                // the tables are not there yet
            }
            Fleets.pause();
        }
        throw new AssertionError("The server did not start");
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    /** A server in a process of its own, with a slow line to its radios. */
    private static Process killable(String database, int port) throws IOException {
        String classes = System.getProperty("surefire.test.class.path", System.getProperty("java.class.path"));
        List<String> command = new ArrayList<>(List.of(
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
                "--wache.bench.baud=9600"));
        return new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
    }
}
