package org.wache.server.releases;

import java.time.LocalDate;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The days on which waivers end. */
@Component
public class WaiverDates {

    private final JdbcClient jdbc;

    WaiverDates(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** A waiver that ends on a day. */
    public record Ending(
            long id, String list, String number, String message, String reason, String by, LocalDate until) {}

    /** The waivers of a group that were given until a day and were not ended before. */
    public List<Ending> ending(long club) {
        return jdbc.sql(
                        """
            select waiver.id, channel_list.name as list, waiver.number, waiver.message, waiver.reason, account.name as by, waiver.until
            from waiver join kept_list channel_list on channel_list.id = waiver.list_id and channel_list.shelf = 'in-use' join account on account.id = waiver.account_id
            where channel_list.club_id = :club and waiver.until is not null and waiver.ended_at is null order by waiver.until, waiver.id
            """)
                .param("club", club)
                .query(Ending.class)
                .list();
    }
}
