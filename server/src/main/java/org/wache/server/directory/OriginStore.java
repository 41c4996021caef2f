package org.wache.server.directory;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.wache.server.web.Json;
import tools.jackson.databind.json.JsonMapper;

/** From which line of the directory an entry came, as that line was then. */
@Repository
class OriginStore {

    private static final JsonMapper JSON = Json.MAPPER;

    private final JdbcClient jdbc;

    OriginStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** An entry and the line it came from. */
    record Origin(long entry, String number, String name, DirectoryLine line) {}

    void put(long entry, DirectoryLine line) {
        jdbc.sql(
                        """
            insert into entry_origin (entry_id, directory, line) values (:entry, :id, :line::jsonb)
            on conflict (entry_id) do update set directory = excluded.directory, line = excluded.line, at = now()
            """)
                .param("entry", entry)
                .param("id", line.id())
                .param("line", JSON.writeValueAsString(line))
                .update();
    }

    /** The entry is one of the list's own from now on. */
    void forget(long entry) {
        jdbc.sql("delete from entry_origin where entry_id = :entry")
                .param("entry", entry)
                .update();
    }

    /** The first entry of a list with this name. */
    Optional<Long> entryCalled(long list, String name) {
        return jdbc.sql(
                        "select id from entry where list_id = :list and name = :name and not removed order by position limit 1")
                .param("list", list)
                .param("name", name)
                .query(Long.class)
                .optional();
    }

    /** The entries of a list that came from the directory and are still in it. */
    List<Origin> of(long list) {
        return jdbc.sql(
                        """
            select entry.id, entry.number, entry.name, entry_origin.line from entry_origin
            join entry on entry.id = entry_origin.entry_id
            where entry.list_id = :list and not entry.removed order by entry.position, entry.id
            """)
                .param("list", list)
                .query((row, number) -> new Origin(
                        row.getLong("id"),
                        row.getString("number"),
                        row.getString("name"),
                        JSON.readValue(row.getString("line"), DirectoryLine.class)))
                .list();
    }
}
