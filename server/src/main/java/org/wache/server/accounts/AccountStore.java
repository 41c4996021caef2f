package org.wache.server.accounts;

import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.wache.server.access.Right;

/** Accounts, groups, and failures to sign in. */
@Repository
public class AccountStore {

  /** So many failures are free; each further one doubles the wait. */
  private static final int FREE_FAILURES = 5;
  private static final int LONGEST_DOUBLING = 8;

  private final JdbcClient jdbc;

  AccountStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** A password hash beside its account. */
  record Secret(long id, String login, String passwordHash) {}

  Optional<Secret> secret(String login) {
    return jdbc.sql("select id, login, password_hash from account where login = :login and not closed")
        .param("login", login).query(Secret.class).optional();
  }

  Optional<Account> account(String login) {
    return jdbc.sql("select id, login, name, administrator from account where login = :login and not closed")
        .param("login", login).query(Account.class).optional();
  }

  /** An account by its key. */
  public Optional<Account> account(long id) {
    return jdbc.sql("select id, login, name, administrator from account where id = :id").param("id", id).query(Account.class).optional();
  }

  /** The groups of an account. */
  public List<Club> clubs(long account) {
    return jdbc.sql("""
            select club.id, club.name, membership.role, membership.party_id
            from membership join club on club.id = membership.club_id
            where membership.account_id = :account order by club.name
            """)
        .param("account", account)
        .query((row, n) -> new Club(row.getLong("id"), row.getString("name"), row.getString("role"),
            Optional.ofNullable(row.getObject("party_id", Long.class)), Right.of(row.getString("role")))).list();
  }

  /** The role of an account in a group. */
  public Optional<String> role(long account, long club) {
    return jdbc.sql("select role from membership where account_id = :account and club_id = :club")
        .param("account", account).param("club", club).query(String.class).optional();
  }

  /** Whether an account belongs to a group. */
  public boolean isMember(long account, long club) {
    return jdbc.sql("select exists (select 1 from membership where account_id = :account and club_id = :club)")
        .param("account", account).param("club", club).query(Boolean.class).single();
  }

  /** Whether there is any account yet. */
  public boolean isEmpty() {
    return jdbc.sql("select not exists (select 1 from account)").query(Boolean.class).single();
  }

  /** Makes an account; the login must be new. */
  public long addAccount(String login, String name, String passwordHash) {
    return jdbc.sql("""
            insert into account (login, name, password_hash) values (:login, :name, :hash) returning id
            """)
        .param("login", login).param("name", name).param("hash", passwordHash).query(Long.class).single();
  }

  /** Makes a group. */
  public long addClub(String name) {
    return jdbc.sql("insert into club (name) values (:name) returning id")
        .param("name", name).query(Long.class).single();
  }

  boolean isLoginTaken(String login) {
    return jdbc.sql("select exists (select 1 from account where lower(login) = lower(:login))").param("login", login).query(Boolean.class).single();
  }

  void setPassword(long account, String passwordHash) {
    jdbc.sql("update account set password_hash = :hash where id = :account").param("hash", passwordHash).param("account", account).update();
  }

  /** Lets an account look after the installation. */
  public void setAdministrator(long account) {
    jdbc.sql("update account set administrator = true where id = :account").param("account", account).update();
  }

  void setClosed(long account, boolean closed) {
    jdbc.sql("update account set closed = :closed where id = :account").param("closed", closed).param("account", account).update();
  }

  /** Makes an account one of a group; party says who of the roster they are, null when nobody. */
  public void addMember(long account, long club, String role, Long party) {
    jdbc.sql("insert into membership (account_id, club_id, role, party_id) values (:account, :club, :role, :party)")
        .param("account", account).param("club", club).param("role", role).param("party", party, java.sql.Types.BIGINT).update();
  }

  /** How long this login has to wait before its next try. */
  Duration wait(String login, Instant now) {
    return jdbc.sql("select blocked_until from sign_in_failure where login = :login")
        .param("login", login).query(OffsetDateTime.class).optional()
        .map(until -> Duration.between(now, until.toInstant()))
        .filter(left -> !left.isNegative()).orElse(Duration.ZERO);
  }

  /** Notes a failure, and from the sixth on makes the next try wait 1, 2, 4 … seconds, at most four minutes. */
  @Transactional
  public void failed(String login, Instant now) {
    int failures = jdbc.sql("""
            insert into sign_in_failure (login, failures, blocked_until) values (:login, 1, :now)
            on conflict (login) do update set failures = sign_in_failure.failures + 1
            returning failures
            """)
        .param("login", login).param("now", now.atOffset(ZoneOffset.UTC)).query(Integer.class).single();
    if (failures > FREE_FAILURES) {
      long seconds = 1L << Math.min(failures - FREE_FAILURES - 1, LONGEST_DOUBLING);
      jdbc.sql("update sign_in_failure set blocked_until = :until where login = :login")
          .param("until", now.plusSeconds(seconds).atOffset(ZoneOffset.UTC)).param("login", login).update();
    }
  }

  /** As {@link #failed}, kept even when what it belongs to is taken back. */
  @Transactional(propagation = Propagation.REQUIRES_NEW)
  public void failedApart(String login, Instant now) {
    failed(login, now);
  }

  void succeeded(String login) {
    jdbc.sql("delete from sign_in_failure where login = :login").param("login", login).update();
  }

  void addFirstAccountLink(String tokenHash) {
    jdbc.sql("delete from first_account_link where used_at is null").update();
    jdbc.sql("insert into first_account_link (token_hash) values (:hash)").param("hash", tokenHash).update();
  }

  /** Uses the link up; false when it is unknown or used. */
  boolean useFirstAccountLink(String tokenHash) {
    return jdbc.sql("update first_account_link set used_at = now() where token_hash = :hash and used_at is null")
        .param("hash", tokenHash).update() == 1;
  }
}
