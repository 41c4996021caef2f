package org.wache.exchange;

import java.io.IOException;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import org.erdtman.jcs.JsonCanonicalizer;
import tools.jackson.databind.JsonNode;

/** The SHA-256 over the canonical form of JSON, RFC 8785: however it is laid out, the same content gives the same sum. */
final class CanonicalSum {

  private CanonicalSum() {}

  /** The sum in hexadecimal. */
  static String of(JsonNode content) {
    try {
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(form(JsonText.MAPPER.writeValueAsString(content))));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("Every Java has SHA-256", e);
    }
  }

  /** The canonical form, as UTF-8. */
  static byte[] form(String json) {
    try {
      return new JsonCanonicalizer(json).getEncodedUTF8();
    } catch (IOException e) {
      throw new IllegalArgumentException("This JSON has no canonical form: " + e.getMessage(), e);
    }
  }
}
