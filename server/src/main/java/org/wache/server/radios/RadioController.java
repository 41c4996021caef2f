package org.wache.server.radios;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.OffsetDateTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
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
import org.wache.exchange.FileProblem;
import org.wache.radio.LockMode;
import org.wache.radio.RadioModel;
import org.wache.reference.RadioFacts;
import org.wache.rulebook.Edition;
import org.wache.server.accounts.Account;
import org.wache.server.rulebooks.Editions;
import org.wache.server.web.EnumWords;
import org.wache.server.web.Json;
import org.wache.server.web.Missing;
import tools.jackson.databind.json.JsonMapper;

/** Models of radio, the radios of a group, and who has them. */
@RestController
class RadioController {

    private static final JsonMapper JSON = Json.MAPPER;

    private final RadioStore store;
    private final RadioService service;
    private final Contents contents;
    private final Editions editions;

    RadioController(RadioStore store, RadioService service, Contents contents, Editions editions) {
        this.contents = contents;
        this.store = store;
        this.service = service;
        this.editions = editions;
    }

    /** The radios of a group. */
    record Radios(List<ModelView> models, List<UnitView> units) {}

    /** A model: what it can do in words, and its file. */
    record ModelView(
            long id,
            int version,
            String name,
            String kind,
            String note,
            List<Ability> abilities,
            List<String> locks,
            int units,
            boolean keypad,
            Map<String, Object> body) {}

    /** An ability in words. */
    record Ability(String what, String value) {}

    /**
     * A radio: held is why it may not be handed out; bench is the state of the newest work on it; notTheirs what whoever has it may not key of what is in it.
     */
    record UnitView(
            long id,
            int version,
            long model,
            String modelName,
            String serial,
            String label,
            String lock,
            boolean inhibited,
            String owner,
            @Schema(nullable = true) Custody carrier,
            @Schema(nullable = true) Load load,
            List<RadioFact> facts,
            @Schema(nullable = true) String held,
            @Schema(nullable = true) JobState bench,
            @Schema(nullable = true) Long run,
            List<Contents.NotTheirs> notTheirs) {}

    /** Who has a radio, or had it; with is what was in it when it was handed out. */
    record Custody(
            long id,
            long party,
            String name,
            String with,
            String note,
            OffsetDateTime outAt,
            String outBy,
            @Schema(nullable = true) OffsetDateTime inAt,
            @Schema(nullable = true) String inBy,
            String inNote) {}

    /** What was put into a radio: a release, by its number; newest is the release of that list that is in use; whom it was written for, null for nobody in particular; declared when somebody says that it is in there; wrong how many entries they found wrong. */
    record Load(
            long list,
            String name,
            int version,
            @Schema(nullable = true) Integer number,
            @Schema(nullable = true) Integer newest,
            boolean recalled,
            int entries,
            OffsetDateTime at,
            String by,
            boolean verified,
            @Schema(nullable = true) DeclaredHow declared,
            @Schema(nullable = true) String whom,
            int wrong) {}

    /** What is to be known of a radio. */
    record RadioFact(boolean warning, String text, String source) {}

    /** A model as a file. */
    record ModelFile(@NotNull Map<String, Object> body) {}

    /** A model as a file, in place of the version that it was begun on. */
    record ModelChange(int version, @NotNull Map<String, Object> body) {}

    /** A radio, in place of the version that it was begun on. */
    record UnitChange(int version, @NotNull @Valid UnitDraft unit) {}

    /** The key of what was made. */
    record RadioMade(long id) {}

    /** Everything that happened to a radio. */
    record UnitHistory(UnitView unit, List<Load> loads, List<Custody> custody) {}

    @GetMapping("/api/groups/{group}/radios")
    Radios radios(Account asking, @PathVariable long group) {
        service.visible(asking.id(), group);
        List<RadioStore.StoredModel> models = store.models(group);
        List<UnitView> units = units(group, editions.ofGroup(asking.id(), group));
        Map<Long, Long> counts = units.stream().collect(Collectors.groupingBy(UnitView::model, Collectors.counting()));
        return new Radios(
                models.stream()
                        .map(each ->
                                model(each, counts.getOrDefault(each.id(), 0L).intValue()))
                        .toList(),
                units);
    }

    @SuppressWarnings("unchecked")
    private static ModelView model(RadioStore.StoredModel stored, int units) {
        Map<String, Object> body = JSON.readValue(stored.body(), Map.class);
        RadioModel model;
        try {
            model = Fleet.model(stored);
        } catch (FileProblem e) {
            return new ModelView(
                    stored.id(),
                    stored.version(),
                    stored.name(),
                    "",
                    String.valueOf(body.getOrDefault("note", "")),
                    List.of(new Ability("Cannot be read", e.getMessage() + ". Change it.")),
                    List.of(),
                    units,
                    false,
                    body);
        }
        return new ModelView(
                stored.id(),
                stored.version(),
                stored.name(),
                model.kind().map(kind -> kind.words()).orElse(""),
                String.valueOf(body.getOrDefault("note", "")),
                Abilities.of(model).stream()
                        .map(each -> new Ability(each.what(), each.value()))
                        .toList(),
                model.coverage().lockModes().stream().map(LockMode::name).toList(),
                units,
                model.keypad().isPresent(),
                body);
    }

