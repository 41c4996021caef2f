package org.wache.exchange;

import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What a look at a release came to, as text or as JSON of the format {@code wache-verification/1}. */
public final class ReleaseReport {

    private static final int GROUP = 8;

    private ReleaseReport() {}

    /** For a terminal. */
    public static String text(ReleaseFile file, ReleaseCheck check) {
        StringBuilder out = new StringBuilder();
        out.append(file.list())
                .append(", release ")
                .append(file.number())
                .append(" of ")
                .append(file.group())
                .append('\n')
                .append("Released ")
                .append(file.releasedAt())
                .append(" by ")
                .append(file.releasedBy())
                .append(", signed by ")
                .append(file.signedBy())
                .append('\n')
                .append("Rulebook ")
                .append(file.rulebook())
                .append(", edition ")
                .append(file.edition())
                .append(", for ")
                .append(file.day())
                .append('\n')
                .append("SHA-256 ")
                .append(spaced(file.sum()))
                .append("\n\n");
        check.lines().forEach(line -> out.append(line.good() ? "  as released  " : "  NOT SO       ")
                .append(line.text())
                .append('\n'));
        out.append('\n')
                .append(check.good() ? "It is as it was released." : "It is not as it was released.")
                .append('\n');
        return out.toString();
    }

    /** A sum in groups of eight, as it is printed. */
    public static String spaced(String sum) {
        return sum.replaceAll("(.{" + GROUP + "})(?=.)", "$1 ");
    }

    /** For programs. */
    public static String json(ReleaseFile file, ReleaseCheck check) {
        ObjectNode root = JsonText.MAPPER
                .createObjectNode()
                .put("format", "wache-verification/1")
                .put("group", file.group())
                .put("list", file.list())
                .put("number", file.number())
                .put("sha256", file.sum())
                .put("good", check.good());
        ArrayNode lines = root.putArray("lines");
        check.lines().forEach(line -> lines.addObject().put("good", line.good()).put("text", line.text()));
        return JsonText.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
    }
}
