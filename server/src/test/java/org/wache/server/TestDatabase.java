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

  private static final TestDatabase ONLY = new TestDatabase();

  private final Path bin;
  private final Path home;
  private final int port;
  private int databases;

  private TestDatabase() {
    try {
      bin = bin();
      home = Files.createTempDirectory("wache-test-db");
      port = freePort();
      if (isRoot()) {
        run(List.of("chown", "postgres:", home.toString()));
      }
      asDatabaseUser("initdb", "-D", home + "/pg", "-U", "wache", "-A", "trust", "-E", "UTF8", "--locale=C.UTF-8",
          "--no-sync");
      asDatabaseUser("pg_ctl", "-D", home + "/pg", "-w", "-l", home + "/log", "-o",
          "-c listen_addresses=127.0.0.1 -c port=" + port + " -c unix_socket_directories='' -c fsync=off", "start");
      Runtime.getRuntime().addShutdownHook(new Thread(this::stop));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The address of a new, empty database. */
  static synchronized String newDatabase() {
    String name = "wache" + ++ONLY.databases;
    ONLY.run(List.of(ONLY.bin.resolve("createdb").toString(), "-h", "127.0.0.1", "-p", Integer.toString(ONLY.port), "-U",
        "wache", name));
    return "jdbc:postgresql://127.0.0.1:" + ONLY.port + "/" + name;
  }

  private void stop() {
    try {
      asDatabaseUser("pg_ctl", "-D", home + "/pg", "-m", "immediate", "stop");
    } finally {
      run(List.of("rm", "-rf", home.toString()));
    }
  }

  private static Path bin() throws IOException {
    try (Stream<Path> versions = Files.list(Path.of("/usr/lib/postgresql"))) {
      return versions.map(version -> version.resolve("bin")).filter(each -> Files.exists(each.resolve("initdb")))
          .max(java.util.Comparator.comparing(Path::toString)).orElseThrow();
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
      int status = new ProcessBuilder(command).directory(Path.of("/").toFile()).redirectErrorStream(true)
          .redirectOutput(output.toFile()).start().waitFor();
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
