package org.wache.server.forms;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.wache.server.database.Hold;
import org.wache.server.log.Logbook;
import org.wache.server.web.EnumWords;
import org.wache.server.web.Missing;
import org.wache.server.web.Refused;
import org.wache.server.web.Stale;

/**
 * The forms of one kind, each with a name that no other of its group has. Whoever calls what changes something has begun a transaction.
 * The table is called as the kind is in the log, and has the columns club_id, version, name, body, removed, changed_by and changed_at.
 */
public final class NamedForms {

    private final JdbcClient jdbc;
    private final Logbook log;
    private final Logbook.Kind kind;
    private final String table;
    private final int most;

    /** @param most how many a group may have */
    public NamedForms(JdbcClient jdbc, Logbook log, Logbook.Kind kind, int most) {
        this.jdbc = jdbc;
        this.log = log;
        this.kind = kind;
        this.table = EnumWords.of(kind);
        this.most = most;
    }

    /** A form; body is its JSON. */
    public record Stored(
            long id, long club, int version, String name, String body, String changedBy, OffsetDateTime changedAt) {}

    private String select() {
        return """
            select form.id, form.club_id as club, form.version, form.name, form.body::text as body, account.name as changed_by, form.changed_at
            from %s form join account on account.id = form.changed_by
            """
                .formatted(table);
    }

    /** All of a group, by name. */
    public List<Stored> all(long club) {
        return jdbc.sql(select() + "where form.club_id = :club and not form.removed order by lower(form.name), form.id")
                .param("club", club)
                .query(Stored.class)
                .list();
    }

    /** One that was not taken out. */
    public Optional<Stored> one(long id) {
        return jdbc.sql(select() + "where form.id = :id and not form.removed")
                .param("id", id)
                .query(Stored.class)
                .optional();
    }

    private Stored locked(long id, int seen) {
        Hold.row(jdbc, table, id);
        Stored now = one(id).orElseThrow(() -> new Missing("The " + table));
        if (now.version() != seen) {
            throw new Stale(
                    now.changedBy() + " changed " + now.name()
                            + " meanwhile. Nothing was saved: look at what is there now, and change it again.",
                    now);
        }
        return now;
    }

    /** Adds one; gives its key. */
    public long add(long account, long club, String name, String body) {
        Hold.row(jdbc, "club", club);
        free(club, name, 0);
        if (all(club).size() >= most) {
            throw new Refused("A group has up to " + most + " " + table + "s.");
        }
        long id = jdbc.sql(
                        "insert into " + table
                                + " (club_id, name, body, changed_by) values (:club, :name, :body::jsonb, :account) returning id")
                .param("club", club)
                .param("name", name)
                .param("body", body)
                .param("account", account)
                .query(Long.class)
                .single();
        log(account, club, id, name, "added", null, body);
        return id;
    }

    private void free(long club, String name, long except) {
        if (all(club).stream()
                .anyMatch(each -> each.id() != except && each.name().equalsIgnoreCase(name))) {
            throw new Refused("There is already " + (table.matches("[aeiou].*") ? "an " : "a ") + table + " “" + name
                    + "”. Give this one another name.");
        }
    }

    /** Changes the version of one that somebody saw. */
    public void change(long account, long id, int seen, String name, String body) {
        Stored now = locked(id, seen);
        free(now.club(), name, id);
        jdbc.sql(
                        "update " + table
                                + " set version = version + 1, name = :name, body = :body::jsonb, changed_by = :account, changed_at = now() where id = :id")
                .param("name", name)
                .param("body", body)
                .param("account", account)
                .param("id", id)
                .update();
        log(account, now.club(), id, name, "changed", now.body(), body);
    }

    /** Takes out the version of one that somebody saw; its row stays. */
    public void remove(long account, long id, int seen) {
        Stored now = locked(id, seen);
        jdbc.sql(
                        "update " + table
                                + " set version = version + 1, removed = true, changed_by = :account, changed_at = now() where id = :id")
                .param("account", account)
                .param("id", id)
                .update();
        log(account, now.club(), id, now.name(), "taken out", now.body(), null);
    }

    private void log(long account, long club, long id, String name, String done, String before, String after) {
        log.add(account, club, new Logbook.Deed(kind, id, name, table + " " + done, before, after));
    }
}
