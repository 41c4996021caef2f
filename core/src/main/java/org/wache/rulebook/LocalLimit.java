package org.wache.rulebook;

import java.util.List;
import java.util.Optional;
import org.wache.place.Zone;
import org.wache.signal.Span;

/**
 * A limit of power that holds in some zones only.
 *
 * @param service identifier of the service
 * @param span where in the spectrum
 * @param limit the limit
 * @param zones where on the earth
 * @param words what findings call all of the zones
 * @param earthStations what is allowed to those who talk to satellites
 */
public record LocalLimit(
        String service,
        Span span,
        PowerLimit limit,
        List<Zone> zones,
        String words,
        Optional<Exception> earthStations) {

    /**
     * What stations that talk to satellites may do instead.
     *
     * @param span where in the spectrum
     * @param limit the limit
     * @param words on what condition
     */
    public record Exception(Span span, PowerLimit limit, String words) {}

    public LocalLimit {
        zones = List.copyOf(zones);
    }
}
