package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.GreenMailUtil;
import com.icegreen.greenmail.util.ServerSetup;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BooleanSupplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Mail against a real SMTP server: addresses that count once they are confirmed, who is told what, once, and what happens while the server is away. */
class MailTest {

    private static final Pattern CODE = Pattern.compile("(?m)^ {4}([A-Z0-9]{8})\\s*$");
    private static final String CSV =
            "number,name,rx_mhz,tx_mhz,mode,power_w,use\n1,TAC,146.5800,146.5800,FM,5,direct\n";
    private static final Duration LONG = Duration.ofSeconds(60);

    private static int port;
    private static GreenMail smtp;
    private static ConfigurableApplicationContext server;

    @BeforeAll
    static void begin() throws IOException {
        try (ServerSocket free = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            port = free.getLocalPort();
        }
        smtp = listening();
        server = RunningServer.start(
                TestDatabase.newDatabase(),
                true,
                "--wache.mail.host=127.0.0.1",
                "--wache.mail.port=" + port,
                "--wache.mail.security=none",
                "--wache.mail.from=wache@tern.example",
                "--wache.address=https://wache.tern.example/",
                "--wache.mail.every=200ms",
                "--wache.mail.digest-at=00:00");
    }

    private static GreenMail listening() {
        GreenMail started = new GreenMail(new ServerSetup(port, "127.0.0.1", ServerSetup.PROTOCOL_SMTP));
        started.start();
        return started;
    }

    @AfterAll
    static void end() {
        server.close();
        smtp.stop();
    }

    private static Browserless in(String login) {
        return Browserless.signedIn(RunningServer.addressOf(server), login);
    }

    private static void eventually(String what, BooleanSupplier holds) {
        Instant until = Instant.now().plus(LONG);
        while (!holds.getAsBoolean()) {
            assertThat(Instant.now()).as(what).isBefore(until);
            try {
                Thread.sleep(50);
            } catch (InterruptedException e) {
                throw new IllegalStateException(e);
            }
        }
    }

    private static List<MimeMessage> mailTo(String address) {
        List<MimeMessage> all = new ArrayList<>();
        for (MimeMessage each : smtp.getReceivedMessages()) {
            try {
                if (each.getRecipients(Message.RecipientType.TO)[0].toString().equals(address)) {
                    all.add(each);
                }
            } catch (MessagingException e) {
                throw new IllegalStateException(e);
            }
        }
        return all;
    }

