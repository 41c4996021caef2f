package org.wache.server.home;

import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** How a group stands, worked out by the database from versions and counts. */
@Repository
class PulseStore {

    private final JdbcClient jdbc;

    PulseStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** A mark that changes with everything, and the versions of what all lists are held against. */
    record Marks(String mark, int roster, int overlay, int radios, int tones) {}

    Marks marks(long group) {
        return jdbc.sql(
                        """
            select club.roster_version as roster, club.overlay_version as overlay, club.radios_version as radios,
              coalesce((select version from tone_knowledge where club_id = club.id), 0) as tones,
              md5(concat_ws(' ', club.roster_version, club.overlay_version, club.radios_version,
                (select md5(string_agg(concat_ws(':', id, version, shelf, name, edition_seen), ',' order by id)) from channel_list where club_id = club.id),
                (select version from tone_knowledge where club_id = club.id),
                (select count(*) || ':' || sum(version) || ':' || count(*) filter (where removed) from settings_profile where club_id = club.id),
                (select count(*) || ':' || sum(version) || ':' || count(*) filter (where removed) from station where club_id = club.id),
                (select count(*) || ':' || sum(version) || ':' || count(*) filter (where removed) from area where club_id = club.id),
                (select count(*) || ':' || sum(version) || ':' || count(*) filter (where removed) from operation where club_id = club.id),
                (select count(*) || ':' || count(*) filter (where settled) from row_aside where list_id in (select id from channel_list where club_id = club.id)),
                (select count(*) || ':' || count(ended_at) from waiver where list_id in (select id from channel_list where club_id = club.id)),
                (select count(*) || ':' || count(ended_at) from sign_off where list_id in (select id from channel_list where club_id = club.id)),
                (select count(*) || ':' || count(recalled_at) from release where club_id = club.id),
                (select count(*) || ':' || count(*) filter (where verified) from unit_load join radio_unit on radio_unit.id = unit_load.unit_id where club_id = club.id),
                (select string_agg(state || count, ',' order by state) from (select bench_job.state, count(*) from bench_job join radio_unit on radio_unit.id = bench_job.unit_id
                  where club_id = club.id group by bench_job.state) as jobs))) as mark
            from club where club.id = :club
            """)
                .param("club", group)
                .query(Marks.class)
                .single();
    }
}
