package org.wache.server.rulebooks;

import java.security.Principal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.wache.rulebook.Edition;
import org.wache.rulebook.OverlayReader;
import org.wache.rulebook.Rulebook;
import org.wache.rulebook.RulebookProblem;
import org.wache.server.accounts.WhoAsks;
import org.wache.server.plans.OverlayStore;
import org.wache.server.problems.Refused;
import tools.jackson.databind.json.JsonMapper;

/** The rulebook as somebody asks for it: on a day, with the overlay of one of their groups. */
@Component
public class Editions {

  private static final JsonMapper JSON = JsonMapper.builder().build();

  private final OverlayStore overlays;
  private final WhoAsks who;
  private final Rulebooks rulebooks;
  private final Clock clock;

  Editions(OverlayStore overlays, WhoAsks who, Rulebooks rulebooks, Clock clock) {
    this.overlays = overlays;
    this.who = who;
    this.rulebooks = rulebooks;
    this.clock = clock;
  }

  /** A rulebook as it is on a day; today's edition of the usual one when neither is named. */
  Edition on(Optional<String> rulebook, Optional<LocalDate> day) {
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
    return edition.withPlan(edition.plan().overlaid(OverlayReader.rows(JSON.readTree(overlays.rows(account, group)))));
  }

  /** With the overlay of a group, when it is one of the account's and the rulebook is the group's. */
  Edition of(Principal principal, Optional<String> rulebook, Optional<Long> group, Optional<LocalDate> day) {
    Edition edition = on(rulebook.or(() -> group.map(rulebooks::idOfGroup)), day);
    return group.filter(club -> rulebooks.idOfGroup(club).equals(edition.rulebook())).map(club -> overlays.rows(who.account(principal).id(), club))
        .map(rows -> edition.withPlan(edition.plan().overlaid(OverlayReader.rows(JSON.readTree(rows)))))
        .orElse(edition);
  }
}
