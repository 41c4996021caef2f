package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Radios that are typed by hand or loaded elsewhere: somebody says so, shows it, and it is told apart from what was read back. */
@ExtendWith(RunningServer.class)
class DeclaredTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private Browserless who;
    private Fleets fleets;
    private RunningServer server;

    @BeforeEach
    void signIn(RunningServer running) {
        server = running;
        who = Browserless.signedIn(running.address(), "technician");
        fleets = new Fleets(Browserless.signedIn(running.address(), "coordinator"));
    }

    private JsonNode should(long unit, long list, String choice) {
        HttpResponse<String> answer = who.post(
                "/api/units/" + unit + "/should-hold",
                JSON.writeValueAsString(Map.of("list", list, "order", Map.of("unit", unit, "choice", choice))));
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return Browserless.json(answer);
    }

    private HttpResponse<String> declare(
            Browserless by, long unit, long list, long release, String choice, List<Object> checked) {
        return by.post(
                "/api/units/" + unit + "/declarations",
                JSON.writeValueAsString(Map.of(
                        "list",
                        list,
                        "release",
                        release,
                        "order",
                        Map.of("unit", unit, "choice", choice),
                        "how",
                        "by-hand",
                        "note",
                        "at the weir",
                        "checked",
                        checked)));
    }

    @Test
    void aRadioTypedByHandIsNotedShownAndToldApart() {
        long list = fleets.released("By hand", Fleets.LIST);
        long unit = fleets.herons(1).get(0);
        JsonNode should = should(unit, list, "listen");
        assertThat(should.path("entries")).isNotEmpty();
        JsonNode first = should.path("entries").path(0);
        assertThat(first.path("hears").asString()).isEqualTo("146.940");
        HttpResponse<String> declared = declare(
                who,
                unit,
                list,
                should.path("release").asLong(),
                "listen",
                List.of(
                        Map.of("memory", "1", "good", true, "note", ""),
                        Map.of("memory", "2", "good", false, "note", "no tone")));
        assertThat(declared.statusCode()).as(declared.body()).isEqualTo(201);
        long load = Browserless.json(declared).path("id").asLong();
        JsonNode inside = fleets.view(unit).path("load");
        assertThat(inside.path("declared").asString()).isEqualTo("by-hand");
        assertThat(inside.path("verified").asBoolean()).isFalse();
        assertThat(inside.path("number").asInt()).isEqualTo(1);
        assertThat(inside.path("wrong").asInt()).isEqualTo(1);

        JsonNode photo = attach(unit, load, "radio.jpg", new byte[] {(byte) 0xff, (byte) 0xd8, (byte) 0xff, 1, 2});
        assertThat(photo.path("picture").asBoolean()).isTrue();
        String export = "Loc,Name,RX,TX,Tone,Mode\n1,RIDGE,146.940,146.940,,FM\n";
        JsonNode file = attach(unit, load, "export.csv", export.getBytes(StandardCharsets.UTF_8));
        assertThat(file.path("compared").path("entries").asInt()).isEqualTo(1);
        List<String> differs = new ArrayList<>();
        file.path("compared")
                .path("differs")
                .forEach(each -> differs.add(
                        each.path("number").asString() + " " + each.path("what").asString()));
        assertThat(differs)
                .anyMatch(each -> each.startsWith("1 ") && each.contains("146.94"))
                .anyMatch(each -> each.startsWith("2 ") && each.contains("missing"));

        JsonNode all = Browserless.json(who.get("/api/units/" + unit + "/declarations"));
        assertThat(all.path(0).path("checked")).hasSize(2);
        assertThat(all.path(0).path("files")).hasSize(2);
        HttpResponse<String> back =
                who.get("/api/units/" + unit + "/files/" + file.path("id").asLong());
        assertThat(back.body()).isEqualTo(export);
        assertThat(back.headers().firstValue("Content-Disposition"))
                .hasValueSatisfying(value -> assertThat(value).startsWith("attachment"));
        JsonNode loads = Browserless.json(who.get("/api/groups/" + who.group() + "/releases"))
                .path("radios");
        assertThat(loads).anySatisfy(each -> assertThat(each.path("unit").asLong() == unit
                        && each.path("declared").asBoolean())
                .isTrue());
    }

    private JsonNode attach(long unit, long load, String name, byte[] bytes) {
        HttpResponse<String> answer =
                who.file("/api/units/" + unit + "/declarations/" + load + "/files?name=" + name, bytes);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(201);
        return Browserless.json(answer);
    }

    @Test
    void whatWasLookedAtMustBeWhatShouldBeIn() {
        long list = fleets.released("By hand, stale", Fleets.LIST);
        long unit = fleets.herons(1).get(0);
        long release = should(unit, list, "listen").path("release").asLong();
        assertThat(declare(
                                who,
                                unit,
                                list,
                                release,
                                "listen",
                                List.of(Map.of("memory", "77", "good", true, "note", "")))
                        .body())
                .contains("Memory 77 should hold nothing");
        assertThat(declare(who, unit, list, release + 1_000, "listen", List.of())
                        .statusCode())
                .isEqualTo(409);
        Browserless member = Browserless.signedIn(server.address(), "member");
        assertThat(declare(member, unit, list, release, "listen", List.of()).statusCode())
                .isEqualTo(403);
        Browserless neighbour = Browserless.signedIn(server.address(), "neighbour");
        assertThat(neighbour.get("/api/units/" + unit + "/declarations").statusCode())
                .isEqualTo(404);
        long other = fleets.herons(1).get(0);
        assertThat(who.post(
                                "/api/units/" + unit + "/should-hold",
                                "{\"list\":" + list + ",\"order\":{\"unit\":" + other + "}}")
                        .statusCode())
                .isEqualTo(422);
    }

    @Test
    void aFileOfOneRadioIsNotShownWithAnother() {
        long list = fleets.released("By hand, two", Fleets.LIST);
        List<Long> two = fleets.herons(2);
        long release = should(two.get(0), list, "listen").path("release").asLong();
        long load = Browserless.json(declare(who, two.get(0), list, release, "listen", List.of()))
                .path("id")
                .asLong();
        long file = attach(two.get(0), load, "a.bin", new byte[] {1, 2, 3})
                .path("id")
                .asLong();
        assertThat(who.get("/api/units/" + two.get(1) + "/files/" + file).statusCode())
                .isEqualTo(404);
        assertThat(who.file("/api/units/" + two.get(1) + "/declarations/" + load + "/files?name=x", new byte[] {1})
                        .statusCode())
                .isEqualTo(404);
        assertThat(who.file("/api/units/" + two.get(0) + "/declarations/" + load + "/files?name=x", new byte[0])
                        .statusCode())
                .isEqualTo(422);
    }

    @Test
    void whatWasTriedOnTheRealRadioIsTicked() {
        List<Long> two = fleets.herons(2);
        String path = "/api/units/" + two.get(0) + "/ticks";
        String tick =
                "{\"kind\":\"%s\",\"other\":%s,\"memory\":1,\"name\":\"RIDGE\",\"good\":%s,\"note\":\"with its tail\"}";
        assertThat(who.post(path, tick.formatted("repeater", "null", "true")).statusCode())
                .isEqualTo(201);
        assertThat(who.post(path, tick.formatted("pair", two.get(1), "false")).statusCode())
                .isEqualTo(201);
        assertThat(who.post(path, tick.formatted("pair", "null", "true")).body())
                .contains("which other radio");
        assertThat(who.post(path, tick.formatted("dance", "null", "true")).statusCode())
                .isEqualTo(400);
        JsonNode checks =
                Browserless.json(who.get("/api/units/" + two.get(0) + "/bench")).path("checks");
        assertThat(checks).hasSize(2);
        assertThat(checks.path(0).path("byHand").asBoolean()).isTrue();
        assertThat(checks.path(0).path("good").asBoolean()).isFalse();
        assertThat(checks.path(1).path("lines").path(0).path("said").asString()).isEqualTo("with its tail");
    }
}
