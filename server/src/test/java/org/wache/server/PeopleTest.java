package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import java.net.http.HttpResponse;
import java.security.InvalidKeyException;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.concurrent.atomic.AtomicInteger;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Invitations, roles, links for a password, the second factor, sessions, and the log that stays as it is. */
@ExtendWith(RunningServer.class)
class PeopleTest {

    private static final AtomicInteger NUMBER = new AtomicInteger();
    private static final String PASSWORD = "high water mark";

    private final RunningServer server;
    private final Browserless coordinator;

    PeopleTest(RunningServer server) {
        this.server = server;
        this.coordinator = Browserless.signedIn(server.address(), "coordinator");
    }

    private String invite(String role, String party) {
        HttpResponse<String> made = coordinator.post(
                "/api/groups/" + coordinator.group() + "/invitations",
                "{\"name\":\"New one\",\"role\":\"" + role + "\",\"party\":" + party + "}");
        assertThat(made.statusCode()).as(made.body()).isEqualTo(201);
        return Browserless.json(made).path("token").asString();
    }

    private Browserless stranger() {
        Browserless who = new Browserless(server.address());
        who.get("/api/session");
        return who;
    }

    /** A new account in the demo's group. */
    private String joined(String role) {
        String login = "new" + NUMBER.incrementAndGet();
        HttpResponse<String> made = stranger()
                .post(
                        "/api/invitation/account",
                        "{\"token\":\"" + invite(role, "null") + "\",\"login\":\"" + login + "\",\"name\":\"Somebody "
                                + login + "\",\"password\":\"" + PASSWORD + "\"}");
        assertThat(made.statusCode()).as(made.body()).isEqualTo(204);
        return login;
    }

    private Browserless signedIn(String login, String password) {
        Browserless who = stranger();
        HttpResponse<String> in = signIn(who, login, password, "");
        assertThat(in.statusCode()).as(in.body()).isEqualTo(200);
        return who;
    }

    private static HttpResponse<String> signIn(Browserless who, String login, String password, String code) {
        return who.post(
                "/api/session",
                "{\"login\":\"" + login + "\",\"password\":\"" + password + "\",\"code\":\"" + code + "\"}");
    }

    private long account(String login) {
        for (JsonNode each : Browserless.json(coordinator.get("/api/groups/" + coordinator.group() + "/people"))
                .path("people")) {
            if (each.path("login").asString().equals(login)) {
                return each.path("account").asLong();
            }
        }
        throw new AssertionError("nobody signs in as " + login);
    }

    @Test
    void anInvitationMakesOneAccountOnceWithItsRole() {
        String token = invite("technician", "null");
        assertThat(stranger()
                        .post("/api/invitation", "{\"token\":\"" + token + "\"}")
                        .body())
                .contains("Tern Valley flood watch", "technician", "Ada Fenwright");
        String account =
                "{\"token\":\"" + token + "\",\"login\":\"%s\",\"name\":\"T\",\"password\":\"" + PASSWORD + "\"}";
        assertThat(stranger()
                        .post("/api/invitation/account", account.formatted("coordinator"))
                        .body())
                .contains("signs in as", "already");
        assertThat(stranger()
                        .post("/api/invitation/account", account.formatted("invited-once"))
                        .statusCode())
                .isEqualTo(204);
        assertThat(stranger()
                        .post("/api/invitation/account", account.formatted("invited-twice"))
                        .statusCode())
                .isEqualTo(422);
        Browserless who = signedIn("invited-once", PASSWORD);
        assertThat(who.get("/api/groups/" + coordinator.group() + "/radios").statusCode())
                .isEqualTo(200);
        assertThat(who.post("/api/groups/" + coordinator.group() + "/parties", "{}")
                        .statusCode())
                .isEqualTo(403);
    }

    @Test
    void aWithdrawnInvitationOpensNothing() {
        String token = invite("reviewer", "null");
        JsonNode open = Browserless.json(coordinator.get("/api/groups/" + coordinator.group() + "/people"))
                .path("invitations");
        long newest = open.path(open.size() - 1).path("id").asLong();
        assertThat(coordinator
                        .send("DELETE", "/api/invitations/" + newest, null, null)
                        .statusCode())
                .isEqualTo(204);
        assertThat(stranger()
                        .post("/api/invitation", "{\"token\":\"" + token + "\"}")
                        .statusCode())
                .isEqualTo(422);
    }

