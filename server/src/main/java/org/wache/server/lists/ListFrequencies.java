package org.wache.server.lists;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.wache.server.accounts.AccountStore;
import org.wache.server.web.Missing;
import org.wache.signal.Frequency;

/** On which frequencies a group's lists are. */
@Service
public class ListFrequencies {

    private final JdbcClient jdbc;
    private final AccountStore accounts;

    ListFrequencies(JdbcClient jdbc, AccountStore accounts) {
        this.jdbc = jdbc;
        this.accounts = accounts;
    }

    /**
     * A frequency that lists in use have.
     *
     * @param hertz where
     * @param talks whether one talks there
     * @param entries how many entries are there
     * @param list one of their lists
     * @param entry one of them
     * @param name what that is called
     */
    public record Used(long hertz, boolean talks, int entries, long list, long entry, String name) {}

    private record Row(String mhz, boolean talks, int entries, long list, long entry, String name) {}

    /** The frequencies of a group's lists in use; texts that are no frequency are left out. */
    public List<Used> of(long account, long club) {
        if (!accounts.isMember(account, club)) {
            throw new Missing("The group");
        }
        return jdbc
                .sql(
                        """
            select distinct on (mhz, talks) mhz, talks, count(*) over (partition by mhz, talks) as entries, list, entry, name from (
              select coalesce(nullif(entry.tx_mhz, ''), entry.rx_mhz) as mhz, entry.tx_mhz <> '' as talks, entry.list_id as list, entry.id as entry, entry.name
              from entry join kept_list on kept_list.id = entry.list_id and kept_list.shelf = 'in-use'
              where kept_list.club_id = :club and not entry.removed) each
            order by mhz, talks, list, entry
            """)
                .param("club", club)
                .query(Row.class)
                .list()
                .stream()
                .flatMap(row -> Frequency.ofMegahertz(row.mhz()).stream()
                        .map(at ->
                                new Used(at.hertz(), row.talks(), row.entries(), row.list(), row.entry(), row.name())))
                .toList();
    }
}
