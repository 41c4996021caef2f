package org.wache.server.charts;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.wache.audit.finding.Wording;
import org.wache.rulebook.BandService;
import org.wache.rulebook.ChannelService;
import org.wache.rulebook.Edition;
import org.wache.rulebook.PlanRow;
import org.wache.rulebook.PowerLimit;
import org.wache.rulebook.Raster;
import org.wache.server.rulebooks.BandPicture;
import org.wache.server.web.Missing;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;

/**
 * What stands on the sheet of a band.
 *
 * @param band its usual name
 * @param low where it begins, hertz
 * @param high where it ends, hertz
 * @param holder for whom it is drawn, in words
 * @param law what may be sent where, in order
 * @param plan what the parts are kept for, in order
 * @param edition of the rulebook
 * @param day for which it holds
 */
public record BandSheet(
        String band,
        long low,
        long high,
        String holder,
        List<BandSheet.Lawful> law,
        List<BandSheet.PlannedPart> plan,
        String edition,
        LocalDate day) {

    /**
     * A stretch in which one thing is allowed.
     *
     * @param onlyFrom the class from which up, or the licence; empty when this holder may
     * @param channel whether it is a fixed channel, of which the middle counts and not the edges
     * @param power the most power there; empty where that hangs on the station
     */
    public record Lawful(
            long low,
            long high,
            String words,
            @Schema(nullable = true) Optional<String> onlyFrom,
            boolean channel,
            String power,
            String source) {}

    /**
     * A row of the plan.
     *
     * @param calling whether it is a calling frequency
     * @param local whether it is the group's own
     * @param channels how its channels stand and pair; empty when the plan says nothing of it
     */
    public record PlannedPart(long low, long high, String words, boolean calling, boolean local, String channels) {}

    /** The names of the bands of a rulebook, from the lowest. */
    static List<String> bands(Edition edition) {
        return BandPicture.of(edition, "nobody").bands().stream()
                .map(BandPicture.Band::name)
                .toList();
    }

    /** @throws Missing when the rulebook has no such band */
    static BandSheet of(Edition edition, String as, String holder, String name, LocalDate day) {
        BandPicture picture = BandPicture.of(edition, as);
        BandPicture.Band band = picture.bands().stream()
                .filter(each -> each.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new Missing("The band “" + name + "”"));
        List<Lawful> law = picture.may().stream()
                .filter(each -> each.high() > band.low() && each.low() < band.high())
                .sorted(Comparator.comparingLong(BandPicture.May::low))
                .map(each -> lawful(edition, as, each))
                .toList();
        return new BandSheet(
                name,
                band.low(),
                band.high(),
                holder,
                joined(law),
                plan(edition, band),
                edition.dates().id(),
                day);
    }

    private static Lawful lawful(Edition edition, String as, BandPicture.May may) {
        Optional<PowerLimit> power = edition.service(may.service())
                .filter(BandService.class::isInstance)
                .map(BandService.class::cast)
                .flatMap(service -> {
                    int held = Math.max(0, BandPicture.classHeld(as, service));
                    return service
                            .powerLimits(held, Mode.FM.emission(), new Frequency((may.low() + may.high()) / 2))
                            .stream()
                            .min(Comparator.comparingDouble(
                                    limit -> limit.watts().value()));
                });
        return new Lawful(
                may.low(),
                may.high(),
                may.words(),
                may.onlyFrom(),
                edition.service(may.service())
                        .filter(ChannelService.class::isInstance)
                        .isPresent(),
                power.map(limit ->
                                limit.watts().number() + " W " + limit.measure().words())
                        .orElse(""),
                may.source());
    }

    /** Neighbours that say the same are one. */
    private static List<Lawful> joined(List<Lawful> law) {
        List<Lawful> joined = new ArrayList<>();
        for (Lawful each : law) {
            Lawful last = joined.isEmpty() ? null : joined.get(joined.size() - 1);
            boolean same = last != null
                    && last.high() == each.low()
                    && last.words().equals(each.words())
                    && last.onlyFrom().equals(each.onlyFrom())
                    && last.power().equals(each.power())
                    && last.source().equals(each.source());
            if (same) {
                joined.set(
                        joined.size() - 1,
                        new Lawful(
                                last.low(),
                                each.high(),
                                last.words(),
                                last.onlyFrom(),
                                last.channel(),
                                last.power(),
                                last.source()));
            } else {
                joined.add(each);
            }
        }
        return List.copyOf(joined);
    }

    private static List<PlannedPart> plan(Edition edition, BandPicture.Band band) {
        return edition.plan().rows().stream()
                .filter(row -> row.span().high() >= band.low() && row.span().low() <= band.high())
                .sorted(Comparator.comparingLong((PlanRow row) -> row.span().low())
                        .thenComparing(row -> -row.span().length()))
                .map(row -> new PlannedPart(
                        row.span().low(),
                        row.span().high(),
                        row.words(),
                        row.calling().isPresent(),
                        row.local(),
                        channels(row)))
                .toList();
    }

    private static String channels(PlanRow row) {
        List<String> parts = new ArrayList<>();
        if (!row.offsets().isEmpty()) {
            parts.add("input "
                    + Wording.list(row.offsets().stream()
                                    .map(offset -> (offset < 0 ? "−" : "+") + megahertz(Math.abs(offset)) + " MHz")
                                    .toList())
                            .replace(" and ", " or "));
        }
        if (!row.rasters().isEmpty()) {
            parts.add(String.join(
                            " or ",
                            row.rasters().stream()
                                    .map(Raster::step)
                                    .distinct()
                                    .map(step -> kilohertz(step))
                                    .toList())
                    + " kHz channels");
        }
        return String.join(", ", parts);
    }

    private static String megahertz(long hertz) {
        return java.math.BigDecimal.valueOf(hertz, 6).stripTrailingZeros().toPlainString();
    }

    private static String kilohertz(long hertz) {
        return java.math.BigDecimal.valueOf(hertz, 3).stripTrailingZeros().toPlainString();
    }
}
