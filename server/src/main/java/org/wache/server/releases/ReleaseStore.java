package org.wache.server.releases;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.wache.server.lists.Freezing;

/** Releases: added, and at most recalled. */
@Repository
class ReleaseStore {

    private final JdbcClient jdbc;

    ReleaseStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** A release without its file. */
    record Head(
            long id,
            long club,
            long list,
            int number,
            int version,
            String name,
            String sha256,
            String by,
            OffsetDateTime at,
            String signedBy,
            String recalledBy,
            OffsetDateTime recalledAt,
            String recallReason) {

        boolean isRecalled() {
            return recalledAt != null;
        }
    }

    private static final String HEAD =
            """
      select release.id, release.club_id as club, release.list_id as list, release.number, release.list_version as version, release.name, release.sha256,
             released.name as by, release.released_at as at, signed.name as signed_by, recalled.name as recalled_by, release.recalled_at, release.recall_reason
      from release join account released on released.id = release.released_by join account signed on signed.id = release.signed_by
      left join account recalled on recalled.id = release.recalled_by
      """;

    /** The releases of a group, the newest first. */
    List<Head> all(long club) {
        return jdbc.sql(HEAD + "where release.club_id = :club order by release.id desc")
                .param("club", club)
                .query(Head.class)
                .list();
    }

    Optional<Head> one(long release) {
        return jdbc.sql(HEAD + "where release.id = :id")
                .param("id", release)
                .query(Head.class)
                .optional();
    }

    /** The newest release of a list; recalled or not. */
    Optional<Head> newest(long list) {
        return jdbc.sql(HEAD + "where release.list_id = :list order by release.number desc limit 1")
                .param("list", list)
                .query(Head.class)
                .optional();
    }

    /** The release of the same list that went out before one and was not recalled. */
    Optional<Long> before(long release) {
        return jdbc.sql(
                        """
            select earlier.id from release join release earlier on earlier.list_id = release.list_id and earlier.number < release.number
            where release.id = :id and earlier.recalled_at is null order by earlier.number desc limit 1
            """)
                .param("id", release)
                .query(Long.class)
                .optional();
    }

    /** The newest release of each list of a group that was not recalled. */
    List<Head> standing(long club) {
        return jdbc.sql(
                        HEAD
                                + """
            where release.club_id = :club and release.recalled_at is null
              and release.number = (select max(number) from release other where other.list_id = release.list_id)
            order by lower(release.name), release.id
            """)
                .param("club", club)
                .query(Head.class)
                .list();
    }

    /** Whether what is in use of a list is this very state. */
    boolean isInUse(long list, String state) {
        return jdbc.sql(
                        """
            select coalesce((select state = :state and recalled_at is null from release where list_id = :list order by number desc limit 1), false)
            """)
                .param("state", state)
                .param("list", list)
                .query(Boolean.class)
                .single();
    }

    /** The file of a release. */
    String body(long release) {
        return jdbc.sql("select body from release where id = :id")
                .param("id", release)
                .query(String.class)
                .single();
    }

    int nextNumber(long list) {
        return jdbc.sql("select coalesce(max(number), 0) + 1 from release where list_id = :list")
                .param("list", list)
                .query(Integer.class)
                .single();
    }

    long add(
            Freezing.Frozen frozen,
            int number,
            String body,
            String sha256,
            String state,
            long account,
            OffsetDateTime at,
            long signedBy) {
        long id = jdbc.sql(
                        """
            insert into release (club_id, list_id, number, list_version, name, body, sha256, state, released_by, released_at, signed_by)
            values (:club, :list, :number, :version, :name, :body, :sha256, :state, :account, :at, :signed) returning id
            """)
                .param("club", frozen.club())
                .param("list", frozen.list())
                .param("number", number)
                .param("version", frozen.version())
                .param("name", frozen.name())
                .param("body", body)
                .param("sha256", sha256)
                .param("state", state)
                .param("account", account)
                .param("at", at)
                .param("signed", signedBy)
                .query(Long.class)
                .single();
        frozen.parts().forEach(part -> jdbc.sql(
                        """
            insert into release_carrier (release_id, variant, party_id, name) select :release, :variant, given.party, given.name
            from unnest(:parties, :names) as given(party, name)
            """)
                .param("release", id)
                .param("variant", part.name())
                .param(
                        "parties",
                        part.carriers().stream().map(Freezing.Carrier::party).toArray(Long[]::new))
                .param(
                        "names",
                        part.carriers().stream().map(Freezing.Carrier::name).toArray(String[]::new))
                .update());
        return id;
    }

