package org.wache.server.accounts;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import org.wache.server.access.Right;
import org.wache.server.access.Role;
import org.wache.server.web.EnumWords;
import org.wache.server.web.Refused;

/** Accounts and groups. */
@Repository
public class AccountStore {

    /** One account is made at a time, so that no two come to look alike. */
    private static final long NAMES_TURN = 7_269_812_346L;

    private final JdbcClient jdbc;

    AccountStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** A password hash beside its account. */
    record Secret(long id, String login, String passwordHash) {}

    /** By the name that somebody types, however they spell it; of two that came to the same before names had one spelling, the one that is typed. */
    Optional<Secret> secret(String login) {
        return jdbc.sql(
                        "select id, login, password_hash from account where (login_key = :key or login = :typed) and not closed order by login = :typed desc limit 1")
                .param("key", SignInName.of(login).key())
                .param("typed", login)
                .query(Secret.class)
                .optional();
    }

    Optional<Account> account(String login) {
        return jdbc.sql("select id, login, name, administrator from account where login = :login and not closed")
                .param("login", login)
                .query(Account.class)
                .optional();
    }

    /** An account by its key. */
    public Optional<Account> account(long id) {
        return jdbc.sql("select id, login, name, administrator from account where id = :id")
                .param("id", id)
                .query(Account.class)
                .optional();
    }

    /** The groups of an account. */
    public List<Club> clubs(long account) {
        return jdbc.sql(
                        """
            select club.id, club.name, membership.role, membership.party_id
            from membership join club on club.id = membership.club_id
            where membership.account_id = :account order by club.name
            """)
                .param("account", account)
                .query((row, n) -> new Club(
                        row.getLong("id"),
                        row.getString("name"),
                        role(row),
                        Optional.ofNullable(row.getObject("party_id", Long.class)),
                        Right.of(role(row))))
                .list();
    }

    /** What a group is called. */
    String nameOf(long club) {
        return jdbc.sql("select name from club where id = :club")
                .param("club", club)
                .query(String.class)
                .single();
    }

    private static Role role(ResultSet row) throws SQLException {
        return EnumWords.read(Role.class, row.getString("role"));
    }

    /** The role of an account in a group. */
    public Optional<Role> role(long account, long club) {
        return jdbc.sql("select role from membership where account_id = :account and club_id = :club")
                .param("account", account)
                .param("club", club)
                .query(Role.class)
                .optional();
    }

    /** Whether an account belongs to a group. */
    public boolean isMember(long account, long club) {
        return jdbc.sql("select exists (select 1 from membership where account_id = :account and club_id = :club)")
                .param("account", account)
                .param("club", club)
                .query(Boolean.class)
                .single();
    }

    /** Whether there is any account yet. */
    public boolean isEmpty() {
        return jdbc.sql("select not exists (select 1 from account)")
                .query(Boolean.class)
                .single();
    }

    /**
     * Makes an account.
     *
     * @throws Refused when the name to sign in with cannot be one, or is another's or looks like it
     */
    @Transactional
    public long addAccount(String login, String name, String passwordHash) {
        SignInName chosen = SignInName.chosen(login);
        jdbc.sql("select pg_advisory_xact_lock(:turn)")
                .param("turn", NAMES_TURN)
                .query((row, n) -> 0)
                .single();
        if (isLoginTaken(chosen)) {
            throw new Refused(
                    "Somebody signs in as “" + chosen.key()
                            + "”, or as something that looks like it, already. Choose another name; if it is you, sign in and open the link again.");
        }
        return jdbc.sql(
                        """
            insert into account (login, login_key, login_looks, name, password_hash) values (:key, :key, :looks, :name, :hash) returning id
            """)
                .param("key", chosen.key())
                .param("looks", chosen.looks())
                .param("name", name)
                .param("hash", passwordHash)
                .query(Long.class)
                .single();
    }

    /** Makes a group. */
    public long addClub(String name) {
        return jdbc.sql("insert into club (name) values (:name) returning id")
                .param("name", name)
                .query(Long.class)
                .single();
    }

    private boolean isLoginTaken(SignInName name) {
        return jdbc.sql(
                        "select exists (select 1 from account where login_key = :key or login = :key or login_looks = :looks)")
                .param("key", name.key())
                .param("looks", name.looks())
                .query(Boolean.class)
                .single();
    }

    void setPassword(long account, String passwordHash) {
        jdbc.sql("update account set password_hash = :hash where id = :account")
                .param("hash", passwordHash)
                .param("account", account)
                .update();
    }

    /** Lets an account look after the installation. */
    public void setAdministrator(long account) {
        jdbc.sql("update account set administrator = true where id = :account")
                .param("account", account)
                .update();
    }

    void setClosed(long account, boolean closed) {
        jdbc.sql("update account set closed = :closed where id = :account")
                .param("closed", closed)
                .param("account", account)
                .update();
    }

    /** Makes an account one of a group; party says who of the roster they are, null when nobody. */
    public void addMember(long account, long club, Role role, Long party) {
        jdbc.sql("insert into membership (account_id, club_id, role, party_id) values (:account, :club, :role, :party)")
                .param("account", account)
                .param("club", club)
                .param("role", role.text())
                .param("party", party, java.sql.Types.BIGINT)
                .update();
    }

    void addFirstAccountLink(String tokenHash) {
        jdbc.sql("delete from first_account_link where used_at is null").update();
        jdbc.sql("insert into first_account_link (token_hash) values (:hash)")
                .param("hash", tokenHash)
                .update();
    }

    /** Uses the link up; false when it is unknown or used. */
    boolean useFirstAccountLink(String tokenHash) {
        return jdbc.sql("update first_account_link set used_at = now() where token_hash = :hash and used_at is null")
                        .param("hash", tokenHash)
                        .update()
                == 1;
    }
}
