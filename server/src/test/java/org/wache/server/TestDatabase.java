package org.wache.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;

/** A real PostgreSQL of the tests' own, in a directory of its own, stopped when the tests end. */
final class TestDatabase {

    private static final int STARTING_S = 60;
    private static final int DISK_MB = 900;
    private static final TestDatabase ONLY = stoppedAtTheEnd(new TestDatabase(false));

    private final Path bin;
    private final Path home;
    private final int port;
    private final boolean disk;
    private int databases;

    private static TestDatabase stoppedAtTheEnd(TestDatabase database) {
        Runtime.getRuntime().addShutdownHook(new Thread(database::stop));
        return database;
    }

    /** A cluster of a test's own, which may be killed; on a disk of its own, which may be filled, where this user may make one. */
    static TestDatabase own() {
        return new TestDatabase(isRoot());
    }

    private TestDatabase(boolean ownDisk) {
        try {
            bin = bin();
            home = Files.createTempDirectory("wache-test-db");
            port = freePort();
            disk = ownDisk && mounted();
            if (isRoot()) {
                run(List.of("chown", "postgres:", home.toString()));
            }
            asDatabaseUser(
                    "initdb",
                    "-D",
                    home + "/pg",
                    "-U",
                    "wache",
                    "-A",
                    "trust",
                    "-E",
                    "UTF8",
                    "--locale=C.UTF-8",
                    "--no-sync");
            start();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The address of a new, empty database. */
    static synchronized String newDatabase() {
        String name = "wache" + ++ONLY.databases;
        ONLY.run(List.of(
                ONLY.bin.resolve("createdb").toString(),
                "-h",
                "127.0.0.1",
                "-p",
                Integer.toString(ONLY.port),
                "-U",
                "wache",
                name));
        return "jdbc:postgresql://127.0.0.1:" + ONLY.port + "/" + name;
    }

    /**
     * Starts it, also after it was killed: as a child of whoever waits for it, so that a killed one is not left as a process
     * that PostgreSQL takes for a living one.
     */
    void start() {
        try {
            List<String> command = new ArrayList<>(isRoot() ? List.of("runuser", "-u", "postgres", "--") : List.of());
            command.addAll(List.of(
                    bin.resolve("postgres").toString(),
                    "-D",
                    home + "/pg",
                    "-c",
                    "listen_addresses=127.0.0.1",
                    "-c",
                    "port=" + port,
                    "-c",
                    "unix_socket_directories=",
                    "-c",
                    "fsync=off",
                    "-c",
                    "max_wal_size=64MB",
                    "-c",
                    "min_wal_size=32MB"));
            ProcessBuilder builder = new ProcessBuilder(command)
                    .directory(Path.of("/").toFile())
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD);
            Process process = builder.start();
            for (int i = 0; i < STARTING_S * 10; i++) {
                try (java.sql.Connection connection = java.sql.DriverManager.getConnection(
                        "jdbc:postgresql://127.0.0.1:" + port + "/postgres", "wache", "")) {
                    return;
                } catch (java.sql.SQLException e) {
                    Thread.sleep(100); // it is still reading its log
                    process = process.isAlive()
                            ? process
                            : builder.start(); // or a connection of the killed one has not yet noticed
                }
            }
            throw new IllegalStateException("PostgreSQL did not start");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** Kills it as a crash would: the postmaster and, with it, every connection. */
    void kill() {
        try {
            run(List.of(
                    "kill",
                    "-9",
                    Files.readAllLines(home.resolve("pg/postmaster.pid")).get(0)));
            Thread.sleep(300); // until the others have noticed
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private boolean mounted() {
        try {
            run(List.of("mount", "-t", "tmpfs", "-o", "size=" + DISK_MB + "m", "tmpfs", home.toString()));
            return true;
        } catch (IllegalStateException e) {
            return false; // not even root may, in some containers
        }
    }

    /** Whether its disk can be filled. */
    boolean hasDisk() {
        return disk;
    }

    /** Leaves no room on its disk. */
    void fill() {
        Path ballast = home.resolve("ballast");
        try (java.io.OutputStream out = Files.newOutputStream(
                ballast, java.nio.file.StandardOpenOption.CREATE, java.nio.file.StandardOpenOption.APPEND)) {
            byte[] part = new byte[64 * 1024];
            while (true) {
                out.write(part);
            }
        } catch (IOException e) {
            // now it is full
        }
    }

    /** Gives the room back. */
    void clear() {
        try {
            Files.deleteIfExists(home.resolve("ballast"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Whether it takes connections. */
    boolean answers() {
        try (java.sql.Connection connection = java.sql.DriverManager.getConnection(
                "jdbc:postgresql://127.0.0.1:" + port + "/postgres", "wache", "")) {
            return true;
        } catch (java.sql.SQLException e) {
            return false;
        }
    }

    /** The address of its one database. */
    String database() {
        if (databases++ == 0) {
            run(List.of(
                    bin.resolve("createdb").toString(),
                    "-h",
                    "127.0.0.1",
                    "-p",
                    Integer.toString(port),
                    "-U",
                    "wache",
                    "wache"));
        }
        return "jdbc:postgresql://127.0.0.1:" + port + "/wache";
    }

    /** Ends a cluster of a test's own, and takes it away. */
    void destroy() {
        try {
            kill();
        } catch (IllegalStateException e) {
            // it is down already
        }
        if (disk) {
            run(List.of("umount", "-l", home.toString()));
        }
        run(List.of("rm", "-rf", home.toString()));
    }

    private void stop() {
        try {
            run(List.of(
                    "kill",
                    "-QUIT",
                    Files.readAllLines(home.resolve("pg/postmaster.pid")).get(0)));
            Thread.sleep(500);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } finally {
            run(List.of("rm", "-rf", home.toString()));
        }
    }

    private static Path bin() throws IOException {
        try (Stream<Path> versions = Files.list(Path.of("/usr/lib/postgresql"))) {
            return versions.map(version -> version.resolve("bin"))
                    .filter(each -> Files.exists(each.resolve("initdb")))
                    .max(java.util.Comparator.comparing(Path::toString))
                    .orElseThrow();
        }
    }

    private static boolean isRoot() {
        return "root".equals(System.getProperty("user.name"));
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    private void asDatabaseUser(String program, String... arguments) {
        List<String> command = new ArrayList<>(isRoot() ? List.of("runuser", "-u", "postgres", "--") : List.of());
        command.add(bin.resolve(program).toString());
        command.addAll(Arrays.asList(arguments));
        run(command);
    }

    private void run(List<String> command) {
        try {
            Path output = Files.createTempFile("wache-test", ".log");
            int status = new ProcessBuilder(command)
                    .directory(Path.of("/").toFile())
                    .redirectErrorStream(true)
                    .redirectOutput(output.toFile())
                    .start()
                    .waitFor();
            String said = Files.readString(output);
            Files.delete(output);
            if (status != 0) {
                throw new IllegalStateException(command + " ended with " + status + ": " + said);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
