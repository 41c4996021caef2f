package org.wache.audit;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import org.wache.licence.Licence;

/** Where a licence stands on a day. */
public final class LicenceTime {

  /** From how many days before its end a licence is worth a word: when it may be renewed (47 CFR 97.21). */
  public static final int RENEWAL_DAYS = 90;

  private LicenceTime() {}

  /** Whether its last day has passed. */
  public static boolean expired(Licence licence, LocalDate on) {
    return licence.expires().isPresent() && on.isAfter(licence.expires().get());
  }

  /** Whether it ends within the days in which it may be renewed. */
  public static boolean expiring(Licence licence, LocalDate on) {
    return licence.expires().isPresent() && !expired(licence, on)
        && ChronoUnit.DAYS.between(on, licence.expires().get()) <= RENEWAL_DAYS;
  }
}
