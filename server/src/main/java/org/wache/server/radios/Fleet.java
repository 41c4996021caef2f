package org.wache.server.radios;

import com.github.benmanes.caffeine.cache.Caffeine;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.wache.exchange.FileProblem;
import org.wache.exchange.RadioReader;
import org.wache.radio.LockMode;
import org.wache.radio.Radio;
import org.wache.radio.RadioModel;
import org.wache.server.accounts.AccountStore;
import org.wache.server.web.Missing;
import org.wache.server.web.Refused;
import org.wache.signal.Span;
import org.wache.signal.Tone;

/** The radios of a group as the audit and the bench need them. */
@Component
public class Fleet {

    private final RadioStore store;
    private final AccountStore accounts;

    Fleet(RadioStore store, AccountStore accounts) {
        this.store = store;
        this.accounts = accounts;
    }

    /**
     * A model in one setting.
     *
     * @param model its key
     * @param radio the model as it is set
     * @param units how many units are set so
     */
    public record Setting(long model, Radio radio, int units) {

        /** What messages call it. */
        public String words() {
            String how = radio.inhibited()
                    ? ", transmitter off"
                    : radio.lock().map(lock -> ", set to “" + lock.name() + "”").orElse("");
            String off = radio.off().isEmpty() || radio.inhibited()
                    ? ""
                    : ", transmit off on "
                            + radio.off().stream()
                                    .map(span -> plain(span.low()) + "–" + plain(span.high()))
                                    .collect(java.util.stream.Collectors.joining(" and "))
                            + " MHz";
            return radio.model().name() + how + off;
        }

        private static String plain(long hertz) {
            return java.math.BigDecimal.valueOf(hertz, 6).stripTrailingZeros().toPlainString();
        }
    }

    /**
     * One unit: its key, and how it is to be in this version of its data.
     *
     * @param otherwise what it is to be set to otherwise than its profile says, by what tells settings apart
     */
    public record Unit(long id, long club, int version, String serial, Radio radio, Map<String, String> otherwise) {}

    /** The models that have tables of tones of their own, with their tones in the order of the models' own numbers. */
    public Map<String, List<Tone>> toneTables(long club) {
        Map<String, List<Tone>> tables = new LinkedHashMap<>();
        store.models(club).stream()
                .flatMap(each -> readable(each).stream())
                .filter(model -> !model.tones().table().isEmpty())
                .forEach(model -> tables.put(model.name(), model.tones().table()));
        return tables;
    }

    /** Every model in every setting that units have; a model without units in no particular setting. */
    public List<Setting> settings(long club) {
        List<Setting> all = new ArrayList<>();
        Map<Long, Map<List<Object>, Integer>> units = new LinkedHashMap<>();
        for (RadioStore.StoredUnit unit : store.units(club)) {
            units.computeIfAbsent(unit.modelId(), any -> new LinkedHashMap<>())
                    .merge(List.of(unit.lock(), unit.inhibited()), 1, Integer::sum);
        }
        for (RadioStore.StoredModel stored : store.models(club)) {
            Optional<RadioModel> read = readable(stored);
            if (read.isEmpty()) {
                continue; // the page of the radios says so, and a list that is meant for it cannot be judged
            }
            RadioModel model = read.get();
            Map<List<Object>, Integer> set = units.getOrDefault(stored.id(), Map.of());
            if (set.isEmpty()) {
                all.add(new Setting(stored.id(), Radio.of(model), 0));
            }
            set.forEach((how, count) -> all.add(new Setting(
                    stored.id(),
                    new Radio(
                            model, model.coverage().lock((String) how.get(0)), Optional.empty(), (Boolean) how.get(1)),
                    count)));
        }
        return all;
    }

    /**
     * Makes sure that a model of a group can be set so.
     *
     * @param lock name of the setting; empty for none in particular
     */
    public void settable(long club, long model, String lock) {
        RadioModel found = store.models(club).stream()
                .filter(each -> each.id() == model)
                .findFirst()
                .flatMap(Fleet::readable)
                .orElseThrow(() -> new Missing("A radio that you chose"));
        if (!lock.isEmpty() && found.coverage().lock(lock).isEmpty()) {
            throw new Refused(found.name() + " has no setting “" + lock + "”. Choose one of "
                    + found.coverage().lockModes().stream().map(LockMode::name).toList() + ".");
        }
    }

