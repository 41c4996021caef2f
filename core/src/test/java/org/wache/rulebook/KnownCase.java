package org.wache.rulebook;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import org.wache.signal.Span;

/**
 * Something that is known of a country's rules from elsewhere than its files.
 *
 * @param about what is known, with its source
 * @param hertz the frequencies that it is about; none for all
 * @param file the file that says it, where that is no matter of verdicts
 * @param asked what a rulebook says of it
 * @param right what it has to say
 */
record KnownCase(
        String about,
        List<Long> hertz,
        Optional<String> file,
        Function<Rulebook, String> asked,
        Predicate<String> right) {

    /** How far from a row's frequencies a case may still hang on it: half a wide signal. */
    private static final long REACH = 60_000;

    String outcome(Rulebook rulebook) {
        return asked.apply(rulebook);
    }

    boolean near(List<Span> spans) {
        return spans.stream()
                .anyMatch(span -> hertz.stream().anyMatch(at -> at >= span.low() - REACH && at <= span.high() + REACH));
    }

    @Override
    public String toString() {
        return about;
    }
}
