package org.wache.rulebook;

import java.util.List;
import java.util.Optional;
import org.wache.signal.Frequency;
import org.wache.signal.Span;

/**
 * Where a use other than direct and repeater is allowed.
 *
 * @param use as lists write it: {@code beacon}
 * @param only where it is allowed; empty for everywhere but {@code never}
 * @param never where it is not
 * @param elsewhere the widest signal allowed outside {@code only}; nothing is allowed there without it
 * @param power what it may send, when less than others
 * @param source section of the law
 */
public record SpecialUse(
        String use,
        List<Span> only,
        List<Span> never,
        Optional<WidthLimit> elsewhere,
        Optional<PowerLimit> power,
        String source) {

    public SpecialUse {
        only = List.copyOf(only);
        never = List.copyOf(never);
    }

    /** Whether it is allowed there without more. */
    public boolean allowed(Frequency frequency) {
        return (only.isEmpty() || only.stream().anyMatch(span -> span.contains(frequency)))
                && never.stream().noneMatch(span -> span.contains(frequency));
    }
}
