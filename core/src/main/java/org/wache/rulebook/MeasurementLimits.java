package org.wache.rulebook;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wache.signal.Frequency;

/** What radios are held against on the bench. */
public final class MeasurementLimits {

    private final Map<String, List<MeasurementRow>> rows = new HashMap<>();

    private MeasurementLimits() {}

    static MeasurementLimits read(Row file) {
        MeasurementLimits limits = new MeasurementLimits();
        for (String kind : List.of("output_power", "frequency_error", "peak_deviation", "tone_deviation", "spurious")) {
            limits.rows.put(
                    kind, file.rows(kind).stream().map(MeasurementRow::read).toList());
        }
        return limits;
    }

    /** The limit for what is measured: the row that says most of the service, the width and the place. */
    public Optional<MeasurementRow> of(String kind, String service, boolean narrow, Frequency at) {
        return rows.getOrDefault(kind, List.of()).stream()
                .filter(row -> row.fits(service, narrow, at))
                .max(Comparator.comparingInt(MeasurementRow::narrowness));
    }
}
