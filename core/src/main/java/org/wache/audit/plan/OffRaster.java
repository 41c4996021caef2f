package org.wache.audit.plan;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import org.wache.audit.Change;
import org.wache.audit.Cures;
import org.wache.audit.Finding;
import org.wache.audit.Route;
import org.wache.audit.RouteRule;
import org.wache.audit.RulePage;
import org.wache.audit.Slug;
import org.wache.audit.Sum;
import org.wache.audit.Words;
import org.wache.rulebook.PlanRow;
import org.wache.rulebook.Raster;
import org.wache.signal.Content;
import org.wache.signal.Frequency;

/** Not on the plan's raster of channels. */
public final class OffRaster implements RouteRule {

  @Override
  public Slug slug() {
    return Slug.OFF_RASTER;
  }

  @Override
  public RulePage page() {
    return new RulePage("Between the plan's channels",
        "FM channels stand on a raster. A frequency beside it overlaps both neighbours, and is mostly a digit left out:"
            + " 146.5 for 146.52. On 2 m there are two schools, 15 kHz and 20 kHz; where the house rules name none, 15"
            + " kHz is held against the list, and a 20 kHz channel asks which it is.",
        "Use the nearest channel, or settle the raster as a house rule.",
        RulePage.entry("amateur:technician", "rx_mhz=146.530 tx_mhz=146.530 mode=FM power_w=5"),
        RulePage.entry("amateur:technician", "rx_mhz=146.535 tx_mhz=146.535 mode=FM power_w=5"));
  }

  @Override
  public List<Finding> on(Route route) {
    boolean channelised = route.emission().is(Content.FM) || route.emission().is(Content.DIGITAL_VOICE);
    if (!channelised || !route.planned()) {
      return List.of();
    }
    Frequency judged = route.on().isPair() ? route.on().receive().get() : route.transmit();
    List<PlanRow> rows = route.on().isPair() ? route.receiveRows() : route.entry().plan().at(judged);
    if (rows.isEmpty() || rows.get(0).rasters().isEmpty()) {
      return List.of();
    }
    PlanRow row = rows.get(0);
    OptionalInt house = route.entry().context().houseRules().twoMetreRasterKhz();
    List<Raster> rasters = rasters(row, house);
    for (Raster raster : rasters) {
      if (raster.holds(judged.hertz())) {
        return List.of();
      }
    }
    return List.of(Finding.query(Slug.OFF_RASTER, route)
        .message(() -> judged + " is between the channels of the " + names(rasters) + " raster"
            + unsettled(row, house, judged) + ".")
        .working(() -> working(judged, rasters))
        .source(route.entry().plan().source(row))
        .cures(() -> cures(route, judged, rasters)));
  }

  /** Where an area settles for one of two rasters: the settled one, or the first while nothing is settled. */
  private static List<Raster> rasters(PlanRow row, OptionalInt house) {
    if (!row.rasterChoice()) {
      return row.rasters();
    }
    if (house.isEmpty()) {
      return row.rasters().subList(0, 1);
    }
    List<Raster> settled = row.rasters().stream().filter(each -> each.step() == house.getAsInt() * 1000L).toList();
    return settled.isEmpty() ? row.rasters() : settled;
  }

  private static String unsettled(PlanRow row, OptionalInt house, Frequency judged) {
    if (!row.rasterChoice() || house.isPresent()) {
      return "";
    }
    return row.rasters().stream().filter(each -> each.holds(judged.hertz())).findFirst()
        .map(each -> "; it is a channel where the " + Words.length(each.step()) + " raster is used").orElse("");
  }

  private static String names(List<Raster> rasters) {
    return String.join(" or ", rasters.stream().map(each -> Words.length(each.step())).distinct().toList());
  }

  private static Sum working(Frequency judged, List<Raster> rasters) {
    long nearest = rasters.get(0).nearest(judged.hertz());
    long off = judged.hertz() - nearest;
    return Sum.of(judged, "stands on").limit(new Frequency(nearest), "nearest channel")
        .rest(Words.length(Math.abs(off)), "", off < 0 ? "below" : "above");
  }

  private static List<Change> cures(Route route, Frequency judged, List<Raster> rasters) {
    Set<Long> targets = new LinkedHashSet<>();
    for (Raster raster : rasters) {
      long nearest = raster.nearest(judged.hertz());
      targets.add(nearest);
      targets.add(nearest > judged.hertz() ? nearest - raster.step() : nearest + raster.step());
    }
    List<Change> cures = new ArrayList<>();
    for (long target : targets) {
      Frequency to = new Frequency(target);
      cures.add(Cures.moved("Use " + to, route.on(), route.transmit().plus(to.minus(judged))));
    }
    return cures;
  }
}
