package org.wache.station;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.wache.audit.finding.Sum;
import org.wache.rulebook.Edition;
import org.wache.rulebook.ExposureLimits;
import org.wache.rulebook.StationData;
import org.wache.signal.Content;
import org.wache.signal.Emission;
import org.wache.signal.Watts;
import org.wache.site.Exposure;

/**
 * From where people are safe of a station on one entry.
 *
 * @param radiated what it radiates
 * @param share share of its peak power that it sends on average over the time that limits are for
 * @param words how the share comes about
 * @param edition whose limits
 */
record ExposureFigures(Radiated radiated, double share, Sum words, Edition edition) {

    /** Processed speech fills half of the peaks: OET Bulletin 65, Supplement B, from memory. */
    private static final double PROCESSED = 0.5;

    static ExposureFigures of(Radiated radiated, Emission emission, Edition edition) {
        Station station = radiated.station();
        StationData.Duty duty = edition.stations().duty(emission.contents());
        boolean processed = station.processed() && emission.is(Content.SSB);
        double mode = processed ? PROCESSED : duty.share();
        double share = mode * station.keyedShare();
        Sum sum = Sum.of(Radiated.number(mode), "", processed ? "single sideband, processed" : duty.words())
                .step("×", Radiated.number(station.keyedShare()), "", "share of the time keyed")
                .gives(Radiated.number(share), "", "on average");
        return new ExposureFigures(radiated, share, sum, edition);
    }

    private Watts average() {
        return radiated.eirp().times(share);
    }

    Figure duty() {
        return new Figure(
                "duty",
                "Power on average",
                Radiated.number(share * 100),
                "%",
                words,
                edition.stations().dutySource());
    }

    /** The distance for a group of people; empty where the table says nothing. */
    Optional<Figure> distance(ExposureLimits.Group group) {
        return limit(group).map(limit -> {
            double value = limit.at(radiated.at());
            double formula = Exposure.distanceM(average().value(), value);
            double mhz = radiated.at().hertz() / 1e6;
            double near = Exposure.nearFieldM(mhz);
            double metres = Exposure.keepAwayM(formula, mhz);
            Sum sum = Sum.of(Radiated.number(radiated.eirp().value()), "W", "EIRP")
                    .step(
                            "×",
                            Radiated.number(share),
                            "",
                            "on average over " + edition.exposure().minutes(group) + " minutes")
                    .gives(Radiated.number(average().value()), "W", "average EIRP")
                    .limit(
                            String.format(Locale.ROOT, "%.3g", value),
                            "mW/cm²",
                            "limit, " + group.words() + ", at " + radiated.at())
                    .gives(Radiated.number(formula), "m", "√(0.64 · EIRP ÷ (π · limit))");
            if (formula < near) {
                sum = sum.limit(
                        Radiated.number(near),
                        "m",
                        "λ/2π: nearer than that a formula for the far field does not hold; this is the least");
            }
            sum = sum.gives(Radiated.number(metres), "m", "rounded up: from here on the limit is kept");
            return new Figure(
                    group == ExposureLimits.Group.GENERAL ? "exposure-general" : "exposure-occupational",
                    group == ExposureLimits.Group.GENERAL ? "Keep people away" : "Keep trained people away",
                    Radiated.number(metres),
                    "m",
                    sum,
                    "OET Bulletin 65 equation 6; " + edition.cite(limit.source()));
        });
    }

    private Optional<ExposureLimits.Limit> limit(ExposureLimits.Group group) {
        return edition.exposure().limit(group, radiated.at());
    }

    /** From where the station is exempt from a routine evaluation. */
    Optional<Figure> exempt() {
        return edition.exposure().exemption(radiated.at()).map(row -> {
            double mhz = radiated.at().hertz() / 1e6;
            double factor = row.at(radiated.at());
            Watts erp = radiated.erp().times(share);
            double metres = Exposure.exemptM(erp.value(), factor, mhz);
            double near = Exposure.nearFieldM(mhz);
            Sum sum = Sum.of(Radiated.number(erp.value()), "W", "average ERP")
                    .step("÷", String.format(Locale.ROOT, "%.3g", factor), "W/m²", "of the table at " + radiated.at())
                    .gives(Radiated.number(Math.sqrt(erp.value() / factor)), "m", "square root of it")
                    .limit(Radiated.number(near), "m", "λ/2π: nearer than that the table decides nothing");
            return new Figure(
                    "exempt",
                    "Exempt from",
                    Radiated.number(metres),
                    "m",
                    sum.gives(Radiated.number(metres), "m", "the larger of the two"),
                    edition.cite(row.source()));
        });
    }

    /** What share of a limit is used up at a distance. */
    Optional<Double> shareAt(ExposureLimits.Group group, double metres) {
        return limit(group).map(limit -> Exposure.density(average().value(), metres) / limit.at(radiated.at()));
    }

    List<Figure> all() {
        List<Figure> figures = new ArrayList<>(List.of(duty()));
        distance(ExposureLimits.Group.GENERAL).ifPresent(figures::add);
        distance(ExposureLimits.Group.OCCUPATIONAL).ifPresent(figures::add);
        exempt().ifPresent(figures::add);
        return figures;
    }
}
