package org.wache.server.additions;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.wache.rulebook.AdditionCheck;
import org.wache.rulebook.Rulebook;
import org.wache.rulebook.RulebookProblem;
import org.wache.server.access.Right;
import org.wache.server.accounts.AccountStore;
import org.wache.server.lists.ListEffect;
import org.wache.server.lists.ListEffects;
import org.wache.server.log.Logbook;
import org.wache.server.rulebooks.Rulebooks;
import org.wache.server.web.EnumWords;
import org.wache.server.web.Missing;
import org.wache.server.web.Refused;

/** Adds editions and private services to the rulebooks: checked, tried on lists, put in force, taken back. */
@Service
class Additions {

    private final AdditionStore store;
    private final Rulebooks rulebooks;
    private final ListEffects effects;
    private final AccountStore accounts;
    private final Logbook log;
    private final Clock clock;

    Additions(
            AdditionStore store,
            Rulebooks rulebooks,
            ListEffects effects,
            AccountStore accounts,
            Logbook log,
            Clock clock) {
        this.store = store;
        this.rulebooks = rulebooks;
        this.effects = effects;
        this.accounts = accounts;
        this.log = log;
        this.clock = clock;
    }

    /** What a text comes to, and the day under whose rules it is tried. */
    record Checked(AdditionCheck check, Rulebook with, LocalDate rules) {}

    /** @throws RulebookProblem with the line, when something in the text is wrong */
    Checked check(String text) {
        String id = AdditionCheck.rulebookOf(text);
        List<String> before = rulebooks.added(id);
        AdditionCheck check = AdditionCheck.of(text, before);
        LocalDate today = LocalDate.now(clock);
        return new Checked(
                check,
                rulebooks.with(
                        id, Stream.concat(before.stream(), Stream.of(text)).toList()),
                check.from().filter(today::isBefore).orElse(today));
    }

    /** What it would do to the lists of the groups that an account is in. */
    List<GroupEffects> trial(long account, String text) {
        Checked checked = check(text);
        return effects(account, checked.with(), checked.rules());
    }

    /** The lists of a group that would change. */
    record GroupEffects(long group, String name, List<ListEffect> lists) {}

    private List<GroupEffects> effects(long account, Rulebook other, LocalDate rules) {
        List<GroupEffects> all = new ArrayList<>();
        accounts.clubs(account).stream()
                .filter(club -> club.rights().contains(Right.SEE))
                .forEach(club -> all.add(new GroupEffects(
                        club.id(), club.name(), effects.ofRulebook(account, club.id(), other, rules))));
        return all;
    }

    /** What taking one back would do to the lists of the groups that an account is in. */
    List<GroupEffects> withoutTrial(long account, long id) {
        AdditionStore.Stored stored = inForce(id);
        return effects(account, without(stored), LocalDate.now(clock));
    }

    private AdditionStore.Stored inForce(long id) {
        AdditionStore.Stored stored = store.one(id).orElseThrow(() -> new Missing("The addition"));
        if (stored.takenAt().isPresent()) {
            throw new Refused(
                    stored.title() + " was taken back by " + stored.takenBy().orElse("somebody") + " already.");
        }
        return stored;
    }

    /** @throws Refused when another addition builds on it */
    private Rulebook without(AdditionStore.Stored stored) {
        List<String> left = new ArrayList<>(rulebooks.added(stored.rulebook()));
        left.remove(stored.body());
        try {
            Rulebook rulebook = rulebooks.with(stored.rulebook(), List.copyOf(left));
            rulebook.editions().forEach(each -> rulebook.on(each.from()));
            return rulebook;
        } catch (RulebookProblem e) {
            throw new Refused("Another addition builds on this one: take that back first. (" + e.getMessage() + ")");
        }
    }

    @Transactional
    long put(long account, String text, String note) {
        store.hold();
        AdditionCheck check = check(text).check();
        long id = store.put(check.rulebook(), check.kind(), check.id(), check.title(), text, note, account);
        log.add(
                account,
                null,
                new Logbook.Deed(
                        Logbook.Kind.RULEBOOK,
                        id,
                        check.title(),
                        EnumWords.of(check.kind()) + " " + check.id() + " put in force for " + check.rulebook()
                                + (note.isBlank() ? "" : ": " + note),
                        null,
                        null));
        return id;
    }

    @Transactional
    void takeBack(long account, long id, String note) {
        store.hold();
        AdditionStore.Stored stored = inForce(id);
        without(stored);
        store.takeBack(id, account, note);
        log.add(
                account,
                null,
                new Logbook.Deed(
                        Logbook.Kind.RULEBOOK,
                        id,
                        stored.title(),
                        EnumWords.of(stored.kind()) + " " + stored.name() + " of " + stored.rulebook() + " taken back"
                                + (note.isBlank() ? "" : ": " + note),
                        null,
                        null));
    }
}