    @Test
    void whoHasAnAccountComesIntoOneMoreGroupAndSeesBothApart() {
        Browserless neighbour = Browserless.signedIn(server.address(), "neighbour");
        String token = Browserless.json(neighbour.post(
                        "/api/groups/" + neighbour.group() + "/invitations",
                        "{\"name\":\"From next door\",\"role\":\"reviewer\",\"party\":null}"))
                .path("token")
                .asString();
        Browserless who = signedIn(joined("technician"), PASSWORD);
        assertThat(who.get("/api/groups/" + neighbour.group() + "/lists").statusCode())
                .isEqualTo(404);
        assertThat(who.post("/api/invitation/membership", "{\"token\":\"" + token + "\"}")
                        .statusCode())
                .isEqualTo(204);
        assertThat(Browserless.json(who.get("/api/session")).path("groups")).hasSize(2);
        assertThat(who.get("/api/groups/" + neighbour.group() + "/lists").statusCode())
                .isEqualTo(200);
        assertThat(who.put("/api/groups/" + coordinator.group() + "/overlay", "{}")
                        .statusCode())
                .as("a technician here")
                .isEqualTo(403);
    }

    @Test
    void aChangedRoleAndAnEndedMembershipCountAtOnce() {
        String login = joined("technician");
        Browserless who = signedIn(login, PASSWORD);
        long group = coordinator.group();
        String person = "/api/groups/" + group + "/people/" + account(login);
        assertThat(coordinator
                        .put(person, "{\"role\":\"member\",\"party\":null}")
                        .body())
                .contains("Say who of the roster");
        assertThat(coordinator
                        .put(person, "{\"role\":\"reviewer\",\"party\":null}")
                        .statusCode())
                .isEqualTo(204);
        assertThat(who.post("/api/groups/" + group + "/units", "{}").statusCode())
                .isEqualTo(403);
        assertThat(coordinator.send("DELETE", person, null, null).statusCode()).isEqualTo(204);
        assertThat(who.get("/api/groups/" + group + "/lists").statusCode()).isEqualTo(404);
    }

    @Test
    void theOnlyCoordinatorStays() {
        Browserless neighbour = Browserless.signedIn(server.address(), "neighbour");
        long own = Browserless.json(neighbour.get("/api/groups/" + neighbour.group() + "/people"))
                .path("people")
                .path(0)
                .path("account")
                .asLong();
        HttpResponse<String> refused =
                neighbour.send("DELETE", "/api/groups/" + neighbour.group() + "/people/" + own, null, null);
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("only coordinator");
    }

    @Test
    void anAdministratorsLinkSetsANewPasswordOnceAndEndsTheSessions() {
        String login = joined("reviewer");
        Browserless before = signedIn(login, PASSWORD);
        String link = Browserless.json(
                        coordinator.post("/api/installation/accounts/" + account(login) + "/password-link", "{}"))
                .path("token")
                .asString();
        String body = "{\"token\":\"" + link + "\",\"password\":\"%s\"}";
        assertThat(stranger().post("/api/password", body.formatted("short")).statusCode())
                .isEqualTo(422);
        assertThat(stranger()
                        .post("/api/password", body.formatted("low water mark"))
                        .statusCode())
                .isEqualTo(204);
        assertThat(stranger()
                        .post("/api/password", body.formatted("low water mark 2"))
                        .statusCode())
                .isEqualTo(422);
        assertThat(before.get("/api/groups/" + coordinator.group() + "/lists").statusCode())
                .isEqualTo(401);
        assertThat(signIn(stranger(), login, PASSWORD, "").statusCode()).isEqualTo(401);
        signedIn(login, "low water mark");
    }

    @Test
    void aClosedAccountIsOutAtOnce() {
        String login = joined("coordinator");
        Browserless who = signedIn(login, PASSWORD);
        String closed = "/api/installation/accounts/" + account(login) + "/closed";
        assertThat(coordinator.put(closed, "{\"closed\":true}").statusCode()).isEqualTo(204);
        assertThat(who.get("/api/groups/" + coordinator.group() + "/lists").statusCode())
                .isEqualTo(401);
        assertThat(signIn(stranger(), login, PASSWORD, "").statusCode()).isEqualTo(401);
    }

    @Test
    void sessionsAreSeenAndEnded() {
        String login = joined("reviewer");
        Browserless here = signedIn(login, PASSWORD);
        Browserless there = signedIn(login, PASSWORD);
        JsonNode sessions = Browserless.json(here.get("/api/account")).path("sessions");
        assertThat(sessions).hasSize(2);
        assertThat(sessions.path(0).path("current").asBoolean()).isTrue();
        assertThat(here.cookieHeader())
                .doesNotContain(sessions.path(0).path("key").asString());
        assertThat(here.send(
                                "DELETE",
                                "/api/account/sessions/"
                                        + sessions.path(1).path("key").asString(),
                                null,
                                null)
                        .statusCode())
                .isEqualTo(204);
        assertThat(there.get("/api/account").statusCode()).isEqualTo(401);
        Browserless again = signedIn(login, PASSWORD);
        HttpResponse<String> changed =
                here.put("/api/account/password", "{\"current\":\"" + PASSWORD + "\",\"next\":\"low water mark\"}");
        assertThat(changed.statusCode()).as(changed.body()).isEqualTo(204);
        assertThat(again.get("/api/account").statusCode()).isEqualTo(401);
        assertThat(here.get("/api/account").statusCode()).isEqualTo(200);
    }

