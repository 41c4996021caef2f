package org.wache.server.profiles;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Profiles of groups, and those of the roster for whom they are. Questions of people ask for the account too. */
@Repository
class ProfileStore {

    private final JdbcClient jdbc;

    ProfileStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** A profile as it is stored; team is empty for the whole group, the body a file of the format wache-profile/1. */
    record StoredProfile(long id, long clubId, int version, String team, String body) {}

    private static final String COLUMNS =
            "settings_profile.id, settings_profile.club_id, settings_profile.version, settings_profile.team, settings_profile.body::text as body";

    /** The profiles of a group, the whole group's first. */
    List<StoredProfile> all(long club) {
        return jdbc.sql("select " + COLUMNS
                        + " from settings_profile where club_id = :club and not removed order by lower(team), id")
                .param("club", club)
                .query(StoredProfile.class)
                .list();
    }

    Optional<StoredProfile> one(long account, long profile) {
        return jdbc.sql(
                        "select " + COLUMNS
                                + """
             from settings_profile join membership on membership.club_id = settings_profile.club_id and membership.account_id = :account
            where settings_profile.id = :id and not settings_profile.removed
            """)
                .param("account", account)
                .param("id", profile)
                .query(StoredProfile.class)
                .optional();
    }

    boolean isTaken(long club, String team, long except) {
        return jdbc.sql(
                        "select exists (select 1 from settings_profile where club_id = :club and lower(team) = lower(:team) and not removed and id <> :except)")
                .param("club", club)
                .param("team", team)
                .param("except", except)
                .query(Boolean.class)
                .single();
    }

    long add(long club, String team, String body) {
        return jdbc.sql(
                        "insert into settings_profile (club_id, team, body) values (:club, :team, :body::jsonb) returning id")
                .param("club", club)
                .param("team", team)
                .param("body", body)
                .query(Long.class)
                .single();
    }

    /** Whether it was still in the version that the change was begun on. */
    boolean change(long profile, int before, String team, String body, boolean removed) {
        return jdbc.sql(
                                """
            update settings_profile set version = version + 1, team = :team, body = :body::jsonb, removed = :removed
            where id = :id and version = :before and not settings_profile.removed
            """)
                        .param("id", profile)
                        .param("before", before)
                        .param("team", team)
                        .param("body", body)
                        .param("removed", removed)
                        .update()
                == 1;
    }

    /** Someone of a roster with their licences, in the form of a context file. */
    record Member(long party, String name, List<String> teams, String licences) {}

    List<Member> members(long club) {
        return jdbc.sql(
                        "select id, name, teams, licences::text as licences from party where club_id = :club and not removed order by lower(name), id")
                .param("club", club)
                .query(ProfileStore::member)
                .list();
    }

    private static Member member(ResultSet row, int number) throws SQLException {
        return new Member(
                row.getLong("id"),
                row.getString("name"),
                Arrays.asList((String[]) row.getArray("teams").getArray()),
                row.getString("licences"));
    }

    /** Whose list it is. */
    long groupOf(long list) {
        return jdbc.sql("select club_id from channel_list where id = :list")
                .param("list", list)
                .query(Long.class)
                .single();
    }

    /** Those of the roster who carry a list, alone or with a team. */
    List<Long> carriers(long list) {
        return jdbc.sql(
                        """
            select distinct party.id from list_carrier join channel_list on channel_list.id = list_carrier.list_id
            join party on party.club_id = channel_list.club_id and not party.removed
                       and (party.id = list_carrier.party_id or list_carrier.team = any(party.teams))
            where list_carrier.list_id = :list order by party.id
            """)
                .param("list", list)
                .query(Long.class)
                .list();
    }

    /** The teams that some of the roster are in. */
    List<String> teamsOf(Collection<Long> parties) {
        return jdbc.sql(
                        "select distinct unnest(teams) as team from party where id = any(:parties) and not removed order by team")
                .param("parties", parties.toArray(Long[]::new))
                .query(String.class)
                .list();
    }

    /** The teams of someone of the roster; none for one who is no longer in it. */
    List<String> teams(long party) {
        return jdbc.sql("select teams from party where id = :party and not removed")
                .param("party", party)
                .query((row, n) ->
                        Arrays.asList((String[]) row.getArray("teams").getArray()))
                .optional()
                .orElse(List.of());
    }
}
