package org.wache.server.bench;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.OffsetDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.wache.bench.drive.Stage;
import org.wache.release.Handed;
import org.wache.server.log.Logbook;
import org.wache.server.radios.JobState;
import org.wache.server.releases.Releases;
import org.wache.server.web.EnumWords;

/** Runs of the bench and the work on each radio. Questions of people ask for the account too. */
@Repository
class BenchStore {

    /** After so many seconds without a sign of life, work is taken for broken off. */
    static final int BROKEN_OFF_S = 8;

    private final JdbcClient jdbc;
    private final Logbook log;

    BenchStore(JdbcClient jdbc, Logbook log) {
        this.jdbc = jdbc;
        this.log = log;
    }

    private record RadioName(long club, String label) {}

    /** Writes down in the log what was done to a radio. */
    void note(long account, long unit, String what) {
        RadioName radio = jdbc.sql("select club_id as club, label from radio_unit where id = :unit")
                .param("unit", unit)
                .query(RadioName.class)
                .single();
        log.add(account, radio.club(), Logbook.Deed.of(Logbook.Kind.BENCH, unit, radio.label(), what));
    }

    /** A run: a list put into radios. */
    record Run(
            long id,
            long clubId,
            long list,
            String listName,
            int listVersion,
            Long release,
            Integer number,
            String by,
            String callSign,
            OffsetDateTime startedAt) {}

    /** The work on one radio; leftOut and outcome are JSON. */
    record Job(
            long id,
            long run,
            long unit,
            String label,
            String model,
            int entries,
            String leftOut,
            JobState state,
            Optional<Stage> stage,
            int done,
            int total,
            int attempts,
            int brokenOff,
            boolean kept,
            String message,
            String cure,
            String outcome,
            OffsetDateTime startedAt,
            OffsetDateTime endedAt) {}

    /** Work that a server has taken on. */
    record Claimed(
            long id,
            long run,
            long unit,
            byte[] wanted,
            int entries,
            int attempts,
            String callSign,
            long list,
            String listName,
            int listVersion,
            long account,
            Long release,
            String variant,
            String settings) {}

    private static final String RUN =
            """
      select bench_run.id, bench_run.club_id, bench_run.list_id, bench_run.list_name, bench_run.list_version, account.name as by,
             bench_run.call_sign, bench_run.started_at, bench_run.release_id, release.number
      from bench_run join account on account.id = bench_run.account_id left join release on release.id = bench_run.release_id
      join membership on membership.club_id = bench_run.club_id and membership.account_id = :account
      """;

    List<Run> runs(long account, long club, int most) {
        return jdbc.sql(RUN + "where bench_run.club_id = :club order by bench_run.id desc limit :most")
                .param("account", account)
                .param("club", club)
                .param("most", most)
                .query(BenchStore::run)
                .list();
    }

    Optional<Run> run(long account, long run) {
        return jdbc.sql(RUN + "where bench_run.id = :run")
                .param("account", account)
                .param("run", run)
                .query(BenchStore::run)
                .optional();
    }

    private static Run run(ResultSet row, int number) throws SQLException {
        return new Run(
                row.getLong("id"),
                row.getLong("club_id"),
                row.getLong("list_id"),
                row.getString("list_name"),
                row.getInt("list_version"),
                row.getObject("release_id", Long.class),
                row.getObject("number", Integer.class),
                row.getString("by"),
                row.getString("call_sign"),
                row.getObject("started_at", OffsetDateTime.class));
    }

    private static final String JOB =
            """
      select bench_job.id, bench_job.run_id, bench_job.unit_id, radio_unit.label, radio_model.name as model, bench_job.entries, bench_job.left_out,
             bench_job.state, bench_job.stage, bench_job.done, bench_job.total, bench_job.attempts, bench_job.broken_off, bench_job.kept, bench_job.message,
             bench_job.cure, bench_job.outcome, bench_job.started_at, bench_job.ended_at
      from bench_job join radio_unit on radio_unit.id = bench_job.unit_id join radio_model on radio_model.id = radio_unit.model_id
      """;