    private static String code(String secret, Instant at) {
        try {
            TimeBasedOneTimePasswordGenerator codes = new TimeBasedOneTimePasswordGenerator();
            return codes.generateOneTimePasswordString(
                    new SecretKeySpec(new Base32().decode(secret), codes.getAlgorithm()), at);
        } catch (InvalidKeyException e) {
            throw new AssertionError(e);
        }
    }

    @Test
    void theSecondFactorIsAskedForAndACodeWorksOnce() {
        String login = joined("reviewer");
        Browserless who = signedIn(login, PASSWORD);
        assertThat(who.post("/api/account/second-factor", "{\"password\":\"wrong password\"}")
                        .statusCode())
                .isEqualTo(422);
        JsonNode begun =
                Browserless.json(who.post("/api/account/second-factor", "{\"password\":\"" + PASSWORD + "\"}"));
        String secret = begun.path("secret").asString();
        assertThat(begun.path("address").asString())
                .isEqualTo("otpauth://totp/Wache:" + login + "?secret=" + secret + "&issuer=Wache");
        assertThat(signIn(stranger(), login, PASSWORD, "").statusCode())
                .as("not in force before a code was given")
                .isEqualTo(200);
        assertThat(who.put("/api/account/second-factor", "{\"code\":\"000000x\"}")
                        .statusCode())
                .isEqualTo(422);
        String first = code(secret, Instant.now().minusSeconds(30));
        JsonNode paper = Browserless.json(who.put("/api/account/second-factor", "{\"code\":\"" + first + "\"}"))
                .path("codes");
        assertThat(paper).hasSize(8);
        HttpResponse<String> asked = signIn(stranger(), login, PASSWORD, "");
        assertThat(asked.statusCode()).isEqualTo(401);
        assertThat(Browserless.json(asked).path("secondFactor").asBoolean()).isTrue();
        assertThat(signIn(stranger(), login, "wrong", first).body()).doesNotContain("secondFactor");
        assertThat(signIn(stranger(), login, PASSWORD, first).statusCode())
                .as("used already")
                .isEqualTo(401);
        String next = code(secret, Instant.now().plusSeconds(30));
        assertThat(signIn(stranger(), login, PASSWORD, next).statusCode()).isEqualTo(200);
        assertThat(signIn(stranger(), login, PASSWORD, next).statusCode())
                .as("used already")
                .isEqualTo(401);
        String written = paper.path(0).asString();
        assertThat(signIn(stranger(), login, PASSWORD, written.toUpperCase(java.util.Locale.ROOT))
                        .statusCode())
                .isEqualTo(200);
        assertThat(signIn(stranger(), login, PASSWORD, written).statusCode()).isEqualTo(401);
        assertThat(coordinator
                        .send("DELETE", "/api/installation/accounts/" + account(login) + "/second-factor", null, null)
                        .statusCode())
                .isEqualTo(204);
        signedIn(login, PASSWORD);
    }

    /** RFC 6238, appendix B: the SHA-1 rows, of eight digits of which the last six are these. */
    @ParameterizedTest
    @org.junit.jupiter.params.provider.CsvSource({
        "59, 287082",
        "1111111109, 081804",
        "1111111111, 050471",
        "1234567890, 005924",
        "2000000000, 279037"
    })
    void codesAreThoseOfTheStandard(long second, String expected) {
        String secret = new Base32()
                .encodeToString("12345678901234567890".getBytes(java.nio.charset.StandardCharsets.US_ASCII));
        assertThat(code(secret, Instant.ofEpochSecond(second))).isEqualTo(expected);
    }

