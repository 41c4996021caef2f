package org.wache.server.roster;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.wache.rulebook.CallSignShape;
import org.wache.rulebook.Edition;
import org.wache.rulebook.LicenceKind;
import org.wache.server.accounts.AccountStore;
import org.wache.server.papers.CarriedLicence;
import org.wache.server.papers.PapersJson;
import org.wache.server.rulebooks.Rulebooks;
import org.wache.server.web.Json;
import org.wache.server.web.Missing;
import org.wache.server.web.OneLineText;
import org.wache.server.web.Refused;
import org.wache.server.web.Stale;
import tools.jackson.databind.json.JsonMapper;

/** The roster of a group: each change is one transaction, recorded, and never made over somebody else's. */
@Service
public class RosterService {

    private static final int MOST_PARTIES = 2_000;
    private static final JsonMapper JSON = Json.MAPPER;

    private final RosterStore store;
    private final AccountStore accounts;
    private final java.time.Clock clock;
    private final Rulebooks rulebooks;

    RosterService(RosterStore store, AccountStore accounts, java.time.Clock clock, Rulebooks rulebooks) {
        this.rulebooks = rulebooks;
        this.store = store;
        this.accounts = accounts;
        this.clock = clock;
    }

    /** Everyone in a group's roster, by name. */
    public List<Party> parties(long account, long club) {
        if (!accounts.isMember(account, club)) {
            throw new Missing("The group");
        }
        Edition edition = edition(club); // once for all: a roster may have thousands
        return store.parties(account, club).stream()
                .map(each -> party(each, edition))
                .toList();
    }

    /** One of the roster. */
    public Party party(long account, long id) {
        return store.party(account, id)
                .map(each -> party(each, edition(each.clubId())))
                .orElseThrow(() -> new Missing("The entry of the roster"));
    }

    /** Makes sure that the account is in the group. */
    void visible(long account, long club) {
        if (!accounts.isMember(account, club)) {
            throw new Missing("The group");
        }
    }

    /** The group in whose roster somebody is. */
    long clubOf(long account, long id) {
        return store.party(account, id)
                .map(RosterStore.Stored::clubId)
                .orElseThrow(() -> new Missing("The entry of the roster"));
    }

    private Party party(RosterStore.Stored stored, Edition edition) {
        List<CarriedLicence> licences = PapersJson.licences(JSON.readTree(stored.licences()));
        return new Party(
                stored.id(),
                stored.version(),
                stored.kind(),
                stored.name(),
                stored.note(),
                stored.teams(),
                licences,
                licences.stream().map(licence -> notes(licence, edition)).toList());
    }

    private Edition edition(long club) {
        return rulebooks.ofGroup(club).on(java.time.LocalDate.now(clock));
    }

    /** What is odd about a licence: a question, never a stop. */
    private List<String> notes(CarriedLicence licence, Edition edition) {
        List<String> notes = new ArrayList<>();
        Optional<CallSignShape> shape = edition.service(licence.service())
                .flatMap(service -> service.traits().callSigns());
        if (shape.isPresent()
                && licence.callSign().isPresent()
                && !shape.get().fits(licence.callSign().get())) {
            notes.add("The call sign " + licence.callSign().get() + " has not the usual shape: "
                    + shape.get().words() + ".");
        }
        if (licence.granted().isPresent()
                && licence.expires().isPresent()
                && licence.granted().get().isAfter(licence.expires().get())) {
            notes.add("It ends before it begins.");
        }
        if (edition.service(licence.service())
                        .filter(service -> service.traits().licence() == LicenceKind.LINES)
                        .isPresent()
                && licence.lines().isEmpty()) {
            notes.add("It has no lines yet: nothing may be keyed under it.");
        }
        return notes;
    }

    /** Takes somebody into the roster. */
    @Transactional
    public Party add(long account, long club, Party.Draft draft) {
        if (!accounts.isMember(account, club)) {
            throw new Missing("The group");
        }
        String licences = checked(club, draft, 0);
        int version = store.advance(club);
        if (store.size(club) >= MOST_PARTIES) {
            throw new Refused("A roster holds up to " + MOST_PARTIES + " people, families and firms.");
        }
        long id = store.add(club, draft.kind(), draft.name().trim(), draft.note(), teams(draft), licences);
        store.record(club, version, id, draft.name().trim(), account, null, JSON.writeValueAsString(draft));
        return party(account, id);
    }

    /** Changes somebody, if nobody else did since. */
    @Transactional
    public Party change(long account, long id, int seen, Party.Draft draft) {
        RosterStore.Stored now = found(account, id, seen);
        String licences = checked(now.clubId(), draft, id);
        int version = store.advance(now.clubId());
        store.change(id, now.version() + 1, draft.kind(), draft.name().trim(), draft.note(), teams(draft), licences);
        store.record(now.clubId(), version, id, now.name(), account, kept(now), JSON.writeValueAsString(draft));
        return party(account, id);
    }

    /** Takes somebody out of the roster, unless they carry a list or have a radio. */
    @Transactional
    public void remove(long account, long id, int seen) {
        RosterStore.Stored now = found(account, id, seen);
        List<String> carries = store.carries(id);
        if (!carries.isEmpty()) {
            throw new Refused(now.name() + " carries " + String.join(", ", carries) + ". Take them off there first.");
        }
        List<String> radios = store.radios(id);
        if (!radios.isEmpty()) {
            throw new Refused(now.name() + " has " + String.join(", ", radios) + ". Take "
                    + (radios.size() == 1 ? "it" : "them") + " back first.");
        }
        int version = store.advance(now.clubId());
        store.remove(id, now.version() + 1);
        store.record(now.clubId(), version, id, now.name(), account, kept(now), null);
    }

    /** What is stored, in the form of a draft. */
    private static String kept(RosterStore.Stored now) {
        return JSON.writeValueAsString(draft(now));
    }

    private static Party.Draft draft(RosterStore.Stored now) {
        return new Party.Draft(
                now.kind(), now.name(), now.note(), now.teams(), PapersJson.licences(JSON.readTree(now.licences())));
    }

    private RosterStore.Stored found(long account, long id, int seen) {
        RosterStore.Stored now = store.locked(account, id).orElseThrow(() -> new Missing("The entry of the roster"));
        if (now.removed()) {
            throw new Stale("Somebody took " + now.name() + " out of the roster meanwhile. Nothing was saved.", null);
        }
        if (now.version() != seen) {
            throw new Stale(
                    "Somebody else changed " + now.name()
                            + " meanwhile. Nothing was saved: look at what is there now, and change it again.",
                    draft(now));
        }
        return now;
    }

    private static List<String> teams(Party.Draft draft) {
        return List.copyOf(
                new LinkedHashSet<>(draft.teams().stream().map(OneLineText::of).toList()));
    }

    private String checked(long club, Party.Draft draft, long id) {
        if (store.isNameTaken(club, draft.name().trim(), id)) {
            throw new Refused(
                    "There is already a “" + draft.name().trim() + "” in the roster. Give this one another name.");
        }
        String all = draft.name() + draft.note() + String.join("", draft.teams());
        if (all.indexOf('\0') >= 0) {
            throw new Refused("A name or note holds control characters. Clean it.");
        }
        PapersJson.check(draft.licences(), edition(club));
        return JSON.writeValueAsString(PapersJson.write(draft.licences()));
    }
}
