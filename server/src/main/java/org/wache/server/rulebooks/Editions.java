package org.wache.server.rulebooks;

import java.security.Principal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.wache.rulebook.Edition;
import org.wache.rulebook.OverlayReader;
import org.wache.rulebook.RulebookReader;
import org.wache.server.accounts.WhoAsks;
import org.wache.server.plans.OverlayStore;
import tools.jackson.databind.json.JsonMapper;

/** The rulebook as somebody asks for it: on a day, with the overlay of one of their groups. */
@Component
public class Editions {

  private static final JsonMapper JSON = JsonMapper.builder().build();

  private final OverlayStore overlays;
  private final WhoAsks who;
  private final Clock clock;

  Editions(OverlayStore overlays, WhoAsks who, Clock clock) {
    this.overlays = overlays;
    this.who = who;
    this.clock = clock;
  }

  /** Today's edition, when no day is named. */
  Edition on(Optional<LocalDate> day) {
    return RulebookReader.shipped("us").on(day.orElseGet(() -> LocalDate.now(clock)));
  }

  /** Today's edition with the overlay of a group of the account's. */
  public Edition ofGroup(long account, long group) {
    Edition edition = on(Optional.empty());
    return edition.withPlan(edition.plan().overlaid(OverlayReader.rows(JSON.readTree(overlays.rows(account, group)))));
  }

  /** With the overlay of a group, when it is one of the account's. */
  Edition of(Principal principal, Optional<Long> group, Optional<LocalDate> day) {
    Edition edition = on(day);
    return group.map(club -> overlays.rows(who.account(principal).id(), club))
        .map(rows -> edition.withPlan(edition.plan().overlaid(OverlayReader.rows(JSON.readTree(rows)))))
        .orElse(edition);
  }
}