    private static String text(MimeMessage mail) {
        try {
            return mail.getSubject() + "\n" + mail.getContent();
        } catch (MessagingException | IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private static long saying(String address, String words) {
        return mailTo(address).stream()
                .filter(mail -> text(mail).contains(words))
                .count();
    }

    private static void ask(Browserless who, String address) {
        var asked = who.post("/api/account/mail/address", "{\"address\":\"" + address + "\"}");
        assertThat(asked.statusCode()).as(asked.body()).isEqualTo(200);
    }

    private static String code(String address) {
        List<MimeMessage> mails = mailTo(address);
        Matcher found = CODE.matcher(text(mails.get(mails.size() - 1)));
        assertThat(found.find()).isTrue();
        return found.group(1);
    }

    private static int confirm(Browserless who, String code) {
        return who.put("/api/account/mail/address", "{\"code\":\"" + code + "\"}")
                .statusCode();
    }

    private static void choose(Browserless who, String licences, String signatures, String recalls) {
        var chosen = who.put(
                "/api/account/mail",
                "{\"licences\":\"%s\",\"signatures\":\"%s\",\"recalls\":\"%s\"}"
                        .formatted(licences, signatures, recalls));
        assertThat(chosen.statusCode()).as(chosen.body()).isEqualTo(200);
    }

    private static void toldAt(Browserless who, String address) {
        ask(who, address);
        assertThat(confirm(who, code(address))).isEqualTo(200);
    }

    private static long person(Browserless who, String name, LocalDate ends) {
        return Browserless.json(who.post(
                        "/api/groups/" + who.group() + "/parties",
                        "{\"kind\":\"person\",\"name\":\"" + name + "\",\"note\":\"\",\"teams\":[],\"licences\":["
                                + RosterTest.licence("amateur", "technician", "KE9QRB", ends.toString()) + "]}"))
                .path("id")
                .asLong();
    }

    /** Nothing but a code goes to an address that nobody confirmed; a code has five tries, and five are sent a day. */
    @Test
    void anAddressCountsOnceItIsConfirmed() {
        Browserless who = in("member");
        who.delete("/api/account/mail/address"); // of another test
        server.getBean(JdbcClient.class).sql("update mail_choice set codes = 0").update();
        choose(who, "at-once", "at-once", "at-once");
        assertThat(who.post("/api/account/mail/address", "{\"address\":\"a@b.example\\r\\nBcc: c@d.example\"}")
                        .statusCode())
                .isEqualTo(422);
        ask(who, "member@tern.example");
        String code = code("member@tern.example");
        for (int i = 0; i < 5; i++) {
            assertThat(confirm(who, "WRONG234")).isEqualTo(422);
        }
        assertThat(confirm(who, code))
                .as("after five wrong ones the right one is over")
                .isEqualTo(422);
        ask(who, "member@tern.example");
        assertThat(confirm(who, code)).as("an older code").isEqualTo(422);
        assertThat(Browserless.json(who.get("/api/account/mail"))
                        .path("address")
                        .isNull())
                .isTrue();
        assertThat(confirm(in("reviewer"), code("member@tern.example")))
                .as("somebody else's code")
                .isEqualTo(422);
        assertThat(confirm(who, code("member@tern.example").toLowerCase(java.util.Locale.ROOT)))
                .isEqualTo(200);
        assertThat(Browserless.json(who.get("/api/account/mail"))
                        .path("address")
                        .asString())
                .isEqualTo("member@tern.example");
        for (int i = 0; i < 3; i++) {
            ask(who, "other@tern.example");
        }
        assertThat(who.post("/api/account/mail/address", "{\"address\":\"other@tern.example\"}")
                        .body())
                .contains("Five codes");
        assertThat(who.delete("/api/account/mail/address").statusCode()).isEqualTo(204);
        assertThat(Browserless.json(who.get("/api/account/mail"))
                        .path("address")
                        .isNull())
                .isTrue();
    }

    /** A coordinator hears of everybody's licences in one mail; a member of their own only; nobody of the same twice. */
    @Test
    void licencesAreToldInOneMailOfTheDayAndOnce() {
        Browserless who = in("coordinator");
        Browserless neighbour = in("neighbour");
        Browserless member = in("member");
        choose(neighbour, "daily", "never", "never");
        choose(member, "at-once", "at-once", "at-once");
        person(neighbour, "Ends Soon", LocalDate.now().plusDays(20));
        person(neighbour, "Ends Later", LocalDate.now().plusDays(60));
        person(neighbour, "Ends Much Later", LocalDate.now().plusDays(600));
        person(who, "Of The Valley", LocalDate.now().plusDays(20));
        toldAt(member, "rosa@tern.example");
        toldAt(neighbour, "petra@tern.example");
        eventually("the mail of the day", () -> saying("petra@tern.example", "Ends Soon") == 1);
        MimeMessage mail = mailTo("petra@tern.example").get(1);
        assertThat(text(mail))
                .contains("2 things from", "Ends Later", "in 20 days", "https://wache.tern.example/roster?party=")
                .doesNotContain("Much Later", "Of The Valley");
        assertThat(GreenMailUtil.getHeaders(mail))
                .contains("Auto-Submitted: auto-generated", "From: wache@tern.example");
        person(neighbour, "Comes Too Late", LocalDate.now().plusDays(5));
        choose(in("coordinator"), "never", "never", "never");
        person(who, "Of The Valley Too", LocalDate.now().plusDays(6));
        settled();
        assertThat(mailTo("petra@tern.example")).as("one a day, and the code").hasSize(2);
        assertThat(saying("rosa@tern.example", "Of The Valley")).isZero();
    }

    /** Whether everything that is to be gathered is gathered, and every round after it has ended: a marker goes through. */
    private static void settled() {
        JdbcClient jdbc = server.getBean(JdbcClient.class);
        Browserless reviewer = in("reviewer");
        String address = "marker" + System.nanoTime() + "@tern.example";
        jdbc.sql("update mail_choice set codes = 0").update();
        toldAt(reviewer, address);
        choose(reviewer, "at-once", "at-once", "at-once");
        jdbc.sql(
                        "insert into mail_item (account_id, club_id, kind, said, words, path) "
                                + "select account.id, membership.club_id, 'recalls', :said, 'Marker', '/' from account join membership on membership.account_id = account.id where login = 'reviewer'")
                .param("said", address)
                .update();
        eventually("the marker", () -> saying(address, "Marker") >= 1);
    }

    /** Who may sign is told, but not who changed the list last; of a recall everybody but who recalled it. */
    @Test
    void whatWaitsForASignatureAndRecallsAreTold() {
        Browserless who = in("coordinator");
        Browserless reviewer = in("reviewer");
        choose(who, "never", "at-once", "at-once");
        choose(reviewer, "never", "at-once", "at-once");
        JdbcClient jdbc = server.getBean(JdbcClient.class);
        jdbc.sql("update mail_choice set codes = 0").update();
        toldAt(who, "coordinator@tern.example");
        toldAt(reviewer, "reviewer@tern.example");
        Fleets fleets = new Fleets(who);
        long list = fleets.list("To be signed", CSV);
        fleets.choose(list, "Heron H2");
        fleets.waiveAll(list);
        eventually(
                "who may sign", () -> saying("reviewer@tern.example", "To be signed waits for a second person") == 1);
        assertThat(fleets.sign(list).statusCode()).isEqualTo(204);
        long release = Browserless.json(fleets.releaseNow(list)).path("id").asLong();
        assertThat(who.post("/api/releases/" + release + "/recall", "{\"reason\":\"Wrong tone.\"}")
                        .statusCode())
                .isEqualTo(204);
        eventually("the recall", () -> saying("reviewer@tern.example", "release 1, was recalled") == 1);
        assertThat(saying("reviewer@tern.example", "Wrong tone.")).isEqualTo(1);
        assertThat(saying("coordinator@tern.example", "waits for a second person"))
                .isZero();
        assertThat(saying("coordinator@tern.example", "was recalled")).isZero();
    }

    /** While the server for mail is away nothing is lost, and nothing is said twice when it is back. */
    @Test
    void whatCannotBeSentIsSentLater() {
        JdbcClient jdbc = server.getBean(JdbcClient.class);
        Browserless who = in("neighbour");
        jdbc.sql("update mail_choice set codes = 0").update();
        toldAt(who, "later@tern.example");
        choose(who, "at-once", "never", "never");
        smtp.stop();
        try {
            long party = person(who, "While It Was Away", LocalDate.now().plusDays(6));
            eventually(
                    "a try that failed",
                    () -> jdbc.sql("select count(*) from mail_item where failures > 0 and said like :said")
                                    .param("said", "licence " + party + " %")
                                    .query(Integer.class)
                                    .single()
                            == 1);
            assertThat(who.post("/api/account/mail/address", "{\"address\":\"x@tern.example\"}")
                            .body())
                    .contains("could not be handed over");
        } finally {
            smtp = listening();
        }
        jdbc.sql("update mail_item set next_try = now()").update(); // a minute later
        eventually("the mail", () -> saying("later@tern.example", "While It Was Away") == 1);
        settled();
        assertThat(saying("later@tern.example", "While It Was Away")).isEqualTo(1);
    }

    /** Who is taken out of the group hears nothing more of it, not even what waits. */
    @Test
    void whoIsOutOfTheGroupIsToldNothing() {
        JdbcClient jdbc = server.getBean(JdbcClient.class);
        Browserless who = in("technician");
        jdbc.sql("update mail_choice set codes = 0").update();
        toldAt(who, "gone@tern.example");
        choose(who, "at-once", "at-once", "at-once");
        long account = jdbc.sql("select id from account where login = 'technician'")
                .query(Long.class)
                .single();
        jdbc.sql(
                        "insert into mail_item (account_id, club_id, kind, said, words, path, next_try) values (:account, :club, 'recalls', 'x', 'Secret of the group', '/', now() + interval '1 hour')")
                .param("account", account)
                .param("club", who.group())
                .update();
        Browserless coordinator = in("coordinator");
        assertThat(coordinator
                        .delete("/api/groups/" + coordinator.group() + "/people/" + account)
                        .statusCode())
                .isEqualTo(204);
        jdbc.sql("update mail_item set next_try = now()").update();
        eventually(
                "nothing waits",
                () -> jdbc.sql("select count(*) from mail_item where account_id = :account and sent_at is null")
                                .param("account", account)
                                .query(Integer.class)
                                .single()
                        == 0);
        assertThat(saying("gone@tern.example", "Secret of the group")).isZero();
    }

    /** The invitation arrives and works; where it cannot be mailed, the link is there all the same. */
    @Test
    void anInvitationIsMailed() {
        Browserless who = in("coordinator");
        String invite = "{\"name\":\"New One\",\"role\":\"technician\",\"party\":null,\"mailTo\":\"%s\"}";
        var made = who.post("/api/groups/" + who.group() + "/invitations", invite.formatted("new@tern.example"));
        assertThat(made.statusCode()).as(made.body()).isEqualTo(201);
        String token = Browserless.json(made).path("token").asString();
        assertThat(Browserless.json(made).path("mailed").asString()).isEqualTo("new@tern.example");
        assertThat(text(mailTo("new@tern.example").get(0)))
                .contains("Hello New One", "as technician", "https://wache.tern.example/invitation#" + token);
        assertThat(who.post("/api/groups/" + who.group() + "/invitations", invite.formatted("none"))
                        .body())
                .contains("not an address");
        smtp.stop();
        try {
            var unsent = Browserless.json(
                    who.post("/api/groups/" + who.group() + "/invitations", invite.formatted("away@tern.example")));
            assertThat(unsent.path("token").asString()).isNotEmpty();
            assertThat(unsent.path("mailed").isNull()).isTrue();
            assertThat(unsent.path("notMailed").asString()).isNotEmpty();
        } finally {
            smtp = listening();
        }
    }

    /** RFC 5321, 4.2.1: a reply of 5xx is for good, one of 4xx asks to come again. */
    @Test
    void aRefusalForGoodIsToldApartFromOneForNow() throws IOException {
        try (ServerSocket door = answering()) {
            try (ConfigurableApplicationContext other = RunningServer.start(
                    TestDatabase.newDatabase(),
                    true,
                    "--wache.mail.host=127.0.0.1",
                    "--wache.mail.port=" + door.getLocalPort(),
                    "--wache.mail.security=none",
                    "--wache.mail.from=wache@tern.example",
                    "--wache.address=https://wache.tern.example",
                    "--wache.mail.every=200ms")) {
                Browserless who = Browserless.signedIn(RunningServer.addressOf(other), "reviewer");
                assertThat(who.post("/api/account/mail/address", "{\"address\":\"nobody@tern.example\"}")
                                .body())
                        .contains("refuses this address", "no such mailbox");
                assertThat(who.post("/api/account/mail/address", "{\"address\":\"full@tern.example\"}")
                                .body())
                        .contains("could not be handed over", "come again");
                JdbcClient jdbc = other.getBean(JdbcClient.class);
                jdbc.sql("update mail_choice set address = 'nobody@tern.example'")
                        .update();
                jdbc.sql(
                                "insert into mail_item (account_id, club_id, kind, said, words, path) "
                                        + "select account.id, membership.club_id, 'recalls', 'x', 'Told', '/' from account join membership on membership.account_id = account.id where login = 'reviewer'")
                        .update();
                eventually("the refusal", () -> !Browserless.json(who.get("/api/account/mail"))
                        .path("refused")
                        .isNull());
                assertThat(Browserless.json(who.get("/api/account/mail"))
                                .path("refused")
                                .asString())
                        .contains("no such mailbox");
            }
        }
    }

    /** A server that knows nobody, and whose boxes are full. */
    private static ServerSocket answering() throws IOException {
        ServerSocket door = new ServerSocket(0, 5, InetAddress.getLoopbackAddress());
        Thread work = new Thread(() -> {
            while (!door.isClosed()) {
                try (Socket who = door.accept();
                        BufferedReader said = new BufferedReader(
                                new InputStreamReader(who.getInputStream(), StandardCharsets.US_ASCII))) {
                    reply(who, "220 here");
                    for (String line = said.readLine(); line != null; line = said.readLine()) {
                        reply(
                                who,
                                line.startsWith("RCPT TO:<nobody")
                                        ? "550 no such mailbox"
                                        : line.startsWith("RCPT")
                                                ? "452 come again"
                                                : line.equals("QUIT") ? "221 bye" : "250 fine");
                    }
                } catch (IOException e) {
                    // the next one
                }
            }
        });
        work.setDaemon(true);
        work.start();
        return door;
    }

    private static void reply(Socket who, String line) throws IOException {
        who.getOutputStream().write((line + "\r\n").getBytes(StandardCharsets.US_ASCII));
    }
}
