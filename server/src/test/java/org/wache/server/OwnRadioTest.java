package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What a member may do with the radio in their own hands, and with nobody else's. */
@ExtendWith(RunningServer.class)
class OwnRadioTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private Browserless member;
    private Browserless coordinator;
    private String own;

    @BeforeEach
    void signIn(RunningServer running) {
        member = Browserless.signedIn(running.address(), "member");
        coordinator = Browserless.signedIn(running.address(), "coordinator");
        own = "/api/groups/" + member.group() + "/own-radios";
    }

    @Test
    void theirOwnPaperIsReadAndNobodyElses() {
        JsonNode mine = Browserless.json(member.get(own));
        assertThat(mine.path("known").asBoolean()).isTrue();
        assertThat(mine.path("models")).isNotEmpty();
        for (JsonNode radio : mine.path("radios")) {
            if (!radio.path("inside").isNull()) {
                JsonNode paper = Browserless.json(
                        member.get(own + "/" + radio.path("unit").asLong() + "/paper"));
                assertThat(paper.path("entries")).isNotEmpty();
                assertThat(paper.path("method").asString()).isNotBlank();
            }
        }
        for (JsonNode unit : Browserless.json(coordinator.get("/api/groups/" + member.group() + "/radios"))
                .path("units")) {
            boolean theirs = mine.path("radios")
                    .valueStream()
                    .anyMatch(each ->
                            each.path("unit").asLong() == unit.path("id").asLong());
            if (!theirs) {
                assertThat(member.get(own + "/" + unit.path("id").asLong() + "/paper")
                                .statusCode())
                        .isEqualTo(404);
            }
        }
        assertThat(member.get("/api/units/1/bench").statusCode()).isEqualTo(403);
    }

    @Test
    void theyPractiseWithoutAList() {
        long heron = Browserless.json(member.get(own))
                .path("models")
                .valueStream()
                .filter(each -> each.path("name").asString().equals("Heron H2"))
                .findFirst()
                .orElseThrow()
                .path("id")
                .asLong();
        String begun = JSON.writeValueAsString(
                Map.of("model", heron, "line", "146.94 - 100 Ridge", "presses", new String[] {"1", "4", "6"}));
        JsonNode standing = Browserless.json(member.post(own + "/practice", begun));
        assertThat(standing.path("said").path(0).path("text").asString()).contains("memory mode");
        assertThat(standing.path("paper").path("steps")).isNotEmpty();
        assertThat(member.post(own + "/practice", begun.replace("146.94 - 100 Ridge", "hello"))
                        .statusCode())
                .isEqualTo(422);
        assertThat(member.post(own + "/practice", begun.replace("\"1\",\"4\",\"6\"", "\"dance\""))
                        .body())
                .contains("There is no key");
        assertThat(member.post(own + "/practice", begun.replace("\"model\":" + heron, "\"model\":999999"))
                        .statusCode())
                .isEqualTo(404);
    }

    /** 468 and 234 feet by the frequency, common practice: 146 MHz is 1.60 ft for a quarter wave. */
    @Test
    void antennaLengthsAreWorkedOut() {
        JsonNode lengths = Browserless.json(member.get("/api/antenna-lengths?mhz=146.000"));
        assertThat(lengths.path("quarterWaveFt").asString()).isEqualTo("1 ft 7\u00bc in");
        assertThat(lengths.path("halfWaveM").asString()).isEqualTo("0.977");
        assertThat(member.get("/api/antenna-lengths?mhz=0").statusCode()).isEqualTo(422);
        assertThat(member.get("/api/antenna-lengths?mhz=x").body()).contains("such as 146.52");
    }
}
