package org.wache.server.lists;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import org.wache.exchange.ListFiles;
import org.wache.server.accounts.AccountStore;

/** Fills an empty database with the Tern Valley flood watch. */
@Component
class DemoLists implements ApplicationRunner {

  /** The password of the demo's accounts; the demo listens on loopback only. */
  private static final String PASSWORD = "tern-valley";

  private record File(String file, String name) {}

  private static final List<File> LISTS = List.of(
      new File("volunteers", "Volunteers, working list"),
      new File("households", "Households, personal radio"),
      new File("ferry-and-orchard", "Ferry and orchard fleet"),
      new File("factory-handheld", "Factory list of the new hand-helds"));

  private final boolean demo;
  private final AccountStore accounts;
  private final ListService lists;
  private final PasswordEncoder encoder;
  private final TransactionTemplate transaction;

  DemoLists(@Value("${wache.demo}") boolean demo, AccountStore accounts, ListService lists, PasswordEncoder encoder,
      TransactionTemplate transaction) {
    this.demo = demo;
    this.accounts = accounts;
    this.lists = lists;
    this.encoder = encoder;
    this.transaction = transaction;
  }

  @Override
  public void run(ApplicationArguments arguments) {
    if (demo && accounts.isEmpty()) {
      transaction.executeWithoutResult(status -> fill());
    }
  }

  private void fill() {
    long valley = accounts.addClub("Tern Valley flood watch");
    long neighbours = accounts.addClub("Marsh End radio circle");
    long coordinator = account("coordinator", "Ada Fenwright");
    accounts.addMember(coordinator, valley, "coordinator");
    accounts.addMember(account("reviewer", "Jonas Weirley"), valley, "reviewer");
    accounts.addMember(account("neighbour", "Petra Lowfield"), neighbours, "coordinator");
    for (File each : LISTS) {
      lists.add(coordinator, valley, ListFiles.read(bytes(each.file() + ".csv"), each.name()),
          Context.of(new String(bytes(each.file() + ".context.json"), StandardCharsets.UTF_8)));
    }
  }

  private long account(String login, String name) {
    return accounts.addAccount(login, name, encoder.encode(PASSWORD));
  }

  private static byte[] bytes(String file) {
    try (InputStream in = DemoLists.class.getResourceAsStream("/demo/" + file)) {
      return in.readAllBytes();
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }
}
