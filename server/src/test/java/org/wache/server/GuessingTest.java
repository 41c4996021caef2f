package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Guessing at passwords, codes and names: how much of it is looked at, and whom it keeps out. */
@ExtendWith(RunningServer.class)
class GuessingTest {

    /** How many tries at a name make nobody wait; the one after them is looked at too, and makes the next wait. */
    private static final int LOOKED_AT = 6;
    /** So many waits may be over while a test lasts: of 1, 2 and 4 seconds. */
    private static final long SHORT_WAITS = 3;

    private final String address;
    private final JdbcClient jdbc;

    GuessingTest(RunningServer server) {
        this.address = server.address();
        this.jdbc = server.bean(JdbcClient.class);
    }

    @BeforeEach
    void nobodyHasTriedFromHere() {
        jdbc.sql("delete from sign_in_try where key not like 'name %'").update();
    }

    private static Browserless coordinator;

    private Browserless owner() {
        coordinator = coordinator == null ? Browserless.signedIn(address, "coordinator") : coordinator;
        return coordinator;
    }

    /** As after many guesses. */
    private void slowedDown(String login) {
        jdbc.sql(
                        """
            insert into sign_in_try (key, tries, blocked_until, last_at) values (:key, 60, now() + interval '200 seconds', now())
            on conflict (key) do update set tries = 60, blocked_until = excluded.blocked_until
            """)
                .param("key", "name " + login)
                .update();
    }

    /** Somebody of the demo's group with a name of their own, so that nobody else is slowed down. */
    private String somebody(String login) {
        Browserless owner = owner();
        String token = Browserless.json(owner.post(
                        "/api/groups/" + owner.group() + "/invitations",
                        "{\"name\":\"Somebody\",\"role\":\"reviewer\",\"party\":null}"))
                .path("token")
                .asString();
        Browserless who = stranger();
        HttpResponse<String> made = who.post(
                "/api/invitation/account",
                "{\"token\":\"" + token + "\",\"login\":\"" + login
                        + "\",\"name\":\"Somebody\",\"password\":\"tern-valley\"}");
        assertThat(made.statusCode()).as(made.body()).isEqualTo(204);
        return login;
    }

    private Browserless stranger() {
        Browserless who = new Browserless(address);
        who.get("/api/session");
        return who;
    }

    private static HttpResponse<String> signIn(Browserless who, String login, String password, String code) {
        return who.post(
                "/api/session",
                "{\"login\":\"" + login + "\",\"password\":\"" + password + "\",\"code\":\"" + code + "\"}");
    }

    private Map<Integer, Long> atOnce(int tries, String login, String password, String code) {
        ExecutorService pool = Executors.newFixedThreadPool(tries);
        try {
            List<CompletableFuture<Integer>> answers = new ArrayList<>();
            for (int i = 0; i < tries; i++) {
                answers.add(CompletableFuture.supplyAsync(
                        () -> signIn(stranger(), login, password, code).statusCode(), pool));
            }
            return answers.stream()
                    .map(CompletableFuture::join)
                    .collect(Collectors.groupingBy(status -> status, Collectors.counting()));
        } finally {
            pool.shutdown();
        }
    }

    /** Of guesses at one time no more are looked at than of guesses in a row. */
    @Test
    void ofManyPasswordsAtOnceOnlyTheFirstAreLookedAt() {
        String login = somebody("guessed-at-once");
        Map<Integer, Long> answers = atOnce(40, login, "no", "");
        assertThat(answers.get(401)).isBetween((long) LOOKED_AT, LOOKED_AT + SHORT_WAITS);
        assertThat(answers.get(429)).isEqualTo(40 - answers.get(401));
        assertThat(jdbc.sql("select tries from sign_in_try where key = :key")
                        .param("key", "name " + login)
                        .query(Long.class)
                        .single())
                .isEqualTo(answers.get(401));
    }

    @Test
    void ofManyCodesAtOnceOnlyTheFirstAreLookedAt() {
        String login = somebody("coded-at-once");
        secondFactor(login);
        assertThat(atOnce(40, login, "tern-valley", "000000").get(401))
                .isBetween((long) LOOKED_AT, LOOKED_AT + SHORT_WAITS);
    }

