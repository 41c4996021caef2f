package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Who reaches whom: what the page shows is what may be keyed and heard, and what is missing says why. */
@ExtendWith(RunningServer.class)
class ReachTest {

    private final RunningServer server;
    private Browserless who;

    ReachTest(RunningServer server) {
        this.server = server;
    }

    @BeforeEach
    void signIn() {
        who = Browserless.signedIn(server.address(), "coordinator");
    }

    private long person(String name, String licence) {
        return Browserless.json(who.post(
                        "/api/groups/" + who.group() + "/parties",
                        "{\"kind\":\"person\",\"name\":\"" + name + "\",\"note\":\"\",\"teams\":[],\"licences\":["
                                + licence + "]}"))
                .path("party")
                .path("id")
                .asLong();
    }

    private long list(String name, String csv, List<Long> carriers) {
        long list = who.take(name, csv);
        String before =
                Browserless.json(who.get("/api/lists/" + list)).path("choice").toString();
        var set = who.put(
                "/api/lists/" + list + "/carriers",
                "{\"before\":" + before + ",\"after\":{\"carriers\":[],\"parties\":" + carriers + ",\"teams\":[]}}");
        assertThat(set.statusCode()).as(set.body()).isLessThan(300);
        return list;
    }

    private static String gmrs() {
        return RosterTest.licence("gmrs", null, "WZZA990", "2031-01-01");
    }

    private static String amateur() {
        return RosterTest.licence("amateur", "technician", "KE9QRX", "2031-01-01");
    }

    /** 47 CFR 95.1705 and 97.301(e): who holds one licence alone keys the channels of that service; both hear all that is in the list. */
    @Test
    void oneHearsAndMayNotAnswerAndTheLeastIsALicence() {
        long levee = person("Reach Levee", gmrs());
        long net = person("Reach Net", amateur());
        long list = list(
                "Reach one way",
                "number,name,rx_mhz,tx_mhz,mode,power_w\n1,FIELD,462.5750,462.5750,FM,5\n",
                List.of(levee, net));
        JsonNode reach = Browserless.json(who.get("/api/lists/" + list + "/reach"));
        List<String> names = new ArrayList<>();
        reach.path("people").forEach(each -> names.add(each.path("name").asString()));
        int from = names.indexOf("Reach Levee");
        int to = names.indexOf("Reach Net");
        assertThat(reach.path("links")).hasSize(1);
        assertThat(reach.path("links").path(0).path("from").asInt()).isEqualTo(from);
        assertThat(reach.path("links").path(0).path("to").asInt()).isEqualTo(to);
        assertThat(reach.path("entries").path(0).path("talk").toString()).isEqualTo("[" + from + "]");
        assertThat(reach.path("entries").path(0).path("hear")).hasSize(2);
        JsonNode gap = Browserless.json(who.get("/api/lists/" + list + "/reach/gap?from=" + to + "&to=" + from));
        assertThat(gap.path("reasons").path(0).asString()).contains("FIELD", "Reach Net");
        assertThat(gap.path("least").toString()).contains("GMRS").contains("for Reach Net");
        assertThat(who.get("/api/lists/" + list + "/reach/gap?from=" + from + "&to=" + to)
                        .statusCode())
                .as("nothing is missing this way")
                .isEqualTo(404);
        // after the licence has ended nobody keys anything, and both are alone
        JsonNode later = Browserless.json(who.get("/api/lists/" + list + "/reach?on=2032-01-01"));
        assertThat(later.path("links")).isEmpty();
        assertThat(later.path("alone")).hasSize(2);
    }

    /** Whoever is added, gets a licence or is taken off the list is in the picture at once. */
    @Test
    void theWholeRosterCanBeLookedAtAndChangesShowAtOnce() {
        long one = person("Reach Alpha", amateur());
        long list = list(
                "Reach changes",
                "number,name,rx_mhz,tx_mhz,mode,power_w\n1,TAC,146.5500,146.5500,FM,5\n",
                List.of(one));
        assertThat(Browserless.json(who.get("/api/lists/" + list + "/reach")).path("people"))
                .hasSize(1);
        JsonNode all = Browserless.json(who.get("/api/lists/" + list + "/reach?everyone=true"));
        assertThat(all.path("people").size()).isGreaterThan(5);
        long other = person("Reach Beta", amateur());
        assertThat(Browserless.json(who.get("/api/lists/" + list + "/reach?everyone=true"))
                        .path("people")
                        .size())
                .isEqualTo(all.path("people").size() + 1);
        String before =
                Browserless.json(who.get("/api/lists/" + list)).path("choice").toString();
        who.put(
                "/api/lists/" + list + "/carriers",
                "{\"before\":" + before + ",\"after\":{\"carriers\":[],\"parties\":[" + one + "," + other
                        + "],\"teams\":[]}}");
        assertThat(Browserless.json(who.get("/api/lists/" + list + "/reach")).path("links"))
                .hasSize(2);
    }

