package org.wache.server.radios;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.wache.server.log.Logbook;
import org.wache.server.web.EnumWords;

/** Models and radios of groups. Questions of people ask for the account too: groups see only their own. */
@Repository
class RadioStore {

    private final JdbcClient jdbc;
    private final Logbook log;

    RadioStore(JdbcClient jdbc, Logbook log) {
        this.jdbc = jdbc;
        this.log = log;
    }

    /** A model as it is stored; the body is a file of the format {@code wache-radio/1}. */
    record StoredModel(long id, long clubId, int version, String name, String body, boolean removed) {}

    /** A radio as it is stored; settings is JSON: what it is to be set to otherwise than its profile says. */
    record StoredUnit(
            long id,
            long clubId,
            int version,
            long modelId,
            String serial,
            String label,
            String lock,
            boolean inhibited,
            String owner,
            String settings,
            boolean removed) {}

    private static final String MODEL =
            """
      select radio_model.id, radio_model.club_id, radio_model.version, radio_model.name, radio_model.body, radio_model.removed
      from radio_model join membership on membership.club_id = radio_model.club_id and membership.account_id = :account
      """;
    private static final String UNIT_COLUMNS =
            """
      radio_unit.id, radio_unit.club_id, radio_unit.version, radio_unit.model_id, radio_unit.serial, radio_unit.label, radio_unit.lock,
      radio_unit.inhibited, radio_unit.owner, radio_unit.settings, radio_unit.removed
      """;
    private static final String UNIT = "select " + UNIT_COLUMNS
            + """
      from radio_unit join membership on membership.club_id = radio_unit.club_id and membership.account_id = :account
      """;

    List<StoredModel> models(long club) {
        return jdbc.sql(
                        "select id, club_id, version, name, body, removed from radio_model where club_id = :club and not removed order by lower(name)")
                .param("club", club)
                .query(RadioStore::model)
                .list();
    }

    Optional<StoredModel> model(long account, long model) {
        return jdbc.sql(MODEL + "where radio_model.id = :model and not radio_model.removed")
                .param("account", account)
                .param("model", model)
                .query(RadioStore::model)
                .optional();
    }

    /** A model that units name, whoever asks. */
    StoredModel modelOf(long model) {
        return jdbc.sql("select id, club_id, version, name, body, removed from radio_model where id = :model")
                .param("model", model)
                .query(RadioStore::model)
                .single();
    }

    private static StoredModel model(ResultSet row, int number) throws SQLException {
        return new StoredModel(
                row.getLong("id"),
                row.getLong("club_id"),
                row.getInt("version"),
                row.getString("name"),
                row.getString("body"),
                row.getBoolean("removed"));
    }

    List<StoredUnit> units(long club) {
        return jdbc.sql("select " + UNIT_COLUMNS + " from radio_unit where club_id = :club and not removed order by id")
                .param("club", club)
                .query(RadioStore::unit)
                .list();
    }

    Optional<StoredUnit> unit(long account, long unit) {
        return jdbc.sql(UNIT + "where radio_unit.id = :unit and not radio_unit.removed")
                .param("account", account)
                .param("unit", unit)
                .query(RadioStore::unit)
                .optional();
    }

    private static StoredUnit unit(ResultSet row, int number) throws SQLException {
        return new StoredUnit(
                row.getLong("id"),
                row.getLong("club_id"),
                row.getInt("version"),
                row.getLong("model_id"),
                row.getString("serial"),
                row.getString("label"),
                row.getString("lock"),
                row.getBoolean("inhibited"),
                row.getString("owner"),
                row.getString("settings"),
                row.getBoolean("removed"));
    }

    /** A unit, whoever asks: for the bench's own work. */
    StoredUnit unitOf(long unit) {
        return jdbc.sql("select " + UNIT_COLUMNS + " from radio_unit where id = :unit")
                .param("unit", unit)
                .query(RadioStore::unit)
                .single();
    }

    long addModel(long club, String name, String body) {
        return jdbc.sql(
                        "insert into radio_model (club_id, name, body) values (:club, :name, :body::jsonb) returning id")
                .param("club", club)
                .param("name", name)
                .param("body", body)
                .query(Long.class)
                .single();
    }

