package org.wache.station;

import java.util.Locale;
import java.util.Optional;
import org.wache.audit.context.Antenna;
import org.wache.audit.finding.Sum;
import org.wache.rulebook.CoaxTable;
import org.wache.rulebook.StationData;
import org.wache.signal.Decibels;
import org.wache.signal.Frequency;
import org.wache.signal.Watts;
import org.wache.site.Exposure;

/**
 * What a station radiates on a frequency.
 *
 * @param station the station
 * @param at the frequency
 * @param output what its transmitter puts out there
 * @param coax the line, where there is one
 * @param perHundred what the line loses on 100 m, dB
 */
record Radiated(Station station, Frequency at, Watts output, Optional<CoaxTable.Line> coax, double perHundred) {

    /** @throws IllegalArgumentException when the table has no such line */
    static Radiated of(Station station, Frequency at, Watts output, StationData data) {
        Optional<CoaxTable.Line> coax = station.line().map(name -> data.coax()
                .line(name)
                .orElseThrow(() -> new IllegalArgumentException("There is no line “" + name + "” in the table.")));
        return new Radiated(
                station,
                at,
                output,
                coax,
                coax.map(line -> line.lossPerHundredMetres(at)).orElse(0.0));
    }

    /** Loss of line and connectors, dB. */
    double lossDb() {
        return perHundred * station.lineM() / 100 + station.otherLossDb();
    }

    /** Gain less loss, as an audit takes it. */
    Antenna antenna() {
        return new Antenna(
                new Decibels(station.gainDbd()), new Decibels(lossDb()), true, java.util.OptionalDouble.empty());
    }

    Watts atAntenna() {
        return output.after(new Decibels(-lossDb()));
    }

    Watts erp() {
        return output.times(antenna().factor());
    }

    Watts eirp() {
        return erp().times(Exposure.ISOTROPIC_OVER_DIPOLE);
    }

    Figure loss() {
        Sum sum = coax.map(line -> Sum.of(number(perHundred), "dB", "of " + line.name() + " for 100 m on " + at)
                        .step("×", number(station.lineM()), "m", "length")
                        .step("÷", "100", "m", "as the table gives it")
                        .step("+", number(station.otherLossDb()), "dB", "connectors, filters, arresters"))
                .orElse(Sum.of(number(station.otherLossDb()), "dB", "connectors, filters, arresters; no line"));
        return new Figure(
                "line-loss",
                "Line loss",
                number(lossDb()),
                "dB",
                sum.gives(number(lossDb()), "dB", "lost before the antenna"),
                coax.map(CoaxTable.Line::source).orElse("as you gave it"));
    }

    Figure reaching() {
        return new Figure(
                "at-antenna",
                "At the antenna",
                number(atAntenna().value()),
                "W",
                Sum.of(output.number(), "W", "transmitter output = " + number(output.dbm()) + " dBm")
                        .step("−", number(lossDb()), "dB", "line loss")
                        .gives(
                                number(atAntenna().value()),
                                "W",
                                "reaches the antenna = " + number(atAntenna().dbm()) + " dBm"),
                "10 · log₁₀(W · 1000) dBm");
    }

    Figure effective() {
        return new Figure(
                "erp",
                "ERP",
                number(erp().value()),
                "W",
                Sum.of(number(output.dbm()), "dBm", "transmitter output, " + output)
                        .step("−", number(lossDb()), "dB", "line loss")
                        .step(
                                station.gainDbd() < 0 ? "−" : "+",
                                number(Math.abs(station.gainDbd())),
                                "dBd",
                                "antenna gain over a half-wave dipole")
                        .gives(number(erp().dbm()), "dBm", "ERP")
                        .gives(number(erp().value()), "W", "ERP"),
                "ERP = output − line loss + antenna gain (dBd)");
    }

    Figure isotropic() {
        return new Figure(
                "eirp",
                "EIRP",
                number(eirp().value()),
                "W",
                Sum.of(number(erp().value()), "W", "ERP")
                        .step("×", "1.64", "", "half-wave dipole over isotropic, 2.15 dB")
                        .gives(number(eirp().value()), "W", "EIRP = " + number(eirp().dbm()) + " dBm"),
                "dBi = dBd + 2.15; ERP × 1.64 = EIRP");
    }

    static String number(double value) {
        return String.format(
                Locale.ROOT, Math.abs(value) >= 100 ? "%.0f" : Math.abs(value) >= 10 ? "%.1f" : "%.2f", value);
    }
}
