package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.Map;
import java.util.function.Function;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Whatever two people change at once: the second is told with 409, what is there now comes with it, and nothing is saved over. */
@ExtendWith(RunningServer.class)
class StaleTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final Browserless who;
    private final long list;

    StaleTest(RunningServer server) {
        this.who = Browserless.signedIn(server.address(), "neighbour");
        this.list = who.take(
                "stale", "number,name,rx_mhz,tx_mhz,mode,power_w\n1,A,146.52,146.52,FM,5\n2,B,146.55,146.55,FM,5\n");
    }

    /** Puts once, then the same once more as somebody would who has not seen the first. */
    private JsonNode second(String path, String first, String late) {
        HttpResponse<String> put = who.put(path, first);
        assertThat(put.statusCode()).as(put.body()).isBetween(200, 299);
        HttpResponse<String> answer = who.put(path, late);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(409);
        JsonNode told = Browserless.json(answer);
        assertThat(told.path("title").asString()).isEqualTo("Somebody else was there first");
        assertThat(told.path("detail").asString()).contains("Nothing was saved");
        assertThat(told.has("theirs")).isTrue();
        return told.path("theirs");
    }

    private static String change(JsonNode before, JsonNode after) {
        return JSON.writeValueAsString(Map.of("before", before, "after", after));
    }

    private JsonNode desk() {
        return Browserless.json(who.get("/api/lists/" + list));
    }

    @Test
    void whoCarriesAList() {
        JsonNode before = desk().path("choice");
        Function<String, JsonNode> carried = name -> JSON.readTree(
                "{\"carriers\":[{\"name\":\"" + name + "\",\"licences\":[]}],\"parties\":[],\"teams\":[]}");
        JsonNode theirs = second(
                "/api/lists/" + list + "/carriers",
                change(before, carried.apply("First")),
                change(before, carried.apply("Late")));
        assertThat(theirs.path("carriers").path(0).path("name").asString()).isEqualTo("First");
        assertThat(desk().path("choice").path("carriers").path(0).path("name").asString())
                .isEqualTo("First");
    }

    @Test
    void thePlaceAndHouseRulesOfAList() {
        JsonNode before = desk().path("settings");
        ObjectNode first = ((ObjectNode) before.deepCopy());
        first.set(
                "place",
                JSON.readTree(
                        "{\"latitude\":45.0,\"longitude\":-93.0,\"radiusKm\":null,\"south\":null,\"west\":null,\"north\":null,\"east\":null,\"region\":null}"));
        ObjectNode late = first.deepCopy();
        ((ObjectNode) late.path("place")).put("latitude", 46.0);
        JsonNode theirs = second("/api/lists/" + list + "/settings", change(before, first), change(before, late));
        assertThat(theirs.path("place").path("latitude").asDouble()).isEqualTo(45.0);
        assertThat(desk().path("settings").path("place").path("latitude").asDouble())
                .isEqualTo(45.0);
    }

    @Test
    void somebodyOfTheRoster() {
        String parties = "/api/groups/" + who.group() + "/parties";
        String draft = "{\"kind\":\"person\",\"name\":\"%s\",\"note\":\"\",\"teams\":[],\"licences\":[]}";
        who.post(parties, draft.formatted("Stale Person"));
        JsonNode roster = Browserless.json(who.get("/api/groups/" + who.group() + "/roster"))
                .path("parties");
        JsonNode party = JSON.nullNode();
        for (JsonNode each : roster) {
            party = each.path("name").asString().equals("Stale Person") ? each : party;
        }
        String body = "{\"version\":" + party.path("version").asInt() + ",\"party\":" + draft + "}";
        JsonNode theirs = second(
                "/api/parties/" + party.path("id").asLong(),
                body.formatted("First Person"),
                body.formatted("Late Person"));
        assertThat(theirs.path("name").asString()).isEqualTo("First Person");
    }

    @Test
    void thePlanOfAGroup() {
        String overlay = "/api/groups/" + who.group() + "/overlay";
        int before = Browserless.json(who.get(overlay)).path("version").asInt();
        String body = "{\"before\":" + before
                + ",\"rows\":[{\"mhz\":\"146.5\",\"uses\":[\"any\"],\"offsetsMhz\":[],\"rasters\":[],\"note\":\"%s\"}],\"note\":\"\"}";
        JsonNode theirs = second(overlay, body.formatted("first"), body.formatted("late"));
        assertThat(theirs.path(0).path("note").asString()).isEqualTo("first");
        int now = Browserless.json(who.get(overlay)).path("version").asInt();
        who.put(overlay, "{\"before\":" + now + ",\"rows\":[],\"note\":\"\"}"); // as the others expect it
    }

    @Test
    void whatIsKnownOfTones() {
        String tones = "/api/groups/" + who.group() + "/tones";
        JsonNode known = Browserless.json(who.get(tones));
        String body = "{\"before\":" + known.path("version").asInt()
                + ",\"knowledge\":{\"neighbours\":[{\"who\":\"%s\",\"mhz\":\"\",\"tone\":\"PL 100.0\"}],\"tables\":[]}}";
        JsonNode theirs = second(tones, body.formatted("first"), body.formatted("late"));
        assertThat(theirs.path("neighbours").path(0).path("who").asString()).isEqualTo("first");
        int now = Browserless.json(who.get(tones)).path("version").asInt();
        HttpResponse<String> back = who.put(
                tones,
                "{\"before\":" + now + ",\"knowledge\":" + known.path("knowledge") + "}"); // as the others expect it
        assertThat(back.statusCode()).as(back.body()).isEqualTo(200);
    }
}