    /** Whether it was still in the version that the change was begun on. */
    boolean changeModel(long model, int before, String name, String body, boolean removed) {
        return jdbc.sql(
                                "update radio_model set version = version + 1, name = :name, body = :body::jsonb, removed = :removed"
                                        + " where id = :model and version = :before")
                        .param("model", model)
                        .param("before", before)
                        .param("name", name)
                        .param("body", body)
                        .param("removed", removed)
                        .update()
                == 1;
    }

    long addUnit(long club, UnitDraft draft) {
        return jdbc.sql(
                        """
            insert into radio_unit (club_id, model_id, serial, label, lock, inhibited, owner)
            values (:club, :model, :serial, :label, :lock, :inhibited, :owner) returning id
            """)
                .param("club", club)
                .param("model", draft.model())
                .param("serial", draft.serial())
                .param("label", draft.label())
                .param("lock", draft.lock())
                .param("inhibited", draft.inhibited())
                .param("owner", draft.owner())
                .query(Long.class)
                .single();
    }

    /** Whether it was still in the version that the change was begun on. */
    boolean changeUnit(long unit, int before, UnitDraft draft, boolean removed) {
        return jdbc.sql(
                                """
            update radio_unit set version = version + 1, model_id = :model, serial = :serial, label = :label, lock = :lock,
                   inhibited = :inhibited, owner = :owner, removed = :removed
            where id = :unit and version = :before
            """)
                        .param("unit", unit)
                        .param("before", before)
                        .param("model", draft.model())
                        .param("serial", draft.serial())
                        .param("label", draft.label())
                        .param("lock", draft.lock())
                        .param("inhibited", draft.inhibited())
                        .param("owner", draft.owner())
                        .param("removed", removed)
                        .update()
                == 1;
    }

    /** Whether it was still in the version that the change was begun on; settings is JSON. */
    boolean changeSettings(long unit, int before, String settings) {
        return jdbc.sql(
                                "update radio_unit set version = version + 1, settings = :settings::jsonb where id = :unit and version = :before")
                        .param("unit", unit)
                        .param("before", before)
                        .param("settings", settings)
                        .update()
                == 1;
    }

    /** What a radio has in its slots for band edges, as JSON. */
    String edges(long unit) {
        return jdbc.sql("select edges::text from radio_unit where id = :unit")
                .param("unit", unit)
                .query(String.class)
                .single();
    }

    /** Whether it was still in the version that the change was begun on; edges is JSON. */
    boolean changeEdges(long unit, int before, String edges) {
        return jdbc.sql(
                                "update radio_unit set version = version + 1, edges = :edges::jsonb where id = :unit and version = :before")
                        .param("unit", unit)
                        .param("before", before)
                        .param("edges", edges)
                        .update()
                == 1;
    }

    /** How a radio was found set when something was put into it last, as JSON; empty where nobody looked then. */
    Optional<String> foundSettings(long unit) {
        return jdbc.sql(
                        """
            select settings from (select settings::text, at from unit_load where unit_id = :unit order by id desc limit 1) newest
            where settings is not null
            """)
                .param("unit", unit)
                .query(String.class)
                .optional();
    }

    /**
     * A radio with what was found of it since its data were changed last: it may have been set otherwise with them.
     *
     * @param checked whether it was tried last with its transmitter off, and keyed nowhere
     * @param found as {@link #foundSettings}
     */
    record Known(StoredUnit unit, boolean checked, Optional<String> found) {}

    List<Known> known(List<Long> units) {
        return jdbc.sql(
                        """
            with changed as (
              select subject_id, max(at) as at from radio_change where what = 'unit' and subject_id = any(:units) group by subject_id)
            select
            """
                                + UNIT_COLUMNS
                                + """
              , exists (
                select 1 from (select at, good from air_check where unit_id = radio_unit.id and kind = 'inhibit' order by id desc limit 1) newest
                where good and newest.at > coalesce(changed.at, '-infinity')) as checked,
              (select found from (select settings::text as found, at from unit_load where unit_id = radio_unit.id order by id desc limit 1) newest
                where newest.at > coalesce(changed.at, '-infinity')) as found
            from radio_unit left join changed on changed.subject_id = radio_unit.id where radio_unit.id = any(:units)
            """)
                .param("units", units.toArray(Long[]::new))
                .query((row, number) -> new Known(
                        unit(row, number), row.getBoolean("checked"), Optional.ofNullable(row.getString("found"))))
                .list();
    }