    /** To ask for the code is no guess, and takes nothing back of guesses at it. */
    @Test
    void askingForTheCodeInBetweenMakesNoMoreGuesses() {
        String login = somebody("coded-in-turn");
        secondFactor(login);
        int looked = 0;
        for (int i = 0; i < 20; i++) {
            Browserless who = stranger();
            signIn(who, login, "tern-valley", "");
            looked += signIn(who, login, "tern-valley", "000000").statusCode() == 401 ? 1 : 0;
        }
        assertThat(looked).isLessThanOrEqualTo(LOOKED_AT + (int) SHORT_WAITS);
    }

    /** Whoever guesses elsewhere keeps nobody out who has signed in from their browser before. */
    @Test
    void aKnownBrowserGetsInWhileOthersGuess() {
        String login = somebody("at-home");
        Browserless home = stranger();
        assertThat(signIn(home, login, "tern-valley", "").statusCode()).isEqualTo(200);
        assertThat(home.cookie("wache-browser")).hasSize(32);
        home.send("DELETE", "/api/session", null, null);
        slowedDown(login);
        assertThat(signIn(stranger(), login, "tern-valley", "").statusCode()).isEqualTo(429);
        home.get("/api/session");
        assertThat(signIn(home, login, "tern-valley", "").statusCode()).isEqualTo(200);
    }

    /** To have the browser is no right: the password is asked, and guesses from there are slowed down by themselves. */
    @Test
    void aKnownBrowserIsNoPassword() {
        String login = somebody("stolen-browser");
        Browserless home = stranger();
        signIn(home, login, "tern-valley", "");
        home.send("DELETE", "/api/session", null, null);
        home.get("/api/session");
        for (int i = 0; i < LOOKED_AT; i++) {
            assertThat(signIn(home, login, "no", "").statusCode()).isEqualTo(401);
        }
        assertThat(signIn(home, login, "tern-valley", "").statusCode()).isEqualTo(429);
        assertThat(signIn(stranger(), login, "tern-valley", "").statusCode())
                .as("others are not slowed down by it")
                .isEqualTo(200);
    }

    @Test
    void aBrowserThatIsKnownForOneAccountIsKnownForNoOther() {
        String login = somebody("not-known-here");
        somebody("known-here");
        Browserless home = stranger();
        signIn(home, "known-here", "tern-valley", "");
        home.send("DELETE", "/api/session", null, null);
        slowedDown(login);
        home.get("/api/session");
        assertThat(signIn(home, login, "tern-valley", "").statusCode()).isEqualTo(429);
    }

    /** Password and code together get in from anywhere while a name is slowed down; one of them alone does not, and nothing says which. */
    @Test
    void aSecondFactorGetsInWhileOthersGuess() {
        String login = somebody("with-a-code");
        List<String> paper = secondFactor(login);
        slowedDown(login);
        HttpResponse<String> wrongPassword = signIn(stranger(), login, "no", paper.get(0));
        HttpResponse<String> wrongCode = signIn(stranger(), login, "tern-valley", "000000");
        assertThat(wrongPassword.statusCode()).isEqualTo(429);
        assertThat(wrongCode.statusCode()).isEqualTo(429);
        assertThat(wrongPassword.body().replaceAll("\\d+ s", ""))
                .isEqualTo(wrongCode.body().replaceAll("\\d+ s", ""));
        assertThat(signIn(stranger(), login, "tern-valley", paper.get(0)).statusCode())
                .isEqualTo(200);
    }

    @Test
    void codesAreNotGuessedOnThatWayEither() {
        String login = somebody("code-on-the-way");
        List<String> paper = secondFactor(login);
        slowedDown(login);
        for (int i = 0; i < LOOKED_AT; i++) {
            signIn(stranger(), login, "tern-valley", "000000");
        }
        assertThat(signIn(stranger(), login, "tern-valley", paper.get(0)).statusCode())
                .isEqualTo(429);
    }

