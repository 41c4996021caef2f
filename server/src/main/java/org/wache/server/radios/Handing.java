package org.wache.server.radios;

import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.wache.server.web.Json;
import org.wache.server.web.Missing;
import org.wache.server.web.Refused;
import tools.jackson.databind.json.JsonMapper;

/** Hands radios out and takes them back: nobody gets a radio that talks where they may not. */
@Service
public class Handing {

    private static final int NAMED = 6;
    private static final JsonMapper JSON = Json.MAPPER;

    private final RadioStore store;
    private final Contents contents;

    Handing(RadioStore store, Contents contents) {
        this.store = store;
        this.contents = contents;
    }

    /**
     * How it would be if somebody got a radio.
     *
     * @param inHand what is in it, held against them
     * @param refused why they cannot have it; null when they can
     * @param asks what whoever hands it out has to know of it first; null when there is nothing
     */
    public record Prospect(Contents.InHand inHand, String refused, String asks) {}

    /** How it would be if one of the roster got a radio that the account may see. */
    @Transactional(readOnly = true)
    public Prospect prospect(long account, long id, long party) {
        RadioStore.StoredUnit unit = found(account, id);
        String name =
                store.personOf(unit.clubId(), party).orElseThrow(() -> new Missing("Whom you chose from the roster"));
        Contents.InHand inHand = contents.against(unit.clubId(), id, party);
        Optional<String> refused = refused(unit).or(() -> notTheirs(unit, name, inHand));
        boolean off = unit.inhibited() && store.lastGoodInhibit(id).isPresent();
        return new Prospect(
                inHand,
                refused.orElse(null),
                inHand.known() || off
                        ? null
                        : "What is in " + unit.label() + " was not written from here, so it cannot be held against "
                                + name + ".");
    }

    private RadioStore.StoredUnit found(long account, long id) {
        return store.unit(account, id).orElseThrow(() -> new Missing("The radio"));
    }

    private Optional<String> refused(RadioStore.StoredUnit unit) {
        Optional<String> taken = store.out(unit.clubId()).stream()
                .filter(each -> each.unit() == unit.id())
                .findFirst()
                .map(each -> each.name() + " has " + unit.label() + ". Take it back first.");
        return taken.or(() -> store.outOfTolerance(unit.clubId()).stream()
                        .filter(each -> each.unit() == unit.id())
                        .findFirst()
                        .map(each ->
                                unit.label() + " is held: " + each.message() + " Measure it again when it is mended."))
                .or(() -> store.work(unit.clubId()).stream()
                        .filter(each -> each.unit() == unit.id())
                        .findFirst()
                        .flatMap(each -> ofWork(unit, each)))
                .or(() -> unit.inhibited() && store.lastGoodInhibit(unit.id()).isEmpty()
                        ? Optional.of(unit.label() + " is to have its transmitter off, and nobody"
                                + " has checked that it is. Put it on the bench, or check it on its page.")
                        : Optional.empty());
    }

    private static Optional<String> ofWork(RadioStore.StoredUnit unit, RadioStore.Work work) {
        return switch (work.state()) {
            case WAITING, RUNNING -> Optional.of(unit.label() + " is on the bench just now.");
            case DIFFERS, FAILED ->
                Optional.of(unit.label() + " did not come off the bench well: " + work.message()
                        + " Write it again first.");
            case GOOD, STOPPED -> Optional.empty();
        };
    }

    private static Optional<String> notTheirs(RadioStore.StoredUnit unit, String name, Contents.InHand inHand) {
        if (inHand.notTheirs().isEmpty()) {
            return Optional.empty();
        }
        String entries = inHand.notTheirs().stream()
                .limit(NAMED)
                .map(each -> (each.number() + " " + each.name()).strip())
                .collect(Collectors.joining(", "));
        int more = inHand.notTheirs().size() - NAMED;
        return Optional.of(name + " may not key what " + unit.label() + " talks on: " + entries
                + (more > 0 ? " and " + more + " more" : "") + ". "
                + inHand.notTheirs().get(0).message() + " Write it for them on the bench first.");
    }

    /**
     * Hands a radio to somebody of the roster.
     *
     * @param knowing whether whoever hands it out knows what is in it, where that was not written from here
     */
    @Transactional
    public void out(long account, long id, long party, String note, boolean knowing) {
        RadioStore.StoredUnit unit = found(account, id);
        store.hold(unit.clubId());
        Prospect prospect = prospect(account, id, party);
        if (prospect.refused() != null) {
            throw new Refused(prospect.refused());
        }
        if (prospect.asks() != null && !knowing) {
            throw new Refused(prospect.asks() + " Write it on the bench, or say that you know what is in it.");
        }
        if (!store.handOut(id, party, note, account)) {
            throw new Missing("Whom you chose from the roster");
        }
        store.record(
                unit.clubId(),
                account,
                "out",
                id,
                unit.label(),
                null,
                JSON.writeValueAsString(Map.of(
                        "party", party, "note", note, "known", prospect.inHand().known())));
    }

    /** Takes a radio back. */
    @Transactional
    public void in(long account, long id, String note) {
        RadioStore.StoredUnit unit = found(account, id);
        if (!store.handIn(id, note, account)) {
            throw new Refused("Nobody has " + unit.label() + ".");
        }
        store.record(
                unit.clubId(), account, "in", id, unit.label(), null, JSON.writeValueAsString(Map.of("note", note)));
    }
}
