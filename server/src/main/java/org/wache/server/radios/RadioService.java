package org.wache.server.radios;

import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.wache.exchange.FileProblem;
import org.wache.exchange.RadioReader;
import org.wache.radio.Guard;
import org.wache.radio.LockMode;
import org.wache.radio.RadioModel;
import org.wache.server.accounts.AccountStore;
import org.wache.server.web.Json;
import org.wache.server.web.Missing;
import org.wache.server.web.OneLineText;
import org.wache.server.web.Refused;
import org.wache.server.web.Stale;
import tools.jackson.databind.json.JsonMapper;

/** Models and radios: each change is one transaction, recorded, and never made over somebody else's. */
@Service
public class RadioService {

    private static final int LONGEST_FILE = 100_000;
    private static final int MOST_UNITS = 5_000;
    private static final JsonMapper JSON = Json.MAPPER;
    private static final String CHANGED =
            "Somebody else changed it meanwhile. Nothing was saved: look at what is there now, and make your change again.";

    private final RadioStore store;
    private final AccountStore accounts;

    RadioService(RadioStore store, AccountStore accounts) {
        this.store = store;
        this.accounts = accounts;
    }

    void visible(long account, long club) {
        if (!accounts.isMember(account, club)) {
            throw new Missing("The group");
        }
    }

    /** A model by its name. */
    public record Named(long id, String name) {}

    /** The models of a group. */
    public java.util.List<Named> models(long account, long club) {
        visible(account, club);
        return store.models(club).stream()
                .map(model -> new Named(model.id(), model.name()))
                .toList();
    }

    /**
     * Takes in a model.
     *
     * @param body a file of the format {@code wache-radio/1}
     */
    @Transactional
    public long addModel(long account, long club, String body) {
        visible(account, club);
        RadioModel model = read(body);
        free(club, model, 0);
        long id = store.addModel(club, model.name(), body);
        store.record(club, account, "model", id, model.name(), null, body);
        return id;
    }

    @Transactional
    public void changeModel(long account, long id, int version, String body) {
        RadioStore.StoredModel before = store.model(account, id).orElseThrow(() -> new Missing("The model"));
        RadioModel model = read(body);
        free(before.clubId(), model, id);
        locksStay(before, model);
        listsStay(before, model);
        if (!store.changeModel(id, version, model.name(), body, false)) {
            throw new Stale(
                    CHANGED,
                    store.model(account, id).map(RadioStore.StoredModel::body).orElse(null));
        }
        store.record(before.clubId(), account, "model", id, before.name(), before.body(), body);
    }

    /** A setting that units have must not vanish from their model. */
    private void locksStay(RadioStore.StoredModel before, RadioModel after) {
        store.units(before.clubId()).stream()
                .filter(unit -> unit.modelId() == before.id() && !unit.lock().isEmpty())
                .filter(unit -> after.coverage().lock(unit.lock()).isEmpty())
                .findFirst()
                .ifPresent(unit -> {
                    throw new Refused(unit.label() + " is set to “" + unit.lock()
                            + "”, which the model would no longer have. Set the radio otherwise first.");
                });
    }

    /** Nor must one that a list is for. */
    private void listsStay(RadioStore.StoredModel before, RadioModel after) {
        store.meantFor(before.id()).stream()
                .filter(each -> !each.lock().isEmpty()
                        && after.coverage().lock(each.lock()).isEmpty())
                .findFirst()
                .ifPresent(each -> {
                    throw new Refused(each.list() + " is for " + before.name() + ", set to “" + each.lock()
                            + "”, which the model would no longer have. Choose other radios for it first.");
                });
    }

    @Transactional
    public void removeModel(long account, long id, int version) {
        RadioStore.StoredModel before = store.model(account, id).orElseThrow(() -> new Missing("The model"));
        if (store.isModelUsed(id)) {
            throw new Refused("There are radios of this model. Take them out first.");
        }
        if (!store.changeModel(id, version, before.name(), before.body(), true)) {
            throw new Stale(
                    CHANGED,
                    store.model(account, id).map(RadioStore.StoredModel::body).orElse(null));
        }
        store.record(before.clubId(), account, "model", id, before.name(), before.body(), null);
    }

    private void free(long club, RadioModel model, long except) {
        if (store.isModelNameTaken(club, model.name(), except)) {
            throw new Refused("There is a model " + model.name() + " already. Give this one another name.");
        }
    }

    private static RadioModel read(String body) {
        if (body.length() > LONGEST_FILE) {
            throw new Refused("A model has up to " + LONGEST_FILE + " characters.");
        }
        try {
            RadioModel model = RadioReader.model(body.getBytes(StandardCharsets.UTF_8));
            if (!OneLineText.of(model.name()).equals(model.name())) {
                throw new Refused(
                        "The name of a model is one line, without blanks before, behind or twice. Type it anew.");
            }
            return model;
        } catch (FileProblem e) {
            throw new Refused(e.getMessage() + ".");
        }
    }

