package org.wache.licence;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * A licence that someone holds.
 *
 * @param service the service's identifier in the rulebook: {@code amateur}, {@code gmrs}, {@code land-mobile}
 * @param licenceClass the class, for a service that has classes
 * @param callSign when known
 * @param expires last day it is valid, when known
 * @param lines what it authorises, for a service that is licensed line by line
 */
public record Licence(
        String service,
        Optional<String> licenceClass,
        Optional<String> callSign,
        Optional<LocalDate> expires,
        List<AuthorisationLine> lines) {

    public Licence {
        lines = List.copyOf(lines);
    }

    /** A licence of a service with classes, of unknown call sign and date. */
    public static Licence ofClass(String service, String licenceClass) {
        return new Licence(service, Optional.of(licenceClass), Optional.empty(), Optional.empty(), List.of());
    }

    /** A licence of a service without classes, of unknown call sign and date. */
    public static Licence of(String service) {
        return new Licence(service, Optional.empty(), Optional.empty(), Optional.empty(), List.of());
    }
}
