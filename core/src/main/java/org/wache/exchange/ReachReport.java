package org.wache.exchange;

import org.wache.reach.Reach;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Who can talk to whom, for scripts ({@code wache-reach/1}) and as text. */
public final class ReachReport {

    private ReachReport() {}

    /** As JSON. */
    public static String json(Reach reach) {
        ObjectNode root = JsonText.MAPPER.createObjectNode().put("format", "wache-reach/1");
        ArrayNode links = root.putArray("links");
        reach.links().forEach(link -> {
            ArrayNode entries = links.addObject()
                    .put("from", link.from())
                    .put("to", link.to())
                    .putArray("entries");
            link.entries().forEach(entries::add);
        });
        ArrayNode missing = root.putArray("missing");
        reach.missing().forEach(each -> {
            ObjectNode one = missing.addObject().put("from", each.from()).put("to", each.to());
            ArrayNode reasons = one.putArray("reasons");
            each.reasons().forEach(reasons::add);
            ArrayNode least = one.putArray("least");
            each.least().forEach(least::add);
        });
        ArrayNode alone = root.putArray("alone");
        reach.alone().forEach(alone::add);
        return JsonText.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
    }

    /** To read. */
    public static String text(Reach reach) {
        StringBuilder text = new StringBuilder();
        reach.links().forEach(link -> text.append(link.from())
                .append(" reaches ")
                .append(link.to())
                .append(" on ")
                .append(String.join(", ", link.entries()))
                .append('\n'));
        reach.missing().forEach(each -> {
            text.append('\n')
                    .append(each.from())
                    .append(" does not reach ")
                    .append(each.to())
                    .append('\n');
            each.reasons().forEach(reason -> text.append("  ").append(reason).append('\n'));
            each.least()
                    .forEach(help -> text.append("  would help: ").append(help).append('\n'));
        });
        if (!reach.alone().isEmpty()) {
            text.append("\nAlone: ").append(String.join(", ", reach.alone())).append('\n');
        }
        text.append("\nWhether they are near enough to each other is not asked here.\n");
        return text.toString();
    }
}
