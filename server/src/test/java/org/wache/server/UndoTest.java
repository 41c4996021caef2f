package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Everything that changes a list is undone and done again, whichever page it was done on, and never over what somebody else did. */
@ExtendWith(RunningServer.class)
class UndoTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String NOBODY = "{\"carriers\":[],\"parties\":[],\"teams\":[]}";

    private final Browserless who;
    private final Browserless reviewer;
    private final Fleets fleets;

    UndoTest(RunningServer server) {
        this.who = Browserless.signedIn(server.address(), "coordinator");
        this.reviewer = Browserless.signedIn(server.address(), "reviewer");
        this.fleets = new Fleets(who);
    }

    private JsonNode desk(long list) {
        return Browserless.json(who.get("/api/lists/" + list));
    }

    private long entry(long list, int position) {
        return desk(list).path("slips").path(position).path("id").asLong();
    }

    private HttpResponse<String> change(Browserless by, long list, String changes, String order) {
        return by.post(
                "/api/lists/" + list + "/changes",
                "{\"version\":" + desk(list).path("version").asInt() + ",\"changes\":" + changes + ",\"order\":" + order
                        + "}");
    }

    private static void taken(HttpResponse<String> answer) {
        assertThat(answer.statusCode()).as(answer.body()).isBetween(200, 204);
    }

    private HttpResponse<String> undo(Browserless by, long list, boolean again) {
        return by.post("/api/lists/" + list + "/undo", "{\"again\":" + again + "}");
    }

    private JsonNode ways(Browserless by, long list) {
        return Browserless.json(by.get("/api/lists/" + list + "/undo"));
    }

    /** Everything of a list that a change can alter. */
    private String state(long list) {
        ObjectNode all = (ObjectNode) desk(list);
        all.remove(List.of("version", "assumptions"));
        all.path("slips").forEach(slip -> ((ObjectNode) slip).remove("version"));
        all.set(
                "meant",
                Browserless.json(who.get("/api/lists/" + list + "/radios")).path("meant"));
        all.set(
                "keyed",
                Browserless.json(who.get("/api/lists/" + list + "/site")).path("keyed"));
        all.set(
                "variants",
                JSON.valueToTree(Browserless.json(who.get("/api/groups/" + who.group() + "/lists"))
                        .valueStream()
                        .filter(each -> each.path("parent").path("id").asLong(-1) == list
                                || each.path("parent").asLong(-1) == list)
                        .map(each -> each.path("name").asString())
                        .toList()));
        return JSON.writeValueAsString(all);
    }

    private void make(String kind, long list) {
        switch (kind) {
            case "edit" ->
                taken(change(
                        who,
                        list,
                        "[{\"kind\":\"edit\",\"entry\":" + entry(list, 0)
                                + ",\"before\":{\"powerW\":\"5\"},\"after\":{\"powerW\":\"50\",\"note\":\"x\"}}]",
                        "null"));
            case "add" ->
                taken(change(
                        who,
                        list,
                        "[{\"kind\":\"add\",\"before\":{},\"after\":{\"name\":\"NEW\",\"rxMhz\":\"146.58\",\"number\":\"9\"}}]",
                        "null"));
            case "remove" ->
                taken(change(
                        who,
                        list,
                        "[{\"kind\":\"remove\",\"entry\":" + entry(list, 1) + ",\"before\":{},\"after\":{}}]",
                        "null"));
            case "order" -> {
                List<Long> now = desk(list)
                        .path("slips")
                        .valueStream()
                        .map(each -> each.path("id").asLong())
                        .toList();
                List<Long> other = List.of(now.get(3), now.get(0), now.get(2), now.get(1));
                taken(change(who, list, "[]", "{\"before\":" + now + ",\"after\":" + other + "}"));
            }
            case "table" -> {
                long intake = Browserless.json(who.file(
                                "/api/groups/" + who.group() + "/intakes?name=t",
                                "Freq,Name\n146.52,A\n146.58,B\n".getBytes(StandardCharsets.UTF_8)))
                        .path("id")
                        .asLong();
                taken(who.post(
                        "/api/intakes/" + intake + "/list",
                        "{\"name\":\"t\",\"sheet\":\"\",\"mapping\":null,\"into\":" + list + "}"));
            }
            case "carriers" ->
                taken(who.put(
                        "/api/lists/" + list + "/carriers",
                        "{\"before\":" + desk(list).path("choice") + ",\"after\":" + NOBODY + "}"));
            case "radios" -> fleets.choose(list, "Otter M5");
            case "settings" -> {
                ObjectNode after = (ObjectNode) desk(list).path("settings").deepCopy();
                after.put("maxTimeoutS", 60);
                taken(who.put(
                        "/api/lists/" + list + "/settings",
                        "{\"before\":" + desk(list).path("settings") + ",\"after\":" + after + "}"));
            }
            case "keying" ->
                taken(who.put(
                        "/api/lists/" + list + "/keying",
                        "{\"before\":{\"how\":\"none\",\"bases\":[]},\"after\":{\"how\":\"all\",\"bases\":[]}}"));
            case "name" -> taken(who.put("/api/lists/" + list + "/name", "{\"name\":\"Another name\"}"));
            case "variant" ->
                taken(who.post(
                        "/api/lists/" + list + "/variants",
                        "{\"name\":\"Undone variant\",\"carriers\":" + NOBODY + "}"));
            default -> throw new AssertionError(kind);
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "edit",
                "add",
                "remove",
                "order",
                "table",
                "carriers",
                "radios",
                "settings",
                "keying",
                "name",
                "variant"
            })
    void isUndoneAndDoneAgain(String kind) {
        long list = fleets.list("Undo " + kind, Fleets.LIST);
        String before = state(list);
        make(kind, list);
        String after = state(list);
        assertThat(after).isNotEqualTo(before);
        assertThat(ways(who, list).path("undo").path("words").asString()).isNotBlank();
        taken(undo(who, list, false));
        assertThat(state(list)).as("undone").isEqualTo(before);
        assertThat(ways(who, list).path("redo").path("version").asInt()).isPositive();
        taken(undo(who, list, true));
        assertThat(state(list)).as("done again").isEqualTo(after);
        taken(undo(who, list, false));
        assertThat(state(list)).as("undone once more").isEqualTo(before);
    }

    @Test
    void manyAreUndoneInTurnAndANewChangeEndsTheWayForward() {
        long list = fleets.list("Undo in turn", Fleets.LIST);
        String start = state(list);
        make("edit", list);
        make("radios", list);
        make("remove", list);
        taken(undo(who, list, false));
        taken(undo(who, list, false));
        taken(undo(who, list, false));
        assertThat(state(list)).isEqualTo(start);
        taken(undo(who, list, true));
        make("name", list);
        assertThat(ways(who, list).path("redo").isNull()).isTrue();
        assertThat(undo(who, list, true).statusCode()).isEqualTo(422);
    }

    @Test
    void whatSomebodyElseDidOverItIsNeverLost() {
        long list = fleets.list("Undo beside", Fleets.LIST);
        make("edit", list);
        taken(change(
                reviewer,
                list,
                "[{\"kind\":\"edit\",\"entry\":" + entry(list, 0)
                        + ",\"before\":{\"powerW\":\"50\"},\"after\":{\"powerW\":\"25\"}}]",
                "null"));
        String now = state(list);
        HttpResponse<String> answer = undo(who, list, false);
        assertThat(answer.statusCode()).isEqualTo(409);
        assertThat(answer.body()).contains("Nothing was undone");
        assertThat(state(list)).isEqualTo(now);
        make("add", list);
        long added = entry(list, 4);
        taken(change(
                reviewer,
                list,
                "[{\"kind\":\"edit\",\"entry\":" + added
                        + ",\"before\":{\"name\":\"NEW\"},\"after\":{\"name\":\"THEIRS\"}}]",
                "null"));
        assertThat(undo(who, list, false).statusCode())
                .as("an entry that somebody wrote into is not taken out")
                .isEqualTo(409);
    }

    @Test
    void everyoneUndoesTheirOwn() {
        long list = fleets.list("Undo own", Fleets.LIST);
        make("edit", list);
        taken(change(
                reviewer,
                list,
                "[{\"kind\":\"edit\",\"entry\":" + entry(list, 1)
                        + ",\"before\":{\"name\":\"LEVEE\"},\"after\":{\"name\":\"THEIRS\"}}]",
                "null"));
        assertThat(ways(who, list).path("undo").path("words").asString()).startsWith("RIDGE");
        taken(undo(who, list, false));
        assertThat(desk(list).path("slips").path(1).path("fields").path("name").asString())
                .isEqualTo("THEIRS");
        assertThat(desk(list)
                        .path("slips")
                        .path(0)
                        .path("fields")
                        .path("powerW")
                        .asString())
                .isEqualTo("5");
        taken(undo(reviewer, list, false));
        assertThat(desk(list).path("slips").path(1).path("fields").path("name").asString())
                .isEqualTo("LEVEE");
    }

    @Test
    void whatWasLookedAtIsWhatIsUndone() {
        long list = fleets.list("Undo meant", Fleets.LIST);
        make("edit", list);
        int seen = ways(who, list).path("undo").path("version").asInt();
        make("name", list);
        HttpResponse<String> other =
                who.post("/api/lists/" + list + "/undo", "{\"again\":false,\"version\":" + seen + "}");
        assertThat(other.statusCode()).isEqualTo(422);
        assertThat(other.body()).contains("in another window");
    }

    @Test
    void versionsNameWhatChangedMarkReleasesAndBringOneEntryBack() {
        long list = fleets.list("Undo versions", Fleets.LIST);
        fleets.release(list, "Heron H2");
        int released = desk(list).path("version").asInt();
        make("edit", list);
        make("remove", list);
        JsonNode versions =
                Browserless.json(who.get("/api/lists/" + list + "/versions")).path("versions");
        assertThat(versions.path(0).path("words").asString()).isEqualTo("LEVEE taken out");
        assertThat(versions.path(1).path("words").asString()).contains("RIDGE: power 50 W instead of 5 W");
        assertThat(versions)
                .filteredOn(each -> each.path("version").asInt() == released)
                .singleElement()
                .satisfies(each -> assertThat(each.path("release").asInt()).isEqualTo(1));
        JsonNode rows = Browserless.json(who.get("/api/lists/" + list + "/difference?otherVersion=" + released))
                .path("rows");
        JsonNode levee = rows.valueStream()
                .filter(each -> each.path("name").asString().equals("LEVEE"))
                .findFirst()
                .orElseThrow();
        taken(change(who, list, levee.path("back").toString(), "null"));
        assertThat(desk(list).path("slips"))
                .extracting(each -> each.path("fields").path("name").asString())
                .contains("LEVEE");
        assertThat(desk(list)
                        .path("slips")
                        .path(0)
                        .path("fields")
                        .path("powerW")
                        .asString())
                .as("the others stay")
                .isEqualTo("50");
    }

    /** A to-do is about what differs from what is in use, not about what was edited and undone. */
    @Test
    void whatWasUndoneIsNothingToReleaseAnew() {
        long list = fleets.list("Undo and to-do", Fleets.LIST);
        fleets.release(list, "Heron H2");
        String home = "/api/groups/" + who.group() + "/home";
        assertThat(who.get(home).body()).doesNotContain("Undo and to-do");
        make("edit", list);
        assertThat(who.get(home).body()).contains("Undo and to-do");
        JsonNode since = fleets.gate(list).path("since");
        assertThat(since.path("entries").path(0).path("words").path(0).asString())
                .contains("power 50 W instead of 5 W");
        JsonNode read = Browserless.json(who.get("/api/lists/" + list + "/gate/entries"))
                .path(0)
                .path("entries");
        assertThat(read.path(0).path("change").asString()).isEqualTo("changed");
        assertThat(read.path(1).path("change").asString()).isEmpty();
        taken(undo(who, list, false));
        assertThat(who.get(home).body()).doesNotContain("Undo and to-do");
        assertThat(fleets.gate(list).path("inUse").asBoolean()).isTrue();
        fleets.choose(list, "Heron H2", "Otter M5");
        assertThat(fleets.gate(list).path("since").path("others").toString()).contains("Now for Otter M5 too.");
    }

    @Test
    void othersSeeThatSomethingIsOtherwise() {
        long list = fleets.list("Pulse", Fleets.LIST);
        String pulse = "/api/groups/" + who.group() + "/pulse";
        JsonNode before = Browserless.json(reviewer.get(pulse));
        assertThat(Browserless.json(reviewer.get(pulse))).isEqualTo(before);
        make("edit", list);
        JsonNode edited = Browserless.json(reviewer.get(pulse));
        assertThat(edited.path("mark")).isNotEqualTo(before.path("mark"));
        assertThat(edited.path("rules")).isEqualTo(before.path("rules"));
        fleets.herons(1);
        assertThat(Browserless.json(reviewer.get(pulse)).path("rules")).isNotEqualTo(before.path("rules"));
        JsonNode radios = Browserless.json(reviewer.get(pulse));
        who.post("/api/lists/" + list + "/aside", "{\"lines\":[\"the one at the mill\"]}");
        JsonNode kept = Browserless.json(reviewer.get(pulse));
        assertThat(kept.path("mark")).as("a row beside a list").isNotEqualTo(radios.path("mark"));
        assertThat(kept.path("rules")).isEqualTo(radios.path("rules"));
        JsonNode tones = Browserless.json(who.get("/api/groups/" + who.group() + "/tones"));
        assertThat(who.put(
                                "/api/groups/" + who.group() + "/tones",
                                "{\"before\":" + tones.path("version").asInt() + ",\"knowledge\":"
                                        + tones.path("knowledge")
                                        + "}") // the same once more is a version of its own; other tests go on with
                        // what is there
                        .statusCode())
                .isLessThan(300);
        assertThat(Browserless.json(reviewer.get(pulse)).path("rules"))
                .as("lists are held against the tones of the group")
                .isNotEqualTo(kept.path("rules"));
        assertThat(Browserless.json(reviewer.get("/api/lists/" + list)).path("rules"))
                .as("an open list compares the same")
                .isEqualTo(Browserless.json(reviewer.get(pulse)).path("rules"));
        assertThat(Browserless.signedIn(who.address(), "neighbour").get(pulse).statusCode())
                .isEqualTo(404);
    }

    @Test
    void theEntriesOfAReleaseAreReadable() {
        long list = fleets.list("Read release", Fleets.LIST);
        long release = fleets.release(list, "Heron H2");
        JsonNode parts = Browserless.json(who.get("/api/releases/" + release + "/entries"));
        assertThat(parts).hasSize(1);
        assertThat(parts.path(0).path("entries"))
                .extracting(each -> each.path("name").asString())
                .containsExactly("RIDGE", "LEVEE", "WX", "GAUGE");
        assertThat(parts.path(0).path("entries").path(0).path("shift").asString())
                .isEqualTo("−0.6");
        assertThat(Browserless.signedIn(who.address(), "neighbour")
                        .get("/api/releases/" + release + "/entries")
                        .statusCode())
                .isEqualTo(404);
    }
}
