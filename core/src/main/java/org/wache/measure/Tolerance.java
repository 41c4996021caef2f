package org.wache.measure;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.wache.audit.finding.Sum;
import org.wache.audit.finding.Wording;
import org.wache.rulebook.Edition;
import org.wache.rulebook.MeasurementRow;
import org.wache.rulebook.Service;
import org.wache.signal.Frequency;
import org.wache.signal.Watts;

/**
 * Holds measurements against the limits of the rulebook. Sources: 47 CFR 97.307 for spurious emissions of amateur
 * stations, Parts 90 and 95 for others, and the trade's practice where the law names no figure.
 */
public final class Tolerance {

    private static final double MICRO = 1e6;
    private static final double PERCENT = 100;
    private static final double ROUNDING = 1e-9;
    /** Decibels are read to a tenth: 5 W needs 53 dB, not 53.01. */
    private static final double HALF_A_TENTH = 0.05;

    private final Edition edition;
    private final String service;

    /** Limits as they hold in a service. */
    public Tolerance(Edition edition, String service) {
        this.edition = edition;
        this.service = service;
    }

    /** Holds a measurement against its limit; empty where the rulebook has none. */
    public Optional<Judged> judge(Measurement measurement) {
        return edition.measurementLimits()
                .of(measurement.kind().key(), service, measurement.narrow(), measurement.at())
                .map(row -> switch (measurement.kind()) {
                    case OUTPUT_POWER -> power(measurement, row);
                    case FREQUENCY_ERROR -> frequency(measurement, row);
                    case PEAK_DEVIATION -> deviation(measurement, row);
                    case TONE_DEVIATION -> tone(measurement, row);
                    case SPURIOUS -> spurious(measurement, row);
                });
    }

    private String source(MeasurementRow row) {
        boolean section = Character.isDigit(row.source().charAt(0));
        return section ? edition.cite(row.source()) : row.source();
    }

    private Judged power(Measurement m, MeasurementRow row) {
        double decibels = decibels(m.measured() / m.nominal());
        double within = row.figure("within_db").orElseThrow();
        double over = (m.measured() / m.nominal() - 1) * PERCENT;
        boolean tooStrong = row.figure("over_percent").isPresent()
                && over > row.figure("over_percent").getAsDouble() * (1 + ROUNDING);
        boolean in = Math.abs(decibels) <= within * (1 + ROUNDING) && !tooStrong;
        Sum sum = Sum.of(number(m.measured(), 3), "W", "measured")
                .limit(number(m.nominal(), 3), "W", "rated")
                .gives(signed(decibels, 2), "dB", "10·log of their ratio")
                .limit("±" + number(within, 1), "dB", "tolerance");
        if (row.figure("over_percent").isPresent()) {
            sum = sum.gives(signed(over, 1), "%", "over what is rated")
                    .limit(number(row.figure("over_percent").getAsDouble(), 0), "%", "at most");
        }
        return new Judged(
                in,
                "Output " + number(m.measured(), 3) + " W is " + signed(decibels, 1) + " dB from the rated "
                        + number(m.nominal(), 3) + " W.",
                sum,
                source(row));
    }

    private Judged frequency(Measurement m, MeasurementRow row) {
        double hertz = (m.measured() - m.nominal()) * 1e6;
        double ppm = hertz / m.nominal();
        double most = row.figure("ppm").orElseThrow();
        Sum sum = Sum.of(number(m.measured(), 6), "MHz", "measured")
                .step("−", number(m.nominal(), 6), "MHz", "nominal")
                .gives(signed(hertz, 0), "Hz", "off")
                .step("÷", number(m.nominal(), 6), "MHz", "nominal")
                .gives(signed(ppm, 2), "ppm", "off")
                .limit("±" + number(most, 1), "ppm", "tolerance");
        return new Judged(
                Math.abs(ppm) <= most + ROUNDING,
                "It is " + signed(hertz, 0) + " Hz off at " + m.at() + ": " + signed(ppm, 2) + " ppm of "
                        + number(most, 1) + ".",
                sum,
                source(row));
    }

    private Judged deviation(Measurement m, MeasurementRow row) {
        double most = row.figure("khz").orElseThrow();
        Sum sum = Sum.of(number(m.measured(), 2), "kHz", "peak deviation")
                .limit(number(most, 1), "kHz", "at most on a " + (m.narrow() ? "narrow" : "wide") + " channel");
        return new Judged(
                m.measured() <= most + ROUNDING,
                "Peak deviation " + number(m.measured(), 2) + " kHz of at most " + number(most, 1) + ".",
                sum,
                source(row));
    }

