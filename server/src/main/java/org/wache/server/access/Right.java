package org.wache.server.access;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What an endpoint asks of whoever calls it: the first words of the lines of {@code access/endpoints.txt}. */
public enum Right {
  /** A file or page that ships with the application, without anything that somebody entered. */
  FILE("file", ""),
  OPEN("open", ""),
  SIGNED_IN("signed-in", ""),
  MEMBER("member", "coordinator reviewer technician member"),
  SEE("see", "coordinator reviewer technician"),
  BENCH("bench", "coordinator technician"),
  EDIT("edit", "coordinator reviewer"),
  COORDINATE("coordinate", "coordinator"),
  ADMINISTER("administer", "");

  private final String text;
  private final Set<String> roles;

  Right(String text, String roles) {
    this.text = text;
    this.roles = roles.isEmpty() ? Set.of() : Set.of(roles.split(" "));
  }

  /** How it is written in the table. */
  public String text() {
    return text;
  }

  /** Whether it is asked within a group. */
  public boolean inGroup() {
    return !roles.isEmpty();
  }

  /** Whether this role in a group has it. */
  public boolean has(String role) {
    return roles.contains(role);
  }

  /** The rights within a group that a role has, as they are written. */
  public static List<String> of(String role) {
    return Arrays.stream(values()).filter(right -> right.has(role)).map(Right::text).toList();
  }

  /** Who has it, for a sentence: {@code coordinators and reviewers}. */
  String whose() {
    List<String> whose = List.of("coordinator", "reviewer", "technician", "member").stream().filter(roles::contains)
        .map(role -> role + "s").toList();
    return whose.size() == 1 ? whose.get(0)
        : String.join(", ", whose.subList(0, whose.size() - 1)) + " and " + whose.get(whose.size() - 1);
  }

  static Optional<Right> ofText(String text) {
    return Arrays.stream(values()).filter(right -> right.text.equals(text)).findFirst();
  }
}
