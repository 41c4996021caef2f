package org.wache.radio;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.wache.signal.Span;
import org.wache.signal.Watts;

/**
 * The levels of power that a radio has in a band.
 *
 * @param band where
 * @param levels the levels, each with the name it has on the radio, in the radio's order
 */
public record PowerLevels(Span band, List<PowerLevels.Level> levels) {

    private static final double AS_GOOD_AS = 0.05;

    /** A level: its name on the radio, such as "low", and its output in watts. */
    public record Level(String name, Watts output) {}

    public PowerLevels {
        levels = List.copyOf(levels);
    }

    /** The level that gives this power, to 5 percent. */
    public Optional<Level> exactly(Watts power) {
        return levels.stream()
                .filter(each -> Math.abs(each.output().value() - power.value()) <= power.value() * AS_GOOD_AS)
                .findFirst();
    }

    /** The strongest level that is not above this power. */
    public Optional<Level> under(Watts power) {
        return levels.stream()
                .filter(each -> each.output().value() <= power.value() * (1 + 1e-9))
                .max(Comparator.comparingDouble(each -> each.output().value()));
    }

    /** The level that the radio is set to for a power: the same, else the next below, else its least. */
    public Level setFor(Watts power) {
        return exactly(power).or(() -> under(power)).orElseGet(this::least);
    }

    /** The weakest level. */
    public Level least() {
        return levels.stream()
                .min(Comparator.comparingDouble(each -> each.output().value()))
                .orElseThrow();
    }

    /** The levels as a message lists them: {@code 1, 4 and 5 W}. */
    public String words() {
        List<String> numbers =
                levels.stream().map(each -> each.output().number()).distinct().toList();
        return numbers.size() < 2
                ? String.join("", numbers) + " W"
                : String.join(", ", numbers.subList(0, numbers.size() - 1)) + " and " + numbers.get(numbers.size() - 1)
                        + " W";
    }
}
