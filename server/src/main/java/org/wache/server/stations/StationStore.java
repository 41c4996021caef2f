package org.wache.server.stations;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import org.wache.server.forms.NamedForms;
import org.wache.server.log.Logbook;

/** The stations of a group. */
@Repository
public class StationStore {

    private static final int MOST = 500;

    private final JdbcClient jdbc;
    private final NamedForms forms;

    StationStore(JdbcClient jdbc, Logbook log) {
        this.jdbc = jdbc;
        this.forms = new NamedForms(jdbc, log, Logbook.Kind.STATION, MOST);
    }

    List<NamedForms.Stored> all(long club) {
        return forms.all(club);
    }

    /** A list in which a base of some name works entries of its own. */
    record Use(String base, long list) {}

    /** Which lists name bases, the newest first. */
    List<Use> uses(long club) {
        return jdbc.sql(
                        """
            select base ->> 'name' as base, channel_list.id as list from kept_list channel_list,
              jsonb_array_elements(case when jsonb_typeof(context -> 'houseRules' -> 'keyedTogether') = 'array'
                then context -> 'houseRules' -> 'keyedTogether' else '[]' end) as base
            where channel_list.club_id = :club and channel_list.shelf <> 'deleted' order by channel_list.id desc
            """)
                .param("club", club)
                .query(Use.class)
                .list();
    }

    /** Adds a station; body is the JSON of its form. */
    @Transactional
    public long add(long account, long club, String name, String body) {
        return forms.add(account, club, name, body);
    }

    @Transactional
    public void change(long account, long id, int seen, String name, String body) {
        forms.change(account, id, seen, name, body);
    }

    @Transactional
    public void remove(long account, long id, int seen) {
        forms.remove(account, id, seen);
    }
}
