package org.wache.server.access;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** To which group belongs what a path names, and what somebody is in that group. */
@Component
class GroupOf {

    /** For each variable of a path the question that finds its group; in the order in which a path names them. */
    private static final Map<String, String> QUESTIONS = questions();

    private final JdbcClient jdbc;

    GroupOf(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    private static Map<String, String> questions() {
        Map<String, String> questions = new LinkedHashMap<>();
        questions.put("group", "select :id::bigint");
        questions.put("list", "select club_id from channel_list where id = :id");
        questions.put("intake", "select club_id from intake where id = :id");
        questions.put("party", "select club_id from party where id = :id");
        questions.put("unit", "select club_id from radio_unit where id = :id");
        questions.put("model", "select club_id from radio_model where id = :id");
        questions.put("run", "select club_id from bench_run where id = :id");
        questions.put(
                "job",
                "select bench_run.club_id from bench_job join bench_run on bench_run.id = bench_job.run_id where bench_job.id = :id");
        questions.put(
                "image",
                "select radio_unit.club_id from saved_image join radio_unit on radio_unit.id = saved_image.unit_id where saved_image.id = :id");
        questions.put("invitation", "select club_id from invitation where id = :id");
        questions.put("release", "select club_id from release where id = :id");
        questions.put("profile", "select club_id from settings_profile where id = :id and not removed");
        questions.put("station", "select club_id from station where id = :id and not removed");
        questions.put("area", "select club_id from area where id = :id and not removed");
        questions.put("operation", "select club_id from operation where id = :id and not removed");
        questions.put(
                "waiver",
                "select channel_list.club_id from waiver join channel_list on channel_list.id = waiver.list_id where waiver.id = :id");
        return questions;
    }

    /** The variable of a path that decides of which group it is: the first that has one. */
    static Optional<String> deciding(String path) {
        return QUESTIONS.keySet().stream()
                .filter(variable -> path.contains("{" + variable + "}"))
                .min(java.util.Comparator.comparingInt(variable -> path.indexOf("{" + variable + "}")));
    }

    /** What somebody is in a group. */
    record Part(String group, Role role) {}

    /** What the account of this login is in the group of what is named; nothing when they are not in it, or it is not there. */
    Optional<Part> part(String login, String variable, long id) {
        return jdbc.sql(
                        """
            select club.name as "group", membership.role from membership
            join account on account.id = membership.account_id and account.login = :login and not account.closed
            join club on club.id = membership.club_id
            where membership.club_id = (%s)
            """
                                .formatted(QUESTIONS.get(variable)))
                .param("login", login)
                .param("id", id)
                .query(Part.class)
                .optional();
    }

    /** Whether an account is there and open. */
    boolean isOpen(String login) {
        return jdbc.sql("select exists (select 1 from account where login = :login and not closed)")
                .param("login", login)
                .query(Boolean.class)
                .single();
    }

    boolean isAdministrator(String login) {
        return jdbc.sql("select exists (select 1 from account where login = :login and administrator and not closed)")
                .param("login", login)
                .query(Boolean.class)
                .single();
    }
}
