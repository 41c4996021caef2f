package org.wache.server.radios;

import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import org.springframework.stereotype.Component;
import org.wache.measure.Measurement;
import org.wache.server.rulebooks.Rulebooks;

/** Measurements that were written down elsewhere, taken in with their day. */
@Component
public class PastMeasurements {

    private final RadioStore radios;
    private final MeasurementStore store;
    private final Clock clock;
    private final Rulebooks rulebooks;

    PastMeasurements(RadioStore radios, MeasurementStore store, Clock clock, Rulebooks rulebooks) {
        this.rulebooks = rulebooks;
        this.radios = radios;
        this.store = store;
        this.clock = clock;
    }

    /** A measurement so many days ago. */
    public record Past(
            Measurement.Kind kind, String mhz, boolean narrow, String nominal, String measured, int daysAgo) {}

    /** Takes one in, held against the limits of its day. */
    public void add(long unit, long account, Past past) {
        LocalDate day = LocalDate.now(clock).minusDays(past.daysAgo());
        Measuring measuring = Measuring.of(
                new MeasurementController.Measured(
                        past.kind(),
                        past.mhz(),
                        past.narrow(),
                        past.nominal(),
                        past.measured(),
                        java.util.Optional.empty()),
                Fleet.model(radios.modelOf(radios.unitOf(unit).modelId())),
                rulebooks.ofGroup(radios.unitOf(unit).clubId()).on(day));
        store.add(unit, account, measuring, OffsetDateTime.now(clock).minusDays(past.daysAgo()));
    }
}
