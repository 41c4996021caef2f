package org.wache.server.lists;

import java.time.OffsetDateTime;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.wache.server.accounts.AccountStore;
import org.wache.server.database.Hold;
import org.wache.server.web.EnumWords;
import org.wache.server.web.Missing;
import org.wache.server.web.Refused;
import org.wache.server.web.Stale;

/** Puts lists into the archive, deletes them, and brings them back. What was released of a list keeps it from being deleted. */
@Service
public class ListShelves {

    private final JdbcClient jdbc;
    private final ListStore store;
    private final AccountStore accounts;
    private final Quota quota;

    ListShelves(JdbcClient jdbc, ListStore store, AccountStore accounts, Quota quota) {
        this.jdbc = jdbc;
        this.store = store;
        this.accounts = accounts;
        this.quota = quota;
    }

    /** A list that was deleted by itself, and not with the one it follows: when, and by whom. */
    public record Deleted(long id, String name, int entries, OffsetDateTime at, String by) {}

    /** The lists of a group that were deleted and can be brought back, the last first. */
    public List<Deleted> deleted(long account, long club) {
        if (!accounts.isMember(account, club)) {
            throw new Missing("The group");
        }
        return jdbc.sql(
                        """
            select channel_list.id, channel_list.name, channel_list.changed_at as at, account.name as by,
              (select count(*) from entry where entry.list_id = coalesce(channel_list.parent_id, channel_list.id) and not entry.removed) as entries
            from channel_list join account on account.id = channel_list.changed_by
            left join channel_list parent on parent.id = channel_list.parent_id
            where channel_list.club_id = :club and channel_list.shelf = 'deleted' and parent.shelf is distinct from 'deleted'
            order by channel_list.changed_at desc, channel_list.id desc
            """)
                .param("club", club)
                .query(Deleted.class)
                .list();
    }

    /**
     * Puts a list where it is kept from now on.
     *
     * @param before where it is, as whoever asks saw it
     * @throws Stale when it is kept elsewhere already
     * @throws Refused when it was released and shall be deleted, or follows a list that is kept elsewhere itself
     */
    @Transactional
    public void put(long account, long list, Shelf before, Shelf after) {
        if (before == Shelf.DELETED) { // the group is held before its lists are, so that no two wait for each other
            store.headWherever(account, list).ifPresent(head -> quota.back(head.clubId(), list));
        }
        Hold.row(jdbc, "channel_list", list);
        ListStore.Head head = store.headWherever(account, list).orElseThrow(() -> new Missing("The list"));
        Shelf own = ownShelf(list);
        if (own != before) {
            throw new Stale("Somebody else put " + head.name() + " elsewhere meanwhile. Nothing was done.", own);
        }
        if (own != head.shelf()) {
            throw new Refused(head.name() + " follows a list that is " + words(head.shelf())
                    + ". Bring that one back: this one comes with it.");
        }
        if (before == after) {
            return;
        }
        if (after == Shelf.DELETED) {
            refuseReleased(head);
        }
        store.setShelf(list, after);
        store.advance(head, account, ListChange.of("shelf", words(after), before, after));
    }

    private static String words(Shelf shelf) {
        return switch (shelf) {
            case IN_USE -> "brought back";
            case ARCHIVED -> "archived";
            case DELETED -> "deleted";
        };
    }

    private Shelf ownShelf(long list) {
        return EnumWords.read(
                Shelf.class,
                jdbc.sql("select shelf from channel_list where id = :list")
                        .param("list", list)
                        .query(String.class)
                        .single());
    }

    /** What is in radios refers to the list that it was released from. */
    private void refuseReleased(ListStore.Head head) {
        List<Integer> released = jdbc.sql(
                        """
            select release.number from release join channel_list on channel_list.id = release.list_id
            where :list in (channel_list.id, channel_list.parent_id) order by release.number desc
            """)
                .param("list", head.id())
                .query(Integer.class)
                .list();
        if (!released.isEmpty()) {
            throw new Refused(head.name() + " went out as release " + released.get(0)
                    + ", and the record of what is in the radios refers to it. Archive it instead.");
        }
    }
}
