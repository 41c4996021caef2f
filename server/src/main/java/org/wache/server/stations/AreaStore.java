package org.wache.server.stations;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import org.wache.place.Circle;
import org.wache.server.forms.NamedForms;
import org.wache.server.log.Logbook;
import org.wache.server.web.Json;

/** Where the teams of a group work. */
@Repository
public class AreaStore {

    private static final int MOST = 200;

    private final NamedForms forms;

    AreaStore(JdbcClient jdbc, Logbook log) {
        this.forms = new NamedForms(jdbc, log, Logbook.Kind.AREA, MOST);
    }

    /** Where a team works. */
    public record Area(String team, Circle circle) {}

    /** The areas of a group, by the names of the teams. */
    public List<Area> of(long club) {
        return all(club).stream()
                .map(stored -> Json.MAPPER.readValue(stored.body(), AreaForm.class))
                .map(form -> new Area(form.name(), new Circle(form.middle(), form.radiusKm())))
                .toList();
    }

    List<NamedForms.Stored> all(long club) {
        return forms.all(club);
    }

    /** Adds one; body is the JSON of its form. */
    @Transactional
    public long add(long account, long club, String team, String body) {
        return forms.add(account, club, team, body);
    }

    @Transactional
    public void change(long account, long id, int seen, String team, String body) {
        forms.change(account, id, seen, team, body);
    }

    @Transactional
    public void remove(long account, long id, int seen) {
        forms.remove(account, id, seen);
    }
}
