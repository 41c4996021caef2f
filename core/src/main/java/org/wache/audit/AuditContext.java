package org.wache.audit;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.wache.licence.Holder;
import org.wache.licence.Place;
import org.wache.rulebook.Edition;

/**
 * What an audit is held against, beside the list.
 *
 * @param edition the rulebook as it stands on the day
 * @param on the day
 * @param holders who carries the list; at least one
 * @param site where it is used, when known
 * @param antenna what makes radiated power of output
 * @param houseRules what the group has settled
 */
public record AuditContext(Edition edition, LocalDate on, List<Holder> holders, Optional<Place> site, Antenna antenna,
    HouseRules houseRules) {

  /** @throws IllegalArgumentException without a holder */
  public AuditContext {
    holders = List.copyOf(holders);
    if (holders.isEmpty()) {
      throw new IllegalArgumentException("Somebody carries a list: name at least one holder");
    }
  }

  /** A context with nothing but the day and the holders. */
  public static AuditContext of(Edition edition, LocalDate on, List<Holder> holders) {
    return new AuditContext(edition, on, holders, Optional.empty(), Antenna.ASSUMED, HouseRules.NONE);
  }
}
