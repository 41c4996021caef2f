package org.wache.server.releases;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.wache.exchange.ContextFile;
import org.wache.exchange.ReleaseFile;
import org.wache.licence.Holder;
import org.wache.server.papers.PapersJson;
import org.wache.server.web.Json;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What a released list is held against today: its carriers with the licences that they have now, under the group's plan of now. */
final class Today {

    private static final JsonMapper JSON = Json.MAPPER;

    private Today() {}

    /** The context of a part with the licences and the plan of now; who is no longer in the roster no longer carries it. */
    static ContextFile of(ReleaseFile.Part part, String overlay, List<ReleaseStore.Carrier> carriers) {
        Map<String, ReleaseStore.Carrier> byName = new HashMap<>();
        carriers.stream()
                .filter(each -> each.variant().equals(part.name()))
                .forEach(each -> byName.put(each.name(), each));
        List<Holder> holders = new ArrayList<>();
        for (Holder holder : part.context().holders()) {
            ReleaseStore.Carrier carrier = byName.get(holder.name());
            if (carrier == null) {
                holders.add(holder);
            } else if (carrier.licences() != null) {
                holders.add(holder(carrier));
            }
        }
        return under(part, overlay, holders);
    }

    /** The same in the hand of one person, whether or not they carry the list. */
    static ContextFile of(ReleaseFile.Part part, String overlay, ReleaseStore.Carrier person) {
        return under(part, overlay, List.of(holder(person)));
    }

    private static ContextFile under(ReleaseFile.Part part, String overlay, List<Holder> holders) {
        ObjectNode rows = JSON.createObjectNode().put("format", "wache-context/1");
        rows.set("overlay", JSON.readTree(overlay));
        ContextFile plan = ContextFile.read(JSON.writeValueAsBytes(rows));
        ContextFile then = part.context();
        return new ContextFile(
                then.rulebook(),
                then.on(),
                holders,
                then.site(),
                then.antenna(),
                then.houseRules(),
                List.of(),
                plan.overlay(),
                then.unitsInUse(),
                then.neighbours());
    }

    /** Someone as the audit has them, with their licences of now. */
    static Holder holder(ReleaseStore.Carrier carrier) {
        ObjectNode context = JSON.createObjectNode().put("format", "wache-context/1");
        ArrayNode holders = context.putArray("holders");
        holders.addObject()
                .put("name", carrier.name())
                .set("licences", PapersJson.write(PapersJson.licences(JSON.readTree(carrier.licences()))));
        return ContextFile.read(JSON.writeValueAsBytes(context)).holders().get(0);
    }
}