    @Test
    void theWaitIsSaidAndHasAnEnd() {
        String login = somebody("patient");
        slowedDown(login);
        jdbc.sql("update sign_in_try set tries = 60, blocked_until = now() - interval '1 second' where key = :key")
                .param("key", "name " + login)
                .update();
        assertThat(signIn(stranger(), login, "no", "").statusCode()).isEqualTo(401);
        HttpResponse<String> slowed = signIn(stranger(), login, "no", "");
        assertThat(slowed.body()).contains("Try again in", "the longest wait there is, is 4 minutes");
        assertThat(slowed.headers().firstValue("retry-after").map(Integer::parseInt))
                .hasValueSatisfying(seconds -> assertThat(seconds).isBetween(200, 240));
        jdbc.sql(
                        "update sign_in_try set last_at = now() - interval '2 days', blocked_until = now() - interval '1 day' where key = :key")
                .param("key", "name " + login)
                .update();
        assertThat(signIn(stranger(), login, "tern-valley", "").statusCode())
                .as("forgotten after a day")
                .isEqualTo(200);
    }

    /** Many names from one address are slowed down as well; a name that is not there is counted like one that is. */
    @Test
    void oneAddressDoesNotTryEveryName() {
        try {
            signIn(stranger(), "nobody-0", "no", "");
            assertThat(jdbc.sql("update sign_in_try set tries = 95 where key like 'address %'")
                            .update())
                    .isOne();
            int looked = 0;
            for (int i = 1; i < 20; i++) {
                looked += signIn(stranger(), "nobody-" + i, "no", "").statusCode() == 401 ? 1 : 0;
            }
            assertThat(looked).isBetween(6, 9);
        } finally {
            jdbc.sql("delete from sign_in_try where key like 'address %'").update();
        }
    }

    /** Whoever signs in to an account of their own in between guesses no more names for it. */
    @Test
    void signingInOneselfTakesNothingBackOfGuessesAtOthers() {
        String login = somebody("guesses-in-between");
        Browserless home = stranger();
        signIn(home, login, "tern-valley", "");
        for (int i = 0; i < 3; i++) {
            signIn(stranger(), "somebody-else-" + i, "no", "");
            signIn(home, login, "tern-valley", "");
            signIn(stranger(), login, "tern-valley", "");
        }
        assertThat(jdbc.sql("select tries from sign_in_try where key like 'address %'")
                        .query(Integer.class)
                        .single())
                .isEqualTo(3);
    }

    @Test
    void onesOwnPasswordIsNotGuessedInAnOpenSession() {
        String login = somebody("left-the-desk");
        Browserless open = Browserless.signedIn(address, login);
        int told = 0;
        for (int i = 0; i < 20; i++) {
            told += open.post("/api/account/second-factor", "{\"password\":\"no\"}")
                            .body()
                            .contains("not your password")
                    ? 1
                    : 0;
        }
        assertThat((long) told).isBetween((long) LOOKED_AT, LOOKED_AT + SHORT_WAITS);
        assertThat(open.put("/api/account/password", "{\"current\":\"tern-valley\",\"next\":\"another long one\"}")
                        .body())
                .contains("Too many tries");
    }

    private List<String> secondFactor(String login) {
        Browserless who = Browserless.signedIn(address, login);
        String secret = Browserless.json(who.post("/api/account/second-factor", "{\"password\":\"tern-valley\"}"))
                .path("secret")
                .asString();
        List<String> paper = new ArrayList<>();
        HttpResponse<String> confirmed =
                who.put("/api/account/second-factor", "{\"code\":\"" + Codes.now(secret) + "\"}");
        Browserless.json(confirmed).path("codes").forEach(code -> paper.add(code.asString()));
        assertThat(paper).as(confirmed.body()).hasSize(8);
        return paper;
    }