    private Connection working() throws SQLException {
        return DriverManager.getConnection(server.database(), "wache_app", "any, the tests' database trusts");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "update log set who = 'nobody'",
                "delete from log",
                "truncate log",
                "alter table log add column x int",
                "drop table log",
                "delete from list_change",
                "update list_change set what = '{}'",
                "delete from release",
                "update release set body = ''",
                "delete from waiver",
                "delete from sign_off",
                "delete from saved_image",
                "update measurement set measured = '1'",
                "drop trigger entry_changed on entry",
                "create table own (x int)",
                "set role wache"
            })
    void theRoleOfTheServerChangesNothingOfTheRecord(String statement) throws SQLException {
        try (Connection connection = working();
                Statement working = connection.createStatement()) {
            assertThatThrownBy(() -> working.execute(statement))
                    .isInstanceOf(SQLException.class)
                    .matches(
                            problem -> ((SQLException) problem).getSQLState().equals("42501"),
                            "insufficient privilege");
        }
    }

    @Test
    void theLogTellsWhoDidWhatWithWhatWasBefore() throws SQLException {
        long list = coordinator.take("Logged", "number,name,rx_mhz,tx_mhz,power_w\n1,A,146.520,146.520,50\n");
        long entry = Browserless.json(coordinator.get("/api/lists/" + list))
                .path("slips")
                .path(0)
                .path("id")
                .asLong();
        coordinator.post(
                "/api/lists/" + list + "/changes",
                "{\"version\":1,\"changes\":[{\"kind\":\"edit\",\"entry\":" + entry
                        + ",\"before\":{\"powerW\":\"50\"},\"after\":{\"powerW\":\"5\"}}]}");
        JsonNode lines = Browserless.json(
                        coordinator.get("/api/groups/" + coordinator.group() + "/log?kind=list&subject=" + list))
                .path("lines");
        assertThat(lines).hasSize(2);
        assertThat(lines.path(0).path("who").asString()).isEqualTo("Ada Fenwright");
        assertThat(lines.path(0).path("what").asString()).isEqualTo("A: power 5 W instead of 50 W (version 2)");
        JsonNode change = lines.path(0).path("changes").path(0);
        assertThat(change.path("part").asString()).isEqualTo("1 A · powerW");
        assertThat(change.path("before").asString()).isEqualTo("50");
        assertThat(change.path("after").asString()).isEqualTo("5");
        assertThat(coordinator
                        .get("/api/groups/" + coordinator.group() + "/log.csv")
                        .body())
                .contains("A: power 5 W instead of 50 W (version 2)");
        assertThat(Browserless.signedIn(server.address(), "neighbour")
                        .get("/api/groups/1/log")
                        .statusCode())
                .isEqualTo(404);
        assertThat(Browserless.json(coordinator.get(
                                "/api/groups/" + coordinator.group() + "/log?text=logged&who=Ada%20Fenwright"))
                        .path("lines")
                        .size())
                .isPositive();
        assertThat(Browserless.json(coordinator.get("/api/groups/" + coordinator.group() + "/log?to=2001-01-01"))
                        .path("lines"))
                .isEmpty();
    }

    /** Somebody looks up a frequency, or a channel by its name, and is told whether they may: 47 CFR 95.1763(a), 97.301(b) and (e). */
    @ParameterizedTest
    @CsvSource({
        "GMRS 18, true, GMRS channel 18",
        "gmrs ch 18, true, GMRS channel 18",
        "462.625, true, GMRS channel 18",
        "146.52, true, Technician",
        "14.250, false, General",
        "121.5, false, ''",
        "MURS 3, true, MURS"
    })
    void aMemberIsToldWhetherTheyMay(String asked, boolean may, String words) {
        Browserless member = Browserless.signedIn(server.address(), "member");
        JsonNode own =
                Browserless.json(member.get("/api/groups/" + member.group() + "/own?mhz=" + asked.replace(" ", "%20")));
        assertThat(own.path("name").asString()).isEqualTo("Rosa Quill");
        assertThat(own.path("amateurClass").asString()).isEqualTo("technician");
        assertThat(own.path("may").path("may").asBoolean()).as(own.toString()).isEqualTo(may);
        assertThat(own.path("may").path("words").asString()).contains(words);
    }

    @Test
    void whatNobodyCallsSoIsTold() {
        Browserless member = Browserless.signedIn(server.address(), "member");
        assertThat(member.get("/api/rulebook/at?mhz=GMRS%2099").statusCode()).isEqualTo(422);
        assertThat(member.get("/api/rulebook/at?mhz=tea").body()).contains("no frequency and no channel");
        Browserless technician = Browserless.signedIn(server.address(), "technician");
        assertThat(Browserless.json(technician.get("/api/groups/" + technician.group() + "/own?mhz=146.52"))
                        .path("may")
                        .isNull())
                .as("nobody has said who they are")
                .isTrue();
        assertThat(Browserless.signedIn(server.address(), "neighbour")
                        .get("/api/groups/1/own?mhz=146.52")
                        .statusCode())
                .isEqualTo(404);
    }

    /** Neither another word, nor other letters, nor a place in the row of roles makes anybody anything. */
    @ParameterizedTest
    @ValueSource(strings = {"\"king\"", "0", "\"0\"", "\"COORDINATOR\"", "\"\"", "null"})
    void whatIsNoRoleIsToldWithThoseThatThereAre(String role) {
        HttpResponse<String> answer = coordinator.post(
                "/api/groups/" + coordinator.group() + "/invitations",
                "{\"name\":\"Nobody\",\"role\":" + role + ",\"party\":null}");
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(400);
        assertThat(Browserless.json(answer).path("detail").asString())
                .containsAnyOf("one of coordinator, reviewer, technician, member is expected", "“role”")
                .contains("Nothing was saved");
    }
}