    /** As {@link #foundSettings}, of every radio of a group, by their keys. */
    java.util.Map<Long, String> allFoundSettings(long club) {
        java.util.Map<Long, String> all = new java.util.LinkedHashMap<>();
        jdbc.sql(
                        """
            select unit_id, settings from (
              select distinct on (unit_load.unit_id) unit_load.unit_id, unit_load.settings::text as settings
              from unit_load join radio_unit on radio_unit.id = unit_load.unit_id
              where radio_unit.club_id = :club and not radio_unit.removed order by unit_load.unit_id, unit_load.id desc) newest
            where settings is not null
            """)
                .param("club", club)
                .query(row -> {
                    all.put(row.getLong("unit_id"), row.getString("settings"));
                });
        return all;
    }

    boolean isModelNameTaken(long club, String name, long except) {
        return jdbc.sql(
                        "select exists (select 1 from radio_model where club_id = :club and lower(name) = lower(:name) and not removed and id <> :except)")
                .param("club", club)
                .param("name", name)
                .param("except", except)
                .query(Boolean.class)
                .single();
    }

    boolean isSerialTaken(long club, String serial, long except) {
        return jdbc.sql(
                        "select exists (select 1 from radio_unit where club_id = :club and lower(serial) = lower(:serial) and not removed and id <> :except)")
                .param("club", club)
                .param("serial", serial)
                .param("except", except)
                .query(Boolean.class)
                .single();
    }

    boolean isModelUsed(long model) {
        return jdbc.sql("select exists (select 1 from radio_unit where model_id = :model and not removed)")
                .param("model", model)
                .query(Boolean.class)
                .single();
    }

    /** A list that is for a model in a setting. */
    record MeantFor(String list, String lock) {}

    List<MeantFor> meantFor(long model) {
        return jdbc.sql(
                        "select kept_list.name as list, list_radio.lock from list_radio join kept_list on kept_list.id = list_radio.list_id and kept_list.shelf <> 'deleted'"
                                + " where list_radio.model_id = :model and list_radio.unit_id is null order by kept_list.name")
                .param("model", model)
                .query(MeantFor.class)
                .list();
    }

    boolean isOnTheBench(long unit) {
        return jdbc.sql(
                        "select exists (select 1 from bench_job where unit_id = :unit and state in ('waiting', 'running'))")
                .param("unit", unit)
                .query(Boolean.class)
                .single();
    }

    /** The version that a change makes, recorded; holds the group's radios until the transaction ends. */
    void record(long club, long account, String what, long subject, String name, String before, String after) {
        int version = jdbc.sql(
                        "update club set radios_version = radios_version + 1 where id = :club returning radios_version")
                .param("club", club)
                .query(Integer.class)
                .single();
        jdbc.sql(
                        """
            insert into radio_change (club_id, version, what, subject_id, account_id, before, after)
            values (:club, :version, :what, :subject, :account, :before::jsonb, :after::jsonb)
            """)
                .param("club", club)
                .param("version", version)
                .param("what", what)
                .param("subject", subject)
                .param("account", account)
                .param("before", before)
                .param("after", after)
                .update();
        log.add(
                account,
                club,
                new Logbook.Deed(
                        Logbook.Kind.RADIO,
                        subject,
                        name,
                        switch (what) {
                            case "out" -> "handed out";
                            case "in" -> "taken back";
                            default -> what + (before == null ? " added" : after == null ? " taken out" : " changed");
                        },
                        before,
                        after));
    }

    /** What is in a radio, and since when; number is of the release, none for what was loaded before there were any. newest is the list's release in use. */
    record Loaded(
            long unit,
            long id,
            long list,
            String listName,
            int listVersion,
            Integer number,
            Integer newest,
            boolean recalled,
            int entries,
            OffsetDateTime at,
            String by,
            boolean verified,
            String declared,
            String whom,
            int wrong) {}

