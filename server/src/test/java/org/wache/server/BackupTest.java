package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.context.ConfigurableApplicationContext;
import org.wache.exchange.ReleaseCheck;
import org.wache.exchange.ReleaseFile;

/** ./wache backup and restore, there and back. */
class BackupTest {

    private static final Path LAUNCHER = Path.of("..", "wache").toAbsolutePath().normalize();

    private record Ended(int status, String said) {}

    private static Ended wache(String database, String... arguments) throws IOException, InterruptedException {
        ProcessBuilder builder = new ProcessBuilder();
        builder.command().add(LAUNCHER.toString());
        builder.command().addAll(java.util.List.of(arguments));
        builder.environment().put("WACHE_DB_URL", database);
        builder.environment().put("WACHE_DB_USER", "wache");
        Process process = builder.redirectErrorStream(true).start();
        String said = new String(process.getInputStream().readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
        return new Ended(process.waitFor(), said);
    }

    /** Every table with the sum over its rows; who is signed in, and what the bench does just now, aside. */
    private static Map<String, String> everything(String database) throws SQLException {
        Map<String, String> tables = new TreeMap<>();
        try (Connection connection = DriverManager.getConnection(database, "wache", "");
                ResultSet names = connection
                        .createStatement()
                        .executeQuery("select tablename from pg_tables where schemaname = 'public'")) {
            while (names.next()) {
                String name = names.getString(1);
                try (ResultSet sum = connection
                        .createStatement()
                        .executeQuery(
                                "select count(*), md5(coalesce(string_agg(t::text, '|' order by t::text), '')) from \""
                                        + name + "\" t")) {
                    sum.next();
                    tables.put(name, sum.getLong(1) + " rows, " + sum.getString(2));
                }
            }
        }
        return tables;
    }

    @Test
    void whatIsBackedUpComesBackAsItWasAlsoIntoAnEmptyDatabase(@TempDir Path place) throws Exception {
        String database = TestDatabase.newDatabase();
        String file = place.resolve("wache.backup").toString();
        Ended running;
        try (ConfigurableApplicationContext server = RunningServer.start(database, true)) {
            Browserless who = Browserless.signedIn(RunningServer.addressOf(server), "coordinator");
            new Fleets(who).ended(1);
            who.take("Before the backup", "number,rx_mhz\n1,162.550\n");
            running = wache(database, "backup", file);
            assertThat(running.status()).as(running.said()).isZero();
            Ended refused = wache(database, "restore", file);
            assertThat(refused.status()).isEqualTo(2);
            assertThat(refused.said()).contains("a server is running on this database; stop it first");
        }
        Map<String, String> before = everything(database);
        assertThat(wache(database, "backup", file).status()).isZero();
        try (ConfigurableApplicationContext server = RunningServer.start(database, true)) {
            Browserless who = Browserless.signedIn(RunningServer.addressOf(server), "coordinator");
            who.take("After the backup", "number,rx_mhz\n1,162.550\n");
        }
        assertThat(everything(database)).isNotEqualTo(before);
        Ended restored = wache(database, "restore", file);
        assertThat(restored.status()).as(restored.said()).isZero();
        assertThat(everything(database)).isEqualTo(before);

        String empty = TestDatabase.newDatabase();
        assertThat(wache(empty, "restore", file).status()).isZero();
        assertThat(everything(empty)).isEqualTo(before);
        try (ConfigurableApplicationContext server = RunningServer.start(empty, true)) {
            Browserless who = Browserless.signedIn(RunningServer.addressOf(server), "coordinator");
            assertThat(who.get("/api/groups/" + who.group() + "/lists").body())
                    .contains("Before the backup")
                    .doesNotContain("After the backup");
            ReleaseFile release = ReleaseFile.read(
                    who.get("/api/releases/1/release.json").body().getBytes(java.nio.charset.StandardCharsets.UTF_8));
            assertThat(ReleaseCheck.of(release).good()).isTrue();
            assertThat(who.take("New after all", "number,rx_mhz\n1,162.550\n")).isPositive();
        }
    }

    @Test
    void aFileThatIsNoBackupOrADamagedOneChangesNothing(@TempDir Path place) throws Exception {
        String database = TestDatabase.newDatabase();
        try (ConfigurableApplicationContext server = RunningServer.start(database, true)) {
            new Fleets(Browserless.signedIn(RunningServer.addressOf(server), "coordinator")).ended(1);
        }
        Map<String, String> before = everything(database);
        Path file = place.resolve("wache.backup");
        assertThat(wache(database, "backup", file.toString()).status()).isZero();
        byte[] bytes = Files.readAllBytes(file);
        Path damaged = place.resolve("damaged.backup");
        Files.write(damaged, java.util.Arrays.copyOf(bytes, bytes.length * 2 / 3));
        Path other = Files.writeString(place.resolve("other"), "not a backup");
        Path changed = place.resolve("changed.backup");
        byte[] flipped = bytes.clone();
        flipped[bytes.length / 2] ^= 1;
        Files.write(changed, flipped);
        for (Path bad : java.util.List.of(
                damaged,
                changed,
                other,
                place.resolve("nosuch"),
                foreign(place),
                newer(place, file),
                unfinished(place, file),
                withoutRows(place, file))) {
            Ended ended = wache(database, "restore", bad.toString());
            assertThat(ended.status()).as(ended.said()).isEqualTo(2);
            assertThat(ended.said()).contains("nothing was changed");
            assertThat(everything(database)).as(bad.toString()).isEqualTo(before);
        }
        assertThat(wache(database, "restore", newer(place, file).toString()).said())
                .contains("newer version of Wache");
        Ended listed = wache(
                database,
                "backup",
                "--list",
                file.toString(),
                changed.toString(),
                newer(place, file).toString());
        assertThat(listed.status()).isEqualTo(1);
        assertThat(listed.said())
                .containsPattern(
                        "of 20\\d\\d-\\S+, kind start, schema \\d+, [1-9]\\d* lists with [1-9]\\d* entries, whole")
                .contains(file + ": of 20", changed + ": it is damaged", "newer than this version of Wache");
    }

    /** Of somebody else's database; what a dump of PostgreSQL holds is no proof that it is one of Wache's. */
    private static Path foreign(Path place) throws Exception {
        String other = TestDatabase.newDatabase();
        try (Connection connection = DriverManager.getConnection(other, "wache", "")) {
            connection
                    .createStatement()
                    .execute(
                            "create table club (id int); create table entry (id int); create table flyway_schema_history (version text)");
        }
        Path file = place.resolve("foreign");
        shell("pg_dump -Fc -d '" + other.replace("jdbc:", "") + "?user=wache' -f '" + file + "'");
        return file;
    }

    private static Path newer(Path place, Path file) throws Exception {
        return repacked(place, file, "newer", "sed -i 's/\"schema\":[0-9]*/\"schema\":999/' about.json");
    }

    /** One that says more rows than it brings: what is missing is noticed before what was there is given up. */
    private static Path withoutRows(Path place, Path file) throws Exception {
        return repacked(place, file, "rows", "sed -i 's/\"entry\" *: *[0-9]*/\"entry\":123456/' about.json");
    }

    private static Path unfinished(Path place, Path file) throws Exception {
        return repacked(
                place,
                file,
                "unfinished",
                "head -c 20000 database.dump > d; mv d database.dump; sed -i \"s/\\\"sha256\\\":\\\"[0-9a-f]*/\\\"sha256\\\":\\\"$(sha256sum database.dump | cut -d' ' -f1)/\" about.json");
    }

    private static Path repacked(Path place, Path file, String name, String change) throws Exception {
        Path to = place.resolve(name + ".backup");
        shell("d=$(mktemp -d) && cd $d && tar -xf '" + file + "' && " + change + " && tar -cf '" + to
                + "' about.json database.dump && rm -rf $d");
        return to;
    }

    private static void shell(String command) throws Exception {
        Process process = new ProcessBuilder("bash", "-c", command)
                .redirectErrorStream(true)
                .start();
        String said = new String(process.getInputStream().readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
        assertThat(process.waitFor()).as(said).isZero();
    }

    @Test
    void aBackupIsForItsOwnerOnly(@TempDir Path place) throws Exception {
        String database = TestDatabase.newDatabase();
        RunningServer.start(database, false).close();
        Path file = place.resolve("my backup of today");
        assertThat(wache(database, "backup", file.toString()).status()).isZero();
        assertThat(java.nio.file.attribute.PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
                .isEqualTo("rw-------");
        try (java.util.stream.Stream<Path> left = Files.list(place)) {
            assertThat(left).containsExactly(file);
        }
    }

    /** As backups were before they told of themselves: a dump of PostgreSQL, of an older version, comes back too. */
    @Test
    void aPlainDumpOfWacheComesBackToo(@TempDir Path place) throws Exception {
        String database = TestDatabase.newDatabase();
        try (ConfigurableApplicationContext server = RunningServer.start(database, true)) {
            new Fleets(Browserless.signedIn(RunningServer.addressOf(server), "coordinator")).ended(1);
        }
        Map<String, String> before = everything(database);
        Path file = place.resolve("plain.dump");
        shell("pg_dump -Fc --no-owner --no-privileges -d '" + database.replace("jdbc:", "") + "?user=wache' -f '" + file
                + "'");
        String empty = TestDatabase.newDatabase();
        Ended restored = wache(empty, "restore", file.toString());
        assertThat(restored.status()).as(restored.said()).isZero();
        assertThat(everything(empty)).isEqualTo(before);
    }

    @org.junit.jupiter.params.ParameterizedTest
    @org.junit.jupiter.params.provider.CsvSource({
        "backup, name a file. Usage: ./wache backup FILE",
        "backup --demo, name a file. Usage",
        "restore, name a file. Usage: ./wache restore FILE",
        "backup --tea x, unknown option --tea",
        "restore a b, name one file",
        "demo --port 0, from 1 to 65535",
        "demo --port 65536, from 1 to 65535",
        "start --port 99999999999999999999, from 1 to 65535",
        "demo --port x, from 1 to 65535",
        "demo --port, --port wants a number",
        "tea, there is no command tea"
    })
    void whatIsTypedWrongIsTold(String arguments, String said) throws Exception {
        Ended ended = wache(TestDatabase.newDatabase(), arguments.split(" "));
        assertThat(ended.status()).as(ended.said()).isEqualTo(2);
        assertThat(ended.said()).contains(said);
    }
}
