package org.wache.audit;

import java.util.Optional;
import org.wache.licence.Licence;

/**
 * A licence as a route uses it.
 *
 * @param licence the licence; empty in a service that needs none
 * @param classIndex the place of its class in the service's classes; 0 without classes
 */
public record Held(Optional<Licence> licence, int classIndex) {

    /** What everybody has in a service without licences. */
    public static final Held NONE_NEEDED = new Held(Optional.empty(), 0);
}
