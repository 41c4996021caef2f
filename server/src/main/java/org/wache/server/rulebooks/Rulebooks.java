package org.wache.server.rulebooks;

import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.wache.rulebook.Rulebook;
import org.wache.rulebook.RulebookProblem;
import org.wache.rulebook.RulebookReader;

/** The rulebooks: those that ship, with what an administrator added to them. */
@Component
public class Rulebooks {

    /** Combinations of additions that are kept as read; in force is one at a time, the others are being tried. */
    private static final int MOST = 20;

    private final JdbcClient jdbc;
    private final Map<List<String>, Rulebook> read = Caffeine.newBuilder()
            .maximumSize(MOST)
            .<List<String>, Rulebook>build()
            .asMap();

    Rulebooks(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** The usual one, and that of groups that chose none. */
    public static String usual() {
        return RulebookReader.ids().get(0);
    }

    /**
     * A rulebook with all additions that are in force.
     *
     * @throws RulebookProblem when there is none of that name
     */
    public Rulebook of(String id) {
        return with(id, added(id));
    }

    /** The rulebook of a group. */
    public Rulebook ofGroup(long club) {
        return of(idOfGroup(club));
    }

    /** The identifier of a group's rulebook. */
    public String idOfGroup(long club) {
        return jdbc.sql("select rulebook from club where id = :club")
                .param("club", club)
                .query(String.class)
                .optional()
                .orElseGet(Rulebooks::usual);
    }

    /** A group takes another rulebook; its licences, and so its roster, are told by it from now on. */
    void choose(long club, String id) {
        jdbc.sql("update club set rulebook = :id, roster_version = roster_version + 1 where id = :club")
                .param("id", id)
                .param("club", club)
                .update();
    }

    /** Counts every addition put in force or taken back: what was worked out under another number may be out of date. */
    public int version() {
        return jdbc.sql("select count(*) + count(taken_at) from rulebook_addition")
                .query(Integer.class)
                .single();
    }

    /** The texts of a rulebook's additions that are in force, in the order in which they were put. */
    public List<String> added(String id) {
        return jdbc.sql("select body from rulebook_addition where rulebook = :id and taken_at is null order by id")
                .param("id", id)
                .query(String.class)
                .list();
    }

    /** A rulebook with these additions; each combination is read once. */
    public Rulebook with(String id, List<String> additions) {
        if (additions.isEmpty()) {
            return RulebookReader.shipped(id);
        }
        List<String> key = java.util.stream.Stream.concat(java.util.stream.Stream.of(id), additions.stream())
                .toList();
        return read.computeIfAbsent(key, any -> RulebookReader.with(id, additions));
    }
}