    /** A radio that was found to key nowhere talks nowhere, from the moment at which it was found: nothing else was changed then. */
    @Test
    void whatWasFoundOfARadioShowsAtOnce() {
        Fleets fleets = new Fleets(who);
        long carrier = person("Reach Silent", amateur());
        long other = person("Reach Loud", amateur());
        long list = list("Reach found", Fleets.LIST, List.of(carrier, other));
        long unit = fleets.herons(1).get(0);
        var out = who.post(
                "/api/units/" + unit + "/hand-out", "{\"party\":" + carrier + ",\"note\":\"\",\"knowing\":true}");
        assertThat(out.statusCode()).as(out.body()).isEqualTo(204);
        JsonNode now = fleets.view(unit);
        var off = who.put(
                "/api/units/" + unit,
                "{\"version\":" + now.path("version") + ",\"unit\":"
                        + Fleets.draft(
                                now.path("model").asLong(),
                                now.path("serial").asString(),
                                "Reach silent",
                                "Amateur",
                                true)
                        + "}");
        assertThat(off.statusCode()).as(off.body()).isLessThan(300);
        assertThat(Browserless.json(who.get("/api/lists/" + list + "/reach")).path("links"))
                .as("said to be off, and nobody tried")
                .hasSize(2);
        JsonNode jobs = fleets.ended(fleets.run(fleets.released("Reach run", Fleets.LIST), List.of(unit)));
        assertThat(jobs.path(0).path("state").asString()).isEqualTo("good");
        assertThat(Browserless.json(who.get("/api/lists/" + list + "/reach")).path("links"))
                .as("tried, and it keys nowhere")
                .hasSize(1);
    }

    @Test
    void nobodyCarriesItIsNoFault() {
        long list = who.take("Reach nobody", "number,name,rx_mhz,tx_mhz,mode\n1,A,146.52,146.52,FM\n");
        JsonNode reach = Browserless.json(who.get("/api/lists/" + list + "/reach"));
        assertThat(reach.path("people")).isEmpty();
        assertThat(reach.path("entries")).hasSize(1);
        assertThat(Map.of(
                        "outside",
                        Browserless.signedIn(server.address(), "neighbour")
                                .get("/api/lists/" + list + "/reach")
                                .statusCode(),
                        "a member",
                        Browserless.signedIn(server.address(), "member")
                                .get("/api/lists/" + list + "/reach")
                                .statusCode()))
                .isEqualTo(Map.of("outside", 404, "a member", 403));
    }

    /** What one alone may key is asked about before the list goes out; who answers does it by name, and can take it back. */
    @Test
    void aChannelOfOneSpeakerIsAQuestionAtTheGate() {
        long levee = person("Gate Levee", gmrs());
        long net = person("Gate Net", amateur());
        long list = list(
                "Reach at the gate",
                "number,name,rx_mhz,tx_mhz,mode,power_w,service\n1,FIELD,462.6000,462.6000,NFM,2,gmrs\n2,TAC,146.5500,146.5500,FM,5,\n3,Weather,162.5500,,NFM,,\n",
                List.of(levee, net));
        assertThat(Browserless.json(who.get("/api/lists/" + list + "/reach"))
                        .path("entries")
                        .path(2)
                        .path("talk"))
                .as("what is only listened to nobody keys")
                .isEmpty();
        JsonNode gate = Browserless.json(who.get("/api/lists/" + list + "/gate"));
        List<String> found = new ArrayList<>();
        gate.path("reach")
                .forEach(each -> found.add(each.path("subject").asString() + ": "
                        + each.path("message").asString()));
        assertThat(found).contains("2 TAC: Only Gate Net may talk on it.");
        assertThat(gate.path("missing").toString()).contains("of who reaches whom");
        assertThat(Browserless.json(who.get("/api/lists/" + list + "/reach/concerns"))
                        .toString())
                .contains("Only Gate Net may talk on it.");
        String print = gate.path("reach").path(0).path("print").asString();
        var waived = who.post(
                "/api/lists/" + list + "/waivers",
                "{\"prints\":[\"" + print + "\"],\"reason\":\"One speaker is meant\",\"until\":null}");
        assertThat(waived.statusCode()).as(waived.body()).isEqualTo(204);
        JsonNode after = Browserless.json(who.get("/api/lists/" + list + "/gate"));
        assertThat(after.path("state")).isNotEqualTo(gate.path("state"));
        JsonNode settled = after.path("reach").path(0).path("waiver");
        assertThat(settled.path("reason").asString()).isEqualTo("One speaker is meant");
        assertThat(who.delete("/api/waivers/" + settled.path("id").asLong()).statusCode())
                .isEqualTo(204);
        assertThat(Browserless.json(who.get("/api/lists/" + list + "/gate")).path("state"))
                .isEqualTo(gate.path("state"));
    }

