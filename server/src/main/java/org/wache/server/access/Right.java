package org.wache.server.access;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** What an endpoint asks of whoever calls it: the first words of the lines of {@code access/endpoints.txt}. */
public enum Right {
    /** A file or page that ships with the application, without anything that somebody entered. */
    FILE("file"),
    OPEN("open"),
    SIGNED_IN("signed-in"),
    MEMBER("member", Role.COORDINATOR, Role.REVIEWER, Role.TECHNICIAN, Role.MEMBER),
    SEE("see", Role.COORDINATOR, Role.REVIEWER, Role.TECHNICIAN),
    BENCH("bench", Role.COORDINATOR, Role.TECHNICIAN),
    EDIT("edit", Role.COORDINATOR, Role.REVIEWER),
    COORDINATE("coordinate", Role.COORDINATOR),
    ADMINISTER("administer");

    private final String text;
    private final List<Role> roles;

    Right(String text, Role... roles) {
        this.text = text;
        this.roles = List.of(roles);
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
    public boolean has(Role role) {
        return roles.contains(role);
    }

    /** The rights within a group that a role has. */
    public static List<Right> of(Role role) {
        return Arrays.stream(values()).filter(right -> right.has(role)).toList();
    }

    /** Who has it, for a sentence: {@code coordinators and reviewers}. */
    String whose() {
        List<String> whose = roles.stream().map(role -> role.text() + "s").toList();
        return whose.size() == 1
                ? whose.get(0)
                : String.join(", ", whose.subList(0, whose.size() - 1)) + " and " + whose.get(whose.size() - 1);
    }

    static Optional<Right> ofText(String text) {
        return Arrays.stream(values()).filter(right -> right.text.equals(text)).findFirst();
    }
}
