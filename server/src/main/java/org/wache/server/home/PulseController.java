package org.wache.server.home;

import java.time.Clock;
import java.time.LocalDate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import org.wache.server.accounts.Account;
import org.wache.server.accounts.AccountStore;
import org.wache.server.lists.RulesMark;
import org.wache.server.rulebooks.Rulebooks;
import org.wache.server.web.Missing;

/** Whether something of a group is otherwise than it was: asked every few seconds by every page that is open. */
@RestController
class PulseController {

    private final PulseStore marksOf;
    private final AccountStore accounts;
    private final Rulebooks rulebooks;
    private final Clock clock;

    PulseController(PulseStore marksOf, AccountStore accounts, Rulebooks rulebooks, Clock clock) {
        this.marksOf = marksOf;
        this.accounts = accounts;
        this.rulebooks = rulebooks;
        this.clock = clock;
    }

    /**
     * How a group stands, as marks that are compared and never read.
     *
     * @param mark of everything
     * @param rules of what every list is held against, beside its own entries: the roster, the plan, the radios, tones and talk groups, the rulebook, the day
     */
    record Pulse(String mark, String rules) {}

    @GetMapping("/api/groups/{group}/pulse")
    Pulse pulse(Account asking, @PathVariable long group) {
        if (!accounts.isMember(asking.id(), group)) {
            throw new Missing("The group");
        }
        PulseStore.Marks marks = marksOf.marks(group);
        String rules = RulesMark.of(
                marks.roster(),
                marks.overlay(),
                marks.radios(),
                marks.tones(),
                rulebooks.version(),
                LocalDate.now(clock));
        return new Pulse(marks.mark() + " " + rules, rules);
    }
}
