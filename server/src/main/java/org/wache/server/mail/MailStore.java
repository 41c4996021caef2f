package org.wache.server.mail;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.wache.server.access.Role;
import org.wache.server.database.Perishable;
import org.wache.server.web.EnumWords;

/** What people want to be told by mail, and what they are to be told. */
@Repository
class MailStore implements Perishable {

    /** How long it is known what was said: longer than the longest time before which anything is said. */
    private static final int KEPT_DAYS = 400;

    private final JdbcClient jdbc;

    MailStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * What somebody chose.
     *
     * @param address where they are written to; null until one is confirmed
     * @param refused what a mail server said when it refused the address; null when none did
     * @param asked an address that waits for its code; null when none does
     * @param digestOn the day of the last mail in the morning; null when there was none
     */
    record Choice(
            long account,
            String address,
            String refused,
            String asked,
            Map<MailKind, MailWhen> when,
            LocalDate digestOn) {}

    Optional<Choice> choice(long account) {
        return jdbc.sql("select * from mail_choice where account_id = :account")
                .param("account", account)
                .query((row, n) -> choice(row))
                .optional();
    }

    private static Choice choice(ResultSet row) throws SQLException {
        return new Choice(
                row.getLong("account_id"),
                row.getString("address"),
                row.getString("refused"),
                row.getString("asked"),
                Map.of(
                        MailKind.LICENCES, when(row, "licences"),
                        MailKind.SIGNATURES, when(row, "signatures"),
                        MailKind.RECALLS, when(row, "recalls")),
                row.getObject("digest_on", LocalDate.class));
    }

    private static MailWhen when(ResultSet row, String column) throws SQLException {
        return EnumWords.read(MailWhen.class, row.getString(column));
    }

    void choose(long account, Map<MailKind, MailWhen> when) {
        jdbc.sql(
                        """
            insert into mail_choice (account_id, licences, signatures, recalls) values (:account, :licences, :signatures, :recalls)
            on conflict (account_id) do update set licences = excluded.licences, signatures = excluded.signatures, recalls = excluded.recalls
            """)
                .param("account", account)
                .param("licences", EnumWords.of(when.get(MailKind.LICENCES)))
                .param("signatures", EnumWords.of(when.get(MailKind.SIGNATURES)))
                .param("recalls", EnumWords.of(when.get(MailKind.RECALLS)))
                .update();
    }

    /** Keeps the hash of a code that goes to an address, unless so many went out on this day already. */
    boolean ask(long account, String address, String hash, OffsetDateTime now, int most) {
        return jdbc.sql(
                                """
            insert into mail_choice (account_id, asked, asked_hash, asked_at, codes_on, codes) values (:account, :address, :hash, :now, :today, 1)
            on conflict (account_id) do update set asked = excluded.asked, asked_hash = excluded.asked_hash, asked_at = excluded.asked_at, asked_tries = 0,
              codes_on = excluded.codes_on, codes = case when mail_choice.codes_on = excluded.codes_on then mail_choice.codes + 1 else 1 end
            where mail_choice.codes_on is distinct from excluded.codes_on or mail_choice.codes < :most
            """)
                        .param("account", account)
                        .param("address", address)
                        .param("hash", hash)
                        .param("now", now)
                        .param("today", now.toLocalDate())
                        .param("most", most)
                        .update()
                == 1;
    }

    /** Counts a try; whether there are tries left for the code that was sent since a moment. */
    boolean tries(long account, OffsetDateTime since, int most) {
        return jdbc.sql(
                                """
            update mail_choice set asked_tries = asked_tries + 1
            where account_id = :account and asked_hash is not null and asked_at > :since and asked_tries < :most
            """)
                        .param("account", account)
                        .param("since", since)
                        .param("most", most)
                        .update()
                == 1;
    }

    /** Takes an address over when the code is the one that was sent there. */
    boolean confirm(long account, String hash) {
        return jdbc.sql(
                                """
            update mail_choice set address = asked, refused = null, asked = null, asked_hash = null, asked_at = null
            where account_id = :account and asked_hash = :hash
            """)
                        .param("account", account)
                        .param("hash", hash)
                        .update()
                == 1;
    }

    /** Forgets every address of an account, and what was to be sent there. */
    void forget(long account) {
        jdbc.sql(
                        "update mail_choice set address = null, refused = null, asked = null, asked_hash = null, asked_at = null where account_id = :account")
                .param("account", account)
                .update();
        jdbc.sql("delete from mail_item where account_id = :account and sent_at is null")
                .param("account", account)
                .update();
    }

    /** Somebody who is written to, in one of their groups; party is who of the roster they are, null when nobody. */
    record Reader(long account, long club, Role role, Long party, Map<MailKind, MailWhen> when) {

        boolean wants(MailKind kind) {
            return when.get(kind) != MailWhen.NEVER;
        }
    }

