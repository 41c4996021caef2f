package org.wache.server.additions;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.wache.rulebook.AdditionCheck;
import org.wache.server.web.EnumWords;

/** What was added to the rulebooks that ship. Rows are added and taken back, never changed. */
@Repository
class AdditionStore {

    private final JdbcClient jdbc;

    AdditionStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** An addition, and who put it in force and took it back. */
    record Stored(
            long id,
            String rulebook,
            AdditionCheck.Kind kind,
            String name,
            String title,
            String body,
            String note,
            String putBy,
            OffsetDateTime putAt,
            Optional<String> takenBy,
            Optional<OffsetDateTime> takenAt,
            String takenNote) {}

    private static final String SELECT =
            """
      select a.id, a.rulebook, a.kind, a.name, a.title, a.body, a.note, put.name as put_by, a.put_at, taken.name as taken_by, a.taken_at, a.taken_note
      from rulebook_addition a join account put on put.id = a.put_by left join account taken on taken.id = a.taken_by
      """;

    List<Stored> all() {
        return jdbc.sql(SELECT + "order by a.id desc")
                .query((row, n) -> stored(row))
                .list();
    }

    Optional<Stored> one(long id) {
        return jdbc.sql(SELECT + "where a.id = :id")
                .param("id", id)
                .query((row, n) -> stored(row))
                .optional();
    }

    private static Stored stored(java.sql.ResultSet row) throws java.sql.SQLException {
        return new Stored(
                row.getLong("id"),
                row.getString("rulebook"),
                EnumWords.read(AdditionCheck.Kind.class, row.getString("kind")),
                row.getString("name"),
                row.getString("title"),
                row.getString("body"),
                row.getString("note"),
                row.getString("put_by"),
                row.getObject("put_at", OffsetDateTime.class),
                Optional.ofNullable(row.getString("taken_by")),
                Optional.ofNullable(row.getObject("taken_at", OffsetDateTime.class)),
                row.getString("taken_note"));
    }

    /** One at a time puts or takes back, so that what was checked is what is added to. */
    void hold() {
        jdbc.sql("select pg_advisory_xact_lock(6294417)").query((row, n) -> 0).list();
    }

    long put(
            String rulebook,
            AdditionCheck.Kind kind,
            String name,
            String title,
            String body,
            String note,
            long account) {
        return jdbc.sql(
                        "insert into rulebook_addition (rulebook, kind, name, title, body, note, put_by) values (:rulebook, :kind, :name, :title, :body, :note, :account) returning id")
                .param("rulebook", rulebook)
                .param("kind", EnumWords.of(kind))
                .param("name", name)
                .param("title", title)
                .param("body", body)
                .param("note", note)
                .param("account", account)
                .query(Long.class)
                .single();
    }

    void takeBack(long id, long account, String note) {
        jdbc.sql(
                        "update rulebook_addition set taken_by = :account, taken_at = now(), taken_note = :note where id = :id and taken_at is null")
                .param("account", account)
                .param("note", note)
                .param("id", id)
                .update();
    }
}
