package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.springframework.context.ConfigurableApplicationContext;

/** The database is away: whoever asks is told that trying again will help, wherever in the server it was noticed; and it does. */
class DatabaseAwayTest {

    @Test
    void whoAsksMeanwhileIsToldToTryAgainAndCanThen() {
        TestDatabase cluster = TestDatabase.own();
        try (ConfigurableApplicationContext server = RunningServer.start(cluster.database(), true)) {
            Browserless who = Browserless.signedIn(RunningServer.addressOf(server), "coordinator");
            long list = who.take("There before", "number,rx_mhz\n1,162.550\n");
            Browserless stranger = new Browserless(RunningServer.addressOf(server));
            stranger.get("/api/session");
            cluster.kill();
            String wrong = "{\"login\":\"coordinator\",\"password\":\"tern-valley\"}";
            for (HttpResponse<String> answer : java.util.List.of(
                    who.get("/api/lists/" + list),
                    who.put("/api/lists/" + list + "/name", "{\"name\":\"x\"}"),
                    stranger.post("/api/session", wrong))) {
                assertThat(answer.statusCode()).as(answer.body()).isEqualTo(503);
                assertThat(answer.body())
                        .contains("Try again", "the reference")
                        .doesNotContain("Exception", "PSQL", "org.");
                assertThat(answer.headers().firstValue("content-type")).hasValue("application/problem+json");
            }
            assertThat(stranger.get("/").statusCode())
                    .as("pages need no database")
                    .isEqualTo(200);
            cluster.start();
            for (int i = 0; i < 100 && who.get("/api/lists/" + list).statusCode() != 200; i++) {
                Fleets.pause();
            }
            assertThat(Browserless.json(who.get("/api/lists/" + list))
                            .path("name")
                            .asString())
                    .isEqualTo("There before");
        } finally {
            cluster.destroy();
        }
    }
}
