package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A group's own plan with its effect before it is saved, and the rulebook as it is read. */
@ExtendWith(RunningServer.class)
class PlansAndRulebookTest {

    private final Browserless who;

    PlansAndRulebookTest(RunningServer server) {
        this.who = Browserless.signedIn(server.address(), "neighbour"); // the demo's coordinator keeps the demo's plan
    }

    private JsonNode get(String path) {
        HttpResponse<String> answer = who.get(path);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return Browserless.json(answer);
    }

    private static String row(String mhz, String uses, String warning) {
        return "{\"mhz\":\"" + mhz + "\",\"uses\":[\"" + uses
                + "\"],\"calling\":null,\"offsetsMhz\":[],\"rasters\":[],\"note\":null," + "\"warning\":"
                + (warning == null ? "null" : "\"" + warning + "\"") + "}";
    }

    private String path() {
        return "/api/groups/" + who.group() + "/overlay";
    }

    @Test
    void theEffectOfAPlanIsShownBeforeItIsSavedAndThenHolds() {
        long list = who.take("planned", "number,name,rx_mhz,tx_mhz,mode,power_w\n1,Gauge,146.460,146.460,FM,5\n");
        String technician = "{\"carriers\":[{\"name\":\"T\",\"licences\":["
                + RosterTest.licence("amateur", "technician", null, null) + "]}],\"parties\":[],\"teams\":[]}";
        who.put(
                "/api/lists/" + list + "/carriers",
                "{\"before\":{\"carriers\":[],\"parties\":[],\"teams\":[]},\"after\":" + technician + "}");
        String rows = "[" + row("146.445-146.475", "fm-simplex", "listen first") + "]";
        int before = get(path()).path("version").asInt();
        JsonNode effect = Browserless.json(who.post(path() + "/trial", "{\"rows\":" + rows + "}"));
        assertThat(effect).anySatisfy(each -> {
            assertThat(each.path("list").asLong()).isEqualTo(list);
            assertThat(each.path("changed").path(0).path("before").asString()).isEqualTo("clear");
            assertThat(each.path("changed").path(0).path("after").asString()).isEqualTo("query");
            assertThat(each.path("changed").path(0).path("why").asString()).contains("listen first");
        });
        assertThat(get("/api/lists/" + list).path("counts").path("clear").asInt())
                .as("nothing is saved")
                .isEqualTo(1);
        String save = "{\"before\":" + before + ",\"rows\":" + rows + ",\"note\":\"gauges\"}";
        assertThat(who.put(path(), save).statusCode()).isEqualTo(200);
        assertThat(get("/api/lists/" + list).path("slips").path(0).path("rule").asString())
                .isEqualTo("local-warning");
        HttpResponse<String> late = who.put(path(), save);
        assertThat(late.statusCode()).isEqualTo(409);
        assertThat(late.body()).contains("Somebody else saved version");
        JsonNode now = get(path());
        assertThat(now.path("versions").path(0).path("note").asString()).isEqualTo("gauges");
        assertThat(get(path() + "/" + now.path("version").asInt()).path("rows")).hasSize(1);
        JsonNode ruler = get("/api/ruler?group=" + who.group()).path("plan");
        assertThat(ruler)
                .anySatisfy(each -> assertThat(each.path("local").asBoolean()).isTrue());
        String none = "{\"before\":" + now.path("version").asInt() + ",\"rows\":[],\"note\":\"taken back\"}";
        assertThat(who.put(path(), none).statusCode()).isEqualTo(200);
        assertThat(get("/api/lists/" + list).path("counts").path("clear").asInt())
                .isEqualTo(1);
    }

    @Test
    void aRowThatCannotBeReadIsToldByItsNumber() {
        HttpResponse<String> answer = who.post(
                path() + "/trial",
                "{\"rows\":[" + row("146.520", "any", null) + "," + row("sixteen", "any", null) + "]}");
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("Row 2: mhz should be a range");
    }

    @Test
    void whatIsAtAFrequencyIsAnswered() {
        JsonNode at = get("/api/rulebook/at?mhz=468.950");
        assertThat(at.path("partners").path(0).path("words").asString())
                .isEqualTo("the input of a land mobile repeater on 463.950 MHz");
        assertThat(who.get("/api/rulebook/at?mhz=tea").body()).contains("is no frequency");
        assertThat(get("/api/rulebook/at?mhz=121.5").path("whose").path("words").asString())
                .contains("aircraft");
    }

    @Test
    void edgesComeAsATableAndAsAFile() {
        JsonNode edges = get("/api/rulebook/edges?class=general&send=ssb,data&bands=20%20m&slots=5");
        assertThat(edges.path("slots")).hasSize(2);
        assertThat(edges.path("slots").path(1).path("low").asLong()).isEqualTo(14_225_000);
        assertThat(who.get("/api/rulebook/edges.csv?class=general&send=ssb,data&bands=20%20m&slots=5")
                        .body())
                .isEqualTo(
                        "slot,dial_low_mhz,dial_high_mhz,band\r\n1,14.025,14.1471,20 m\r\n2,14.225,14.3471,20 m\r\n");
        assertThat(who.get("/api/rulebook/edges?class=king&send=ssb").body()).contains("There is no class");
        assertThat(who.get("/api/rulebook/edges?class=general&send=tea").body()).contains("no kind of emission");
        assertThat(who.get("/api/rulebook/edges?class=general&send=cw&slots=0").statusCode())
                .isEqualTo(422);
    }

