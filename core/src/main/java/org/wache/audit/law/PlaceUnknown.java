package org.wache.audit.law;

import java.util.List;
import org.wache.audit.Finding;
import org.wache.audit.Route;
import org.wache.audit.RouteRule;
import org.wache.audit.RulePage;
import org.wache.audit.Slug;
import org.wache.rulebook.AuthorisedService;

/** A licence line holds for an area, and nobody said where the list is used. */
public final class PlaceUnknown implements RouteRule {

  @Override
  public Slug slug() {
    return Slug.PLACE_UNKNOWN;
  }

  @Override
  public RulePage page() {
    return new RulePage("Where the list is used is not known",
        "The licence line holds for an area. Without the site of the list it cannot be said whether the area covers it."
            + " The examples are held against a licence with lines for 451.800 MHz within 40 km of a point, and for"
            + " 456.800 MHz nationwide.",
        "Name the site of the list.",
        RulePage.entry("land-mobile", "rx_mhz=451.800 tx_mhz=451.800 mode=NFM power_w=5"),
        RulePage.entry("land-mobile", "rx_mhz=456.800 tx_mhz=456.800 mode=NFM power_w=5"));
  }

  @Override
  public List<Finding> on(Route route) {
    if (!(route.service() instanceof AuthorisedService service) || route.entry().context().site().isPresent()) {
      return List.of();
    }
    boolean matters = route.held().licence().stream().flatMap(licence -> licence.lines().stream())
        .filter(line -> line.frequency().equals(route.transmit()))
        .findFirst().map(line -> line.area().isPresent()).orElse(false);
    return matters ? List.of(Finding.query(Slug.PLACE_UNKNOWN, route)
        .message("The licence line for %s holds for an area; the site of the list is not known.", route.transmit())
        .source(route.cite(service.source()))) : List.of();
  }
}