    private static final String LOAD =
            """
      unit_load.unit_id, unit_load.id, unit_load.list_id, unit_load.list_name, unit_load.list_version, release.number,
      release.recalled_at is not null as recalled, (select max(other.number) from release other where other.list_id = release.list_id and other.recalled_at is null) as newest,
      unit_load.entries, unit_load.at, account.name as by, unit_load.verified, unit_load.declared, party.name as whom,
      (select count(*) from jsonb_array_elements(unit_load.checked) looked where not (looked ->> 'good')::boolean) as wrong
      from unit_load join radio_unit on radio_unit.id = unit_load.unit_id join account on account.id = unit_load.account_id
      left join release on release.id = unit_load.release_id left join party on party.id = unit_load.party_id
      """;

    /** The newest load of each radio of a group. */
    List<Loaded> loads(long club) {
        return jdbc.sql("select distinct on (unit_load.unit_id) " + LOAD
                        + "where radio_unit.club_id = :club order by unit_load.unit_id, unit_load.id desc")
                .param("club", club)
                .query(RadioStore::loaded)
                .list();
    }

    /** Everything that was ever put into a radio, the newest first. */
    List<Loaded> loadsOf(long unit) {
        return jdbc.sql("select " + LOAD + "where unit_load.unit_id = :unit order by unit_load.id desc")
                .param("unit", unit)
                .query(RadioStore::loaded)
                .list();
    }

    private static Loaded loaded(ResultSet row, int number) throws SQLException {
        return new Loaded(
                row.getLong("unit_id"),
                row.getLong("id"),
                row.getLong("list_id"),
                row.getString("list_name"),
                row.getInt("list_version"),
                row.getObject("number", Integer.class),
                row.getObject("newest", Integer.class),
                row.getBoolean("recalled"),
                row.getInt("entries"),
                row.getObject("at", OffsetDateTime.class),
                row.getString("by"),
                row.getBoolean("verified"),
                row.getString("declared"),
                row.getString("whom"),
                row.getInt("wrong"));
    }

    /** Who has a radio, or had it. */
    record Held(
            long unit,
            long id,
            long party,
            String name,
            String note,
            OffsetDateTime outAt,
            String outBy,
            OffsetDateTime inAt,
            String inBy,
            String inNote,
            String with) {}

    private static final String CUSTODY =
            """
      select custody.unit_id, custody.id, custody.party_id, party.name, custody.note, custody.out_at, giver.name as out_by, custody.in_at,
             taker.name as in_by, custody.in_note,
             coalesce(unit_load.list_name || coalesce(', release ' || release.number, ', version ' || unit_load.list_version), '') as with_list
      from custody join party on party.id = custody.party_id join account giver on giver.id = custody.out_by
      left join account taker on taker.id = custody.in_by
      left join unit_load on unit_load.id = custody.load_id left join release on release.id = unit_load.release_id
      """;

    /** Who has the radios of a group now. */
    List<Held> out(long club) {
        return jdbc.sql(
                        CUSTODY
                                + "join radio_unit on radio_unit.id = custody.unit_id where radio_unit.club_id = :club and custody.in_at is null")
                .param("club", club)
                .query(RadioStore::held)
                .list();
    }

    /** A radio in somebody's hand, its version, and the last that was put into it and tried on it. */
    record Hand(long party, long unit, int version, Long load, Long check) {}

    /** The radios in the hands of some of the roster. */
    List<Hand> hands(List<Long> parties) {
        return jdbc.sql(
                        """
            select custody.party_id as party, radio_unit.id as unit, radio_unit.version,
                   (select max(unit_load.id) from unit_load where unit_load.unit_id = radio_unit.id) as load,
                   (select max(air_check.id) from air_check where air_check.unit_id = radio_unit.id) as "check"
            from custody join radio_unit on radio_unit.id = custody.unit_id
            where custody.in_at is null and custody.party_id = any(:parties) and not radio_unit.removed
            order by radio_unit.id
            """)
                .param("parties", parties.toArray(Long[]::new))
                .query(Hand.class)
                .list();
    }

    /** Everyone who ever had a radio, the newest first. */
    List<Held> custody(long unit) {
        return jdbc.sql(CUSTODY + "where custody.unit_id = :unit order by custody.id desc")
                .param("unit", unit)
                .query(RadioStore::held)
                .list();
    }

