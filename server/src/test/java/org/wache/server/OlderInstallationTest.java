package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.util.List;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.springframework.context.ConfigurableApplicationContext;

/** An installation of the version before, with what people had entered there: it comes up to date, and everybody gets in as before. */
class OlderInstallationTest {

    private static final String BEFORE = "6";

    @Test
    void everybodyGetsInByTheNameThatTheyHad() throws Exception {
        String database = TestDatabase.newDatabase();
        Flyway.configure()
                .dataSource(database, "wache", "")
                .locations("classpath:db/migration")
                .target(BEFORE)
                .load()
                .migrate();
        List<String> names = List.of("Ada Fen", "ada", "ADA", "zero\u200Bwidth", " blanks ", "x".repeat(90));
        try (Connection connection = DriverManager.getConnection(database, "wache", "")) {
            connection.createStatement().execute("insert into club (name) values ('Old group')");
            for (String name : names) {
                var insert = connection.prepareStatement(
                        "with made as (insert into account (login, name, password_hash) values (?, 'Somebody', ?) returning id) "
                                + "insert into membership (account_id, club_id, role) select id, 1, 'coordinator' from made");
                insert.setString(1, name);
                insert.setString(2, "{noop}password of " + name);
                insert.execute();
            }
            connection
                    .createStatement()
                    .execute(
                            "insert into channel_list (club_id, name, context, changed_by) values (1, 'Old list', '{\"format\":\"wache-context/1\",\"holders\":[],\"site\":{\"antennaGainDbd\":3100}}', 1)");
            connection
                    .createStatement()
                    .execute(
                            "insert into sign_in_failure (login, failures, blocked_until) values ('ada', 20, now() + interval '4 minutes')");
        }
        try (ConfigurableApplicationContext server = RunningServer.start(database, false)) {
            for (String name : names) {
                Browserless who = new Browserless(RunningServer.addressOf(server));
                who.get("/api/session");
                HttpResponse<String> in = who.post(
                        "/api/session", "{\"login\":\"" + name + "\",\"password\":\"password of " + name + "\"}");
                assertThat(in.statusCode()).as(name + ": " + in.body()).isEqualTo(200);
                assertThat(Browserless.json(in).path("account").path("login").asString())
                        .isEqualTo(name);
                assertThat(who.get("/api/groups/1/lists").body()).contains("Old list", "the antenna gain should be");
            }
        }
    }

    /** What a backup tells of itself, and what a restore believes, is the number of the last text among the migrations: it has to be the last of all. */
    @Test
    void theLastMigrationIsAText() throws Exception {
        String database = TestDatabase.newDatabase();
        RunningServer.start(database, false).close();
        int last;
        try (Stream<Path> files = Files.list(Path.of("src/main/resources/db/migration"))) {
            last = files.map(file -> file.getFileName().toString())
                    .mapToInt(name -> Integer.parseInt(name.replaceFirst("V([0-9]+)__.*", "$1")))
                    .max()
                    .orElseThrow();
        } catch (IOException e) {
            throw new AssertionError(e);
        }
        try (Connection connection = DriverManager.getConnection(database, "wache", "");
                ResultSet newest = connection
                        .createStatement()
                        .executeQuery("select max(version::int) from flyway_schema_history")) {
            newest.next();
            assertThat(newest.getInt(1)).isEqualTo(last);
        }
    }
}
