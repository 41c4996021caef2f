package org.wache.server.lists;

import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.server.database.Hold;
import org.wache.server.web.Refused;

/** How much a group may keep, so that no group takes the room of the others. */
@Component
class Quota {

    private final JdbcClient jdbc;
    private final int mostLists;
    private final long mostEntries;
    private final long mostChars;

    Quota(
            JdbcClient jdbc,
            @Value("${wache.quota.lists}") int mostLists,
            @Value("${wache.quota.entries}") long mostEntries,
            @Value("${wache.quota.characters}") long mostChars) {
        this.jdbc = jdbc;
        this.mostLists = mostLists;
        this.mostEntries = mostEntries;
        this.mostChars = mostChars;
    }

    private record Kept(int lists, long entries, long chars) {}

    /** What entries hold, in characters. */
    static long characters(List<Channel> channels) {
        long sum = 0;
        for (Channel channel : channels) {
            for (Field field : Field.values()) {
                sum += channel.text(field).length();
            }
            for (String extra : channel.extras()) {
                sum += extra.length();
            }
        }
        return sum;
    }

    /**
     * Makes sure that a group may keep so much more; nobody else of the group adds until the transaction ends.
     *
     * @throws Refused when it may not
     */
    void room(long club, int lists, List<Channel> channels) {
        Hold.row(jdbc, "club", club);
        Kept kept = kept(club);
        fits(kept.lists() + lists, mostLists, "lists");
        fits(kept.entries() + channels.size(), mostEntries, "entries in all of its lists");
        fits(kept.chars() + characters(channels), mostChars, "characters in all of its lists");
    }

    private Kept kept(long club) {
        return jdbc.sql(
                        """
            select count(*) filter (where shelf <> 'deleted') as lists, coalesce(sum(size_chars), 0) as chars,
              (select count(*) from entry join kept_list on kept_list.id = entry.list_id where kept_list.club_id = :club and kept_list.shelf <> 'deleted' and not entry.removed) as entries
            from kept_list where club_id = :club
            """)
                .param("club", club)
                .query(Kept.class)
                .single();
    }

    /** As {@link #room}, for a list that was deleted and is brought back: its texts were counted all along. */
    void back(long club, long list) {
        room(club, 1, List.of());
        int entries = jdbc.sql("select count(*) from entry where list_id = :list and not removed")
                .param("list", list)
                .query(Integer.class)
                .single();
        fits(kept(club).entries() + entries, mostEntries, "entries in all of its lists");
    }

    private static void fits(long wanted, long most, String what) {
        if (wanted > most) {
            throw new Refused(String.format(
                    java.util.Locale.ROOT,
                    "A group keeps up to %,d %s; with this it would have %,d. Nothing was saved: ask the administrator of the installation for more room.",
                    most,
                    what,
                    wanted));
        }
    }
}
