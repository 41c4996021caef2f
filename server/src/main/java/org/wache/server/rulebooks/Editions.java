package org.wache.server.rulebooks;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.wache.rulebook.Edition;
import org.wache.rulebook.OverlayReader;
import org.wache.rulebook.Rulebook;
import org.wache.rulebook.RulebookProblem;
import org.wache.server.access.Right;
import org.wache.server.access.Rights;
import org.wache.server.accounts.Account;
import org.wache.server.web.Json;
import org.wache.server.web.Refused;
import tools.jackson.databind.json.JsonMapper;

/** The rulebook as somebody asks for it: on a day, with the overlay of one of their groups. */
@Component
public class Editions {

    private static final JsonMapper JSON = Json.MAPPER;

    private final OverlayStore overlays;
    private final Rulebooks rulebooks;
    private final Rights rights;
    private final Clock clock;

    Editions(OverlayStore overlays, Rulebooks rulebooks, Rights rights, Clock clock) {
        this.overlays = overlays;
        this.rulebooks = rulebooks;
        this.rights = rights;
        this.clock = clock;
    }

    /** A rulebook as it is on a day; today's edition of the usual one when neither is named. */
    public Edition on(Optional<String> rulebook, Optional<LocalDate> day) {
        return rulebook(rulebook).on(day.orElseGet(() -> LocalDate.now(clock)));
    }

    /** @throws Refused when there is no such rulebook */
    Rulebook rulebook(Optional<String> id) {
        try {
            return rulebooks.of(id.filter(text -> !text.isBlank()).orElseGet(Rulebooks::usual));
        } catch (RulebookProblem e) {
            throw new Refused(e.getMessage() + ".");
        }
    }

    /** Today's edition with the overlay of a group of the account's. */
    public Edition ofGroup(long account, long group) {
        Edition edition = on(Optional.of(rulebooks.idOfGroup(group)), Optional.empty());
        return edition.withPlan(
                edition.plan().overlaid(OverlayReader.rows(JSON.readTree(overlays.rows(account, group)))));
    }

    /**
     * With the overlay of a group, when the rulebook is the group's. A member of the group sees the rulebook and the national plan:
     * the group's own plan is for those who see the rest of the group.
     *
     * @throws Missing when the group is not one of theirs
     */
    public Edition of(Account asking, Optional<String> rulebook, Optional<Long> group, Optional<LocalDate> day) {
        boolean sees = group.isPresent() && rights.has(Right.SEE, asking.login(), group.get());
        Optional<String> own = group.map(rulebooks::idOfGroup);
        Edition edition = on(rulebook.or(() -> own), day);
        if (!sees || !own.equals(Optional.of(edition.rulebook()))) {
            return edition;
        }
        String rows = overlays.rows(asking.id(), group.get());
        return edition.withPlan(edition.plan().overlaid(OverlayReader.rows(JSON.readTree(rows))));
    }
}
