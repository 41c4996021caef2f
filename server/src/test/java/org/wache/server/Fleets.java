package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Radios and lists of a test's own, in the demo's group. */
final class Fleets {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final AtomicInteger SERIAL = new AtomicInteger(1);
    private static final long PATIENCE_MS = 60_000;

    private final Browserless who;

    Fleets(Browserless who) {
        this.who = who;
    }

    JsonNode radios() {
        return Browserless.json(who.get("/api/groups/" + who.group() + "/radios"));
    }

    long model(String name) {
        for (JsonNode each : radios().path("models")) {
            if (each.path("name").asString().equals(name)) {
                return each.path("id").asLong();
            }
        }
        throw new AssertionError("there is no model " + name);
    }

    static String draft(long model, String serial, String label, String lock, boolean inhibited) {
        return "{\"model\":" + model + ",\"serial\":\"" + serial + "\",\"label\":\"" + label + "\",\"lock\":\"" + lock
                + "\",\"inhibited\":" + inhibited + ",\"owner\":\"test\"}";
    }

    long unit(String model, String lock, boolean inhibited) {
        int number = SERIAL.getAndIncrement();
        HttpResponse<String> made = who.post(
                "/api/groups/" + who.group() + "/units",
                draft(model(model), "T-" + number, "Test " + number, lock, inhibited));
        assertThat(made.statusCode()).as(made.body()).isEqualTo(201);
        return Browserless.json(made).path("id").asLong();
    }

    List<Long> herons(int many) {
        List<Long> all = new ArrayList<>();
        for (int i = 0; i < many; i++) {
            all.add(unit("Heron H2", "Amateur", false));
        }
        return all;
    }

    JsonNode view(long unit) {
        return Browserless.json(who.get("/api/units/" + unit)).path("unit");
    }

    static final String LIST =
            """
      number,name,rx_mhz,tx_mhz,mode,power_w,tx_tone,rx_tone,scan,timeout_s
      1,RIDGE,146.940,146.340,FM,5,100.0,,yes,180
      2,LEVEE,146.550,146.550,FM,5,103.5,103.5,yes,180
      3,WX,162.550,,NFM,,,,no,
      4,GAUGE,444.150,449.150,FM,4,131.8,,yes,180
      """;

    /** A list that a Technician carries. */
    long list(String name, String csv) {
        long list = who.take(name, csv);
        String nobody = "{\"carriers\":[],\"parties\":[],\"teams\":[]}";
        String technician = "{\"carriers\":[{\"name\":\"T\",\"licences\":["
                + RosterTest.licence("amateur", "technician", "KE9QRB", "2031-01-01")
                + "]}],\"parties\":[],\"teams\":[]}";
        HttpResponse<String> set =
                who.put("/api/lists/" + list + "/carriers", "{\"before\":" + nobody + ",\"after\":" + technician + "}");
        assertThat(set.statusCode()).as(set.body()).isLessThan(300);
        return list;
    }

    /** As {@link #list}, released for the Heron H2. */
    long released(String name, String csv) {
        long list = list(name, csv);
        release(list, "Heron H2");
        return list;
    }

    /** A radio of a run, for whoever has it. */
    static Map<String, Object> order(long unit) {
        return Map.of("unit", unit);
    }

    JsonNode planOf(long list, List<Map<String, Object>> orders) {
        return Browserless.json(
                who.post("/api/lists/" + list + "/bench-plan", JSON.writeValueAsString(Map.of("units", orders))));
    }

    JsonNode plan(long list, List<Long> units) {
        return planOf(list, units.stream().map(Fleets::order).toList());
    }

    /** Chooses the model, waives what is open, lets a second person sign, and releases; returns the key of the release. */
    long release(long list, String... models) {
        choose(list, models);
        waiveAll(list);
        HttpResponse<String> signed = sign(list);
        assertThat(signed.statusCode()).as(signed.body()).isEqualTo(204);
        HttpResponse<String> released = releaseNow(list);
        assertThat(released.statusCode()).as(released.body()).isEqualTo(201);
        return Browserless.json(released).path("id").asLong();
    }

