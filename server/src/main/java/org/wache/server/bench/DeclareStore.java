package org.wache.server.bench;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.wache.server.radios.DeclaredHow;
import org.wache.server.web.EnumWords;

/** What somebody says is in a radio, and what shows it. */
@Repository
class DeclareStore {

    private final JdbcClient jdbc;

    DeclareStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * What is noted of a radio.
     *
     * @param name the part of the release that is in it, as people call it
     * @param checked as JSON, which entries were looked at and with what result
     * @param holds what should be in it, as a list in CSV
     * @param settings how what belongs to no channel was found, as JSON; null where nobody looked
     */
    record Declaration(
            long unit,
            long list,
            String name,
            int version,
            int entries,
            long account,
            long release,
            String part,
            Optional<Long> party,
            List<Integer> talks,
            List<Integer> listens,
            DeclaredHow how,
            String note,
            String checked,
            String holds,
            String settings) {}

    long add(Declaration said) {
        return jdbc.sql(
                        """
            insert into unit_load (unit_id, list_id, list_name, list_version, entries, sha256, account_id, release_id, variant, party_id,
              talks, listens, declared, note, checked, holds, settings)
            values (:unit, :list, :name, :version, :entries, '', :account, :release, :part, :party, :talks, :listens,
              :how, :note, :checked::jsonb, :holds, :settings::jsonb) returning id
            """)
                .param("unit", said.unit())
                .param("list", said.list())
                .param("name", said.name())
                .param("version", said.version())
                .param("entries", said.entries())
                .param("account", said.account())
                .param("release", said.release())
                .param("part", said.part())
                .param("party", said.party().orElse(null), java.sql.Types.BIGINT)
                .param("talks", said.talks().toArray(Integer[]::new))
                .param("listens", said.listens().toArray(Integer[]::new))
                .param("how", EnumWords.of(said.how()))
                .param("note", said.note())
                .param("checked", said.checked())
                .param("holds", said.holds())
                .param("settings", said.settings(), java.sql.Types.VARCHAR)
                .query(Long.class)
                .single();
    }

    /** What was declared of a radio, the newest first. */
    record Declared(
            long id,
            String name,
            Integer release,
            DeclaredHow how,
            String note,
            String checked,
            int entries,
            OffsetDateTime at,
            String by) {}

    List<Declared> of(long unit) {
        return jdbc.sql(
                        """
            select unit_load.id, unit_load.list_name, release.number, unit_load.declared, unit_load.note, unit_load.checked,
              unit_load.entries, unit_load.at, account.name as by
            from unit_load join account on account.id = unit_load.account_id left join release on release.id = unit_load.release_id
            where unit_load.unit_id = :unit and unit_load.declared is not null order by unit_load.id desc limit 50
            """)
                .param("unit", unit)
                .query((row, n) -> new Declared(
                        row.getLong("id"),
                        row.getString("list_name"),
                        row.getObject("number", Integer.class),
                        EnumWords.read(DeclaredHow.class, row.getString("declared")),
                        row.getString("note"),
                        row.getString("checked"),
                        row.getInt("entries"),
                        row.getObject("at", OffsetDateTime.class),
                        row.getString("by")))
                .list();
    }

    /** A declared load of a radio, to add a file to, with what should be in it as CSV. */
    record Load(long id, String holds) {}

    Optional<Load> load(long unit, long id) {
        return jdbc.sql("select id, holds from unit_load where id = :id and unit_id = :unit and declared is not null")
                .param("id", id)
                .param("unit", unit)
                .query(Load.class)
                .optional();
    }

    int files(long load) {
        return jdbc.sql("select count(*) from load_file where load_id = :load")
                .param("load", load)
                .query(Integer.class)
                .single();
    }

    /** Bytes of the files of a group. */
    long bytesOf(long club) {
        return jdbc.sql(
                        """
            select coalesce(sum(length(load_file.content)), 0) from load_file join unit_load on unit_load.id = load_file.load_id
            join radio_unit on radio_unit.id = unit_load.unit_id where radio_unit.club_id = :club
            """)
                .param("club", club)
                .query(Long.class)
                .single();
    }

    long addFile(long load, String name, String media, byte[] content, String compared, long account) {
        return jdbc.sql(
                        """
            insert into load_file (load_id, name, media, content, compared, account_id)
            values (:load, :name, :media, :content, :compared::jsonb, :account) returning id
            """)
                .param("load", load)
                .param("name", name)
                .param("media", media)
                .param("content", content)
                .param("compared", compared, java.sql.Types.VARCHAR)
                .param("account", account)
                .query(Long.class)
                .single();
    }

    /** A file without its content. */
    record Attached(long id, long load, String name, String media, String compared, OffsetDateTime at, String by) {}

    List<Attached> filesOf(long unit) {
        return jdbc.sql(
                        """
            select load_file.id, load_file.load_id, load_file.name, load_file.media, load_file.compared, load_file.at, account.name as by
            from load_file join unit_load on unit_load.id = load_file.load_id join account on account.id = load_file.account_id
            where unit_load.unit_id = :unit order by load_file.id
            """)
                .param("unit", unit)
                .query((row, n) -> new Attached(
                        row.getLong("id"),
                        row.getLong("load_id"),
                        row.getString("name"),
                        row.getString("media"),
                        row.getString("compared"),
                        row.getObject("at", OffsetDateTime.class),
                        row.getString("by")))
                .list();
    }

    /** A file with its content. */
    record Content(String name, String media, byte[] bytes) {}

    Optional<Content> content(long unit, long file) {
        return jdbc.sql(
                        """
            select load_file.name, load_file.media, load_file.content from load_file join unit_load on unit_load.id = load_file.load_id
            where load_file.id = :file and unit_load.unit_id = :unit
            """)
                .param("file", file)
                .param("unit", unit)
                .query((row, n) -> new Content(row.getString("name"), row.getString("media"), row.getBytes("content")))
                .optional();
    }
}
