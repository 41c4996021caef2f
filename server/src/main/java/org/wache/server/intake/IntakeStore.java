package org.wache.server.intake;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.wache.arrival.Arrival;
import org.wache.arrival.Sheet;
import org.wache.exchange.JsonLists;
import org.wache.server.database.Hold;
import org.wache.server.database.Perishable;
import org.wache.server.web.Json;
import org.wache.server.web.Refused;
import org.wache.table.Table;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Tables that were brought in, how tables were last read, and the rows that made no entry. */
@Repository
class IntakeStore implements Perishable {

    private static final JsonMapper JSON = Json.MAPPER;

    private final JdbcClient jdbc;
    private final int mostFiles;

    IntakeStore(JdbcClient jdbc, @Value("${wache.quota.files}") int mostFiles) {
        this.jdbc = jdbc;
        this.mostFiles = mostFiles;
    }

    /** So many bytes of files a group keeps before they become lists. */
    private static final long MOST_BYTES = 200L * 1024 * 1024;

    /** A file as it is kept until it becomes a list. */
    record Kept(long id, long club, String name, Arrival arrival) {}

    /**
     * Keeps a file. Of more than a group keeps at a time the oldest go, unless they came within the hour.
     *
     * @throws Refused when so much came in within the hour
     */
    long add(long club, long account, String name, Arrival arrival) {
        Hold.row(jdbc, "club", club);
        jdbc.sql(
                        """
            delete from intake where club_id = :club and made_at < now() - interval '1 hour' and id not in (
              select id from (select id, sum(octet_length(sheets)) over (order by id desc) as bytes, row_number() over (order by id desc) as place
                from intake where club_id = :club) as kept where place < :most and bytes < :mostBytes)
            """)
                .param("club", club)
                .param("most", mostFiles)
                .param("mostBytes", MOST_BYTES)
                .update();
        boolean full = jdbc.sql(
                        "select count(*) >= :most or coalesce(sum(octet_length(sheets)), 0) >= :mostBytes from intake where club_id = :club")
                .param("most", mostFiles)
                .param("mostBytes", MOST_BYTES)
                .param("club", club)
                .query(Boolean.class)
                .single();
        if (full) {
            throw new Refused("Your group brought in " + mostFiles + " files, or " + MOST_BYTES / 1024 / 1024
                    + " MB, within the hour and took none of them. Take in what is wanted, or wait.");
        }
        return jdbc.sql(
                        "insert into intake (club_id, account_id, name, sheets) values (:club, :account, :name, :sheets) returning id")
                .param("club", club)
                .param("account", account)
                .param("name", name)
                .param("sheets", packed(arrival))
                .query(Long.class)
                .single();
    }

    Optional<Kept> find(long account, long intake) {
        return jdbc.sql(
                        """
            select intake.id, intake.club_id, intake.name, intake.sheets from intake
            join membership on membership.club_id = intake.club_id and membership.account_id = :account
            where intake.id = :intake
            """)
                .param("account", account)
                .param("intake", intake)
                .query((row, number) -> new Kept(
                        row.getLong("id"),
                        row.getLong("club_id"),
                        row.getString("name"),
                        unpacked(row.getBytes("sheets"), row.getString("name"))))
                .optional();
    }

    /** Forgets what nobody took in for a week. */
    @Override
    public int sweep() {
        return jdbc.sql("delete from intake where made_at < now() - interval '7 days'")
                .update();
    }

    void remove(long intake) {
        jdbc.sql("delete from intake where id = :intake")
                .param("intake", intake)
                .update();
    }

