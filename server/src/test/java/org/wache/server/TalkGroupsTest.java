package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The talk groups that a group has agreed on: kept, understood by name, and what entries are held against. */
@ExtendWith(RunningServer.class)
class TalkGroupsTest {

    private final Browserless who;

    TalkGroupsTest(RunningServer server) {
        this.who = Browserless.signedIn(server.address(), "coordinator");
    }

    private JsonNode known() {
        return Browserless.json(who.get("/api/groups/" + who.group() + "/tones"));
    }

    private HttpResponse<String> put(ObjectNode knowledge) {
        return who.put(
                "/api/groups/" + who.group() + "/tones",
                "{\"before\":" + known().path("version").asInt() + ",\"knowledge\":" + knowledge + "}");
    }

    private static String talkGroup(int number, String name) {
        return "{\"number\":" + number + ",\"name\":\"" + name + "\",\"slot\":2,\"forWhom\":\"\"}";
    }

    private ObjectNode with(String... groups) {
        ObjectNode knowledge = (ObjectNode) known().path("knowledge").deepCopy();
        ArrayNode all = (ArrayNode) knowledge.path("talkGroups");
        for (String each : groups) {
            all.add(Browserless.json(each));
        }
        return knowledge;
    }

    @Test
    void theyAreUnderstoodByNameAndEntriesAreHeldAgainstThem() {
        long list = who.take(
                "Talk groups",
                "number,name,rx_mhz,tx_mhz,mode,power_w,colour_code,time_slot,talk_group,timeout_s\n"
                        + "1,WEIR,442.425,447.425,DMR,5,1,2,4711,180\n");
        assertThat(finding(list))
                .as("nobody has agreed on it yet")
                .isEqualTo("Talk group 4711 is not in the group's list.");
        HttpResponse<String> put = put(with(talkGroup(4711, "Weir house")));
        assertThat(put.statusCode()).as(put.body()).isEqualTo(200);
        assertThat(finding(list))
                .as("the audit that was kept is not told again")
                .isEmpty();
        JsonNode line = Browserless.json(who.post(
                        "/api/lists/" + list + "/understood", "{\"lines\":[\"442.450 + dmr cc1 ts2 tg weir house\"]}"))
                .path(0)
                .path("fields");
        assertThat(line.path("talkGroup").asString()).isEqualTo("4711");
        assertThat(line.path("contact").asString()).isEqualTo("Weir house");
    }

    private String finding(long list) {
        JsonNode desk = Browserless.json(who.get("/api/lists/" + list));
        long entry = desk.path("slips").path(0).path("id").asLong();
        return Browserless.json(who.get("/api/lists/" + list + "/entries/" + entry))
                .path("findings")
                .valueStream()
                .filter(each -> each.path("rule").asString().equals("talk-group"))
                .map(each -> each.path("message").asString())
                .findFirst()
                .orElse("");
    }

    @Test
    void oneNumberIsThereOnce() {
        assertThat(put(with(talkGroup(4712, "One"), talkGroup(4712, "Two"))).body())
                .contains("Talk group 4712 is there twice");
        assertThat(put(with(talkGroup(0, "None"))).statusCode()).isEqualTo(400);
    }

    private void agreeOnly(int number, String name) {
        ObjectNode knowledge = (ObjectNode) known().path("knowledge").deepCopy();
        ArrayNode left = knowledge.arrayNode();
        knowledge.path("talkGroups").forEach(each -> {
            if (each.path("number").asInt() != 4713 && each.path("number").asInt() != 4714) {
                left.add(each);
            }
        });
        left.add(Browserless.json(talkGroup(number, name)));
        knowledge.set("talkGroups", left);
        assertThat(put(knowledge).statusCode()).isEqualTo(200);
    }

    private boolean waits(long list) {
        return Browserless.json(who.get("/api/groups/" + who.group() + "/home"))
                .path("todo")
                .valueStream()
                .anyMatch(each -> each.path("to").asString().equals("/lists/" + list + "/release"));
    }

    @Test
    void aListOnItsWayOutIsLookedAtAgainWhenTheTalkGroupsChange() {
        agreeOnly(4713, "Out");
        assertThat(who.post(
                                "/api/groups/" + who.group() + "/models",
                                "{\"body\":{\"model\":\"Digital set\",\"modes\":[\"DMR\"]}}")
                        .statusCode())
                .isEqualTo(201);
        Fleets fleets = new Fleets(who);
        long list = fleets.list(
                "On its way",
                "number,name,rx_mhz,tx_mhz,mode,power_w,colour_code,time_slot,talk_group,contact,timeout_s\n"
                        + "1,WEIR,442.425,447.425,DMR,5,1,2,4713,Out,180\n");
        fleets.choose(list, "Digital set");
        fleets.waiveAll(list);
        assertThat(waits(list)).as(fleets.gate(list).path("missing").toString()).isTrue();
        agreeOnly(4714, "Another");
        assertThat(fleets.gate(list).path("missing").toString()).contains("query");
        assertThat(waits(list)).as("what was kept of it is not told again").isFalse();
    }

    @Test
    void aListThatCallsNoneIsNotChangedByThem() {
        Fleets fleets = new Fleets(who);
        long list = fleets.list("Analogue", Fleets.LIST);
        fleets.choose(list, "Heron H2");
        agreeOnly(4713, "Before");
        String state = fleets.gate(list).path("state").asString();
        agreeOnly(4714, "After");
        assertThat(fleets.gate(list).path("state").asString())
                .as("who signed for it need not sign again")
                .isEqualTo(state);
    }
}
