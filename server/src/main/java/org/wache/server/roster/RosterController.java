package org.wache.server.roster;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
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
import org.wache.server.accounts.Account;
import org.wache.server.rulebooks.Rulebooks;

/** The roster: people, families and firms with their licences. */
@RestController
class RosterController {

    private final RosterService service;
    private final RosterWatch watch;
    private final Clock clock;
    private final Rulebooks rulebooks;

    RosterController(RosterService service, RosterWatch watch, Clock clock, Rulebooks rulebooks) {
        this.rulebooks = rulebooks;
        this.service = service;
        this.watch = watch;
        this.clock = clock;
    }

    /** The roster with what can be held. */
    record Roster(List<Party> parties, List<Team> teams, List<Licensable> services, LocalDate today) {}

    /** A team and how many are in it. */
    record Team(String name, int members) {}

    /** A service that wants a licence; classes from least to most, and the shape of call signs in words. */
    record Licensable(String id, String title, List<String> classes, boolean byLine, String callSigns) {}

    /** A change that was begun on a version. */
    record PartyChange(int version, @NotNull @Valid Party.Draft party) {}

    @GetMapping("/api/groups/{group}/roster")
    Roster roster(Account asking, @PathVariable long group) {
        List<Party> parties = service.parties(asking.id(), group);
        Map<String, Integer> teams = new TreeMap<>(String.CASE_INSENSITIVE_ORDER);
        parties.forEach(party -> party.teams().forEach(team -> teams.merge(team, 1, Integer::sum)));
        LocalDate today = LocalDate.now(clock);
        List<Licensable> services = rulebooks.ofGroup(group).on(today).services().stream()
                .filter(each -> each.traits().needsLicence())
                .map(each -> new Licensable(
                        each.id(),
                        each.traits()
                                .terms()
                                .aboard()
                                .map(org.wache.audit.finding.Wording::capital)
                                .orElse(each.title()),
                        each.traits().classes(),
                        each.traits().licence() == org.wache.rulebook.LicenceKind.LINES,
                        each.traits().callSigns().map(shape -> shape.words()).orElse("")))
                .toList();
        return new Roster(
                parties,
                teams.entrySet().stream()
                        .map(each -> new Team(each.getKey(), each.getValue()))
                        .toList(),
                services,
                today);
    }

    /** Who was taken in or changed, and what that did. */
    record Saved(long id, Party party, RosterWatch.RosterEffect effect) {}

    @PostMapping("/api/groups/{group}/parties")
    @ResponseStatus(HttpStatus.CREATED)
    Saved add(Account asking, @PathVariable long group, @Valid @RequestBody Party.Draft draft) {
        long account = asking.id();
        service.visible(account, group);
        RosterWatch.After watched = watch.before(account, group, Optional.empty());
        Party party = service.add(account, group, draft);
        return new Saved(party.id(), party, watched.now(Optional.of(party)));
    }

    @PutMapping("/api/parties/{party}")
    Saved change(Account asking, @PathVariable long party, @Valid @RequestBody PartyChange change) {
        long account = asking.id();
        Party before = service.party(account, party);
        RosterWatch.After watched = watch.before(account, service.clubOf(account, party), Optional.of(before));
        Party after = service.change(account, party, change.version(), change.party());
        return new Saved(after.id(), after, watched.now(Optional.of(after)));
    }

    @DeleteMapping("/api/parties/{party}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(Account asking, @PathVariable long party, @RequestParam int version) {
        service.remove(asking.id(), party, version);
    }
}
