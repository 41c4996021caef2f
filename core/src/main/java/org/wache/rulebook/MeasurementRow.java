package org.wache.rulebook;

import java.util.Optional;
import java.util.OptionalDouble;
import org.wache.signal.Frequency;
import org.wache.signal.Span;

/**
 * A limit that a radio is held against on the bench. Which figures a row has depends on what is measured.
 *
 * @param service the service it is for; empty for any
 * @param narrow for narrow channels only, for wide ones only, or empty for both
 * @param span where; empty for everywhere
 * @param figures the figures by name, as in the file
 * @param source section, or whose practice
 */
public record MeasurementRow(
        Optional<String> service,
        Optional<Boolean> narrow,
        Optional<Span> span,
        java.util.Map<String, Double> figures,
        String source) {

    private static final java.util.Set<String> WORDS = java.util.Set.of("service", "width", "mhz", "source");

    static MeasurementRow read(Row row) {
        java.util.Map<String, Double> figures = new java.util.TreeMap<>();
        row.keys().stream().filter(key -> !WORDS.contains(key)).forEach(key -> figures.put(key, row.number(key)));
        return new MeasurementRow(
                row.optional("service"),
                row.optional("width").map("narrow"::equals),
                row.has("mhz") ? Optional.of(row.span("mhz")) : Optional.empty(),
                figures,
                row.text("source"));
    }

    boolean fits(String wanted, boolean isNarrow, Frequency at) {
        return service.map(wanted::equals).orElse(true)
                && narrow.map(each -> each == isNarrow).orElse(true)
                && span.map(each -> each.contains(at)).orElse(true);
    }

    int narrowness() {
        return (service.isPresent() ? 4 : 0) + (narrow.isPresent() ? 2 : 0) + (span.isPresent() ? 1 : 0);
    }

    /** A figure of the row. */
    public OptionalDouble figure(String name) {
        return figures.containsKey(name) ? OptionalDouble.of(figures.get(name)) : OptionalDouble.empty();
    }
}
