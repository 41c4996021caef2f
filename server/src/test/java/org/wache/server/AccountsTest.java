package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.context.ConfigurableApplicationContext;

/** Signing in and out, the first account, and what a stranger gets. */
@ExtendWith(RunningServer.class)
class AccountsTest {

    private final String address;

    AccountsTest(RunningServer server) {
        this.address = server.address();
    }

    @Test
    void whoSignsInSeesTheirGroupAndWhoSignsOutSeesNothing() {
        Browserless who = Browserless.signedIn(address, "coordinator");
        assertThat(who.get("/api/session").body())
                .contains("Ada Fenwright", "Tern Valley flood watch")
                .doesNotContain("Marsh End", "hash");
        assertThat(who.send("DELETE", "/api/session", null, null).statusCode()).isEqualTo(204);
        assertThat(who.get("/api/groups/1/lists").statusCode()).isEqualTo(401);
    }

    @Test
    void aWrongPasswordIsSaidAndFailuresSlowDown() {
        Browserless who = new Browserless(address);
        who.get("/api/session");
        String wrong = "{\"login\":\"reviewer\",\"password\":\"no\"}";
        for (int i = 0; i < 6; i++) {
            HttpResponse<String> answer = who.post("/api/session", wrong);
            assertThat(answer.statusCode()).isEqualTo(401);
            assertThat(answer.body()).contains("do not belong together");
        }
        HttpResponse<String> slowed = who.post("/api/session", wrong);
        assertThat(slowed.statusCode()).isEqualTo(429);
        assertThat(slowed.body()).contains("Try again in");
    }

    @Test
    void aForgedRequestIsRefused() {
        Browserless who = Browserless.signedIn(address, "coordinator");
        HttpResponse<String> answer = new Browserless(address)
                .post("/api/session", "{\"login\":\"coordinator\",\"password\":\"tern-valley\"}");
        assertThat(answer.statusCode()).isEqualTo(403);
        assertThat(who.get("/api/session").statusCode()).isEqualTo(200);
    }

    @Test
    void theSessionCookieIsOutOfReachOfScriptsAndOtherSites() {
        Browserless who = new Browserless(address);
        who.get("/api/session");
        HttpResponse<String> answer =
                who.post("/api/session", "{\"login\":\"coordinator\",\"password\":\"tern-valley\"}");
        assertThat(answer.headers().allValues("set-cookie"))
                .anySatisfy(cookie -> assertThat(cookie).startsWith("wache=").contains("HttpOnly", "SameSite=Lax"));
        assertThat(answer.headers().firstValue("content-security-policy"))
                .hasValueSatisfying(policy ->
                        assertThat(policy).contains("default-src 'self'").doesNotContain("unsafe"));
    }

    @Test
    void theFirstLinkMakesOneAccountOnce() {
        PrintStream out = System.out;
        ByteArrayOutputStream printed = new ByteArrayOutputStream();
        System.setOut(new PrintStream(printed, true, StandardCharsets.UTF_8));
        try (ConfigurableApplicationContext fresh = RunningServer.start(TestDatabase.newDatabase(), false)) {
            String text = printed.toString(StandardCharsets.UTF_8);
            String token =
                    text.substring(text.indexOf('#') + 1).lines().findFirst().orElseThrow();
            Browserless who = new Browserless(RunningServer.addressOf(fresh));
            who.get("/api/session");
            String first = "{\"token\":\"" + token
                    + "\",\"login\":\"ada\",\"name\":\"Ada\",\"password\":\"%s\",\"group\":\"G\"}";
            assertThat(who.post("/api/first-account", first.formatted("short")).body())
                    .contains("at least 10 characters");
            assertThat(who.post("/api/first-account", first.formatted("long enough"))
                            .statusCode())
                    .isEqualTo(204);
            assertThat(who.post("/api/first-account", first.formatted("long enough"))
                            .statusCode())
                    .isEqualTo(422);
            HttpResponse<String> in = who.post("/api/session", "{\"login\":\"ada\",\"password\":\"long enough\"}");
            assertThat(Browserless.json(in).path("groups").path(0).path("role").asString())
                    .isEqualTo("coordinator");
        } finally {
            System.setOut(out);
        }
    }

    @Test
    void twoServersOnOneDatabaseShareTheirSessions(RunningServer server) {
        try (ConfigurableApplicationContext second = RunningServer.start(server.database(), true)) {
            Browserless who = Browserless.signedIn(address, "coordinator");
            long list = who.take("shared", "number,rx_mhz\n1,162.550\n");
            assertThat(who.at(RunningServer.addressOf(second))
                            .get("/api/lists/" + list)
                            .statusCode())
                    .isEqualTo(200);
        }
    }
}