    private static Held held(ResultSet row, int number) throws SQLException {
        return new Held(
                row.getLong("unit_id"),
                row.getLong("id"),
                row.getLong("party_id"),
                row.getString("name"),
                row.getString("note"),
                row.getObject("out_at", OffsetDateTime.class),
                row.getString("out_by"),
                row.getObject("in_at", OffsetDateTime.class),
                row.getString("in_by"),
                row.getString("in_note"),
                row.getString("with_list"));
    }

    /** What someone of a group's roster is called. */
    Optional<String> personOf(long club, long party) {
        return jdbc.sql("select name from party where id = :party and club_id = :club and not removed")
                .param("party", party)
                .param("club", club)
                .query(String.class)
                .optional();
    }

    /** Keeps what a group's audits depend on, the roster among it, as it is until the transaction ends. */
    void hold(long club) {
        jdbc.sql("select id from club where id = :club for update")
                .param("club", club)
                .query(Long.class)
                .single();
    }

    /** Hands a radio to somebody of the same group; false when there is no such person. */
    boolean handOut(long unit, long party, String note, long account) {
        return jdbc.sql(
                                """
            insert into custody (unit_id, party_id, load_id, note, out_by)
            select radio_unit.id, party.id, (select max(unit_load.id) from unit_load where unit_load.unit_id = radio_unit.id), :note, :account
            from radio_unit join party on party.club_id = radio_unit.club_id and party.id = :party and not party.removed
            where radio_unit.id = :unit
            """)
                        .param("unit", unit)
                        .param("party", party)
                        .param("note", note)
                        .param("account", account)
                        .update()
                == 1;
    }

    /** Takes a radio back; false when nobody has it. */
    boolean handIn(long unit, String note, long account) {
        return jdbc.sql(
                                "update custody set in_at = now(), in_by = :account, in_note = :note where unit_id = :unit and in_at is null")
                        .param("unit", unit)
                        .param("note", note)
                        .param("account", account)
                        .update()
                == 1;
    }

    /** The newest measurement of each kind and band of each radio that was out of tolerance. */
    record OutOfTolerance(long unit, String message) {}

    List<OutOfTolerance> outOfTolerance(long club) {
        return jdbc.sql(
                        """
            select unit_id, message from (
              select distinct on (measurement.unit_id, measurement.kind, measurement.mhz, measurement.spur_mhz) measurement.unit_id, measurement.message, measurement.verdict
              from measurement join radio_unit on radio_unit.id = measurement.unit_id
              where radio_unit.club_id = :club order by measurement.unit_id, measurement.kind, measurement.mhz, measurement.spur_mhz, measurement.id desc) newest
            where verdict = 'out' order by unit_id
            """)
                .param("club", club)
                .query((row, n) -> new OutOfTolerance(row.getLong("unit_id"), row.getString("message")))
                .list();
    }

    /** When a radio was last found to key nowhere, since it was last changed. */
    Optional<OffsetDateTime> lastGoodInhibit(long unit) {
        return jdbc.sql(
                        """
            select at from (select at, good from air_check where unit_id = :unit and kind = 'inhibit' order by id desc limit 1) newest
            where good and at > coalesce((select max(at) from radio_change where what = 'unit' and subject_id = :unit), '-infinity')
            """)
                .param("unit", unit)
                .query(OffsetDateTime.class)
                .optional();
    }

    /** The state of the newest work on each radio, and of what it was. */
    record Work(long unit, long job, long run, JobState state, String message) {}

    List<Work> work(long club) {
        return jdbc.sql(
                        """
            select distinct on (bench_job.unit_id) bench_job.unit_id, bench_job.id, bench_job.run_id, bench_job.state, bench_job.message
            from bench_job join radio_unit on radio_unit.id = bench_job.unit_id
            where radio_unit.club_id = :club order by bench_job.unit_id, bench_job.id desc
            """)
                .param("club", club)
                .query((row, n) -> new Work(
                        row.getLong("unit_id"),
                        row.getLong("id"),
                        row.getLong("run_id"),
                        EnumWords.read(JobState.class, row.getString("state")),
                        row.getString("message")))
                .list();
    }
}