    private List<UnitView> units(long group, Edition edition) {
        Map<Long, RadioStore.StoredModel> models = new HashMap<>();
        Map<Long, RadioStore.Held> out = byUnit(store.out(group), RadioStore.Held::unit);
        Map<Long, RadioStore.Loaded> loads = byUnit(store.loads(group), RadioStore.Loaded::unit);
        Map<Long, RadioStore.OutOfTolerance> held =
                byUnit(store.outOfTolerance(group), RadioStore.OutOfTolerance::unit);
        Map<Long, Contents.InHand> inHands = contents.inHands(group);
        Map<Long, List<String>> refused = contents.refused(group);
        Map<Long, RadioStore.Work> work = byUnit(store.work(group), RadioStore.Work::unit);
        return store.units(group).stream()
                .map(unit -> {
                    RadioStore.StoredModel model = models.computeIfAbsent(unit.modelId(), store::modelOf);
                    List<RadioFact> facts = Fleet.readable(model)
                            .map(read -> RadioFacts.of(Fleet.radio(unit, read), edition).stream()
                                    .map(fact -> new RadioFact(
                                            fact.weight() == RadioFacts.Weight.WARNING, fact.text(), fact.source()))
                                    .toList())
                            .orElseGet(() -> List.of(
                                    new RadioFact(true, "Its model cannot be read; nothing of it can be judged.", "")));
                    if (refused.containsKey(unit.id())) {
                        facts = Stream.concat(
                                        facts.stream(),
                                        refused.get(unit.id()).stream()
                                                .map(text ->
                                                        new RadioFact(true, text, "the release and the model's data")))
                                .toList();
                    }
                    RadioStore.Work newest = work.get(unit.id());
                    return new UnitView(
                            unit.id(),
                            unit.version(),
                            unit.modelId(),
                            model.name(),
                            unit.serial(),
                            unit.label(),
                            unit.lock(),
                            unit.inhibited(),
                            unit.owner(),
                            out.containsKey(unit.id()) ? custody(out.get(unit.id())) : null,
                            loads.containsKey(unit.id()) ? load(loads.get(unit.id())) : null,
                            facts,
                            held.containsKey(unit.id()) ? held.get(unit.id()).message() : null,
                            newest == null ? null : newest.state(),
                            newest == null ? null : newest.run(),
                            inHands.containsKey(unit.id())
                                    ? inHands.get(unit.id()).notTheirs()
                                    : List.of());
                })
                .toList();
    }

    private static <T> Map<Long, T> byUnit(List<T> all, Function<T, Long> unit) {
        return all.stream().collect(Collectors.toMap(unit, each -> each, (one, other) -> one));
    }

    private static Custody custody(RadioStore.Held held) {
        return new Custody(
                held.id(),
                held.party(),
                held.name(),
                held.with(),
                held.note(),
                held.outAt(),
                held.outBy(),
                held.inAt(),
                held.inBy(),
                held.inNote());
    }

    private static Load load(RadioStore.Loaded loaded) {
        return new Load(
                loaded.list(),
                loaded.listName(),
                loaded.listVersion(),
                loaded.number(),
                loaded.newest(),
                loaded.recalled(),
                loaded.entries(),
                loaded.at(),
                loaded.by(),
                loaded.verified(),
                loaded.declared() == null ? null : EnumWords.read(DeclaredHow.class, loaded.declared()),
                loaded.whom(),
                loaded.wrong());
    }

    @GetMapping("/api/units/{unit}")
    UnitHistory unit(Account asking, @PathVariable long unit) {
        RadioStore.StoredUnit stored = store.unit(asking.id(), unit).orElseThrow(() -> new Missing("The radio"));
        UnitView view = units(stored.clubId(), editions.ofGroup(asking.id(), stored.clubId())).stream()
                .filter(each -> each.id() == unit)
                .findFirst()
                .orElseThrow();
        return new UnitHistory(
                view,
                store.loadsOf(unit).stream().map(RadioController::load).toList(),
                store.custody(unit).stream().map(RadioController::custody).toList());
    }

    @PostMapping("/api/groups/{group}/models")
    @ResponseStatus(HttpStatus.CREATED)
    RadioMade addModel(Account asking, @PathVariable long group, @Valid @RequestBody ModelFile file) {
        return new RadioMade(service.addModel(asking.id(), group, JSON.writeValueAsString(file.body())));
    }

    @PutMapping("/api/models/{model}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changeModel(Account asking, @PathVariable long model, @Valid @RequestBody ModelChange change) {
        service.changeModel(asking.id(), model, change.version(), JSON.writeValueAsString(change.body()));
    }

    @DeleteMapping("/api/models/{model}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeModel(Account asking, @PathVariable long model, @RequestParam int version) {
        service.removeModel(asking.id(), model, version);
    }

    @PostMapping("/api/groups/{group}/units")
    @ResponseStatus(HttpStatus.CREATED)
    RadioMade addUnit(Account asking, @PathVariable long group, @Valid @RequestBody UnitDraft unit) {
        return new RadioMade(service.addUnit(asking.id(), group, unit));
    }

    @PutMapping("/api/units/{unit}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changeUnit(Account asking, @PathVariable long unit, @Valid @RequestBody UnitChange change) {
        service.changeUnit(asking.id(), unit, change.version(), change.unit());
    }

    @DeleteMapping("/api/units/{unit}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeUnit(Account asking, @PathVariable long unit, @RequestParam int version) {
        service.removeUnit(asking.id(), unit, version);
    }
}
