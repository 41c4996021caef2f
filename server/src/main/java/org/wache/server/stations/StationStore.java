package org.wache.server.stations;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import org.wache.server.database.Hold;
import org.wache.server.log.Logbook;
import org.wache.server.web.Missing;
import org.wache.server.web.Refused;
import org.wache.server.web.Stale;

/** The stations of a group. */
@Repository
public class StationStore {

    private static final int MOST = 500;

    private final JdbcClient jdbc;
    private final Logbook log;

    StationStore(JdbcClient jdbc, Logbook log) {
        this.jdbc = jdbc;
        this.log = log;
    }

    /** A station; body is the JSON of its form. */
    record Stored(
            long id, long club, int version, String name, String body, String changedBy, OffsetDateTime changedAt) {}

    private static final String SELECT =
            """
      select station.id, station.club_id as club, station.version, station.name, station.body::text as body, account.name as changed_by, station.changed_at
      from station join account on account.id = station.changed_by
      """;

    List<Stored> all(long club) {
        return jdbc.sql(
                        SELECT
                                + "where station.club_id = :club and not station.removed order by lower(station.name), station.id")
                .param("club", club)
                .query(Stored.class)
                .list();
    }

    Optional<Stored> station(long id) {
        return jdbc.sql(SELECT + "where station.id = :id and not station.removed")
                .param("id", id)
                .query(Stored.class)
                .optional();
    }

    /** A list in which a base of some name works entries of its own. */
    record Use(String base, long list) {}

    /** Which lists name bases, the newest first. */
    List<Use> uses(long club) {
        return jdbc.sql(
                        """
            select base ->> 'name' as base, channel_list.id as list from kept_list channel_list,
              jsonb_array_elements(case when jsonb_typeof(context -> 'houseRules' -> 'keyedTogether') = 'array'
                then context -> 'houseRules' -> 'keyedTogether' else '[]' end) as base
            where channel_list.club_id = :club and channel_list.shelf <> 'deleted' order by channel_list.id desc
            """)
                .param("club", club)
                .query(Use.class)
                .list();
    }

    private Stored locked(long id, int seen) {
        Hold.row(jdbc, "station", id);
        Stored now = station(id).orElseThrow(() -> new Missing("The station"));
        if (now.version() != seen) {
            throw new Stale(
                    now.changedBy() + " changed " + now.name()
                            + " meanwhile. Nothing was saved: look at what is there now, and change it again.",
                    now);
        }
        return now;
    }

    /** Adds a station; body is the JSON of its form. */
    @Transactional
    public long add(long account, long club, String name, String body) {
        Hold.row(jdbc, "club", club);
        free(club, name, 0);
        if (all(club).size() >= MOST) {
            throw new Refused("A group has up to " + MOST + " stations.");
        }
        long id = jdbc.sql(
                        "insert into station (club_id, name, body, changed_by) values (:club, :name, :body::jsonb, :account) returning id")
                .param("club", club)
                .param("name", name)
                .param("body", body)
                .param("account", account)
                .query(Long.class)
                .single();
        log.add(account, club, new Logbook.Deed(Logbook.Kind.STATION, id, name, "station added", null, body));
        return id;
    }

    private void free(long club, String name, long except) {
        if (all(club).stream()
                .anyMatch(each -> each.id() != except && each.name().equalsIgnoreCase(name))) {
            throw new Refused("There is already a station “" + name + "”. Give this one another name.");
        }
    }

    @Transactional
    public void change(long account, long id, int seen, String name, String body) {
        Stored now = locked(id, seen);
        free(now.club(), name, id);
        jdbc.sql(
                        "update station set version = version + 1, name = :name, body = :body::jsonb, changed_by = :account, changed_at = now() where id = :id")
                .param("name", name)
                .param("body", body)
                .param("account", account)
                .param("id", id)
                .update();
        log.add(
                account,
                now.club(),
                new Logbook.Deed(Logbook.Kind.STATION, id, name, "station changed", now.body(), body));
    }

    @Transactional
    public void remove(long account, long id, int seen) {
        Stored now = locked(id, seen);
        jdbc.sql(
                        "update station set version = version + 1, removed = true, changed_by = :account, changed_at = now() where id = :id")
                .param("account", account)
                .param("id", id)
                .update();
        log.add(
                account,
                now.club(),
                new Logbook.Deed(Logbook.Kind.STATION, id, now.name(), "station taken out", now.body(), null));
    }
}
