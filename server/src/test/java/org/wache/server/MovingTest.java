package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Cures of a whole list do not take channels from those who may use them: the others move to a variant, or somebody says otherwise. */
@ExtendWith(RunningServer.class)
class MovingTest {

    /** GMRS wants a licence (47 CFR 95.1705); FRS channels under it do not, with FRS power (95.567). */
    private static final String GMRS =
            """
      number,name,rx_mhz,tx_mhz,mode,power_w,timeout_s
      1,MAIN,462.550,467.550,FM,5,180
      2,SHARED,462.5625,462.5625,NFM,0.5,180
      """;

    private final Browserless who;
    private final Fleets fleets;

    MovingTest(RunningServer server) {
        this.who = Browserless.signedIn(server.address(), "coordinator");
        this.fleets = new Fleets(who);
    }

    private long person(String name, String team, String licences) {
        HttpResponse<String> made = who.post(
                "/api/groups/" + who.group() + "/parties",
                "{\"kind\":\"person\",\"name\":\"" + name + "\",\"note\":\"\",\"teams\":[\"" + team
                        + "\"],\"licences\":[" + licences + "]}");
        assertThat(made.statusCode()).as(made.body()).isEqualTo(201);
        return Browserless.json(made).path("id").asLong();
    }

    private long carriedByTeam(String name, String team) {
        long list = who.take(name, GMRS);
        assertThat(who.put(
                                "/api/lists/" + list + "/carriers",
                                "{\"before\":{\"carriers\":[],\"parties\":[],\"teams\":[]},\"after\":{\"carriers\":[],\"parties\":[],\"teams\":[\""
                                        + team + "\"]}}")
                        .statusCode())
                .isEqualTo(204);
        return list;
    }

    private JsonNode desk(long list) {
        return Browserless.json(who.get("/api/lists/" + list));
    }

    private HttpResponse<String> move(long list, String names, String variant) {
        return who.post(
                "/api/lists/" + list + "/moved-carriers",
                "{\"names\":" + names + ",\"variant\":" + variant + ",\"name\":\"Moved of " + list + "\"}");
    }

    private static List<String> holders(JsonNode desk) {
        return desk.path("holders")
                .valueStream()
                .map(each -> each.path("name").asString())
                .toList();
    }

    @Test
    void whoMayKeepsItAndTheRestGetAVariant() {
        person("Mover licensed", "Movers", RosterTest.licence("gmrs", null, "WZZX901", "2031-01-01"));
        long without = person("Mover without", "Movers", "");
        person("Mover without too", "Movers", "");
        long list = carriedByTeam("Moved one", "Movers");
        JsonNode proposed = Browserless.json(who.get("/api/lists/" + list + "/cures"));
        assertThat(proposed.path("cures")).as("nothing is taken from who may").isEmpty();
        JsonNode main = proposed.path("left").path(0);
        assertThat(main.path("may")).extracting(JsonNode::asString).containsExactly("Mover licensed");
        assertThat(main.path("mayNot"))
                .extracting(JsonNode::asString)
                .containsExactly("Mover without", "Mover without too");
        assertThat(proposed.path("rest").path("who").path(0).path("party").asLong())
                .isEqualTo(without);
        assertThat(proposed.path("rest").path("talks").asInt()).isEqualTo(1);
        HttpResponse<String> moved = move(list, "[\"Mover without\",\"Mover without too\"]", "null");
        assertThat(moved.statusCode()).as(moved.body()).isEqualTo(201);
        assertThat(holders(desk(list))).containsExactly("Mover licensed");
        assertThat(desk(list).path("counts").path("hold").asInt()).isZero();
        JsonNode variant = desk(Browserless.json(moved).path("id").asLong());
        assertThat(holders(variant)).containsExactly("Mover without", "Mover without too");
        assertThat(variant.path("counts").path("hold").asInt()).isZero();
        assertThat(variant.path("counts").path("listen").asInt()).isEqualTo(1);
        long late = person("Mover late", "Late movers", "");
        assertThat(late).isPositive();
        assertThat(who.put(
                                "/api/lists/" + list + "/carriers",
                                "{\"before\":" + desk(list).path("choice") + ",\"after\":"
                                        + desk(list)
                                                .path("choice")
                                                .toString()
                                                .replace("\"teams\":[]", "\"teams\":[\"Late movers\"]")
                                        + "}")
                        .statusCode())
                .isEqualTo(204);
        HttpResponse<String> updated =
                move(list, "[\"Mover late\"]", String.valueOf(variant.path("id").asLong()));
        assertThat(updated.statusCode()).as(updated.body()).isEqualTo(201);
        assertThat(holders(desk(variant.path("id").asLong()))).contains("Mover late", "Mover without");
    }

    @Test
    void nobodyIsLeftBehindAndNothingOfOthersIsTouched() {
        person("Only mover", "Lonely movers", "");
        long list = carriedByTeam("Moved two", "Lonely movers");
        HttpResponse<String> all = move(list, "[\"Only mover\"]", "null");
        assertThat(all.statusCode()).isEqualTo(422);
        assertThat(all.body()).contains("nobody would carry the list itself");
        assertThat(holders(desk(list))).containsExactly("Only mover");
        assertThat(move(list, "[\"Not there\"]", "null").statusCode()).isEqualTo(422);
        long other = fleets.list("Moved three", Fleets.LIST);
        long variant = Browserless.json(who.post(
                        "/api/lists/" + other + "/variants",
                        "{\"name\":\"Of another\",\"carriers\":{\"carriers\":[],\"parties\":[],\"teams\":[]}}"))
                .path("id")
                .asLong();
        person("Second mover", "Lonely movers", "");
        assertThat(move(list, "[\"Only mover\"]", String.valueOf(variant)).statusCode())
                .as("a variant of another list")
                .isEqualTo(404);
        assertThat(holders(desk(list))).as("all of it or nothing").containsExactly("Only mover", "Second mover");
    }
}