    /** A model as it is set, with how many units are set so now. */
    public Setting setting(long club, long model, String lock, boolean inhibited) {
        return settings(club).stream()
                .filter(each -> each.model() == model
                        && each.radio().inhibited() == inhibited
                        && each.radio().lock().map(LockMode::name).orElse("").equals(lock))
                .findFirst()
                .orElseGet(() -> {
                    RadioModel found = model(store.modelOf(model));
                    return new Setting(
                            model, new Radio(found, found.coverage().lock(lock), Optional.empty(), inhibited), 0);
                });
    }

    /** How a unit is set now. */
    public Setting settingOf(long unit) {
        RadioStore.StoredUnit stored = store.unitOf(unit);
        Setting alike = setting(stored.clubId(), stored.modelId(), stored.lock(), stored.inhibited());
        List<Span> off = SetOtherwise.off(
                SetOtherwise.read(stored.settings()), alike.radio().model());
        return off.isEmpty() ? alike : new Setting(alike.model(), alike.radio().without(off), 1);
    }

    /** A radio by its key and label. */
    public record Named(long id, String label) {}

    /** The units of a group that are set so. */
    public List<Named> unitsOf(long club, Setting setting) {
        return store.units(club).stream()
                .filter(unit -> unit.modelId() == setting.model()
                        && unit.inhibited() == setting.radio().inhibited()
                        && unit.lock()
                                .equals(setting.radio()
                                        .lock()
                                        .map(LockMode::name)
                                        .orElse(""))
                        && SetOtherwise.off(
                                        SetOtherwise.read(unit.settings()),
                                        setting.radio().model())
                                .equals(setting.radio().off()))
                .map(unit -> new Named(unit.id(), unit.label()))
                .toList();
    }

    /** The files of the models of a group, by key. */
    public Map<Long, String> bodies(long club) {
        Map<Long, String> bodies = new LinkedHashMap<>();
        store.models(club).forEach(model -> bodies.put(model.id(), model.body()));
        return bodies;
    }

    /** Files of models by their text: each is read once, however many radios are of it. */
    private static final Map<String, RadioModel> READ =
            Caffeine.newBuilder().maximumSize(500).<String, RadioModel>build().asMap();

    static RadioModel model(RadioStore.StoredModel stored) {
        return READ.computeIfAbsent(stored.body(), body -> RadioReader.model(body.getBytes(StandardCharsets.UTF_8)));
    }

    /** A model, unless it was entered before all of it was checked, and cannot be. */
    static Optional<RadioModel> readable(RadioStore.StoredModel stored) {
        try {
            return Optional.of(model(stored));
        } catch (FileProblem e) {
            return Optional.empty();
        }
    }

    static Radio radio(RadioStore.StoredUnit unit, RadioModel model) {
        Optional<LockMode> lock = model.coverage().lock(unit.lock());
        return new Radio(
                model,
                lock,
                Optional.of(unit.label()),
                unit.inhibited(),
                SetOtherwise.off(SetOtherwise.read(unit.settings()), model));
    }

    /** Makes sure that the account is in the group. */
    public void visible(long account, long club) {
        if (!accounts.isMember(account, club)) {
            throw new Missing("The group");
        }
    }

    /** A model that the account may see. */
    public RadioModel model(long account, long model) {
        return store.model(account, model).map(Fleet::model).orElseThrow(() -> new Missing("The model"));
    }

    /** A unit that the account may see. */
    public Unit unit(long account, long unit) {
        return unit(store.unit(account, unit).orElseThrow(() -> new Missing("The radio")));
    }

    /** A unit, for work that somebody was allowed to begin. */
    public Unit unitOf(long unit) {
        return unit(store.unitOf(unit));
    }

    private Unit unit(RadioStore.StoredUnit stored) {
        return new Unit(
                stored.id(),
                stored.clubId(),
                stored.version(),
                stored.serial(),
                radio(stored, model(store.modelOf(stored.modelId()))),
                SetOtherwise.read(stored.settings()));
    }

    /** Writes down a change of what belongs to the radios of a group, in a version of its own; null before or after what was not there. */
    public void record(long club, long account, String what, long subject, String name, String before, String after) {
        store.record(club, account, what, subject, name, before, after);
    }

    /** Who has a radio. */
    public record Custody(long unit, long party, String name) {}

