package org.wache.rulebook;

import java.util.List;
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
 */
public record LocalLimit(String service, Span span, PowerLimit limit, List<Zone> zones, String words) {

  public LocalLimit {
    zones = List.copyOf(zones);
  }
}