    /** Recalls a release, unless somebody did. */
    boolean recall(long release, long account, String reason) {
        return jdbc.sql(
                                "update release set recalled_by = :account, recalled_at = now(), recall_reason = :reason where id = :id and recalled_at is null")
                        .param("account", account)
                        .param("reason", reason)
                        .param("id", release)
                        .update()
                == 1;
    }

    /** Someone of the roster for whom a release is, under the name of then, with their licences of now; null when they are no longer in the roster. */
    record Carrier(String variant, long party, String name, String licences) {}

    List<Carrier> carriers(long release) {
        return jdbc.sql(
                        """
            select release_carrier.variant, release_carrier.party_id as party, release_carrier.name,
                   case when party.removed then null else party.licences::text end as licences
            from release_carrier join party on party.id = release_carrier.party_id
            where release_carrier.release_id = :release order by release_carrier.variant, lower(release_carrier.name)
            """)
                .param("release", release)
                .query(Carrier.class)
                .list();
    }

    /** What the rules of today for a group depend on. */
    record Standing(int roster, int overlay, int radios, String overlayRows) {}

    Standing standingOf(long club) {
        return jdbc.sql(
                        """
            select club.roster_version as roster, club.overlay_version as overlay, club.radios_version as radios, coalesce(overlay.rows, '[]')::text as overlay_rows
            from club left join overlay on overlay.club_id = club.id and overlay.version = club.overlay_version where club.id = :club
            """)
                .param("club", club)
                .query(Standing.class)
                .single();
    }

    /** A radio and what was last put into it. */
    record Loaded(
            long unit,
            String label,
            String model,
            String carrier,
            Long release,
            Integer number,
            String variant,
            Long list,
            String listName,
            OffsetDateTime at,
            boolean verified,
            boolean declared) {}

    /** Every radio of a group with its newest load. */
    List<Loaded> loads(long club) {
        return jdbc.sql(
                        """
            select radio_unit.id as unit, radio_unit.label, radio_model.name as model, party.name as carrier, load.release_id as release, release.number,
                   coalesce(load.variant, '') as variant, load.list_id as list, load.list_name, load.at, coalesce(load.verified, false) as verified, load.declared is not null as declared
            from radio_unit join radio_model on radio_model.id = radio_unit.model_id
            left join lateral (select * from unit_load where unit_load.unit_id = radio_unit.id order by unit_load.id desc limit 1) load on true
            left join release on release.id = load.release_id
            left join custody on custody.unit_id = radio_unit.id and custody.in_at is null left join party on party.id = custody.party_id
            where radio_unit.club_id = :club and not radio_unit.removed order by radio_unit.id
            """)
                .param("club", club)
                .query(Loaded.class)
                .list();
    }

    /** People of a group's roster with their licences of now; who is no longer in it is not among them. */
    List<Carrier> people(long club, List<Long> parties) {
        return jdbc.sql(
                        "select '' as variant, id as party, name, licences::text as licences from party where club_id = :club and id = any(:parties) and not removed")
                .param("club", club)
                .param("parties", parties.toArray(Long[]::new))
                .query(Carrier.class)
                .list();
    }

    /** The part of a release that someone of the roster carries; the variant before the list that it follows. */
    Optional<String> carriedPart(long release, long party) {
        return jdbc.sql(
                        "select variant from release_carrier where release_id = :release and party_id = :party order by variant desc limit 1")
                .param("release", release)
                .param("party", party)
                .query(String.class)
                .optional();
    }

    /** What was last put into a radio, and who has it; talks is null when it was not kept on which entries it talks. */
    record Content(
            long unit, Long party, long load, Long release, String variant, Integer[] talks, Integer[] listens) {}

    /** The content of the radios of a group into which something was put. */
    List<Content> contents(long club) {
        return jdbc.sql(
                        """
            select distinct on (unit_load.unit_id) unit_load.unit_id as unit, custody.party_id as party, unit_load.id as load,
                   unit_load.release_id as release, unit_load.variant, unit_load.talks, unit_load.listens
            from unit_load join radio_unit on radio_unit.id = unit_load.unit_id
            left join custody on custody.unit_id = unit_load.unit_id and custody.in_at is null
            where radio_unit.club_id = :club and not radio_unit.removed order by unit_load.unit_id, unit_load.id desc
            """)
                .param("club", club)
                .query((row, n) -> new Content(
                        row.getLong("unit"),
                        row.getObject("party", Long.class),
                        row.getLong("load"),
                        row.getObject("release", Long.class),
                        row.getString("variant"),
                        whole(row.getArray("talks")),
                        whole(row.getArray("listens"))))
                .list();
    }

    private static Integer[] whole(java.sql.Array array) throws java.sql.SQLException {
        return array == null ? null : (Integer[]) array.getArray();
    }
}
