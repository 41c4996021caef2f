package org.wache.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** {@code paper} and {@code reach}: formats and exit statuses for scripts. */
class PaperAndReachTest {

    private static final String LIST =
            """
            number,name,rx_mhz,tx_mhz,mode,power_w,tx_tone,rx_tone
            1,Ridge,146.940,146.340,FM,5,100.0,
            2,GMRS 16,462.575,462.575,FM,5,,
            """;
    private static final String CONTEXT =
            """
            {"format":"wache-context/1","on":"2026-11-25",
             "holders":[
              {"name":"Net","licences":[{"service":"amateur","class":"technician"}],"radios":["Heron H2"]},
              {"name":"Levee","licences":[{"service":"gmrs"}],"radios":["Wren"]}],
             "radios":[
              {"model":"Heron H2","certifiedFor":[],"transmit":[["144","148"],["420","450"]],"receive":[["136","174"],["400","450"]],"modes":["FM","NFM"],"tones":["ctcss"]},
              {"model":"Wren","certifiedFor":["95E"],"transmit":[["462.5","462.8"],["467.5","467.8"]],"receive":[["462.5","467.8"]],"modes":["FM","NFM"],"tones":["ctcss"]}]}
            """;

    @TempDir
    private Path folder;

    private String file(String name, String text) throws IOException {
        return Files.writeString(folder.resolve(name), text).toString();
    }

    private static String demo(String model) {
        return Path.of("..", "demo", "radios", model + ".json").toString();
    }

    @Test
    void aPaperHasItsStepsAndReasons() throws IOException {
        Ran ran = Ran.of("paper", file("l.csv", LIST), "--model", demo("heron-h2"), "--json");
        assertThat(ran.status()).as(ran.error()).isZero();
        JsonNode paper = ran.json();
        assertThat(paper.path("format").asString()).isEqualTo("wache-paper/1");
        JsonNode first = paper.path("entries").path(0);
        assertThat(first.path("number").asString()).isEqualTo("1");
        assertThat(first.path("possible").asBoolean()).isTrue();
        assertThat(first.path("steps").path(0).path("what").asString()).isNotBlank();
        assertThat(first.path("steps").path(0).path("keys").isArray()).isTrue();
        assertThat(first.path("steps").path(0).has("shows")).isTrue();
        Ran fixed = Ran.of("paper", file("l.csv", LIST), "--model", demo("plover-f2"), "--json");
        assertThat(fixed.status()).isEqualTo(1);
        assertThat(fixed.json().path("entries").path(0).path("reason").asString())
                .contains("are fixed");
        assertThat(Ran.of("paper", file("l.csv", LIST), "--model", demo("otter-m5"))
                        .out())
                .contains("2 GMRS 16, into memory 2", "press");
    }

    @Test
    void whatIsNoModelIsTold() throws IOException {
        Ran ran = Ran.of("paper", file("l.csv", LIST), "--model", file("m.json", "{\"format\":\"wache-radio/1\"}"));
        assertThat(ran.status()).isEqualTo(2);
        assertThat(ran.error()).contains("model should be");
        assertThat(Ran.of("paper", file("l.csv", LIST)).status()).isEqualTo(2);
        assertThat(Ran.of("reach", file("l.csv", LIST)).status()).isEqualTo(2);
    }

    @Test
    void whoIsAloneIsTheExitStatus() throws IOException {
        Ran ran = Ran.of("reach", file("l.csv", LIST), "--context", file("c.json", CONTEXT), "--json");
        assertThat(ran.status()).as(ran.error()).isEqualTo(1);
        JsonNode reach = ran.json();
        assertThat(reach.path("format").asString()).isEqualTo("wache-reach/1");
        assertThat(reach.path("links")).isEmpty();
        assertThat(reach.path("missing")).hasSize(2);
        assertThat(reach.path("missing").path(0).path("reasons")).isNotEmpty();
        assertThat(reach.path("missing").path(0).path("least")).isNotEmpty();
        assertThat(reach.path("alone")).hasSize(2);
        String together = CONTEXT.replace(
                        "{\"service\":\"gmrs\"}]",
                        "{\"service\":\"gmrs\"},{\"service\":\"amateur\",\"class\":\"extra\"}]")
                .replace("\"radios\":[\"Wren\"]", "\"radios\":[\"Wren\",\"Heron H2\"]");
        Ran both = Ran.of("reach", file("l.csv", LIST), "--context", file("d.json", together), "--json");
        assertThat(both.status()).isZero();
        assertThat(both.json().path("links").path(0).path("entries").path(0).asString())
                .isEqualTo("1");
    }

    @Test
    void aRadioThatTheContextDoesNotHaveIsTold() throws IOException {
        Ran ran = Ran.of(
                "reach", file("l.csv", LIST), "--context", file("c.json", CONTEXT.replace("[\"Wren\"]", "[\"Owl\"]")));
        assertThat(ran.status()).isEqualTo(2);
        assertThat(ran.error()).contains("radios[0] should be one of the models");
    }

    @Test
    void aPaperHasTheSettingsOfAProfile() throws IOException {
        String profile = file(
                "p.json",
                "{\"format\":\"wache-profile/1\",\"name\":\"River\",\"settings\":[{\"kind\":\"time-out\",\"value\":\"180\",\"why\":\"wedged\"}]}");
        Ran ran = Ran.of("paper", file("l.csv", LIST), "--model", demo("heron-h2"), "--profile", profile, "--json");
        assertThat(ran.json().path("settings").path(0).path("keys").path(0).asString())
                .isEqualTo("PICK");
        assertThat(Ran.of("paper", file("l.csv", LIST), "--model", demo("heron-h2"), "--profile", file("no.json", "{}"))
                        .status())
                .isEqualTo(2);
    }

    private static String demands(String mustTalk) {
        return "{\"format\":\"wache-demands/1\",\"context\":" + CONTEXT
                + ",\"teams\":[{\"name\":\"Net\",\"members\":[\"Net\"]},{\"name\":\"Levee\",\"members\":[\"Levee\"]}],"
                + mustTalk
                + "\"spare\":1}";
    }

    @Test
    void aPlanIsAListThatIsReadBackAndAContradictionSaysItsDemands() throws IOException {
        Ran plan = Ran.of("plan", file("d.json", demands("")), "--json");
        assertThat(plan.status()).as(plan.error()).isZero();
        assertThat(plan.json().path("format").asString()).isEqualTo("wache-list/1");
        String list = file("plan.json", plan.out());
        assertThat(Ran.of("audit", list, "--context", file("c.json", CONTEXT), "--json")
                        .json()
                        .path("format")
                        .asString())
                .isEqualTo("wache-audit/1");
        Ran not = Ran.of("plan", file("d.json", demands("\"mustTalk\":[[\"Net\",\"Levee\"]],")), "--json");
        assertThat(not.status()).isEqualTo(1);
        assertThat(not.json().path("format").asString()).isEqualTo("wache-contradiction/1");
        assertThat(not.json().path("demands").path(0).asString()).isEqualTo("Net and Levee must talk");
        assertThat(not.json().path("reasons")).isNotEmpty();
        assertThat(Ran.of("plan", file("d.json", demands("\"services\":[\"taxi\"],")))
                        .error())
                .contains("there is no service “taxi”");
        assertThat(Ran.of("plan", file("d.json", "{}")).status()).isEqualTo(2);
    }
}