    List<Job> jobs(List<Long> runs) {
        return jdbc.sql(JOB + "where bench_job.run_id = any(:runs) order by bench_job.id")
                .param("runs", runs.toArray(Long[]::new))
                .query(BenchStore::job)
                .list();
    }

    Optional<Job> job(long account, long job) {
        return jdbc.sql(
                        JOB
                                + """
            join membership on membership.club_id = radio_unit.club_id and membership.account_id = :account
            where bench_job.id = :job
            """)
                .param("account", account)
                .param("job", job)
                .query(BenchStore::job)
                .optional();
    }

    private static Job job(ResultSet row, int number) throws SQLException {
        return new Job(
                row.getLong("id"),
                row.getLong("run_id"),
                row.getLong("unit_id"),
                row.getString("label"),
                row.getString("model"),
                row.getInt("entries"),
                row.getString("left_out"),
                EnumWords.read(JobState.class, row.getString("state")),
                stage(row.getString("stage")),
                row.getInt("done"),
                row.getInt("total"),
                row.getInt("attempts"),
                row.getInt("broken_off"),
                row.getBoolean("kept"),
                row.getString("message"),
                row.getString("cure"),
                row.getString("outcome"),
                row.getObject("started_at", OffsetDateTime.class),
                row.getObject("ended_at", OffsetDateTime.class));
    }

    /** What is being done; nothing before it is begun. */
    private static Optional<Stage> stage(String word) {
        return word.isEmpty() ? Optional.empty() : Optional.of(EnumWords.read(Stage.class, word));
    }

    long addRun(Releases.Chosen chosen, long list, long account, String callSign) {
        return jdbc.sql(
                        """
            insert into bench_run (club_id, list_id, list_name, list_version, account_id, call_sign, release_id, variant)
            values (:club, :list, :name, :version, :account, :callSign, :release, :variant) returning id
            """)
                .param("club", chosen.release().club())
                .param("list", list)
                .param("name", chosen.name())
                .param("version", chosen.release().version())
                .param("account", account)
                .param("release", chosen.release().id())
                .param("variant", chosen.variant())
                .param("callSign", callSign)
                .query(Long.class)
                .single();
    }

    /** The work on one radio, for whom and with what: leftOut and settings are JSON; talks and listens are places in the list. */
    record Work(
            long unit,
            int unitVersion,
            byte[] wanted,
            int entries,
            String leftOut,
            Optional<Long> party,
            String variant,
            Optional<Handed.Choice> choice,
            List<Integer> talks,
            List<Integer> listens,
            String settings) {}

    void addJob(long run, Work work) {
        given(
                        jdbc.sql(
                                """
            insert into bench_job (run_id, unit_id, unit_version, wanted, entries, left_out, party_id, variant, not_theirs, talks, listens, settings, state)
            values (:run, :unit, :version, :wanted, :entries, :leftOut::jsonb, :party, :variant, :choice, :talks, :listens, :settings::jsonb,
              'waiting')
            """),
                        work)
                .param("run", run)
                .param("unit", work.unit())
                .update();
    }

    private static JdbcClient.StatementSpec given(JdbcClient.StatementSpec sql, Work work) {
        return sql.param("version", work.unitVersion())
                .param("wanted", work.wanted())
                .param("entries", work.entries())
                .param("leftOut", work.leftOut())
                .param("party", work.party().orElse(null), java.sql.Types.BIGINT)
                .param("variant", work.variant())
                .param("choice", work.choice().map(BenchStore::text).orElse(""))
                .param("talks", work.talks().toArray(Integer[]::new))
                .param("listens", work.listens().toArray(Integer[]::new))
                .param("settings", work.settings());
    }

    /** A choice as it is stored and sent. */
    static String text(Handed.Choice choice) {
        return choice == Handed.Choice.LISTEN ? "listen" : "leave-out";
    }

    /** The choice that a text names. */
    static Optional<Handed.Choice> choice(String text) {
        return Arrays.stream(Handed.Choice.values())
                .filter(each -> text(each).equals(text))
                .findFirst();
    }

