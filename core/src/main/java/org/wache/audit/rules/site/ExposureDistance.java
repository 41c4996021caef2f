package org.wache.audit.rules.site;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.wache.audit.Entry;
import org.wache.audit.EntryRule;
import org.wache.audit.RulePage;
import org.wache.audit.context.Antenna;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Sum;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.rulebook.ExposureLimits;
import org.wache.rulebook.StationData;
import org.wache.signal.Decibels;
import org.wache.signal.Frequency;
import org.wache.signal.Watts;
import org.wache.site.Exposure;

/** People may come nearer to the antenna than the distance from which the general limit of exposure is kept. */
public final class ExposureDistance implements EntryRule {

    /** How high a standing person reaches, metres. Common practice, no source. */
    private static final double PERSON_M = 2;

    @Override
    public Slug slug() {
        return Slug.EXPOSURE_DISTANCE;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                        "People may come too near to the antenna",
                        "For a fixed or mobile station whose antenna height is known: the distance from which the limit of power density "
                                + "for the general population is kept, by equation 6 of OET Bulletin 65 (with ground reflection), keyed all the "
                                + "time. Where people may stand nearer — under the antenna, 2 m of its height being theirs — it is asked. A "
                                + "hand-held at the body is judged by its type approval, not by this. It is a guide: the licensee answers for the "
                                + "evaluation.",
                        "Raise the antenna, keep people away while you transmit, use less power or key for less of the time.",
                        RulePage.entry("amateur:technician", "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=50"),
                        RulePage.entry("amateur:technician", "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5"))
                .within(
                        "{\"format\": \"wache-context/1\", \"site\": {\"antennaGainDbd\": 3, \"antennaHeightM\": 3.5}, \"houseRules\": "
                                + "{\"keyedTogether\": true}}");
    }

    @Override
    public List<Finding> on(Entry entry) {
        Antenna antenna = entry.context().antenna();
        Channel channel = entry.channel();
        if (antenna.heightM().isEmpty()
                || channel.transmit().isEmpty()
                || channel.power().isEmpty()
                || channel.emission().isEmpty()) {
            return List.of();
        }
        Optional<ExposureLimits.Limit> limit = entry.edition()
                .exposure()
                .limit(ExposureLimits.Group.GENERAL, channel.transmit().get());
        if (limit.isEmpty()) {
            return List.of();
        }
        double people = Math.max(0, antenna.heightM().getAsDouble() - PERSON_M);
        Frequency at = channel.transmit().get();
        StationData.Duty duty =
                entry.edition().stations().duty(channel.emission().get().contents());
        double eirp = channel.power().get().value() * antenna.factor() * Exposure.ISOTROPIC_OVER_DIPOLE;
        double distance = Exposure.distanceM(eirp * duty.share(), limit.get().at(at));
        double near = Exposure.nearFieldM(at.hertz() / 1e6);
        return distance <= people
                ? List.of()
                : List.of(Finding.query(Slug.EXPOSURE_DISTANCE)
                        .message(
                                "The general limit of exposure is kept from %s m on; people may come as near as %s m to the antenna.%s",
                                metres(distance),
                                metres(people),
                                distance < near
                                        ? " Both are nearer than λ/2π, " + metres(near)
                                                + " m, where that formula for the far field does not hold: ask for the tables of your antenna."
                                        : "")
                        .working(() -> sum(
                                channel.power().get(),
                                antenna,
                                duty,
                                eirp,
                                limit.get().at(at),
                                distance,
                                people))
                        .source(entry.edition().cite(limit.get().source()) + ", OET Bulletin 65 equation 6")
                        .advice(() -> List.of(
                                "It is a guide: the station's licensee answers for the evaluation. Averaged over "
                                        + entry.edition().exposure().minutes(ExposureLimits.Group.GENERAL)
                                        + " minutes, a station that is keyed for less of the time comes to less."))
                        .cures(() -> weaker(entry, distance, people)));
    }

    private static Sum sum(
            Watts output,
            Antenna antenna,
            StationData.Duty duty,
            double eirp,
            double limit,
            double distance,
            double people) {
        return Sum.of(output.number(), "W", "transmitter output")
                .step(
                        antenna.net().plus(Decibels.DIPOLE_OVER_ISOTROPIC).value() < 0 ? "−" : "+",
                        String.format(
                                Locale.ROOT,
                                "%.2f",
                                Math.abs(antenna.net()
                                        .plus(Decibels.DIPOLE_OVER_ISOTROPIC)
                                        .value())),
                        "dB",
                        "antenna gain (dBi) less feed loss")
                .gives(new Watts(eirp).number(), "W", "EIRP")
                .step("×", String.format(Locale.ROOT, "%.1f", duty.share()), "", duty.words())
                .limit(String.format(Locale.ROOT, "%.3g", limit), "mW/cm²", "general population")
                .gives(metres(distance), "m", "√(0.64 · EIRP ÷ (π · limit))")
                .limit(metres(people), "m", "antenna height less 2 m: where people may be");
    }

    private static List<Change> weaker(Entry entry, double distance, double people) {
        double share = people * people / (distance * distance);
        double watts = Math.floor(entry.channel().power().orElseThrow().value() * share);
        return watts < 1
                ? List.of()
                : List.of(Change.of("Set " + new Watts(watts), Field.POWER_W, new Watts(watts).number()));
    }

    /** Rounded up: a distance that is kept has to be enough. */
    private static String metres(double value) {
        return String.format(Locale.ROOT, "%.1f", Math.ceil(value * 10 - 1e-9) / 10);
    }
}
