package org.wache.audit.law;

import java.util.List;
import java.util.Optional;
import org.wache.audit.Change;
import org.wache.audit.Finding;
import org.wache.audit.Route;
import org.wache.audit.RouteRule;
import org.wache.audit.RulePage;
import org.wache.audit.Slug;
import org.wache.audit.Words;
import org.wache.radio.RadioKind;
import org.wache.rulebook.FixedChannel;
import org.wache.rulebook.Restriction;

/** A channel or part of a band that the law keeps for something else. */
public final class ChannelRestricted implements RouteRule {

  @Override
  public Slug slug() {
    return Slug.CHANNEL_RESTRICTED;
  }

  @Override
  public RulePage page() {
    return new RulePage("Kept for something else by law",
        "The channel is for emergencies, for remote control, for fixed links or for hand-held portables, and not for ordinary traffic. One"
            + " for emergencies may stay on purpose: everybody may key it then.",
        "Listen only, or use another channel.",
        RulePage.entry("nobody", "rx_mhz=27.065 tx_mhz=27.065 mode=AM power_w=4"),
        RulePage.entry("nobody", "rx_mhz=27.185 tx_mhz=27.185 mode=AM power_w=4"));
  }

  private static Finding notPortable(Route route, RadioKind kind) {
    String name = route.radio().orElseThrow().name();
    return Finding.hold(Slug.CHANNEL_RESTRICTED, route).radio(name)
        .message("%s is for hand-held portables only; %s is a %s.", Words.capital(route.place()), name, kind.words())
        .source(route.cite(route.channel().orElseThrow().source()))
        .cures(() -> List.of(Change.listenOnly()));
  }

  @Override
  public List<Finding> on(Route route) {
    Optional<RadioKind> kind = route.radio().flatMap(radio -> radio.model().kind());
    if (route.channel().filter(FixedChannel::handheldOnly).isPresent() && kind.filter(each -> each != RadioKind.HAND_HELD).isPresent()) {
      return List.of(notPortable(route, kind.get()));
    }
    Optional<Restriction> restriction = route.channel().isPresent()
        ? route.channel().flatMap(FixedChannel::restricted)
        : route.bands().flatMap(bands -> bands.restriction(route.transmit()));
    return restriction.map(kept -> List.of((kept.inEmergency() ? Finding.query(Slug.CHANNEL_RESTRICTED, route) : Finding.hold(Slug.CHANNEL_RESTRICTED, route))
        .message(kept.inEmergency() ? "%s (%s) is kept for %s: for that everybody may key it, and for nothing else." : "%s (%s) is kept for %s.", route.transmit(),
            route.place(), kept.purpose())
        .source(route.cite(kept.source()))
        .cures(() -> List.of(Change.listenOnly())))).orElse(List.of());
  }
}