    /** What work was ordered as; when somebody has the radio, it is for them. */
    Order order(long job, boolean inHand) {
        return jdbc.sql("select unit_id, party_id, variant, not_theirs from bench_job where id = :job")
                .param("job", job)
                .query((row, n) -> new Order(
                        row.getLong("unit_id"),
                        inHand ? Optional.empty() : Optional.ofNullable(row.getObject("party_id", Long.class)),
                        Optional.of(row.getString("variant")),
                        choice(row.getString("not_theirs"))))
                .single();
    }

    boolean isOpen(long unit) {
        return jdbc.sql(
                        "select exists (select 1 from bench_job where unit_id = :unit and state in ('waiting', 'running'))")
                .param("unit", unit)
                .query(Boolean.class)
                .single();
    }

    /** Takes on the next work that waits, or that another server broke off. */
    Optional<Claimed> claim(String worker) {
        return jdbc.sql(
                        """
            with next as (
              select id, state as before from bench_job
              where state = 'waiting' or state = 'running' and heartbeat < now() - make_interval(secs => :broken)
              order by id for update skip locked limit 1)
            update bench_job set state = 'running', worker = :worker, heartbeat = now(), attempts = attempts + 1,
                   broken_off = broken_off + case next.before when 'running' then 1 else 0 end, stage = '', done = 0, total = 0,
                   kept = false, message = '', cure = '', outcome = null, started_at = coalesce(bench_job.started_at, now()), ended_at = null
            from next, bench_run
            where bench_job.id = next.id and bench_run.id = bench_job.run_id
            returning bench_job.id, bench_job.run_id, bench_job.unit_id, bench_job.wanted, bench_job.entries, bench_job.attempts,
                      bench_run.call_sign, bench_run.list_id, bench_run.list_name, bench_run.list_version, bench_run.account_id,
                      bench_run.release_id, bench_job.variant, bench_job.settings::text as settings
            """)
                .param("broken", BROKEN_OFF_S)
                .param("worker", worker)
                .query((row, n) -> new Claimed(
                        row.getLong("id"),
                        row.getLong("run_id"),
                        row.getLong("unit_id"),
                        row.getBytes("wanted"),
                        row.getInt("entries"),
                        row.getInt("attempts"),
                        row.getString("call_sign"),
                        row.getLong("list_id"),
                        row.getString("list_name"),
                        row.getInt("list_version"),
                        row.getLong("account_id"),
                        row.getObject("release_id", Long.class),
                        row.getString("variant"),
                        row.getString("settings")))
                .optional();
    }

    /** Notes progress; false when the work is no longer this worker's. */
    boolean progress(long job, String worker, Stage stage, int done, int total) {
        return jdbc.sql(
                                """
            update bench_job set stage = :stage, done = :done, total = :total, heartbeat = now()
            where id = :job and worker = :worker and state = 'running'
            """)
                        .param("job", job)
                        .param("worker", worker)
                        .param("stage", EnumWords.of(stage))
                        .param("done", done)
                        .param("total", total)
                        .update()
                == 1;
    }

    void kept(long job) {
        jdbc.sql("update bench_job set kept = true, heartbeat = now() where id = :job")
                .param("job", job)
                .update();
    }

    /** Ends the work, if it is still this worker's. */
    boolean end(long job, String worker, JobState state, String message, String cure, String outcome) {
        return jdbc.sql(
                                """
            update bench_job set state = :state, message = :message, cure = :cure, outcome = :outcome::jsonb, ended_at = now(), worker = null
            where id = :job and worker = :worker and state = 'running'
            """)
                        .param("job", job)
                        .param("worker", worker)
                        .param("state", EnumWords.of(state))
                        .param("message", message)
                        .param("cure", cure)
                        .param("outcome", outcome)
                        .update()
                == 1;
    }

    /** Plans work anew. */
    void plan(long job, Work work) {
        given(
                        jdbc.sql(
                                """
            update bench_job set unit_version = :version, wanted = :wanted, entries = :entries, left_out = :leftOut::jsonb, party_id = :party,
                   variant = :variant, not_theirs = :choice, talks = :talks, listens = :listens, settings = :settings::jsonb
            where id = :job
            """),
                        work)
                .param("job", job)
                .update();
    }

