package org.wache.server.desk;

import java.sql.Types;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Who said from which page, and when, that they are on a list. */
@Repository
class PresenceStore {

    /** Who was not heard of for so long is gone. */
    private static final int GONE_S = 20;

    private final JdbcClient jdbc;

    PresenceStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Someone is on a list, at an entry or at none; who has gone silent is forgotten. */
    void say(long list, long account, String page, Long entry) {
        jdbc.sql(
                        """
            insert into list_presence (list_id, account_id, page, entry_id) values (:list, :account, :page, :entry)
            on conflict (list_id, account_id, page) do update set entry_id = excluded.entry_id, seen_at = now()
            """)
                .param("list", list)
                .param("account", account)
                .param("page", page)
                .param("entry", entry, Types.BIGINT)
                .update();
        jdbc.sql("delete from list_presence where list_id = :list and seen_at < now() - make_interval(secs => :gone)")
                .param("list", list)
                .param("gone", GONE_S)
                .update();
    }

    /** All others on a list: other people, and oneself in another window. */
    List<PresenceController.OtherHere> others(long list, Optional<Long> parent, long account, String page) {
        return jdbc.sql(
                        """
            select distinct account.name, coalesce(trim(entry.number || ' ' || entry.name), '') as entry, account.id = :account as self
            from list_presence join account on account.id = list_presence.account_id
            left join entry on entry.id = list_presence.entry_id and entry.list_id in (:list, :parent)
            where list_presence.list_id = :list and not (list_presence.account_id = :account and list_presence.page = :page)
            order by account.name, entry
            """)
                .param("list", list)
                .param("parent", parent.orElse(list))
                .param("account", account)
                .param("page", page)
                .query(PresenceController.OtherHere.class)
                .list();
    }
}
