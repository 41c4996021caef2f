package org.wache.server.radios;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import org.wache.measure.Judged;
import org.wache.measure.Measurement;
import org.wache.measure.Tolerance;
import org.wache.radio.RadioModel;
import org.wache.rulebook.Edition;
import org.wache.rulebook.Service;
import org.wache.server.web.Refused;
import org.wache.signal.Frequency;

/**
 * A measurement as it was entered, understood and held against its limit.
 *
 * @param measurement understood
 * @param nominal the nominal figure as entered
 * @param measured the measured figure as entered
 * @param judged what it comes to; empty where the rulebook has no limit
 * @param message what is said of it
 */
record Measuring(Measurement measurement, String nominal, String measured, Optional<Judged> judged, String message) {

    private static final double MOST = 1e6;

    /**
     * Understands and judges a measurement on a radio of a model.
     *
     * @throws Refused when it cannot be understood
     */
    static Measuring of(MeasurementController.Measured given, RadioModel model, Edition edition) {
        Measurement measurement = measurement(given);
        Tolerance tolerance = new Tolerance(edition, service(model, edition, measurement.at()));
        Optional<Judged> judged = tolerance.judge(measurement);
        return new Measuring(
                measurement,
                given.nominal().strip(),
                given.measured().strip(),
                judged,
                judged.map(Judged::message).orElseGet(() -> tolerance.unjudged(measurement)));
    }

    /** The service in which a radio of this model is used there: one that it is certified for, else the one that the band plan is for. */
    static String service(RadioModel model, Edition edition, Frequency at) {
        List<String> parts = model.certifiedFor().orElse(List.of());
        return edition.servicesAt(at).stream()
                .filter(service -> service.traits()
                        .certification()
                        .filter(wanted -> wanted.parts().stream().anyMatch(parts::contains))
                        .isPresent())
                .map(Service::id)
                .findFirst()
                .orElse(edition.plan().service());
    }

    private static Measurement measurement(MeasurementController.Measured given) {
        Measurement.Kind kind = given.kind();
        Frequency at = Frequency.ofMegahertz(given.mhz().strip())
                .orElseThrow(() -> new Refused("“" + given.mhz() + "” is no frequency in MHz. Write it like 146.520."));
        boolean compared = kind == Measurement.Kind.OUTPUT_POWER || kind == Measurement.Kind.SPURIOUS;
        double nominal = kind == Measurement.Kind.FREQUENCY_ERROR
                ? at.hertz() / 1e6
                : compared
                        ? figure(
                                given.nominal(),
                                kind.title() + " needs the "
                                        + (kind == Measurement.Kind.SPURIOUS
                                                ? "mean power of the fundamental"
                                                : "rated power")
                                        + " in W, such as 5.")
                        : 0;
        return new Measurement(
                kind,
                at,
                given.narrow(),
                nominal,
                figure(given.measured(), "“" + given.measured() + "” is no figure. Write it like 4.6."),
                spur(given, at));
    }

    private static Optional<Frequency> spur(MeasurementController.Measured given, Frequency at) {
        String text = given.spurMhz().orElse("").strip();
        if (text.isEmpty() || given.kind() != Measurement.Kind.SPURIOUS) {
            return Optional.empty();
        }
        Frequency spur = Frequency.ofMegahertz(text)
                .orElseThrow(() -> new Refused("“" + text + "” is no frequency in MHz. Write it like 293.040."));
        if (spur.equals(at)) {
            throw new Refused("The spur lies on another frequency than the fundamental, " + at + ".");
        }
        return Optional.of(spur);
    }

    private static double figure(String text, String otherwise) {
        Optional<Double> value = Optional.empty();
        try {
            value = Optional.of(new BigDecimal(text.strip()).doubleValue()).filter(each -> each > 0 && each < MOST);
        } catch (NumberFormatException e) {
            // told below
        }
        return value.orElseThrow(() -> new Refused(otherwise));
    }
}
