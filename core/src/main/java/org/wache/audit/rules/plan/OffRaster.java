package org.wache.audit.rules.plan;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import org.wache.audit.Route;
import org.wache.audit.RouteRule;
import org.wache.audit.RulePage;
import org.wache.audit.cure.Cures;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Sum;
import org.wache.audit.finding.Wording;
import org.wache.rulebook.AuthorisedService;
import org.wache.rulebook.PlanRow;
import org.wache.rulebook.PlanUse;
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
        return new RulePage(
                "Between the plan's channels",
                "FM channels stand on a raster. A frequency beside it overlaps both neighbours, and is mostly a digit left out: "
                        + "146.5 for 146.52. Where an area settles for one of two rasters and the house rules name none, the first is held "
                        + "against the list, and a channel of the other asks which it is.",
                "Use the nearest channel, or settle the raster as a house rule.",
                RulePage.entry("amateur:technician", "rx_mhz=146.530 tx_mhz=146.530 mode=FM power_w=5"),
                RulePage.entry("amateur:technician", "rx_mhz=146.535 tx_mhz=146.535 mode=FM power_w=5"));
    }

    @Override
    public List<Finding> on(Route route) {
        if (route.service() instanceof AuthorisedService lines) {
            return onLines(route, lines);
        }
        boolean channelised =
                route.emission().is(Content.FM) || route.emission().is(Content.DIGITAL_VOICE);
        if (!channelised || !route.planned()) {
            return List.of();
        }
        Frequency judged = route.on().isPair() ? route.on().receive().get() : route.transmit();
        List<PlanRow> rows =
                route.on().isPair() ? route.heardRows() : route.entry().plan().at(judged);
        if (rows.isEmpty()) {
            return between(route, judged);
        }
        if (rows.get(0).rasters().isEmpty()) {
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
        return List.of(route.query(Slug.OFF_RASTER)
                .message(() -> judged + " is between the channels of the " + names(rasters) + " raster"
                        + unsettled(row, house, judged) + ".")
                .working(() -> working(judged, rasters))
                .source(route.entry().plan().source(row))
                .cures(() -> cures(route, judged, rasters)));
    }

    /** Licensed line by line: what no line can stand on is mostly a slip of the digits. */
    private static List<Finding> onLines(Route route, AuthorisedService lines) {
        return lines.raster(route.transmit())
                .filter(each -> !each.raster().holds(route.transmit().hertz()))
                .map(each -> List.of(route.query(Slug.OFF_RASTER)
                        .message(() -> route.transmit() + " is on none of the channels of " + lines.inText()
                                + ", which stand every "
                                + Wording.length(each.raster().step()) + ".")
                        .working(() -> working(route.transmit(), List.of(each.raster())))
                        .source(route.cite(each.source()))
                        .cures(() -> cures(route, route.transmit(), List.of(each.raster())))))
                .orElse(List.of());
    }

    /** A wider gap is a stretch of which the plan says nothing. */
    private static final long WIDEST_GAP = 100_000;
    /** A single frequency of the plan so near may be what was meant. */
    private static final long NEAR = 10_000;

    /** In a gap of the plan between two of its ranges, where a raster is known: no channel of either. */
    private static List<Finding> between(Route route, Frequency judged) {
        List<PlanRow> around = route.entry().plan().around(judged).stream()
                .filter(row -> route.service()
                                .placeName(new Frequency(row.span().low()))
                                .equals(route.place())
                        && !row.rasters().isEmpty())
                .toList();
        if (around.size() < 2
                || around.get(1).span().low() - around.get(0).span().high() > WIDEST_GAP
                || route.split()) {
            return List.of();
        }
        List<Raster> rasters = around.stream()
                .flatMap(
                        row -> rasters(row, route.entry().context().houseRules().twoMetreRasterKhz()).stream())
                .distinct()
                .toList();
        return List.of(route.query(Slug.OFF_RASTER)
                .message(() -> judged + " lies in no part of the plan: between "
                        + around.get(0).words() + " (to "
                        + Frequency.megahertz(around.get(0).span().high()) + ") and "
                        + around.get(1).words() + " (from "
                        + Frequency.megahertz(around.get(1).span().low()) + ").")
                .working(() -> working(judged, rasters))
                .source(route.entry().plan().source(around.get(0)))
                .cures(() -> into(route, judged, around)));
    }

    /** The nearest channels of the parts around. */
    private static List<Change> into(Route route, Frequency judged, List<PlanRow> around) {
        List<Change> cures = new ArrayList<>();
        route.entry().plan().rows().stream()
                .filter(row -> row.span().length() == 0
                        && row.uses().contains(PlanUse.FM_SIMPLEX)
                        && !route.on().isPair()
                        && Math.abs(row.span().low() - judged.hertz()) <= NEAR)
                .forEach(row -> cures.add(Cures.moved(
                        "Use " + new Frequency(row.span().low()),
                        route.on(),
                        new Frequency(row.span().low()))));
        for (PlanRow row : around) {
            Raster raster = rasters(row, route.entry().context().houseRules().twoMetreRasterKhz())
                    .get(0);
            long nearest = raster.nearest(judged.hertz());
            long inside = nearest < row.span().low()
                    ? nearest + raster.step()
                    : nearest > row.span().high() ? nearest - raster.step() : nearest;
            Frequency to = new Frequency(inside);
            cures.add(Cures.moved("Use " + to, route.on(), route.transmit().plus(to.minus(judged))));
        }
        return cures;
    }

    /** Where an area settles for one of two rasters: the settled one, or the first while nothing is settled. */
    private static List<Raster> rasters(PlanRow row, OptionalInt house) {
        if (!row.rasterChoice()) {
            return row.rasters();
        }
        if (house.isEmpty()) {
            return row.rasters().subList(0, 1);
        }
        List<Raster> settled = row.rasters().stream()
                .filter(each -> each.step() == house.getAsInt() * 1000L)
                .toList();
        return settled.isEmpty() ? row.rasters() : settled;
    }

    private static String unsettled(PlanRow row, OptionalInt house, Frequency judged) {
        if (!row.rasterChoice() || house.isPresent()) {
            return "";
        }
        return row.rasters().stream()
                .filter(each -> each.holds(judged.hertz()))
                .findFirst()
                .map(each -> "; it is a channel where the " + Wording.length(each.step()) + " raster is used")
                .orElse("");
    }

    private static String names(List<Raster> rasters) {
        return String.join(
                " or ",
                rasters.stream()
                        .map(each -> Wording.length(each.step()))
                        .distinct()
                        .toList());
    }

    private static Sum working(Frequency judged, List<Raster> rasters) {
        long nearest = rasters.get(0).nearest(judged.hertz());
        long off = judged.hertz() - nearest;
        return Sum.of(judged, "stands on")
                .limit(new Frequency(nearest), "nearest channel")
                .rest(Wording.length(Math.abs(off)), "", off < 0 ? "below" : "above");
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
