package org.wache.audit;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import org.wache.licence.Licence;
import org.wache.rulebook.Service;

/** Where a licence stands on a day. */
public final class LicenceTime {

    private LicenceTime() {}

    /** Whether its last day has passed. */
    public static boolean expired(Licence licence, LocalDate on) {
        return licence.expires().isPresent() && on.isAfter(licence.expires().get());
    }

    /** Whether it ends within the days in which it may be renewed in its service. */
    public static boolean expiring(Licence licence, Service service, LocalDate on) {
        return licence.expires().isPresent()
                && !expired(licence, on)
                && ChronoUnit.DAYS.between(on, licence.expires().get())
                        <= service.traits().terms().renewalDays();
    }
}
