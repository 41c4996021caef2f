package org.wache.server.stations;

import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.wache.place.Place;
import org.wache.server.forms.NamedForms;
import org.wache.server.web.Json;
import org.wache.station.Station;

/** The stations of a group with where they stand, for what is worked out of both. */
@Component
public class SitedStations {

    private final StationStore store;

    SitedStations(StationStore store) {
        this.store = store;
    }

    /** A station; place is empty when nobody said where it stands, or when it drives about. */
    public record Sited(String name, Station station, Optional<Place> place) {}

    /** The stations of a group, by name. */
    public List<Sited> of(long club) {
        return store.all(club).stream().map(SitedStations::sited).toList();
    }

    private static Sited sited(NamedForms.Stored stored) {
        StationForm form = Json.MAPPER.readValue(stored.body(), StationForm.class);
        return new Sited(form.name(), form.station(), form.place());
    }
}
