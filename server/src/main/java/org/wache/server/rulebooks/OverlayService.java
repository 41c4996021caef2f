package org.wache.server.rulebooks;

import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.wache.rulebook.OverlayReader;
import org.wache.rulebook.RulebookProblem;
import org.wache.server.web.Json;
import org.wache.server.web.Missing;
import org.wache.server.web.Refused;
import org.wache.server.web.Stale;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Changes of a group's own band plan: each is a new version, and none goes over somebody else's. */
@Service
public class OverlayService {

    private static final int MOST_ROWS = 300;
    private static final JsonMapper JSON = Json.MAPPER;

    private final OverlayStore store;

    OverlayService(OverlayStore store) {
        this.store = store;
    }

    public OverlayStore.Current current(long account, long club) {
        return store.current(account, club).orElseThrow(() -> new Missing("The group"));
    }

    public List<OverlayStore.Version> versions(long account, long club) {
        current(account, club);
        return store.versions(club);
    }

    public String version(long account, long club, int version) {
        current(account, club);
        return store.rowsOf(club, version).orElseThrow(() -> new Missing("The version"));
    }

    /** Puts rows, in the form of a context file, in force as the next version. */
    @Transactional
    public int put(long account, long club, String rows, String note) {
        return save(account, club, current(account, club).version(), rows(rows), note);
    }

    /** Puts rows in force as the next version. */
    @Transactional
    public int save(long account, long club, int before, List<OverlayRow> rows, String note) {
        current(account, club);
        int now = store.locked(club);
        if (now != before) {
            throw new Stale(
                    "Somebody else saved version " + now
                            + " of the plan meanwhile. Nothing was saved: look at it, and make your change there.",
                    rows(current(account, club).rows()));
        }
        store.add(club, now + 1, json(rows), note, account);
        return now + 1;
    }

    /**
     * The rows in the form of a context file.
     *
     * @throws Refused when one cannot be understood
     */
    public static String json(List<OverlayRow> rows) {
        if (rows.size() > MOST_ROWS) {
            throw new Refused("An overlay holds up to " + MOST_ROWS + " rows.");
        }
        ArrayNode array = JSON.createArrayNode();
        rows.forEach(row -> write(array.addObject(), row));
        try {
            OverlayReader.rows(array);
        } catch (RulebookProblem e) {
            throw new Refused(e.getMessage().replaceFirst("^overlay r", "R") + ".");
        }
        return JSON.writeValueAsString(array);
    }

    private static void write(ObjectNode to, OverlayRow row) {
        to.put("mhz", row.mhz().trim()).put("uses", String.join(" ", row.uses()));
        row.calling().filter(text -> !text.isBlank()).ifPresent(text -> to.put("calling", text.trim()));
        ArrayNode offsets = to.putArray("offsetsMhz");
        row.offsetsMhz().forEach(offsets::add);
        ArrayNode rasters = to.putArray("rasters");
        row.rasters().forEach(rasters::add);
        row.note().filter(text -> !text.isBlank()).ifPresent(text -> to.put("note", text.trim()));
        row.warning().filter(text -> !text.isBlank()).ifPresent(text -> to.put("warning", text.trim()));
    }

    /** Stored rows for the API. */
    public static List<OverlayRow> rows(String json) {
        return java.util.stream.StreamSupport.stream(JSON.readTree(json).spliterator(), false)
                .map(OverlayService::row)
                .toList();
    }

    private static OverlayRow row(JsonNode node) {
        return new OverlayRow(
                node.path("mhz").asString(""),
                List.of(node.path("uses").asString("any").split(" ")),
                text(node, "calling"),
                texts(node, "offsetsMhz"),
                texts(node, "rasters"),
                text(node, "note"),
                text(node, "warning"));
    }

    private static Optional<String> text(JsonNode node, String key) {
        return node.hasNonNull(key) ? Optional.of(node.get(key).asString()) : Optional.empty();
    }

    private static List<String> texts(JsonNode node, String key) {
        return java.util.stream.StreamSupport.stream(node.path(key).spliterator(), false)
                .map(each -> each.asString(""))
                .toList();
    }
}
