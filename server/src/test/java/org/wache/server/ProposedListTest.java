package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A list from nothing, for those who carry it. Rights by 47 CFR 95 and 97, from the shipped rulebook. */
@ExtendWith(RunningServer.class)
class ProposedListTest {

    private static final String ASK =
            "{\"on\":null,\"mustTalk\":[%s],\"services\":[%s],\"calling\":true,\"command\":false,\"repeaters\":[],\"spare\":1,\"listen\":[\"162.550\"],\"kept\":[%s],\"without\":[%s]}";

    private final RunningServer server;
    private Browserless who;

    ProposedListTest(RunningServer server) {
        this.server = server;
    }

    @BeforeEach
    void signIn() {
        who = Browserless.signedIn(server.address(), "coordinator");
    }

    private long person(String name, String team, String licence) {
        return Browserless.json(who.post(
                        "/api/groups/" + who.group() + "/parties",
                        "{\"kind\":\"person\",\"name\":\"" + name + "\",\"note\":\"\",\"teams\":[\"" + team
                                + "\"],\"licences\":[" + licence + "]}"))
                .path("party")
                .path("id")
                .asLong();
    }

    private long list(String name, List<Long> carriers) {
        long list = who.take(name, "number,name,rx_mhz,tx_mhz,mode\n7,A,146.52,146.52,FM\n");
        String before =
                Browserless.json(who.get("/api/lists/" + list)).path("choice").toString();
        var set = who.put(
                "/api/lists/" + list + "/carriers",
                "{\"before\":" + before + ",\"after\":{\"carriers\":[],\"parties\":" + carriers + ",\"teams\":[]}}");
        assertThat(set.statusCode()).as(set.body()).isLessThan(300);
        return list;
    }

    private JsonNode plan(long list, String ask) {
        var answer = who.post("/api/lists/" + list + "/proposals/plan", ask);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return Browserless.json(answer);
    }

    private static String amateur(String callSign) {
        return RosterTest.licence("amateur", "technician", callSign, "2031-01-01");
    }

    @Test
    void twoTeamsGetAListWhichIsTakenChangedAndClear() {
        long list = list(
                "Proposed",
                List.of(
                        person("Plan Ada", "Plan base", amateur("KE9QPA")),
                        person("Plan Ben", "Plan field", amateur("KE9QPB")),
                        person("Plan Cid", "Plan field", amateur("KE9QPC"))));
        JsonNode start = Browserless.json(who.get("/api/lists/" + list + "/proposals/plan"));
        assertThat(start.path("teams")).hasSize(2);
        assertThat(start.path("next").asInt()).isEqualTo(8);
        assertThat(start.path("services").toString()).contains("\"amateur\"").doesNotContain("\"gmrs\"");

        String pair = "{\"one\":\"Plan base\",\"other\":\"Plan field\"}";
        JsonNode plan = plan(list, ASK.formatted(pair, "", "", ""));
        List<String> keys = new ArrayList<>();
        plan.path("lines").forEach(line -> keys.add(line.path("key").asString()));
        assertThat(keys).contains("CALL", "TAC 1", "SPARE", "Plan field");
        JsonNode tac = plan.path("lines").path(keys.indexOf("TAC 1"));
        assertThat(tac.path("why").asString()).contains("must talk", "Next would have been");
        String first = tac.path("fields").path("txMhz").asString();

        // another channel for it, and that one kept when all is proposed once more
        JsonNode other = plan(list, ASK.formatted(pair, "", "", "\"" + first + "\""))
                .path("lines")
                .path(keys.indexOf("TAC 1"));
        String second = other.path("fields").path("txMhz").asString();
        assertThat(second).isNotEqualTo(first);
        JsonNode kept = plan(list, ASK.formatted(pair, "", "{\"key\":\"TAC 1\",\"mhz\":\"" + second + "\"}", ""))
                .path("lines")
                .path(keys.indexOf("TAC 1"));
        assertThat(kept.path("fields").path("txMhz").asString()).isEqualTo(second);
        assertThat(kept.path("why").asString()).contains("It was fixed by hand.");

        // taken, the audit has nothing against any of it
        StringBuilder changes = new StringBuilder();
        int number = start.path("next").asInt();
        for (JsonNode line : plan.path("lines")) {
            String fields = line.path("fields").toString();
            changes.append(changes.isEmpty() ? "" : ",")
                    .append("{\"kind\":\"add\",\"entry\":null,\"behind\":null,\"before\":{},\"after\":")
                    .append(fields.replaceFirst("\"number\":\"[0-9]+\"", "\"number\":\"" + number++ + "\""))
                    .append("}");
        }
        var taken = who.post(
                "/api/lists/" + list + "/changes",
                "{\"version\":" + start.path("version").asInt() + ",\"changes\":[" + changes + "],\"order\":null}");
        assertThat(taken.statusCode()).as(taken.body()).isEqualTo(200);
        JsonNode desk = Browserless.json(who.get("/api/lists/" + list));
        desk.path("slips").forEach(slip -> {
            if (!slip.path("fields").path("number").asString().equals("7")) {
                assertThat(slip.path("verdict").asString()).as(slip.toString()).isIn("clear", "listen");
            }
        });
    }