    /** Over smooth ground two hand-helds with 5 W talk a few kilometres; what is not known is named. Common practice, no source. */
    @Test
    void howFarAnEntryCarriesIsAWordWithItsSum() {
        long list = list(
                "Reach far",
                "number,name,rx_mhz,tx_mhz,mode,power_w\n1,TAC,146.5500,146.5500,FM,5\n2,WX,162.55,,NFM,\n3,HF,7.2,7.2,LSB,50\n4,BARE,146.58,146.58,FM,\n",
                List.of(person("Far Alpha", amateur())));
        JsonNode slips = Browserless.json(who.get("/api/lists/" + list)).path("slips");
        java.util.Map<String, Long> ids = new java.util.HashMap<>();
        slips.forEach(slip -> ids.put(
                slip.path("fields").path("name").asString(), slip.path("id").asLong()));
        String ends = "&talksM=1.5&talksDbd=-5&hearsM=1.5&hearsDbd=-5";
        String at = "/api/lists/" + list + "/reach/distance?entry=";
        JsonNode near = Browserless.json(who.get(at + ids.get("TAC") + "&km=1" + ends));
        assertThat(near.path("word").asString()).isEqualTo("in-reach");
        assertThat(near.path("sum").size()).isEqualTo(6);
        assertThat(near.path("unknown").toString()).contains("Hills").doesNotContain("5 W is taken");
        assertThat(Browserless.json(who.get(at + ids.get("TAC") + "&km=40" + ends))
                        .path("word")
                        .asString())
                .isEqualTo("not");
        assertThat(Browserless.json(who.get(at + ids.get("BARE") + "&km=1" + ends))
                        .path("unknown")
                        .toString())
                .contains("5 W is taken");
        assertThat(who.get(at + ids.get("WX") + "&km=1" + ends).body()).contains("only listened to");
        assertThat(who.get(at + ids.get("HF") + "&km=1" + ends).body()).contains("Below 30 MHz");
        assertThat(who.get(at + ids.get("TAC") + "&km=0" + ends).body()).contains("between 0.05 and 500 km");
        assertThat(who.get(at + "999999&km=1" + ends).statusCode()).isEqualTo(404);
    }

    /** The demo's bases: where they stand and how far apart, by the geodesic; what has no position is named. */
    @Test
    void basesAreHeldAgainstWhereTheyStand() {
        long river = Browserless.json(who.get("/api/groups/" + who.group() + "/lists"))
                .valueStream()
                .filter(each -> each.path("name").asString().equals("River hand-helds, spring"))
                .findFirst()
                .orElseThrow()
                .path("id")
                .asLong();
        JsonNode slips = Browserless.json(who.get("/api/lists/" + river)).path("slips");
        long ridge = slips.path(0).path("id").asLong();
        JsonNode found = Browserless.json(who.get("/api/lists/" + river + "/reach/bases?entry=" + ridge));
        List<String> names = found.path("bases")
                .valueStream()
                .map(each -> each.path("name").asString())
                .toList();
        assertThat(names).contains("Weir house", "Ferry landing", "HF desk", "Tern Ridge");
        assertThat(found.path("unplaced").toString()).doesNotContain("Net van"); // it drives about
        // Through a repeater each station is held against that, and only it is heard by a hand-held.
        assertThat(found.path("links")
                        .valueStream()
                        .map(each -> names.get(each.path("to").asInt())))
                .hasSize(3)
                .containsOnly("Tern Ridge");
        found.path("bases").forEach(base -> assertThat(base.path("inReachKm").isNull())
                .isEqualTo(base.path("kind").asString().equals("station")));
        // Through a repeater a team has to be heard by that, from the far side of where it works.
        List<String> teams = found.path("areas")
                .valueStream()
                .map(each -> each.path("team").asString())
                .toList();
        assertThat(teams).contains("Levee walkers", "River watch");
        assertThat(found.path("areaLinks")
                        .valueStream()
                        .map(each -> names.get(each.path("base").asInt())))
                .hasSize(teams.size())
                .containsOnly("Tern Ridge");
        long calling = slips.path(7).path("id").asLong();
        JsonNode direct = Browserless.json(who.get("/api/lists/" + river + "/reach/bases?entry=" + calling));
        JsonNode link = direct.path("links")
                .valueStream()
                .filter(each -> List.of(
                                direct.path("bases")
                                        .path(each.path("from").asInt())
                                        .path("name")
                                        .asString(),
                                direct.path("bases")
                                        .path(each.path("to").asInt())
                                        .path("name")
                                        .asString())
                        .containsAll(List.of("Weir house", "Ferry landing")))
                .findFirst()
                .orElseThrow();
        // 0.038 and 0.043 degrees: 4.23 km north, 3.38 km west at 45.18 degrees; √(4.23² + 3.38²).
        assertThat(link.path("km").asDouble()).isCloseTo(5.41, org.assertj.core.api.Assertions.within(0.03));
        assertThat(link.path("word").asString()).isEqualTo("in-reach");
        assertThat(link.path("sum")).isNotEmpty();
        JsonNode area = direct.path("areaLinks")
                .valueStream()
                .filter(each -> each.path("area").asInt() == teams.indexOf("River watch")
                        && each.path("base").asInt() == names(direct, "Weir house"))
                .findFirst()
                .orElseThrow();
        // 0.015 and 0.022 degrees: 1.67 km north, 1.73 km east at 45.2 degrees, and 3 km across from there.
        assertThat(area.path("km").asDouble()).isCloseTo(5.40, org.assertj.core.api.Assertions.within(0.03));
        assertThat(area.path("sum")).isNotEmpty();
        direct.path("bases").forEach(base -> assertThat(base.path("doubtfulKm").asDouble())
                .isGreaterThanOrEqualTo(base.path("inReachKm").asDouble()));
        long weather = slips.valueStream()
                .filter(each -> each.path("fields").path("name").asString().equals("WX 1"))
                .findFirst()
                .orElseThrow()
                .path("id")
                .asLong();
        assertThat(who.get("/api/lists/" + river + "/reach/bases?entry=" + weather)
                        .body())
                .contains("Nobody talks on this entry");
    }

