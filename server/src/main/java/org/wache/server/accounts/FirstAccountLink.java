package org.wache.server.accounts;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.HexFormat;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.web.server.context.WebServerInitializedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Prints the one-time link that makes the first account, while there is none. */
@Component
class FirstAccountLink {

  private static final int TOKEN_BYTES = 24;

  private final AccountStore accounts;
  private final boolean demo;

  FirstAccountLink(AccountStore accounts, @Value("${wache.demo}") boolean demo) {
    this.accounts = accounts;
    this.demo = demo;
  }

  @EventListener
  void started(WebServerInitializedEvent event) {
    if (demo || !accounts.isEmpty()) {
      return;
    }
    byte[] random = new byte[TOKEN_BYTES];
    new SecureRandom().nextBytes(random);
    String token = Base64.getUrlEncoder().withoutPadding().encodeToString(random);
    accounts.addFirstAccountLink(hash(token));
    System.out.println("There is no account yet. Make the first one here, once:");
    System.out.println("  http://127.0.0.1:" + event.getWebServer().getPort() + "/first-account#" + token);
  }

  static String hash(String token) {
    try {
      return HexFormat.of().formatHex(
          MessageDigest.getInstance("SHA-256").digest(token.getBytes(StandardCharsets.UTF_8)));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e); // every Java has SHA-256
    }
  }
}
