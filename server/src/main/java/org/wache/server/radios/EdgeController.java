package org.wache.server.radios;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.wache.radio.RadioModel;
import org.wache.rulebook.EdgeCheck;
import org.wache.rulebook.EdgeTable;
import org.wache.server.accounts.Account;
import org.wache.server.rulebooks.EdgeTables;
import org.wache.server.rulebooks.Editions;
import org.wache.server.web.Json;
import org.wache.server.web.Missing;
import org.wache.server.web.Refused;
import org.wache.signal.Frequency;
import org.wache.signal.Span;
import tools.jackson.databind.json.JsonMapper;

/** What a transceiver really has in its slots for band edges, entered and compared with what a class wants there. */
@RestController
class EdgeController {

    private static final JsonMapper JSON = Json.MAPPER;

    private final RadioStore store;
    private final RadioService service;
    private final Editions editions;

    EdgeController(RadioStore store, RadioService service, Editions editions) {
        this.store = store;
        this.service = service;
        this.editions = editions;
    }

    /** A slot as it is typed: decimal MHz, where the dial may stand. */
    record EnteredEdge(@NotNull @Size(max = 12) String low, @NotNull @Size(max = 12) String high) {}

    /** The slots of a radio, in place of the version that was begun on. */
    record EnteredEdges(int version, @NotNull @Size(max = 99) List<@NotNull @Valid EnteredEdge> edges) {}

    /** A slot of the table; where the dial may stand, hertz. */
    record WantedEdge(int number, String band, long low, long high) {}

    /** A slot as it was entered, and the table's that it comes nearest to; below and above are how far it reaches out of that, hertz. */
    record ComparedEdge(
            long low,
            long high,
            EdgeCheck.Kind kind,
            @Schema(nullable = true) WantedEdge wanted,
            long below,
            long above) {}

    /** The slots of a radio compared; slots is how many it has. */
    record ComparedEdges(
            int version, int slots, List<String> classes, List<ComparedEdge> entered, List<WantedEdge> missing) {}

    @GetMapping("/api/units/{unit}/edges")
    ComparedEdges edges(
            Account asking,
            @PathVariable long unit,
            @RequestParam(name = "class") String licenceClass,
            @RequestParam List<String> send) {
        RadioStore.StoredUnit stored = store.unit(asking.id(), unit).orElseThrow(() -> new Missing("The radio"));
        int slots = slots(stored);
        if (send.stream().allMatch(String::isBlank)) {
            throw new Refused("Say what is to be sent: cw, data, ssb, fm or image.");
        }
        var edition = editions.ofGroup(asking.id(), stored.clubId());
        EdgeTable table = EdgeTables.of(
                edition,
                licenceClass,
                send.stream().filter(each -> !each.isBlank()).toList(),
                List.of(),
                slots);
        RadioModel model = Fleet.model(store.modelOf(stored.modelId()));
        EdgeCheck check = EdgeCheck.of(
                table, entered(store.edges(unit)), Fleet.radio(stored, model).transmits());
        return new ComparedEdges(
                stored.version(),
                slots,
                edition.planned().orElseThrow().traits().classes(),
                check.lines().stream()
                        .map(line -> new ComparedEdge(
                                line.entered().low(),
                                line.entered().high(),
                                line.kind(),
                                line.wanted().map(EdgeController::wanted).orElse(null),
                                line.belowHz(),
                                line.aboveHz()))
                        .toList(),
                check.missing().stream().map(EdgeController::wanted).toList());
    }

    private static int slots(RadioStore.StoredUnit unit, RadioStore.StoredModel model) {
        return Fleet.readable(model)
                .map(each -> each.memory().edgeSlots().orElse(0))
                .filter(many -> many > 0)
                .orElseThrow(() -> new Refused(unit.label() + " has no slots for band edges."));
    }

    private int slots(RadioStore.StoredUnit unit) {
        return slots(unit, store.modelOf(unit.modelId()));
    }

    private static WantedEdge wanted(EdgeTable.Slot slot) {
        return new WantedEdge(
                slot.number(), slot.band(), slot.dial().low(), slot.dial().high());
    }

    private static List<Span> entered(String json) {
        List<Span> all = new ArrayList<>();
        JSON.readTree(json)
                .forEach(each -> all.add(Span.ofMegahertz(
                        each.path("low").asString("") + "-" + each.path("high").asString(""))));
        return all;
    }

    @PutMapping("/api/units/{unit}/edges")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void enter(Account asking, @PathVariable long unit, @Valid @RequestBody EnteredEdges change) {
        RadioStore.StoredUnit stored = store.unit(asking.id(), unit).orElseThrow(() -> new Missing("The radio"));
        if (change.edges().size() > slots(stored)) {
            throw new Refused(stored.label() + " has " + slots(stored) + " slots for band edges.");
        }
        List<EnteredEdge> checked = new ArrayList<>();
        for (EnteredEdge each : change.edges()) {
            Optional<Frequency> low = Frequency.ofMegahertz(each.low().strip());
            Optional<Frequency> high = Frequency.ofMegahertz(each.high().strip());
            if (low.isEmpty() || high.isEmpty() || low.get().compareTo(high.get()) >= 0) {
                throw new Refused("Slot " + (checked.size() + 1)
                        + ": write two frequencies in MHz, the lower first, such as 14.150 and 14.350.");
            }
            checked.add(new EnteredEdge(low.get().megahertz(), high.get().megahertz()));
        }
        service.changeEdges(asking.id(), unit, change.version(), JSON.writeValueAsString(checked));
    }
}
