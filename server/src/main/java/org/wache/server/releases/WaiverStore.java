package org.wache.server.releases;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.wache.reach.Concern;
import org.wache.release.Matter;
import org.wache.release.Waiver;

/** Waivers, and the word of a second person. Both are ended, never deleted. */
@Repository
class WaiverStore {

    private final JdbcClient jdbc;

    WaiverStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** A waiver with its key, and who gave it when. */
    record Kept(long id, long list, long account, OffsetDateTime at, boolean aboutReach, Waiver waiver) {

        /** What it was about, in words. */
        String subject() {
            return aboutReach ? waiver.number() : "entry " + waiver.number();
        }
    }

    private static final String WAIVER =
            """
      select waiver.id, waiver.list_id, waiver.account_id, waiver.at, waiver.kind = 'reach' as reach, waiver.print, waiver.number, waiver.name, waiver.rule, waiver.model, waiver.message,
             waiver.reason, waiver.until, account.name as by
      from waiver join account on account.id = waiver.account_id
      where waiver.ended_at is null
      """;

    /** The waivers of a list that were not ended, in the order they were given. */
    List<Kept> standing(long list) {
        return jdbc.sql(WAIVER + " and waiver.list_id = :list order by waiver.id")
                .param("list", list)
                .query(WaiverStore::kept)
                .list();
    }

    Optional<Kept> one(long waiver) {
        return jdbc.sql(WAIVER + " and waiver.id = :id")
                .param("id", waiver)
                .query(WaiverStore::kept)
                .optional();
    }

    private static Kept kept(ResultSet row, int number) throws SQLException {
        OffsetDateTime at = row.getObject("at", OffsetDateTime.class);
        return new Kept(
                row.getLong("id"),
                row.getLong("list_id"),
                row.getLong("account_id"),
                at,
                row.getBoolean("reach"),
                new Waiver(
                        row.getString("print"),
                        row.getString("number"),
                        row.getString("name"),
                        row.getString("rule"),
                        row.getString("model"),
                        row.getString("message"),
                        row.getString("reason"),
                        row.getString("by"),
                        at.atZoneSameInstant(java.time.ZoneId.systemDefault()).toLocalDate(),
                        Optional.ofNullable(row.getObject("until", LocalDate.class))));
    }

    /** Everything on which it depends how a list stands before the gate on a day, in one line: when any of it changes, so does the line. */
    String dependsOn(long list) {
        return jdbc.sql(
                        """
            select concat_ws(' ', club.rulebook, club.roster_version, club.overlay_version, club.radios_version,
              (select version from tone_knowledge where tone_knowledge.club_id = club.id),
              (select string_agg(each.id || ':' || each.version, ',' order by each.id) from channel_list each where main.id in (each.id, each.parent_id)),
              (select count(*) || ':' || coalesce(max(id), 0) || ':' || count(ended_at) from waiver where list_id = main.id),
              (select count(*) || ':' || coalesce(max(id), 0) || ':' || count(ended_at) from sign_off where list_id = main.id),
              (select max(id) from release where list_id = main.id),
              (select count(*) || ':' || coalesce(max(custody.id), 0) || ':' || count(custody.in_at) from custody join radio_unit on radio_unit.id = custody.unit_id where radio_unit.club_id = main.club_id),
              (select max(air_check.id) from air_check join radio_unit on radio_unit.id = air_check.unit_id where radio_unit.club_id = main.club_id))
            from channel_list main join club on club.id = main.club_id where main.id = :list
            """)
                .param("list", list)
                .query(String.class)
                .single();
    }

    long add(long list, long entry, Matter matter, String reason, Optional<LocalDate> until, long account) {
        return jdbc.sql(
                        """
            insert into waiver (list_id, entry_id, kind, rule, model, print, number, name, message, reason, until, account_id)
            values (:list, :entry, :kind, :rule, :model, :print, :number, :name, :message, :reason, :until, :account) returning id
            """)
                .param("list", list)
                .param("entry", entry)
                .param("kind", matter.kind() == Matter.Kind.MISFIT ? "left-out" : "query")
                .param("rule", matter.rule().text())
                .param("model", matter.model())
                .param("print", matter.print())
                .param("number", matter.channel().number())
                .param("name", matter.channel().name())
                .param("message", matter.message())
                .param("reason", reason)
                .param("until", until.orElse(null), java.sql.Types.DATE)
                .param("account", account)
                .query(Long.class)
                .single();
    }

    /** As {@link #add}, for something about who reaches whom; entry is null where it is about none. */
    long add(long list, Long entry, Concern concern, String reason, Optional<LocalDate> until, long account) {
        return jdbc.sql(
                        """
            insert into waiver (list_id, entry_id, kind, rule, print, number, name, message, reason, until, account_id)
            values (:list, :entry, 'reach', :rule, :print, :subject, '', :message, :reason, :until, :account) returning id
            """)
                .param("list", list)
                .param("entry", entry, java.sql.Types.BIGINT)
                .param("rule", rule(concern))
                .param("print", concern.print())
                .param("subject", concern.subject())
                .param("message", concern.message())
                .param("reason", reason)
                .param("until", until.orElse(null), java.sql.Types.DATE)
                .param("account", account)
                .query(Long.class)
                .single();
    }

    private static String rule(Concern concern) {
        return concern.kind().name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    boolean end(long waiver, long account) {
        return jdbc.sql("update waiver set ended_by = :account, ended_at = now() where id = :id and ended_at is null")
                        .param("account", account)
                        .param("id", waiver)
                        .update()
                == 1;
    }

    /** A second person's word, for a state of the list. */
    record SignOff(long id, String state, long account, String by, OffsetDateTime at, String note) {}

    /** The newest word for a list that was not taken back. */
    Optional<SignOff> signOff(long list) {
        return jdbc.sql(
                        """
            select sign_off.id, sign_off.state, sign_off.account_id as account, account.name as by, sign_off.at, sign_off.note
            from sign_off join account on account.id = sign_off.account_id
            where sign_off.list_id = :list and sign_off.ended_at is null order by sign_off.id desc limit 1
            """)
                .param("list", list)
                .query(SignOff.class)
                .optional();
    }

    void sign(long list, String state, long account, String note) {
        jdbc.sql("insert into sign_off (list_id, state, account_id, note) values (:list, :state, :account, :note)")
                .param("list", list)
                .param("state", state)
                .param("account", account)
                .param("note", note)
                .update();
    }

    /** Takes words for a list back; how many there were. */
    int unsign(long list, long account) {
        return jdbc.sql(
                        "update sign_off set ended_by = :account, ended_at = now() where list_id = :list and ended_at is null")
                .param("account", account)
                .param("list", list)
                .update();
    }
}