    private Judged tone(Measurement m, MeasurementRow row) {
        double from = row.figure("from_hz").orElseThrow();
        double to = row.figure("to_hz").orElseThrow();
        Sum sum = Sum.of(number(m.measured(), 0), "Hz", "tone deviation")
                .limit(
                        number(from, 0) + "–" + number(to, 0),
                        "Hz",
                        "usual on a " + (m.narrow() ? "narrow" : "wide") + " channel");
        return new Judged(
                m.measured() >= from - ROUNDING && m.measured() <= to + ROUNDING,
                "Tone deviation " + number(m.measured(), 0) + " Hz; usual are " + number(from, 0) + " to "
                        + number(to, 0) + ".",
                sum,
                source(row));
    }

    /** Decibels below the fundamental that are needed, with how they come about. */
    private Judged spurious(Measurement m, MeasurementRow row) {
        Watts fundamental = new Watts(m.nominal());
        Sum sum = Sum.of(fundamental.number(), "W", "mean power of the fundamental");
        double needed;
        if (row.figure("plus_db").isPresent()) {
            double plus = row.figure("plus_db").getAsDouble();
            needed = plus + decibels(m.nominal());
            sum = sum.step("", number(plus, 0) + " + 10·log " + fundamental.number(), "dB", "below it");
            if (row.figure("most_db").isPresent()
                    && needed > row.figure("most_db").getAsDouble()) {
                needed = row.figure("most_db").getAsDouble();
            }
        } else {
            needed = needed(m.nominal(), row);
        }
        double allowedMicrowatts = m.nominal() * MICRO / Math.pow(10, needed / 10);
        double foundMicrowatts = m.nominal() * MICRO / Math.pow(10, m.measured() / 10);
        sum = sum.gives(number(needed, 1), "dB", "needed below it: " + number(allowedMicrowatts, 1) + " µW")
                .limit(number(m.measured(), 1), "dB", "measured below it: " + number(foundMicrowatts, 1) + " µW")
                .rest(number(Math.abs(m.measured() - needed), 1), "dB", m.measured() < needed ? "missing" : "to spare");
        return new Judged(
                m.measured() >= needed - HALF_A_TENTH,
                emission(m) + " " + number(m.measured(), 1) + " dB below the fundamental; " + number(needed, 1)
                        + " dB are needed at " + fundamental + ".",
                sum,
                source(row));
    }

    /** What a spur is called, and whom it could disturb. */
    private String emission(Measurement m) {
        return m.spur().map(spur -> "The spur on " + spur + whose(spur) + " is").orElse("Spurious emissions are");
    }

    private String whose(Frequency spur) {
        List<String> services =
                edition.ashoreAt(spur).stream().map(Service::inText).toList();
        return services.isEmpty()
                ? edition.allocation(spur)
                        .map(row -> ", which belongs to " + row.whose() + ",")
                        .orElse("")
                : ", in " + Wording.list(services) + ",";
    }

    /** What is said of a measurement for which the rulebook has no limit. */
    public String unjudged(Measurement m) {
        String what = m.kind() == Measurement.Kind.SPURIOUS && m.spur().isPresent()
                ? emission(m) + " " + number(m.measured(), 1) + " dB below the fundamental"
                : m.kind().title() + " " + number(m.measured(), 6) + " "
                        + m.kind().unit();
        return what + ". It is kept and not judged: the rulebook has no limit for it.";
    }

    private static double needed(double watts, MeasurementRow row) {
        double least = row.figure("least_db").orElseThrow();
        if (row.figure("small_watts").isEmpty()
                || watts > row.figure("small_watts").getAsDouble()) {
            return least;
        }
        double forMicrowatts = decibels(watts * MICRO / row.figure("small_uw").orElseThrow());
        double both = Math.max(forMicrowatts, row.figure("small_least_db").orElseThrow());
        double enough = decibels(watts * MICRO / row.figure("enough_uw").orElseThrow());
        return Math.max(0, Math.min(both, enough));
    }

    private static double decibels(double ratio) {
        return 10 * Math.log10(ratio);
    }

    private static String number(double value, int decimals) {
        String text = String.format(Locale.ROOT, "%." + decimals + "f", value);
        return text.contains(".") ? text.replaceFirst("0+$", "").replaceFirst("\\.$", "") : text;
    }

    private static String signed(double value, int decimals) {
        String text = number(Math.abs(value), decimals);
        return (value < 0 && !text.equals("0") ? "−" : "+") + text;
    }
}