    /** 47 CFR 95.1705 and 97.301(e): with one licence each, of different services, nobody may key what the other may. */
    @Test
    void whatCannotBeIsToldAsWhatContradicts() {
        long list = list(
                "Contradicting",
                List.of(
                        person("Con Ada", "Con base", amateur("KE9QPD")),
                        person("Con Ben", "Con field", RosterTest.licence("gmrs", null, "WZZA991", "2031-01-01"))));
        JsonNode plan =
                plan(list, ASK.formatted("{\"one\":\"Con base\",\"other\":\"Con field\"}", "\"amateur\"", "", ""));
        assertThat(plan.path("lines")).isEmpty();
        assertThat(plan.path("demands").toString()).contains("Con base and Con field must talk");
        assertThat(plan.path("reasons").toString()).contains("Con Ben");
    }

    /** The demo's list is of the place near which the directory that ships has its repeaters; those stand in no other book. */
    @Test
    void aRepeaterNearThePlaceIsUsedWithItsDirectSide() {
        JsonNode start = Browserless.json(who.get("/api/lists/1/proposals/plan"));
        JsonNode ridge = start.path("repeaters")
                .valueStream()
                .filter(each -> each.path("name").asString().equals("Tern Ridge"))
                .findFirst()
                .orElseThrow();
        String ask = ASK.replace("\"command\":false,\"repeaters\":[]", "\"command\":true,\"repeaters\":[%s]");
        JsonNode plan = plan(1, ask.formatted("", "", "\"" + ridge.path("mhz").asString() + "\"", "", ""));
        JsonNode through = line(plan, "Tern Ridge").path("fields");
        assertThat(through.path("rxMhz").asString()).isEqualTo("146.940");
        assertThat(through.path("txMhz").asString()).isEqualTo("146.340");
        assertThat(through.path("txTone").asString()).isEqualTo("100.0");
        JsonNode direct = line(plan, "Tern Ridge D");
        assertThat(direct.path("fields").path("txMhz"))
                .isEqualTo(direct.path("fields").path("rxMhz"));
        assertThat(direct.path("why").asString()).startsWith("For when Tern Ridge fails");
        assertThat(line(plan, "COMMAND").path("why").asString()).startsWith("For those who lead");
        assertThat(refusal(1, ask.formatted("", "", "\"146.955\"", "", ""))).contains("No repeater near the place");
    }

    private static JsonNode line(JsonNode plan, String key) {
        return plan.path("lines")
                .valueStream()
                .filter(each -> each.path("key").asString().equals(key))
                .findFirst()
                .orElseThrow(() -> new AssertionError(key + " is not in " + plan));
    }

    @Test
    void whatIsAskedWronglyIsRefusedWithTheCure() {
        long nobody = who.take("Planned for nobody", "number,name,rx_mhz,tx_mhz,mode\n1,A,146.52,146.52,FM\n");
        assertThat(refusal(nobody, ASK.formatted("", "", "", ""))).contains("Nobody carries this list yet");
        long list = list("Asked wrongly", List.of(person("Wrong Ada", "Wrong base", amateur("KE9QPE"))));
        assertThat(refusal(list, ASK.formatted("{\"one\":\"Wrong base\",\"other\":\"Nobody's\"}", "", "", "")))
                .contains("No team that carries this list is called “Nobody's”");
        assertThat(refusal(list, ASK.formatted("", "\"telepathy\"", "", ""))).contains("no service “telepathy”");
        assertThat(refusal(list, ASK.formatted("", "", "", "\"many\""))).contains("“many” is no frequency");
    }

    private String refusal(long list, String ask) {
        var answer = who.post("/api/lists/" + list + "/proposals/plan", ask);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(422);
        return Browserless.json(answer).path("detail").asString();
    }
}
