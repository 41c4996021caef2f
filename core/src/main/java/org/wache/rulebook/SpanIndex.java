package org.wache.rulebook;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import org.wache.signal.Span;

/**
 * Finds the rows whose span holds a frequency, narrowest first, in logarithmic time. The axis is cut at every end into
 * points and the gaps between them, and each cut keeps its rows ready, so that a question allocates nothing.
 */
final class SpanIndex<T> {

    private final long[] ends;
    private final List<List<T>> at;
    private final List<List<T>> after;

    private SpanIndex(long[] ends, List<List<T>> at, List<List<T>> after) {
        this.ends = ends;
        this.at = at;
        this.after = after;
    }

    static <T> SpanIndex<T> of(List<T> rows, Function<T, Span> span) {
        long[] ends = rows.stream()
                .map(span)
                .flatMap(s -> java.util.stream.Stream.of(s.low(), s.high()))
                .mapToLong(Long::longValue)
                .sorted()
                .distinct()
                .toArray();
        List<T> narrowestFirst = new ArrayList<>(rows);
        narrowestFirst.sort(Comparator.comparingLong(row -> span.apply(row).length()));
        List<List<T>> at = new ArrayList<>();
        List<List<T>> after = new ArrayList<>();
        for (int i = 0; i < ends.length; i++) {
            long end = ends[i];
            long next = i + 1 < ends.length ? ends[i + 1] : end;
            at.add(narrowestFirst.stream()
                    .filter(row -> span.apply(row).contains(end))
                    .toList());
            after.add(narrowestFirst.stream()
                    .filter(row -> next > end
                            && span.apply(row).low() <= end
                            && span.apply(row).high() >= next)
                    .toList());
        }
        return new SpanIndex<>(ends, at, after);
    }

    /** The rows that hold this frequency in hertz, narrowest first. */
    List<T> at(long hertz) {
        int found = Arrays.binarySearch(ends, hertz);
        if (found >= 0) {
            return at.get(found);
        }
        int before = -found - 2;
        return before < 0 ? List.of() : after.get(before);
    }
}