    private static int names(JsonNode found, String name) {
        for (int i = 0; i < found.path("bases").size(); i++) {
            if (found.path("bases").path(i).path("name").asString().equals(name)) {
                return i;
            }
        }
        throw new AssertionError(name);
    }

    /** Areas of teams: added, changed, taken out; begun on an older version they are refused, and so is what cannot be. */
    @Test
    void anAreaIsKeptAndNotWrittenOver() {
        String form = "{\"name\":\"Area team\",\"latitude\":45.2,\"longitude\":-93.1,\"radiusKm\":%s}";
        String all = "/api/groups/" + who.group() + "/areas";
        assertThat(who.post(all, form.formatted("0")).statusCode()).isEqualTo(400);
        assertThat(who.post(all, form.formatted("2").replace("45.2", "95")).statusCode())
                .isEqualTo(422);
        long area =
                Browserless.json(who.post(all, form.formatted("2"))).path("id").asLong();
        assertThat(who.post(all, form.formatted("2").replace("Area team", "area TEAM"))
                        .body())
                .contains("already an area");
        String one = "/api/areas/" + area;
        String change = "{\"version\":1,\"form\":" + form.formatted("3") + "}";
        assertThat(who.put(one, change).statusCode()).isEqualTo(204);
        assertThat(who.put(one, change).statusCode()).isEqualTo(409);
        Browserless neighbour = Browserless.signedIn(server.address(), "neighbour");
        assertThat(neighbour.get(all).statusCode()).isEqualTo(404);
        assertThat(neighbour
                        .put(one, change.replace("\"version\":1", "\"version\":2"))
                        .statusCode())
                .isEqualTo(404);
        assertThat(Browserless.signedIn(server.address(), "technician")
                        .put(one, change.replace("\"version\":1", "\"version\":2"))
                        .statusCode())
                .isEqualTo(403);
        assertThat(who.delete(one + "?version=1").statusCode()).isEqualTo(409);
        assertThat(who.delete(one + "?version=2").statusCode()).isEqualTo(204);
        assertThat(who.get(all).body()).doesNotContain("Area team");
    }

    /** Each of the roster with each on 4,000 entries would be millions of names: refused with words before it fills the memory. */
    @Test
    void moreThanCanBeDrawnIsRefused() {
        StringBuilder rows = new StringBuilder("number,name,rx_mhz,tx_mhz,mode\n");
        for (int i = 1; i <= 4_000; i++) {
            rows.append(i).append(",E").append(i).append(",146.52,146.52,FM\n");
        }
        long list = who.take("Long to reach", rows.toString());
        var answer = who.get("/api/lists/" + list + "/reach?everyone=1");
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("is more than can be drawn", "on 4000 entries");
    }
}