    /** Lets go of work in the middle, because the server ends. */
    void letGo(long job, String worker) {
        jdbc.sql(
                        "update bench_job set heartbeat = '-infinity' where id = :job and worker = :worker and state = 'running'")
                .param("job", job)
                .param("worker", worker)
                .update();
    }

    /** Puts work that failed, differs or was stopped back in the queue. */
    boolean again(long job) {
        return jdbc.sql(
                                "update bench_job set state = 'waiting', message = '', cure = '' where id = :job and state in ('failed', 'differs', 'stopped')")
                        .param("job", job)
                        .update()
                == 1;
    }

    /** Takes what waits out of the queue; returns how many. */
    int stop(long run) {
        return jdbc.sql(
                        "update bench_job set state = 'stopped', message = 'Stopped before it began.', ended_at = now() where run_id = :run and state = 'waiting'")
                .param("run", run)
                .update();
    }

    /** Saves what was in a radio. */
    void save(long unit, long job, String lock, String sha256, byte[] image) {
        jdbc.sql(
                        "insert into saved_image (unit_id, job_id, lock, sha256, image) values (:unit, :job, :lock, :sha256, :image)")
                .param("unit", unit)
                .param("job", job)
                .param("lock", lock)
                .param("sha256", sha256)
                .param("image", image)
                .update();
    }

    /** A saved image, without its bytes. */
    record Saved(long id, OffsetDateTime at, String lock, String sha256, byte[] image) {}

    List<Saved> saved(long unit) {
        return jdbc.sql("select id, at, lock, sha256, image from saved_image where unit_id = :unit order by id desc")
                .param("unit", unit)
                .query(BenchStore::saved)
                .list();
    }

    /** A saved image of a radio that the account may see. */
    Optional<Saved> saved(long account, long image) {
        return jdbc.sql(
                        """
            select saved_image.id, saved_image.at, saved_image.lock, saved_image.sha256, saved_image.image
            from saved_image join radio_unit on radio_unit.id = saved_image.unit_id
            join membership on membership.club_id = radio_unit.club_id and membership.account_id = :account
            where saved_image.id = :image
            """)
                .param("account", account)
                .param("image", image)
                .query(BenchStore::saved)
                .optional();
    }

    /** Whose image it is. */
    long unitOfImage(long image) {
        return jdbc.sql("select unit_id from saved_image where id = :image")
                .param("image", image)
                .query(Long.class)
                .single();
    }

    private static Saved saved(ResultSet row, int number) throws SQLException {
        return new Saved(
                row.getLong("id"),
                row.getObject("at", OffsetDateTime.class),
                row.getString("lock"),
                row.getString("sha256"),
                row.getBytes("image"));
    }

    /** Notes what is in a radio from now on, and for whom. */
    long load(Claimed job, String sha256) {
        String whom = jdbc.sql(
                        "select party.name from bench_job join party on party.id = bench_job.party_id where bench_job.id = :job")
                .param("job", job.id())
                .query(String.class)
                .optional()
                .map(name -> ", for " + name)
                .orElse(", for nobody in particular");
        note(
                job.account(),
                job.unit(),
                "loaded with " + (job.variant().isEmpty() ? job.listName() : job.variant())
                        + (job.release() == null
                                ? ", version " + job.listVersion()
                                : ", release "
                                        + jdbc.sql("select number from release where id = :id")
                                                .param("id", job.release())
                                                .query(Integer.class)
                                                .single())
                        + whom);
        return jdbc.sql(
                        """
            insert into unit_load (unit_id, job_id, list_id, list_name, list_version, entries, sha256, account_id, release_id, variant, party_id, talks, listens)
            select :unit, :job, :list, :name, :version, :entries, :sha256, :account, :release, :variant, party_id, talks, listens
            from bench_job where id = :job returning id
            """)
                .param("unit", job.unit())
                .param("job", job.id())
                .param("list", job.list())
                .param("name", job.variant().isEmpty() ? job.listName() : job.variant())
                .param("version", job.listVersion())
                .param("entries", job.entries())
                .param("sha256", sha256)
                .param("account", job.account())
                .param("release", job.release(), java.sql.Types.BIGINT)
                .param("variant", job.variant())
                .query(Long.class)
                .single();
    }

