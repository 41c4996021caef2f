package org.wache.server.roster;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.wache.server.database.Hold;
import org.wache.server.log.Logbook;
import org.wache.server.papers.PartyKind;
import org.wache.server.web.EnumWords;

/** People, families and firms. Every question asks for the account too: groups see only their own. */
@Repository
class RosterStore {

    private final JdbcClient jdbc;
    private final Logbook log;

    RosterStore(JdbcClient jdbc, Logbook log) {
        this.jdbc = jdbc;
        this.log = log;
    }

    /** A party as it is stored. */
    record Stored(
            long id,
            long clubId,
            int version,
            PartyKind kind,
            String name,
            String note,
            List<String> teams,
            String licences,
            boolean removed) {}

    private static final String PARTY =
            """
      select party.id, party.club_id, party.version, party.kind, party.name, party.note, party.teams, party.licences,
             party.removed
      from party join membership on membership.club_id = party.club_id and membership.account_id = :account
      """;

    List<Stored> parties(long account, long club) {
        return jdbc.sql(PARTY
                        + "where party.club_id = :club and not party.removed order by lower(party.name), party.id")
                .param("account", account)
                .param("club", club)
                .query(RosterStore::stored)
                .list();
    }

    /** One party, and nobody else changes it until the transaction ends. */
    Optional<Stored> locked(long account, long party) {
        Hold.row(jdbc, "party", party);
        return jdbc.sql(PARTY + "where party.id = :party")
                .param("account", account)
                .param("party", party)
                .query(RosterStore::stored)
                .optional();
    }

    Optional<Stored> party(long account, long party) {
        return jdbc.sql(PARTY + "where party.id = :party and not party.removed")
                .param("account", account)
                .param("party", party)
                .query(RosterStore::stored)
                .optional();
    }

    private static Stored stored(ResultSet row, int number) throws SQLException {
        return new Stored(
                row.getLong("id"),
                row.getLong("club_id"),
                row.getInt("version"),
                EnumWords.read(PartyKind.class, row.getString("kind")),
                row.getString("name"),
                row.getString("note"),
                List.of((String[]) row.getArray("teams").getArray()),
                row.getString("licences"),
                row.getBoolean("removed"));
    }

    int size(long club) {
        return jdbc.sql("select count(*) from party where club_id = :club and not removed")
                .param("club", club)
                .query(Integer.class)
                .single();
    }

    boolean isNameTaken(long club, String name, long except) {
        return jdbc.sql(
                        """
            select exists (select 1 from party
                           where club_id = :club and lower(name) = lower(:name) and not removed and id <> :except)
            """)
                .param("club", club)
                .param("name", name)
                .param("except", except)
                .query(Boolean.class)
                .single();
    }

    /** The version of a roster that a change makes; holds the roster until the transaction ends. */
    int advance(long club) {
        return jdbc.sql("update club set roster_version = roster_version + 1 where id = :club returning roster_version")
                .param("club", club)
                .query(Integer.class)
                .single();
    }

    long add(long club, PartyKind kind, String name, String note, List<String> teams, String licences) {
        return jdbc.sql(
                        """
            insert into party (club_id, kind, name, note, teams, licences)
            values (:club, :kind, :name, :note, :teams, :licences::jsonb) returning id
            """)
                .param("club", club)
                .param("kind", EnumWords.of(kind))
                .param("name", name)
                .param("note", note)
                .param("teams", teams.toArray(String[]::new))
                .param("licences", licences)
                .query(Long.class)
                .single();
    }

    void change(
            long party, int version, PartyKind kind, String name, String note, List<String> teams, String licences) {
        jdbc.sql(
                        """
            update party set version = :version, kind = :kind, name = :name, note = :note, teams = :teams,
                             licences = :licences::jsonb
            where id = :party
            """)
                .param("party", party)
                .param("version", version)
                .param("kind", EnumWords.of(kind))
                .param("name", name)
                .param("note", note)
                .param("teams", teams.toArray(String[]::new))
                .param("licences", licences)
                .update();
    }

    void remove(long party, int version) {
        jdbc.sql("update party set removed = true, version = :version where id = :party")
                .param("party", party)
                .param("version", version)
                .update();
    }

    /** The lists that a party carries by name. */
    List<String> carries(long party) {
        return jdbc.sql(
                        """
            select kept_list.name from list_carrier join kept_list on kept_list.id = list_carrier.list_id and kept_list.shelf <> 'deleted'
            where list_carrier.party_id = :party order by kept_list.name
            """)
                .param("party", party)
                .query(String.class)
                .list();
    }

    /** The radios that somebody has. */
    List<String> radios(long party) {
        return jdbc.sql(
                        "select radio_unit.label from custody join radio_unit on radio_unit.id = custody.unit_id where custody.party_id = :party"
                                + " and custody.in_at is null order by radio_unit.id")
                .param("party", party)
                .query(String.class)
                .list();
    }

    void record(long club, int version, long party, String name, long account, String before, String after) {
        jdbc.sql(
                        """
            insert into roster_change (club_id, version, party_id, account_id, before, after)
            values (:club, :version, :party, :account, :before::jsonb, :after::jsonb)
            """)
                .param("club", club)
                .param("version", version)
                .param("party", party)
                .param("account", account)
                .param("before", before)
                .param("after", after)
                .update();
        log.add(
                account,
                club,
                new Logbook.Deed(
                        Logbook.Kind.ROSTER,
                        party,
                        name,
                        before == null ? "added" : after == null ? "taken out" : "changed",
                        before,
                        after));
    }
}
