package org.wache.audit;

import java.util.Locale;
import org.wache.audit.context.Antenna;
import org.wache.audit.finding.Sum;
import org.wache.rulebook.Measure;
import org.wache.rulebook.PowerLimit;
import org.wache.signal.Content;
import org.wache.signal.Watts;
import org.wache.site.Exposure;

/**
 * A transmitter's output reckoned in the measure of a limit.
 *
 * @param route what is transmitted, and with what antenna
 * @param output transmitter output as listed
 * @param limit what it is held against
 * @param factor what turns the output into the measure of the limit
 */
public record Reckoned(Route route, Watts output, PowerLimit limit, double factor) {

    /** AM at full modulation: PEP is four times the carrier. */
    private static final double AM_PEP = 4;

    private static final double ROUNDING = 1e-9;

    /** Reckons the output of a route in the measure of a limit. */
    public static Reckoned of(Route route, Watts output, PowerLimit limit) {
        return new Reckoned(route, output, limit, factor(route, limit.measure()));
    }

    private static double factor(Route route, Measure measure) {
        return switch (measure) {
            case PEP -> route.emission().is(Content.AM) ? AM_PEP : 1;
            case ERP -> route.antenna().factor();
            case EIRP -> route.antenna().factor() * Exposure.ISOTROPIC_OVER_DIPOLE;
            case OUTPUT, CARRIER -> 1;
        };
    }

    /** The arithmetic from the output to the measure of the limit. */
    public Sum sum() {
        Sum start = Sum.of(output.number(), "W", "transmitter output");
        return switch (limit.measure()) {
            case PEP ->
                factor == 1
                        ? start
                        : start.step("×", "4", "", "PEP of AM at full modulation")
                                .gives(power().number(), "W", "PEP");
            case ERP -> radiated(start);
            case EIRP ->
                radiated(start)
                        .step("×", "1.64", "", "dipole over isotropic (2.15 dB)")
                        .gives(power().number(), "W", "EIRP");
            case OUTPUT, CARRIER -> start;
        };
    }

    private Sum radiated(Sum start) {
        Antenna antenna = route.antenna();
        String of = antenna.known() ? "antenna gain less feed loss (dBd)" : "antenna assumed: 0 dBd, no feed loss";
        return start.step(
                        antenna.net().value() < 0 ? "−" : "+",
                        String.format(
                                Locale.ROOT, "%.1f", Math.abs(antenna.net().value())),
                        "dB",
                        of)
                .gives(output.times(antenna.factor()).number(), "W", "ERP");
    }

    /** The power in the measure of the limit. */
    public Watts power() {
        return output.times(factor);
    }

    /** Whether it is above the limit. */
    public boolean over() {
        return output.value() * factor > limit.watts().value() * (1 + ROUNDING);
    }

    /** The most output within the limit: the limit itself where it is a figure that people set, else the next lower of these. */
    public Watts mostOutput() {
        double exact = limit.watts().value() / factor;
        return new Watts(settable(exact));
    }

    /**
     * A power that people set, at or below an exact one: hundreds by tens, tens by one, under ten by one, under two by halves, under
     * one by tenths, below that by one figure. Common practice, no source.
     */
    private static double settable(double exact) {
        double step = exact >= 100
                ? 10
                : exact >= 2 ? 1 : exact >= 1 ? 0.5 : exact >= 0.1 ? 0.1 : Math.pow(10, Math.floor(Math.log10(exact)));
        double down = Math.floor(exact / step + ROUNDING) * step;
        return Math.round(down * 1e6) / 1e6;
    }
}