    /** Names that read like another's, or hold what is not seen (RFC 8265, 3.3; Unicode TS 39, 4 and 5.2). */
    @ParameterizedTest
    @CsvSource({
        "coordinat\u200Bor, a zero-width blank",
        "coordinator\u00A0, a no-break space",
        "co\u043Erdinator, a Cyrillic o",
        "\u0441oordinator, a Cyrillic c",
        "coordinator\u2028, a line separator",
        "coordi\\nnator, a line break",
        "coord\u00ADinator, a soft hyphen",
        "\u202Ecoordinator, right to left",
        "coord inator, a blank",
        "c\u03BFordinator, a Greek o"
    })
    void aNameToSignInWithIsNotTakenTwice(String login, String what) {
        HttpResponse<String> answer = joining(login);
        assertThat(answer.statusCode()).as(what + ": " + answer.body()).isEqualTo(422);
        assertThat(answer.body()).contains("name to sign in with");
    }

    /** The same name in another spelling is the same name: capitals, full width, blanks around it. */
    @ParameterizedTest
    @ValueSource(strings = {"Coordinator", "COORDINATOR", "\uFF43oordinator", "coordinator"})
    void anotherSpellingIsTheSameName(String login) {
        assertThat(joining(login).body()).contains("already");
        assertThat(signIn(stranger(), login, "tern-valley", "").statusCode()).isEqualTo(200);
    }

    /** Letters of one other alphabet are letters; what only looks like a name that is there is not. */
    @Test
    void otherAlphabetsAreWelcomeUnlessTheyLookAlike() {
        assertThat(joining("наталья").statusCode()).isEqualTo(204);
        assertThat(joining("soco").statusCode()).isEqualTo(204);
        assertThat(joining("\u0455\u043E\u0441\u043E").body()).contains("looks like it"); // all of it Cyrillic
    }

    private HttpResponse<String> joining(String login) {
        Browserless owner = owner();
        String token = Browserless.json(owner.post(
                        "/api/groups/" + owner.group() + "/invitations",
                        "{\"name\":\"Somebody\",\"role\":\"reviewer\",\"party\":null}"))
                .path("token")
                .asString();
        return stranger()
                .post(
                        "/api/invitation/account",
                        "{\"token\":\"" + token + "\",\"login\":\"" + login
                                + "\",\"name\":\"Somebody\",\"password\":\"tern-valley\"}");
    }

    /** What is called something is called it in one line; what can be made canonical is. */
    @ParameterizedTest
    @CsvSource({"Two\\nlines", "A\\u2028B", "Zero\\u200Bwidth", "Turned\\u202Eround", "Nul\\u0000"})
    void namesAreOneLineOfWhatIsSeen(String name) {
        Browserless owner = owner();
        assertThat(owner.post(
                                "/api/groups/" + owner.group() + "/parties",
                                "{\"kind\":\"person\",\"name\":\"" + name
                                        + "\",\"note\":\"\",\"teams\":[],\"licences\":[]}")
                        .statusCode())
                .isEqualTo(422);
        assertThat(owner.post(
                                "/api/groups/" + owner.group() + "/invitations",
                                "{\"name\":\"" + name + "\",\"role\":\"reviewer\",\"party\":null}")
                        .body())
                .contains("a name is one line");
        assertThat(owner.post("/api/installation/groups", "{\"name\":\"" + name + "\",\"coordinator\":\"x\"}")
                        .statusCode())
                .isEqualTo(422);
        long list = owner.take("Named", "number,rx_mhz\n1,162.550\n");
        assertThat(owner.put("/api/lists/" + list + "/name", "{\"name\":\"" + name + "\"}")
                        .statusCode())
                .isEqualTo(422);
    }

    @Test
    void blanksAndMarksOfNamesAreMadeTheSame() {
        Browserless owner = owner();
        long list = owner.take("Named", "number,rx_mhz\n1,162.550\n");
        assertThat(owner.put("/api/lists/" + list + "/name", "{\"name\":\" Cafe\u0301\u00A0net \"}")
                        .statusCode())
                .isEqualTo(204);
        assertThat(Browserless.json(owner.get("/api/lists/" + list))
                        .path("name")
                        .asString())
                .isEqualTo("Caf\u00E9 net");
    }
}