    /** Everybody with a confirmed address in each of their groups; whose account is closed is not among them. */
    List<Reader> readers() {
        return jdbc.sql(
                        """
            select mail_choice.*, membership.club_id, membership.role, membership.party_id
            from mail_choice join account on account.id = mail_choice.account_id and not account.closed
            join membership on membership.account_id = account.id
            where mail_choice.address is not null and mail_choice.refused is null order by membership.club_id, account.id
            """)
                .query((row, n) -> new Reader(
                        row.getLong("account_id"),
                        row.getLong("club_id"),
                        EnumWords.read(Role.class, row.getString("role")),
                        row.getObject("party_id", Long.class),
                        choice(row).when()))
                .list();
    }

    /** A release that was recalled, and by whom. */
    record Recalled(long release, String name, int number, String reason, String by, long byAccount) {}

    List<Recalled> recalled(long club, OffsetDateTime since) {
        return jdbc.sql(
                        """
            select release.id as release, release.name, release.number, release.recall_reason as reason, account.name as by, account.id as by_account
            from release join account on account.id = release.recalled_by
            where release.club_id = :club and release.recalled_at > :since order by release.id
            """)
                .param("club", club)
                .param("since", since)
                .query(Recalled.class)
                .list();
    }

    /** Whether a release is for somebody of the roster, or is in a radio that they have. */
    boolean concerns(long release, long party) {
        return jdbc.sql(
                        """
            select exists (select 1 from release_carrier where release_id = :release and party_id = :party)
              or exists (select 1 from custody join unit_load on unit_load.unit_id = custody.unit_id
                 where custody.party_id = :party and custody.in_at is null and unit_load.release_id = :release)
            """)
                .param("release", release)
                .param("party", party)
                .query(Boolean.class)
                .single();
    }

    /** Keeps what somebody is to be told, unless they were told. */
    boolean add(long account, long club, Tiding tiding) {
        return jdbc.sql(
                                """
            insert into mail_item (account_id, club_id, kind, said, words, path) values (:account, :club, :kind, :said, :words, :path)
            on conflict (account_id, club_id, said) do nothing
            """)
                        .param("account", account)
                        .param("club", club)
                        .param("kind", EnumWords.of(tiding.kind()))
                        .param("said", tiding.said())
                        .param("words", tiding.words())
                        .param("path", tiding.path())
                        .update()
                == 1;
    }

    /** Accounts for which something waits. */
    List<Long> waiting(OffsetDateTime now) {
        return jdbc.sql(
                        "select distinct account_id from mail_item where sent_at is null and next_try <= :now order by account_id")
                .param("now", now)
                .query(Long.class)
                .list();
    }

    /** The choice of an account that no other server writes to now; nothing when one does. */
    Optional<Choice> taken(long account) {
        return jdbc.sql("select * from mail_choice where account_id = :account for update skip locked")
                .param("account", account)
                .query((row, n) -> choice(row))
                .optional();
    }

    /** Takes away what somebody is no longer to be told: who left the group or whose account is closed. */
    void dropOfOthers(long account) {
        jdbc.sql(
                        """
            delete from mail_item where account_id = :account and sent_at is null and (
              not exists (select 1 from account where id = :account and not closed)
              or not exists (select 1 from membership where account_id = :account and club_id = mail_item.club_id))
            """)
                .param("account", account)
                .update();
    }

    /** Something that waits to be sent. */
    record Item(long id, long club, String group, Tiding tiding, int failures) {}

    List<Item> items(long account, OffsetDateTime now) {
        return jdbc.sql(
                        """
            select mail_item.*, club.name as group_name from mail_item join club on club.id = mail_item.club_id
            where account_id = :account and sent_at is null and next_try <= :now order by mail_item.id
            """)
                .param("account", account)
                .param("now", now)
                .query((row, n) -> new Item(
                        row.getLong("id"),
                        row.getLong("club_id"),
                        row.getString("group_name"),
                        new Tiding(
                                EnumWords.read(MailKind.class, row.getString("kind")),
                                row.getString("said"),
                                row.getString("words"),
                                row.getString("path")),
                        row.getInt("failures")))
                .list();
    }

    void sent(List<Item> items, OffsetDateTime now) {
        jdbc.sql("update mail_item set sent_at = :now where id = any(:items)")
                .param("now", now)
                .param("items", ids(items))
                .update();
    }

    void failed(List<Item> items, OffsetDateTime nextTry) {
        jdbc.sql("update mail_item set failures = failures + 1, next_try = :next where id = any(:items)")
                .param("next", nextTry)
                .param("items", ids(items))
                .update();
    }

    void drop(List<Item> items) {
        jdbc.sql("delete from mail_item where id = any(:items)")
                .param("items", ids(items))
                .update();
    }

    private static Long[] ids(List<Item> items) {
        return items.stream().map(Item::id).toArray(Long[]::new);
    }

    void digested(long account, LocalDate on) {
        jdbc.sql("update mail_choice set digest_on = :on where account_id = :account")
                .param("on", on)
                .param("account", account)
                .update();
    }

    /** Nothing is sent to an address that a mail server refused, until it is confirmed anew. */
    void refused(long account, String why) {
        jdbc.sql("update mail_choice set refused = :why where account_id = :account")
                .param("why", why)
                .param("account", account)
                .update();
    }

    @Override
    public int sweep() {
        return jdbc.sql("delete from mail_item where made_at < now() - make_interval(days => :days)")
                .param("days", KEPT_DAYS)
                .update();
    }
}
