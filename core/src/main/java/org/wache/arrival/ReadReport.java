package org.wache.arrival;

import org.wache.exchange.JsonLists;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What was read as JSON: a list of the format {@code wache-list/1}, with doubts at its entries and what made none. */
public final class ReadReport {

    private static final JsonMapper MAPPER = JsonMapper.builder().build();

    private ReadReport() {}

    /** Writes it. */
    public static String write(Read read, String name) {
        ObjectNode root = (ObjectNode) MAPPER.readTree(JsonLists.write(read.list(name)));
        ArrayNode channels = (ArrayNode) root.path("channels");
        for (int i = 0; i < channels.size(); i++) {
            ArrayNode doubts = ((ObjectNode) channels.get(i)).putArray("doubts");
            read.entries().get(i).doubts().forEach(doubts::add);
        }
        ArrayNode aside = root.putArray("aside");
        read.aside().forEach(each -> aside.addObject()
                .put("row", each.row())
                .put("text", each.text())
                .put("reason", each.reason()));
        return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
    }
}
