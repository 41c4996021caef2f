package org.wache.server.log;

import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.wache.server.web.EnumWords;

/**
 * The log: who did what, when, to what. Whoever changes something writes it down in the same transaction. The role under
 * which the server works may add to it and read it, nothing else.
 */
@Component
public class Logbook {

    private final JdbcClient jdbc;

    Logbook(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** What something was done to. */
    public enum Kind {
        LIST,
        ROSTER,
        RADIO,
        BENCH,
        PLAN,
        TONES,
        RELEASE,
        PEOPLE,
        ACCOUNT,
        RULEBOOK,
        STATION,
        OPERATION,
        AREA
    }

    /**
     * Something that was done.
     *
     * @param kind of what it was done to
     * @param id key of that; null when it has none
     * @param subject what that is called
     * @param what was done, in words
     * @param before JSON of what was before; null when there was nothing
     * @param after JSON of what is after; null when there is nothing
     */
    public record Deed(Kind kind, Long id, String subject, String what, String before, String after) {

        /** Something that was done of which nothing but words is to be kept. */
        public static Deed of(Kind kind, Long id, String subject, String what) {
            return new Deed(kind, id, subject, what, null, null);
        }
    }

    /** Writes down what an account did in a group; null for what concerns the installation. */
    public void add(long account, Long club, Deed deed) {
        jdbc.sql(
                        """
            insert into log (club_id, account_id, who, kind, subject_id, subject, what, before, after)
            select :club, account.id, account.name, :kind, :id, :subject, :what, :before::jsonb, :after::jsonb from account where id = :account
            """)
                .param("club", club, java.sql.Types.BIGINT)
                .param("account", account)
                .param("kind", EnumWords.of(deed.kind()))
                .param("id", deed.id(), java.sql.Types.BIGINT)
                .param("subject", deed.subject())
                .param("what", deed.what())
                .param("before", deed.before(), java.sql.Types.VARCHAR)
                .param("after", deed.after(), java.sql.Types.VARCHAR)
                .update();
    }
}