    /** Waives whatever may be waived. */
    void waiveAll(long list) {
        JsonNode gate = gate(list);
        List<String> open = new ArrayList<>();
        gate.path("matters").forEach(matter -> {
            if (matter.path("waiver").isNull()) {
                open.add(matter.path("print").asString());
            }
        });
        if (!open.isEmpty()) {
            HttpResponse<String> waived = who.post(
                    "/api/lists/" + list + "/waivers",
                    JSON.writeValueAsString(Map.of("prints", open, "reason", "Fit for a test")));
            assertThat(waived.statusCode()).as(waived.body()).isEqualTo(204);
        }
    }

    /** Chooses the models that a list is for, each in every setting that radios of it have. */
    void choose(long list, String... models) {
        JsonNode for_ = Browserless.json(who.get("/api/lists/" + list + "/radios"));
        List<JsonNode> after = for_.path("settings")
                .valueStream()
                .filter(each -> List.of(models).contains(each.path("model").asString()))
                .map(each -> each.path("setting"))
                .toList();
        assertThat(meant(list, for_.path("meant"), Map.of("settings", after, "units", List.of()))
                        .statusCode())
                .isEqualTo(204);
    }

    HttpResponse<String> meant(long list, Object before, Object after) {
        return who.put(
                "/api/lists/" + list + "/radios", JSON.writeValueAsString(Map.of("before", before, "after", after)));
    }

    JsonNode gate(long list) {
        return Browserless.json(who.get("/api/lists/" + list + "/gate"));
    }

    HttpResponse<String> sign(long list) {
        return Browserless.signedIn(who.address(), "reviewer")
                .post(
                        "/api/lists/" + list + "/signature",
                        JSON.writeValueAsString(
                                Map.of("state", gate(list).path("state").asString(), "note", "")));
    }

    HttpResponse<String> releaseNow(long list) {
        return who.post(
                "/api/lists/" + list + "/releases",
                JSON.writeValueAsString(Map.of("state", gate(list).path("state").asString())));
    }

    HttpResponse<String> start(long list, long release, List<Long> units) {
        return startOf(list, release, units.stream().map(Fleets::order).toList());
    }

    HttpResponse<String> startOf(long list, long release, List<Map<String, Object>> units) {
        return who.post(
                "/api/lists/" + list + "/runs",
                JSON.writeValueAsString(Map.of("release", release, "units", units, "callSign", "KE9QRB")));
    }

    /** Starts a run of the release in use and returns its key. */
    long run(long list, List<Long> units) {
        HttpResponse<String> started =
                start(list, plan(list, units).path("release").asLong(), units);
        assertThat(started.statusCode()).as(started.body()).isEqualTo(201);
        return Browserless.json(started).path("id").asLong();
    }

    JsonNode jobs(long run) {
        return Browserless.json(who.get("/api/runs/" + run)).path("jobs");
    }

    /** Waits until nothing of the run is under way. */
    JsonNode ended(long run) {
        long until = System.currentTimeMillis() + PATIENCE_MS;
        while (System.currentTimeMillis() < until) {
            JsonNode jobs = jobs(run);
            boolean open = false;
            for (JsonNode job : jobs) {
                open |= job.path("state").asString().equals("waiting")
                        || job.path("state").asString().equals("running");
            }
            if (!open) {
                return jobs;
            }
            pause();
        }
        throw new AssertionError("The run did not end: " + jobs(run));
    }

    static void pause() {
        pause(100);
    }

    static void pause(int ms) {
        try {
            Thread.sleep(ms);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new AssertionError(e);
        }
    }

    void fault(long unit, String what, int after) {
        HttpResponse<String> set = who.send(
                "PUT",
                "/api/units/" + unit + "/fault",
                "application/json",
                ("{\"fault\":\"" + what + "\",\"after\":" + after + "}").getBytes(StandardCharsets.UTF_8));
        assertThat(set.statusCode()).as(set.body()).isEqualTo(204);
    }
}