    @Test
    void theChartHasEachBandForEachClass() {
        JsonNode bands = get("/api/rulebook/chart").path("bands");
        assertThat(bands).anySatisfy(band -> {
            assertThat(band.path("name").asString()).isEqualTo("20 m");
            assertThat(band.path("classes")
                            .path(2)
                            .path("kinds")
                            .path(2)
                            .path("spans")
                            .path(0)
                            .path("low")
                            .asLong())
                    .isEqualTo(14_225_000);
        });
        assertThat(bands).anySatisfy(band -> assertThat(band.path("channelised").asBoolean())
                .isTrue());
    }

    @Test
    void tonesNamesEditionsAndPlacesAreThere() {
        JsonNode tones = get("/api/rulebook/tones");
        assertThat(tones.path("ctcss")).hasSize(50);
        assertThat(tones.path("dcs")).hasSize(104).anySatisfy(each -> {
            assertThat(each.path("code").asString()).isEqualTo("023");
            assertThat(each.path("partner").asString()).isEqualTo("047"); // Golay word of 023 inverted; common practice
        });
        assertThat(get("/api/rulebook/channel-names").path("channels")).hasSize(30);
        assertThat(get("/api/rulebook/editions"))
                .anySatisfy(each -> assertThat(each.path("inForce").asBoolean()).isTrue());
        assertThat(get("/api/rulebook/places")
                        .path("lines")
                        .path(0)
                        .path("name")
                        .asString())
                .isEqualTo("Line A");
    }

    @Test
    void whatHoldsAtAPlaceIsAnswered() {
        JsonNode detroit = get("/api/rulebook/place?latitude=42.33&longitude=-83.05");
        assertThat(detroit.path("region").asString()).isEqualTo("Michigan");
        assertThat(detroit.path("lines").path(0).path("beyond").asBoolean()).isTrue();
        assertThat(detroit.path("rules").path(0).path("words").asString()).startsWith("420.000–430.000 MHz is closed");
        JsonNode phoenix = get("/api/rulebook/place?latitude=33.45&longitude=-112.07");
        assertThat(phoenix.path("rules"))
                .anySatisfy(each -> assertThat(each.path("where").asString()).isEqualTo("in Arizona"));
        assertThat(who.get("/api/rulebook/place?latitude=95&longitude=0").statusCode())
                .isEqualTo(422);
        assertThat(who.get("/api/rulebook/place?latitude=x&longitude=0").statusCode())
                .isEqualTo(400);
    }

    /** A member reads the law and the national plan; what the group agreed on is for those who see the rest of the group. */
    @Test
    void aMemberReadsTheRulebookWithoutTheGroupsOwnPlan(RunningServer server) {
        Browserless coordinator = Browserless.signedIn(server.address(), "coordinator");
        Browserless member = Browserless.signedIn(server.address(), "member");
        String group = "group=" + coordinator.group();
        assertThat(local(coordinator, "/api/ruler?" + group)).isPositive();
        assertThat(local(member, "/api/ruler?" + group)).isZero();
        for (JsonNode row : Browserless.json(coordinator.get("/api/groups/" + coordinator.group() + "/overlay"))
                .path("rows")) {
            String mhz = row.path("mhz").asString().replaceFirst("-.*", "");
            String seen =
                    coordinator.get("/api/rulebook/at?mhz=" + mhz + "&" + group).body();
            String plain = member.get("/api/rulebook/at?mhz=" + mhz).body();
            assertThat(member.get("/api/rulebook/at?mhz=" + mhz + "&" + group).body())
                    .isEqualTo(plain);
            String note = row.path("note").asString();
            assertThat(note).isNotBlank();
            assertThat(plain).as(mhz).doesNotContain(note);
            assertThat(seen).as(mhz).contains(note);
        }
    }

    private static long local(Browserless who, String path) {
        HttpResponse<String> answer = who.get(path);
        assertThat(answer.statusCode()).isEqualTo(200);
        return Browserless.json(answer)
                .path("plan")
                .valueStream()
                .filter(row -> row.path("local").asBoolean())
                .count();
    }

    /** Of another group nothing is told, not even under which rulebook it is. */
    @Test
    void anotherGroupsRulebookIsNotTold(RunningServer server) {
        long foreign = Browserless.signedIn(server.address(), "coordinator").group();
        for (String path : java.util.List.of(
                "/api/ruler?group=" + foreign,
                "/api/ruler?rulebook=uk&group=" + foreign,
                "/api/rulebook/at?mhz=146.52&group=" + foreign,
                "/api/rulebook/at?mhz=146.52&rulebook=uk&group=" + foreign)) {
            assertThat(who.get(path).statusCode()).as(path).isEqualTo(404);
        }
    }
}
