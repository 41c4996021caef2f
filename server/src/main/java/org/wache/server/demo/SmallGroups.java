package org.wache.server.demo;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Many small groups for measuring what a database carries: each with a coordinator, who signs in as “group-1”, “group-2” and so on with
 * the demo's password, eight people, and a list of 20 entries that they carry.
 */
@Component
@Order(3)
class SmallGroups implements ApplicationRunner {

    private static final Logger LOG = LoggerFactory.getLogger(SmallGroups.class);
    /** So many are made at a time. */
    private static final int STEP = 500;

    private final int wanted;
    private final JdbcClient jdbc;
    private final PasswordEncoder encoder;
    private final TransactionTemplate transaction;

    SmallGroups(
            @Value("${wache.demo-groups}") int wanted,
            JdbcClient jdbc,
            PasswordEncoder encoder,
            TransactionTemplate transaction) {
        this.wanted = wanted;
        this.jdbc = jdbc;
        this.encoder = encoder;
        this.transaction = transaction;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (wanted <= 0) {
            return;
        }
        int there = jdbc.sql("select count(*) from club where name like 'Small group %'")
                .query(Integer.class)
                .single();
        String hash = encoder.encode("tern-valley");
        for (int first = there + 1; first <= wanted; first += STEP) {
            int from = first;
            transaction.executeWithoutResult(status -> make(from, Math.min(wanted, from + STEP - 1), hash));
        }
        if (there < wanted) {
            LOG.info("{} small groups were made", wanted - there);
        }
    }

    private void make(int first, int last, String hash) {
        jdbc.sql(
                        """
            with made as (
              insert into club (name) select 'Small group ' || n from generate_series(:first, :last) n returning id, split_part(name, ' ', 3) as n),
            people as (
              insert into party (club_id, kind, name, teams, licences)
              select made.id, 'person', 'Member ' || made.n || '-' || i, '{Everybody}', ('[{"service":"amateur","class":"technician","callSign":"KE9Q'
                || chr(65 + i) || chr(65 + made.n::int % 26) || '","granted":"2024-01-01","expires":"2034-01-01"}]')::jsonb
              from made, generate_series(1, 8) i),
            keepers as (
              insert into account (login, login_key, login_looks, name, password_hash)
              select 'group-' || n, 'group-' || n, 'group-' || n, 'Coordinator ' || n, :hash from made returning id, split_part(login, '-', 2) as n),
            members as (
              insert into membership (account_id, club_id, role)
              select keepers.id, made.id, 'coordinator' from made join keepers on keepers.n = made.n),
            lists as (
              insert into channel_list (club_id, name, context, changed_by)
              select made.id, 'Everybody''s list', '{"format":"wache-context/1","rulebook":"us","holders":[]}', keepers.id
              from made join keepers on keepers.n = made.n returning id, changed_by),
            carried as (
              insert into list_carrier (list_id, team) select id, 'Everybody' from lists),
            begun as (
              insert into list_change (list_id, version, account_id, what) select id, 1, changed_by, '{"made": true}' from lists)
            insert into entry (list_id, position, version, number, name, rx_mhz, tx_mhz, mode, emission, power_w, tx_tone, rx_tone, use, service,
              scan, timeout_s, note)
            select lists.id, i, 1, (i + 1)::text, 'Direct ' || (i + 1), (146.415 + 0.015 * (i % 12))::text, (146.415 + 0.015 * (i % 12))::text,
              'FM', '', '5', '', '', '', '', 'yes', '180', ''
            from lists, generate_series(0, 19) i
            """)
                .param("first", first)
                .param("last", last)
                .param("hash", hash)
                .update();
        jdbc.sql(
                        """
            insert into entry_order (list_id, version, entries)
            select list_id, 1, array_agg(entry.id order by position) from entry join channel_list on channel_list.id = entry.list_id
              join club on club.id = channel_list.club_id
            where club.name like 'Small group %' and not exists (select 1 from entry_order where entry_order.list_id = entry.list_id)
            group by list_id
            """)
                .update();
    }
}