    private static byte[] packed(Arrival arrival) {
        ObjectNode root = JSON.createObjectNode();
        arrival.list().ifPresent(list -> root.put("list", JsonLists.write(list)));
        ArrayNode sheets = root.putArray("sheets");
        for (Sheet sheet : arrival.sheets()) {
            ArrayNode rows = sheets.addObject().put("name", sheet.name()).putArray("rows");
            for (Table.Row row : sheet.table().rows()) {
                ArrayNode cells = rows.addArray().add(row.line());
                row.cells().forEach(cells::add);
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (GZIPOutputStream zip = new GZIPOutputStream(out)) {
            zip.write(JSON.writeValueAsBytes(root));
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e); // memory is always writable
        }
        return out.toByteArray();
    }

    private static Arrival unpacked(byte[] bytes, String name) {
        try (GZIPInputStream zip = new GZIPInputStream(new ByteArrayInputStream(bytes))) {
            JsonNode root = JSON.readTree(zip.readAllBytes());
            List<Sheet> sheets = new ArrayList<>();
            for (JsonNode sheet : root.path("sheets")) {
                List<Table.Row> rows = new ArrayList<>();
                for (JsonNode row : sheet.path("rows")) {
                    List<String> cells = new ArrayList<>(row.size());
                    for (int i = 1; i < row.size(); i++) {
                        cells.add(row.get(i).asString());
                    }
                    rows.add(new Table.Row(row.get(0).asInt(), cells));
                }
                sheets.add(new Sheet(sheet.path("name").asString(), new Table(rows)));
            }
            return new Arrival(
                    root.hasNonNull("list")
                            ? Optional.of(JsonLists.read(
                                    root.get("list").asString().getBytes(java.nio.charset.StandardCharsets.UTF_8),
                                    name))
                            : Optional.empty(),
                    sheets);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    Optional<String> mapping(long club, String headings) {
        return jdbc.sql("select mapping from column_mapping where club_id = :club and headings = :headings")
                .param("club", club)
                .param("headings", headings)
                .query(String.class)
                .optional();
    }

    void remember(long club, long account, String headings, String mapping) {
        jdbc.sql(
                        """
            insert into column_mapping (club_id, headings, mapping, account_id) values (:club, :headings, :mapping::jsonb, :account)
            on conflict (club_id, headings) do update set mapping = excluded.mapping, account_id = excluded.account_id, at = now()
            """)
                .param("club", club)
                .param("headings", headings)
                .param("mapping", mapping)
                .param("account", account)
                .update();
    }

    /** Rows that made no entry, in one statement. */
    void keepAside(long list, String source, List<Unmade> rows) {
        if (rows.isEmpty()) {
            return;
        }
        jdbc.sql(
                        """
            insert into row_aside (list_id, source, line, cells, reason)
            select :list, :source, line, string_to_array(cells, chr(31)), reason from unnest(:lines, :cells, :reasons)
              as given(line, cells, reason)
            """)
                .param("list", list)
                .param("source", source)
                .param("lines", rows.stream().map(Unmade::line).toArray(Integer[]::new))
                .param(
                        "cells",
                        rows.stream()
                                .map(row -> String.join("\u001F", row.cells()))
                                .toArray(String[]::new))
                .param("reasons", rows.stream().map(Unmade::reason).toArray(String[]::new))
                .update();
    }

    /**
     * A row, or a line, of which no entry could be made.
     *
     * @param line where it stood in what was brought in, from 1
     * @param cells as they came; one for a line of text
     */
    record Unmade(int line, List<String> cells, String reason) {}

    /** A row that made no entry. */
    record Aside(long id, String source, int line, List<String> cells, String reason) {}

    List<Aside> aside(long list) {
        return jdbc.sql(
                        "select id, source, line, cells, reason from row_aside where list_id = :list and not settled order by id")
                .param("list", list)
                .query((row, number) -> new Aside(
                        row.getLong("id"),
                        row.getString("source"),
                        row.getInt("line"),
                        List.of((String[]) row.getArray("cells").getArray()),
                        row.getString("reason")))
                .list();
    }

    /** Settles rows of a list; those of another are left alone. */
    void settle(long list, List<Long> rows) {
        jdbc.sql("update row_aside set settled = true where list_id = :list and id = any(:rows)")
                .param("list", list)
                .param("rows", rows.toArray(Long[]::new))
                .update();
    }
}
