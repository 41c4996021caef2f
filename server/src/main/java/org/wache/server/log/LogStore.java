package org.wache.server.log;

import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.wache.server.web.EnumWords;

/** Reads the log. */
@Repository
class LogStore {

    private final JdbcClient jdbc;

    LogStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** A line of the log; before and after are JSON. */
    record Line(
            long id,
            OffsetDateTime at,
            String who,
            Logbook.Kind kind,
            Long subjectId,
            String subject,
            String what,
            String before,
            String after) {}

    /** What is looked for; empty for everything. */
    record Sought(
            Optional<Logbook.Kind> kind,
            Optional<String> who,
            Optional<Long> subject,
            Optional<LocalDate> from,
            Optional<LocalDate> to,
            Optional<String> text,
            Optional<Long> olderThan) {}

    /** The newest lines of a group, or of the installation where it is null, that fit what is sought. */
    List<Line> lines(Long club, Sought sought, int most) {
        StringBuilder where = new StringBuilder(club == null ? "club_id is null" : "club_id = :club");
        sought.kind().ifPresent(any -> where.append(" and kind = :kind"));
        sought.who().ifPresent(any -> where.append(" and who = :who"));
        sought.subject().ifPresent(any -> where.append(" and subject_id = :subject"));
        sought.from().ifPresent(any -> where.append(" and at >= :from"));
        sought.to().ifPresent(any -> where.append(" and at < :to::date + 1"));
        sought.text()
                .ifPresent(
                        any -> where.append(
                                " and position(lower(:text) in lower(subject || ' ' || what || ' ' || coalesce(before::text, '') || ' ' || coalesce(after::text, ''))) > 0"));
        sought.olderThan().ifPresent(any -> where.append(" and id < :older"));
        JdbcClient.StatementSpec question = jdbc.sql(
                        "select id, at, who, kind, subject_id, subject, what, before, after from log where " + where
                                + " order by id desc limit :most")
                .param("most", most);
        if (club != null) {
            question = question.param("club", club);
        }
        question = with(question, "kind", sought.kind().map(EnumWords::of));
        question = with(question, "who", sought.who());
        question = with(question, "subject", sought.subject());
        question = with(question, "from", sought.from());
        question = with(question, "to", sought.to());
        question = with(question, "text", sought.text());
        question = with(question, "older", sought.olderThan());
        return question.query((row, n) -> new Line(
                        row.getLong("id"),
                        row.getObject("at", OffsetDateTime.class),
                        row.getString("who"),
                        EnumWords.read(Logbook.Kind.class, row.getString("kind")),
                        row.getObject("subject_id", Long.class),
                        row.getString("subject"),
                        row.getString("what"),
                        row.getString("before"),
                        row.getString("after")))
                .list();
    }

    private static JdbcClient.StatementSpec with(JdbcClient.StatementSpec question, String name, Optional<?> value) {
        return value.isPresent() ? question.param(name, value.get()) : question;
    }

    /** Everyone whose name is in the log of a group. */
    List<String> people(long club) {
        return jdbc.sql("select distinct who from log where club_id = :club order by who")
                .param("club", club)
                .query(String.class)
                .list();
    }
}