    void verified(long job) {
        jdbc.sql("update unit_load set verified = true where id = (select max(id) from unit_load where job_id = :job)")
                .param("job", job)
                .update();
    }

    /** How what belongs to no channel was found set after the work. */
    void found(long job, String settings) {
        jdbc.sql(
                        "update unit_load set settings = :settings::jsonb where id = (select max(id) from unit_load where job_id = :job)")
                .param("job", job)
                .param("settings", settings)
                .update();
    }

    void check(long unit, Long other, AirCheckKind kind, long account, boolean good, String result) {
        check(unit, other, kind, account, good, result, false);
    }

    /** A check that somebody made on a real radio and ticked. */
    void ticked(long unit, Long other, AirCheckKind kind, long account, boolean good, String result) {
        check(unit, other, kind, account, good, result, true);
    }

    private void check(
            long unit, Long other, AirCheckKind kind, long account, boolean good, String result, boolean byHand) {
        note(
                account,
                unit,
                EnumWords.of(kind) + " check" + (byHand ? " by hand" : "") + ": " + (good ? "good" : "not good"));
        jdbc.sql(
                        "insert into air_check (unit_id, other_id, kind, account_id, good, result, by_hand) values (:unit, :other, :kind, :account, :good, :result::jsonb, :byHand)")
                .param("unit", unit)
                .param("other", other)
                .param("kind", EnumWords.of(kind))
                .param("account", account)
                .param("good", good)
                .param("result", result)
                .param("byHand", byHand)
                .update();
    }

    /** A check of a radio; by hand when somebody made it on the real one and ticked it. */
    record Check(
            long id,
            AirCheckKind kind,
            String other,
            OffsetDateTime at,
            String by,
            boolean good,
            String result,
            boolean byHand) {}

    List<Check> checks(long unit) {
        return jdbc.sql(
                        """
            select air_check.id, air_check.kind, coalesce(other.label, '') as other, air_check.at, account.name as by, air_check.good, air_check.result, air_check.by_hand
            from air_check left join radio_unit other on other.id = air_check.other_id join account on account.id = air_check.account_id
            where air_check.unit_id = :unit order by air_check.id desc limit 50
            """)
                .param("unit", unit)
                .query((row, n) -> new Check(
                        row.getLong("id"),
                        EnumWords.read(AirCheckKind.class, row.getString("kind")),
                        row.getString("other"),
                        row.getObject("at", OffsetDateTime.class),
                        row.getString("by"),
                        row.getBoolean("good"),
                        row.getString("result"),
                        row.getBoolean("by_hand")))
                .list();
    }

    /** What a simulated radio remembers. */
    record Remembered(byte[] image, String lock, boolean inhibited, String settings) {}

    Optional<Remembered> remembered(long unit) {
        return jdbc.sql(
                        "select image, lock, inhibited, settings::text as settings from simulated_radio where unit_id = :unit")
                .param("unit", unit)
                .query((row, n) -> new Remembered(
                        row.getBytes("image"),
                        row.getString("lock"),
                        row.getBoolean("inhibited"),
                        row.getString("settings")))
                .optional();
    }

    void remember(long unit, byte[] image, String lock, boolean inhibited, String settings) {
        jdbc.sql(
                        """
            insert into simulated_radio (unit_id, image, lock, inhibited, settings) values (:unit, :image, :lock, :inhibited, :settings::jsonb)
            on conflict (unit_id) do update set image = excluded.image, lock = excluded.lock, inhibited = excluded.inhibited,
              settings = excluded.settings
            """)
                .param("unit", unit)
                .param("image", image)
                .param("lock", lock)
                .param("inhibited", inhibited)
                .param("settings", settings)
                .update();
    }
}