    /** Takes in a radio. */
    @Transactional
    public long addUnit(long account, long club, UnitDraft given) {
        visible(account, club);
        UnitDraft draft = checked(account, club, given, 0);
        if (store.units(club).size() >= MOST_UNITS) {
            throw new Refused("A group has up to " + MOST_UNITS + " radios.");
        }
        long id = store.addUnit(club, draft);
        store.record(club, account, "unit", id, draft.label(), null, JSON.writeValueAsString(draft));
        return id;
    }

    @Transactional
    public void changeUnit(long account, long id, int version, UnitDraft given) {
        RadioStore.StoredUnit before = store.unit(account, id).orElseThrow(() -> new Missing("The radio"));
        UnitDraft draft = checked(account, before.clubId(), given, id);
        put(account, before, version, draft, false);
    }

    @Transactional
    public void removeUnit(long account, long id, int version) {
        RadioStore.StoredUnit before = store.unit(account, id).orElseThrow(() -> new Missing("The radio"));
        store.out(before.clubId()).stream()
                .filter(each -> each.unit() == id)
                .findFirst()
                .ifPresent(each -> {
                    throw new Refused(each.name() + " has this radio. Take it back first.");
                });
        put(account, before, version, draft(before), true);
    }

    private void put(long account, RadioStore.StoredUnit before, int version, UnitDraft draft, boolean removed) {
        if (store.isOnTheBench(before.id())) {
            throw new Refused(before.label() + " is on the bench just now. Wait until it is done, or stop it there.");
        }
        if (!store.changeUnit(before.id(), version, draft, removed)) {
            throw new Stale(CHANGED, store.unit(account, before.id()).orElse(null));
        }
        if (draft.model() != before.modelId()) {
            store.changeSettings(before.id(), version + 1, "{}"); // another model has other settings
        }
        store.record(
                before.clubId(),
                account,
                "unit",
                before.id(),
                before.label(),
                JSON.writeValueAsString(draft(before)),
                removed ? null : JSON.writeValueAsString(draft));
    }

    /** Sets one radio otherwise than its profile says, on the version that it was begun on. */
    @Transactional
    public void changeSettings(long account, long id, int version, java.util.Map<String, String> settings) {
        RadioStore.StoredUnit before = store.unit(account, id).orElseThrow(() -> new Missing("The radio"));
        SetOtherwise.check(settings, Fleet.model(store.modelOf(before.modelId())));
        if (store.isOnTheBench(id)) {
            throw new Refused(before.label() + " is on the bench just now. Wait until it is done, or stop it there.");
        }
        String after = JSON.writeValueAsString(settings);
        if (!store.changeSettings(id, version, after)) {
            throw new Stale(CHANGED, store.unit(account, id).orElse(null));
        }
        store.record(before.clubId(), account, "unit", id, before.label(), before.settings(), after);
    }

    /** Writes down what a radio has in its slots for band edges, on the version that it was begun on. */
    @Transactional
    void changeEdges(long account, long id, int version, String edges) {
        RadioStore.StoredUnit before = store.unit(account, id).orElseThrow(() -> new Missing("The radio"));
        String then = store.edges(id);
        if (!store.changeEdges(id, version, edges)) {
            throw new Stale(CHANGED, store.unit(account, id).orElse(null));
        }
        store.record(before.clubId(), account, "unit", id, before.label(), then, edges);
    }

    private static UnitDraft draft(RadioStore.StoredUnit unit) {
        return new UnitDraft(unit.modelId(), unit.serial(), unit.label(), unit.lock(), unit.inhibited(), unit.owner());
    }

    private UnitDraft checked(long account, long club, UnitDraft given, long except) {
        RadioModel model = store.model(account, given.model())
                .filter(stored -> stored.clubId() == club)
                .map(Fleet::model)
                .orElseThrow(() -> new Missing("The model"));
        String serial = given.serial().strip();
        if (store.isSerialTaken(club, serial, except)) {
            throw new Refused("There is a radio with the serial number " + serial + " already.");
        }
        Optional<LockMode> lock = model.coverage().lock(given.lock());
        if (lock.isEmpty()
                && !(given.lock().isBlank() && model.coverage().lockModes().isEmpty())) {
            throw new Refused(
                    model.coverage().lockModes().isEmpty()
                            ? model.name() + " has no lock settings."
                            : "Say how it is set: "
                                    + String.join(
                                            ", ",
                                            model.coverage().lockModes().stream()
                                                    .map(LockMode::name)
                                                    .toList())
                                    + ".");
        }
        boolean known = !model.guard().inhibits().isEmpty();
        if (given.inhibited() && known && !model.guard().inhibits().contains(Guard.Inhibit.RADIO)) {
            throw new Refused(model.name()
                    + " has no way to switch its whole transmitter off. Put a list into it in which every entry only listens, or"
                    + " choose another model.");
        }
        return new UnitDraft(
                given.model(),
                serial,
                given.label().strip(),
                lock.map(LockMode::name).orElse(""),
                given.inhibited(),
                given.owner().strip());
    }
}