    /** The models of a group that entries can be typed into, by their keys, in the order of their names. */
    public Map<Long, String> typeable(long club) {
        Map<Long, String> all = new LinkedHashMap<>();
        store.models(club).forEach(each -> readable(each)
                .filter(model -> model.keypad().isPresent())
                .ifPresent(model -> all.put(each.id(), model.name())));
        return all;
    }

    /** What was put into a radio last: a list, and how people call it. */
    public record Inside(long list, String words) {}

    /** What is in a radio; nothing when nothing was put into it. */
    public Optional<Inside> inside(long unit) {
        return store.loadsOf(unit).stream()
                .findFirst()
                .map(load -> new Inside(
                        load.list(), load.listName() + (load.number() == null ? "" : ", release " + load.number())));
    }

    /** Who has the radios of a group, by radio; those on the shelf are not among them. */
    public Map<Long, Custody> custody(long club) {
        Map<Long, Custody> out = new LinkedHashMap<>();
        store.out(club).forEach(each -> out.put(each.unit(), new Custody(each.unit(), each.party(), each.name())));
        return out;
    }

    /** A radio in somebody's hand; mark is another when it was changed, written or tried since. */
    public record Hand(long party, long unit, String mark) {}

    /** The radios in the hands of some of the roster, in the order of their entry. */
    public List<Hand> hands(List<Long> parties) {
        return store.hands(parties).stream()
                .map(each ->
                        new Hand(each.party(), each.unit(), each.version() + " " + each.load() + " " + each.check()))
                .toList();
    }

    /** Keeps who has which radio, and the roster, as they are until the transaction ends. */
    public void hold(long club) {
        store.hold(club);
    }

    /** Whether a radio whose transmitter is to be off was found to key nowhere since it was last changed. */
    public boolean isChecked(long unit) {
        return store.lastGoodInhibit(unit).isPresent();
    }

    /** A radio as it is known to be: its transmitter counts as off when it was tried, and on a band when it was found so. */
    public Radio asItIs(long unit) {
        return asTheyAre(List.of(unit)).get(unit);
    }

    /** As {@link #asItIs}, of several, by their keys. */
    public Map<Long, Radio> asTheyAre(List<Long> units) {
        Map<Long, RadioModel> models = new HashMap<>();
        Map<Long, Radio> all = new HashMap<>();
        store.known(units).forEach(each -> {
            RadioModel model = models.computeIfAbsent(each.unit().modelId(), id -> model(store.modelOf(id)));
            Radio said = radio(each.unit(), model);
            all.put(
                    each.unit().id(),
                    new Radio(
                            model,
                            said.lock(),
                            said.label(),
                            said.inhibited() && each.checked(),
                            SetOtherwise.off(
                                    each.found().map(SetOtherwise::read).orElse(Map.of()), model)));
        });
        return all;
    }

    /** How what belongs to no channel was found set last, by what tells settings apart; empty where nobody looked. */
    public Map<String, String> foundSettings(long unit) {
        return store.foundSettings(unit).map(SetOtherwise::read).orElse(Map.of());
    }

    /** As {@link #foundSettings(long)}, of all radios of a group of which somebody looked. */
    public Map<Long, Map<String, String>> allFoundSettings(long club) {
        Map<Long, Map<String, String>> all = new LinkedHashMap<>();
        store.allFoundSettings(club).forEach((unit, json) -> all.put(unit, SetOtherwise.read(json)));
        return all;
    }

    /** The units of a group, in the order of their entry; those whose model cannot be read are not among them. */
    public List<Unit> units(long club) {
        Map<Long, RadioModel> models = new LinkedHashMap<>();
        store.models(club).forEach(each -> readable(each).ifPresent(model -> models.put(each.id(), model)));
        return store.units(club).stream()
                .filter(unit -> models.containsKey(unit.modelId()))
                .map(unit -> new Unit(
                        unit.id(),
                        unit.clubId(),
                        unit.version(),
                        unit.serial(),
                        radio(unit, models.get(unit.modelId())),
                        SetOtherwise.read(unit.settings())))
                .toList();
    }

    /** The models of a group that can be read, in the order of their names. */
    public List<RadioModel> models(long club) {
        return store.models(club).stream()
                .flatMap(each -> readable(each).stream())
                .toList();
    }

    /** Why a radio may not be handed out or written; empty when nothing speaks against it. */
    public Optional<String> held(long club, long unit) {
        return store.outOfTolerance(club).stream()
                .filter(each -> each.unit() == unit)
                .map(RadioStore.OutOfTolerance::message)
                .findFirst();
    }
}
