package org.wache.exchange;

import org.wache.planning.Plan;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Demands that contradict each other, {@code wache-contradiction/1}, and as text. */
public final class PlanReport {

    private PlanReport() {}

    /** As JSON. */
    public static String json(Plan.Contradiction found) {
        ObjectNode root = JsonText.MAPPER.createObjectNode().put("format", "wache-contradiction/1");
        ArrayNode demands = root.putArray("demands");
        found.demands().forEach(demands::add);
        ArrayNode reasons = root.putArray("reasons");
        found.reasons().forEach(reasons::add);
        return JsonText.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
    }

    /** To read. */
    public static String text(Plan.Contradiction found) {
        StringBuilder text = new StringBuilder("No list does all of this:\n");
        found.demands().forEach(each -> text.append("  ").append(each).append('\n'));
        found.reasons().forEach(each -> text.append(each).append('\n'));
        return text.toString();
    }
}
