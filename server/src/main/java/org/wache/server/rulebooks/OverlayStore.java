package org.wache.server.rulebooks;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.wache.server.log.Logbook;

/** A group's own rows of the band plan, in versions that stay. */
@Repository
public class OverlayStore {

    private final JdbcClient jdbc;
    private final Logbook log;

    OverlayStore(JdbcClient jdbc, Logbook log) {
        this.jdbc = jdbc;
        this.log = log;
    }

    /** A version without its rows. */
    public record Version(int version, int rows, String note, String by, OffsetDateTime at) {}

    /** The version in force and its rows; nothing for a group that is not the account's. */
    public record Current(int version, String rows) {}

    Optional<Current> current(long account, long club) {
        return jdbc.sql(
                        """
            select club.overlay_version as version, coalesce(overlay.rows, '[]')::text as rows
            from club
            join membership on membership.club_id = club.id and membership.account_id = :account
            left join overlay on overlay.club_id = club.id and overlay.version = club.overlay_version
            where club.id = :club
            """)
                .param("account", account)
                .param("club", club)
                .query(Current.class)
                .optional();
    }

    /** The rows in force in a group of the account's; none for other groups. */
    public String rows(long account, long club) {
        return current(account, club).map(Current::rows).orElse("[]");
    }

    Optional<String> rowsOf(long club, int version) {
        return jdbc.sql("select rows::text from overlay where club_id = :club and version = :version")
                .param("club", club)
                .param("version", version)
                .query(String.class)
                .optional();
    }

    List<Version> versions(long club) {
        return jdbc.sql(
                        """
            select overlay.version, jsonb_array_length(overlay.rows) as rows, overlay.note, account.name as by, overlay.at
            from overlay join account on account.id = overlay.account_id
            where overlay.club_id = :club order by overlay.version desc
            """)
                .param("club", club)
                .query(Version.class)
                .list();
    }

    /** The version in force; holds it until the transaction ends. */
    int locked(long club) {
        return jdbc.sql("select overlay_version from club where id = :club for update")
                .param("club", club)
                .query(Integer.class)
                .single();
    }

    void add(long club, int version, String rows, String note, long account) {
        log.add(
                account,
                club,
                new Logbook.Deed(
                        Logbook.Kind.PLAN,
                        null,
                        "Band plan",
                        "version " + version + " put in force" + (note.isBlank() ? "" : ": " + note),
                        rowsOf(club, version - 1).orElse(null),
                        rows));
        jdbc.sql(
                        """
            insert into overlay (club_id, version, rows, note, account_id)
            values (:club, :version, :rows::jsonb, :note, :account)
            """)
                .param("club", club)
                .param("version", version)
                .param("rows", rows)
                .param("note", note)
                .param("account", account)
                .update();
        jdbc.sql("update club set overlay_version = :version where id = :club")
                .param("version", version)
                .param("club", club)
                .update();
    }
}
