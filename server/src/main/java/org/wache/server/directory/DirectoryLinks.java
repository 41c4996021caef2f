package org.wache.server.directory;

import java.util.Map;
import org.springframework.stereotype.Component;
import org.wache.server.web.Json;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Links entries of a list that came from the directory by other ways to their lines. */
@Component
public class DirectoryLinks {

    private static final JsonMapper JSON = Json.MAPPER;

    private final OriginStore origins;
    private final StandInDirectory standIn;

    DirectoryLinks(OriginStore origins, StandInDirectory standIn) {
        this.origins = origins;
        this.standIn = standIn;
    }

    /**
     * Links the entry of this name to a line of the stand-in, as it was when some of its texts were others.
     *
     * @param then the texts that were others, by their key
     */
    public void link(long list, String name, String line, Map<String, String> then) {
        if (standIn.url().isEmpty()) {
            return; // another directory has none of these lines
        }
        JSON.readTree(standIn.answers())
                .valueStream()
                .filter(each -> each.path("id").asString().equals(line))
                .findFirst()
                .ifPresent(each -> {
                    ObjectNode old = ((ObjectNode) each).deepCopy();
                    then.forEach(old::put);
                    origins.entryCalled(list, name)
                            .ifPresent(entry -> origins.put(entry, JSON.treeToValue(old, DirectoryLine.class)));
                });
    }
}
