package org.wache.server.accounts;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.wache.server.access.Role;
import org.wache.server.database.Hold;

/** Who is in which group as what, and the links by which people come in. */
@Repository
class PeopleStore {

    private final JdbcClient jdbc;

    PeopleStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Someone of a group. */
    record Person(
            long account,
            String login,
            String name,
            Role role,
            Long party,
            String partyName,
            boolean secondFactor,
            boolean closed) {}

    List<Person> people(long club) {
        return jdbc.sql(
                        """
            select account.id as account, account.login, account.name, membership.role, membership.party_id as party, party.name as party_name,
                   exists (select 1 from second_factor where second_factor.account_id = account.id and confirmed_at is not null) as second_factor,
                   account.closed
            from membership join account on account.id = membership.account_id left join party on party.id = membership.party_id
            where membership.club_id = :club order by lower(account.name), account.id
            """)
                .param("club", club)
                .query(Person.class)
                .list();
    }

    /** Someone of a group; nobody else changes who is in it as what until the transaction ends. */
    Optional<Person> lockedPerson(long club, long account) {
        Hold.row(jdbc, "club", club);
        return people(club).stream().filter(each -> each.account() == account).findFirst();
    }

    /** Sets what someone is in a group; false when the party is not of the group. */
    boolean change(long club, long account, Role role, Long party) {
        return jdbc.sql(
                                """
            update membership set role = :role, party_id = :party
            where club_id = :club and account_id = :account
              and (:party::bigint is null or exists (select 1 from party where id = :party and club_id = :club and not removed))
            """)
                        .param("role", role.text())
                        .param("party", party, java.sql.Types.BIGINT)
                        .param("club", club)
                        .param("account", account)
                        .update()
                == 1;
    }

    void remove(long club, long account) {
        jdbc.sql("delete from membership where club_id = :club and account_id = :account")
                .param("club", club)
                .param("account", account)
                .update();
    }

    /** A link into a group that was made and not used, withdrawn or outlived. */
    record Invitation(
            long id,
            long club,
            String clubName,
            Role role,
            Long party,
            String partyName,
            String name,
            String by,
            OffsetDateTime expires) {}

    private static final String INVITATION =
            """
      select invitation.id, invitation.club_id as club, club.name as club_name, invitation.role, invitation.party_id as party, party.name as party_name,
             invitation.name, account.name as by, invitation.expires_at as expires
      from invitation join club on club.id = invitation.club_id join account on account.id = invitation.made_by
      left join party on party.id = invitation.party_id
      where invitation.used_at is null and invitation.withdrawn_at is null and invitation.expires_at > :now
      """;

    List<Invitation> invitations(long club, OffsetDateTime now) {
        return jdbc.sql(INVITATION + " and invitation.club_id = :club order by invitation.id")
                .param("now", now)
                .param("club", club)
                .query(Invitation.class)
                .list();
    }

    Optional<Invitation> invitation(String tokenHash, OffsetDateTime now) {
        return jdbc.sql(INVITATION + " and invitation.token_hash = :hash")
                .param("now", now)
                .param("hash", tokenHash)
                .query(Invitation.class)
                .optional();
    }

    /** The group that an invitation is into. */
    Optional<Long> clubOf(long invitation) {
        return jdbc.sql("select club_id from invitation where id = :id")
                .param("id", invitation)
                .query(Long.class)
                .optional();
    }

    /** Makes a link; nothing when the party is not of the group. */
    Optional<Long> invite(
            long club,
            Role role,
            Long party,
            String name,
            String tokenHash,
            long by,
            OffsetDateTime expires,
            String mailedTo) {
        return jdbc.sql(
                        """
            insert into invitation (club_id, role, party_id, name, token_hash, made_by, expires_at, mailed_to)
            select :club, :role, :party, :name, :hash, :by, :expires, :mailed
            where :party::bigint is null or exists (select 1 from party where id = :party and club_id = :club and not removed)
            returning id
            """)
                .param("club", club)
                .param("role", role.text())
                .param("party", party, java.sql.Types.BIGINT)
                .param("name", name)
                .param("hash", tokenHash)
                .param("by", by)
                .param("expires", expires)
                .param("mailed", mailedTo, java.sql.Types.VARCHAR)
                .query(Long.class)
                .optional();
    }

    /** How many invitations of a group were mailed since a moment. */
    int mailedSince(long club, OffsetDateTime since) {
        return jdbc.sql(
                        "select count(*) from invitation where club_id = :club and mailed_to is not null and made_at > :since")
                .param("club", club)
                .param("since", since)
                .query(Integer.class)
                .single();
    }

    boolean withdraw(long invitation) {
        return jdbc.sql(
                                "update invitation set withdrawn_at = now() where id = :id and used_at is null and withdrawn_at is null")
                        .param("id", invitation)
                        .update()
                == 1;
    }

    /** Uses an invitation up; false when somebody else just did. */
    boolean use(long invitation, long account) {
        return jdbc.sql(
                                "update invitation set used_at = now(), used_by = :account where id = :id and used_at is null and withdrawn_at is null")
                        .param("id", invitation)
                        .param("account", account)
                        .update()
                == 1;
    }

    /** Makes a link to set a password; earlier ones of the account end. */
    void addPasswordLink(long account, String tokenHash, long by, OffsetDateTime expires) {
        jdbc.sql("delete from password_link where account_id = :account and used_at is null")
                .param("account", account)
                .update();
        jdbc.sql(
                        "insert into password_link (token_hash, account_id, made_by, expires_at) values (:hash, :account, :by, :expires)")
                .param("hash", tokenHash)
                .param("account", account)
                .param("by", by)
                .param("expires", expires)
                .update();
    }

    /** Uses a link to set a password up; whose it is, or nothing when it is unknown, used or outlived. */
    Optional<Long> usePasswordLink(String tokenHash, OffsetDateTime now) {
        return jdbc.sql(
                        "update password_link set used_at = now() where token_hash = :hash and used_at is null and expires_at > :now returning account_id")
                .param("hash", tokenHash)
                .param("now", now)
                .query(Long.class)
                .optional();
    }

    /** A group of the installation. */
    record InstalledGroup(long id, String name, int people, int lists) {}

    List<InstalledGroup> groups() {
        return jdbc.sql(
                        """
            select club.id, club.name, (select count(*) from membership where membership.club_id = club.id) as people,
                   (select count(*) from kept_list where kept_list.club_id = club.id and shelf <> 'deleted') as lists
            from club order by lower(club.name), club.id
            """)
                .query(InstalledGroup.class)
                .list();
    }

    /** An account of the installation, with the groups that it is in. */
    record InstalledAccount(
            long id,
            String login,
            String name,
            boolean administrator,
            boolean closed,
            boolean secondFactor,
            String groups) {}

    List<InstalledAccount> accounts() {
        return jdbc.sql(
                        """
            select account.id, account.login, account.name, account.administrator, account.closed,
                   exists (select 1 from second_factor where second_factor.account_id = account.id and confirmed_at is not null) as second_factor,
                   coalesce(string_agg(club.name || ' (' || membership.role || ')', ', ' order by club.name), '') as groups
            from account left join membership on membership.account_id = account.id left join club on club.id = membership.club_id
            group by account.id order by lower(account.name), account.id
            """)
                .query(InstalledAccount.class)
                .list();
    }
}
