package org.wache.server.demo;

import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.Month;
import java.time.temporal.TemporalAdjusters;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.wache.server.operations.OperationStore;
import org.wache.server.web.Json;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The demo's operation: in its file lists go by their names, entries by their numbers, people by their names, hours by days after the first. */
@Component
class DemoOperations {

    private final JdbcClient jdbc;
    private final OperationStore store;
    private final Clock clock;

    DemoOperations(JdbcClient jdbc, OperationStore store, Clock clock) {
        this.jdbc = jdbc;
        this.store = store;
        this.clock = clock;
    }

    void add(long account, long club, JsonNode file, Map<String, Long> people) {
        LocalDate first = springHighWater();
        ObjectNode form = (ObjectNode) file.deepCopy();
        form.put("from", hour(first, file.path("from").asString()));
        form.put("until", hour(first, file.path("until").asString()));
        var lists = form.putArray("lists");
        file.path("lists").forEach(name -> lists.add(list(club, name.asString())));
        form.path("watches").forEach(each -> watch((ObjectNode) each, club, first, people));
        store.add(account, club, file.path("name").asString(), Json.MAPPER.writeValueAsString(form));
    }

    private void watch(ObjectNode watch, long club, LocalDate first, Map<String, Long> people) {
        ObjectNode who = (ObjectNode) watch.path("who");
        if (who.path("party").isString()) {
            who.put("party", people.get(who.path("party").asString()));
        }
        for (String field : new String[] {"from", "until"}) {
            if (watch.path(field).isString()) {
                watch.put(field, hour(first, watch.path(field).asString()));
            }
        }
        for (String field : new String[] {"talk", "fallback"}) {
            if (watch.path(field).isObject()) {
                entry((ObjectNode) watch.path(field), club);
            }
        }
        watch.path("also").forEach(each -> entry((ObjectNode) each, club));
    }

    private void entry(ObjectNode entry, long club) {
        long list = list(club, entry.path("list").asString());
        entry.put(
                "entry",
                jdbc.sql("select id from entry where list_id = :list and number = :number and not removed")
                        .param("list", list)
                        .param("number", entry.path("entry").asString())
                        .query(Long.class)
                        .single());
        entry.put("list", list);
    }

    private long list(long club, String name) {
        return jdbc.sql("select id from channel_list where club_id = :club and name = :name")
                .param("club", club)
                .param("name", name)
                .query(Long.class)
                .single();
    }

    /** The second Saturday of the next March. */
    private LocalDate springHighWater() {
        LocalDate today = LocalDate.now(clock);
        LocalDate march = LocalDate.of(today.getYear(), Month.MARCH, 1);
        LocalDate there = march.with(TemporalAdjusters.dayOfWeekInMonth(2, DayOfWeek.SATURDAY));
        return there.isAfter(today)
                ? there
                : march.plusYears(1).with(TemporalAdjusters.dayOfWeekInMonth(2, DayOfWeek.SATURDAY));
    }

    /** Such as 0 07:00: the first day, seven in the morning. */
    private static String hour(LocalDate first, String text) {
        return first.plusDays(Long.parseLong(text.substring(0, text.indexOf(' ')))) + "T"
                + text.substring(text.indexOf(' ') + 1);
    }
}
