package org.wache.rulebook;

/** A rulebook file that cannot be read; the message names the file, the key and the row. */
public final class RulebookProblem extends RuntimeException {
  private static final long serialVersionUID = 1;

  RulebookProblem(String message) {
    super(message);
  }

  RulebookProblem(String message, Throwable cause) {
    super(message, cause);
  }
}
