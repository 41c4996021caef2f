package org.wache.server.stations;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.wache.rulebook.StationData;
import org.wache.server.accounts.Account;
import org.wache.server.forms.NamedForms;
import org.wache.server.rulebooks.Rulebooks;
import org.wache.server.site.StationSheets;
import org.wache.server.web.Json;
import org.wache.server.web.Refused;
import tools.jackson.databind.json.JsonMapper;

/** Base and mobile stations of a group, and their figures. */
@RestController
class StationController {

    private static final JsonMapper JSON = Json.MAPPER;

    private final StationStore store;
    private final StationSheets sheets;
    private final Rulebooks rulebooks;
    private final Clock clock;

    StationController(StationStore store, StationSheets sheets, Rulebooks rulebooks, Clock clock) {
        this.store = store;
        this.sheets = sheets;
        this.rulebooks = rulebooks;
        this.clock = clock;
    }

    /** The stations, and the types of line that the table knows. */
    record Stations(
            List<StationView> stations,
            List<StationUse> uses,
            List<LineType> lines,
            String lineSource,
            double usualEfficiency) {}

    /** A list that names a base so. */
    record StationUse(String base, long list) {}

    record StationView(long id, int version, StationForm form, String changedBy, OffsetDateTime changedAt) {}

    /** A type of coaxial line with what 100 m of it lose. */
    record LineType(String name, String note, List<LinePoint> points) {}

    record LinePoint(double mhz, double decibels) {}

    /** New figures, begun on a version. */
    record StationChange(int version, @NotNull @Valid StationForm form) {}

    /** A station that a sheet is asked for; without entries all of the list that transmit, and without atOnce it has one transmitter. */
    record SheetOf(
            @NotNull @Valid StationForm form,
            long list,
            @NotNull List<@NotNull Long> entries,
            @NotNull List<@NotNull Long> atOnce) {}

    record StationMade(long id) {}

    @GetMapping("/api/groups/{group}/stations")
    Stations all(@PathVariable long group) {
        StationData data = rulebooks.ofGroup(group).on(LocalDate.now(clock)).stations();
        return new Stations(
                store.all(group).stream().map(StationController::view).toList(),
                store.uses(group).stream()
                        .map(each -> new StationUse(each.base(), each.list()))
                        .toList(),
                data.coax().lines().stream()
                        .map(line -> new LineType(
                                line.name(),
                                line.note(),
                                line.points().stream()
                                        .map(point -> new LinePoint(point.mhz(), point.decibels()))
                                        .toList()))
                        .toList(),
                data.coax().lines().stream()
                        .map(line -> line.source())
                        .findFirst()
                        .orElse(""),
                data.efficiency());
    }

    private static StationView view(NamedForms.Stored stored) {
        return new StationView(
                stored.id(),
                stored.version(),
                JSON.readValue(stored.body(), StationForm.class),
                stored.changedBy(),
                stored.changedAt());
    }

    @PostMapping("/api/groups/{group}/stations")
    @ResponseStatus(HttpStatus.CREATED)
    StationMade add(Account asking, @PathVariable long group, @Valid @RequestBody StationForm form) {
        return new StationMade(store.add(asking.id(), group, form.name().strip(), checked(form)));
    }

    @PutMapping("/api/stations/{station}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(Account asking, @PathVariable long station, @Valid @RequestBody StationChange change) {
        store.change(
                asking.id(), station, change.version(), change.form().name().strip(), checked(change.form()));
    }

    @DeleteMapping("/api/stations/{station}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(Account asking, @PathVariable long station, @RequestParam int version) {
        store.remove(asking.id(), station, version);
    }

    private static String checked(StationForm form) {
        form.station();
        form.place();
        if ((form.name() + form.note()).indexOf('\0') >= 0) {
            throw new Refused("A name or note holds control characters. Clean it.");
        }
        return JSON.writeValueAsString(form);
    }

    /** The figures of a station as it is being typed; nothing is saved. */
    @PostMapping("/api/groups/{group}/stations/sheet")
    StationSheets.Sheet sheet(Account asking, @PathVariable long group, @Valid @RequestBody SheetOf of) {
        try {
            return sheets.of(asking.id(), of.list(), of.form().station(), of.entries(), of.atOnce());
        } catch (IllegalArgumentException e) {
            throw new Refused(e.getMessage());
        }
    }
}
