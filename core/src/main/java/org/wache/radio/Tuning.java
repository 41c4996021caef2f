package org.wache.radio;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;

/**
 * How a radio is tuned. Empty lists mean that nothing is known.
 *
 * @param stepsHz steps in hertz, counted from 0 Hz
 * @param modes modes it has
 * @param errorPpm how far off its frequency may be, in millionths
 * @param fixed the only channels it has; empty for a radio whose memories are filled freely
 * @param table the only frequencies it has, named by their place in the table; empty for a radio that is tuned freely
 */
public record Tuning(
        List<Integer> stepsHz,
        List<Mode> modes,
        OptionalDouble errorPpm,
        List<Frequency> table,
        List<Tuning.FixedMemory> fixed) {

    /**
     * A channel that the maker put in for good.
     *
     * @param name its number or name on the radio
     * @param receive where it hears
     * @param transmit where it talks; empty when it only listens
     */
    public record FixedMemory(String name, Frequency receive, Optional<Frequency> transmit) {}

    /** @throws IllegalArgumentException when a step is not above 0 */
    public Tuning {
        stepsHz = List.copyOf(stepsHz);
        modes = List.copyOf(modes);
        table = List.copyOf(table);
        fixed = List.copyOf(fixed);
        if (stepsHz.stream().anyMatch(step -> step <= 0)) {
            throw new IllegalArgumentException("A step is above 0 Hz: " + stepsHz);
        }
    }

    /** Whether the frequency stands on one of the steps; yes when no step is known. */
    public boolean onStep(Frequency frequency) {
        if (stepsHz.isEmpty()) {
            return true;
        }
        for (int i = 0; i < stepsHz.size(); i++) {
            if (frequency.hertz() % stepsHz.get(i) == 0) {
                return true;
            }
        }
        return false;
    }

    /** What the radio makes of a frequency: the nearest on any of its steps, the lower one of two as near. */
    public Frequency rounded(Frequency frequency) {
        return stepsHz.stream()
                .map(step -> onStepOf(frequency.hertz(), step))
                .min(Comparator.comparingLong((Long hertz) -> Math.abs(hertz - frequency.hertz()))
                        .thenComparing(hertz -> hertz))
                .map(hertz -> new Frequency(Math.max(1, hertz)))
                .orElse(frequency);
    }

    private static long onStepOf(long hertz, int step) {
        long below = Math.floorDiv(hertz, step) * step;
        return hertz - below <= step / 2 ? below : below + step;
    }

    /** The place of the fixed channel with these frequencies, from 1; 0 when there is none. */
    public int fixedPlace(Frequency receive, Optional<Frequency> transmit) {
        for (int i = 0; i < fixed.size(); i++) {
            if (fixed.get(i).receive().equals(receive)
                    && fixed.get(i).transmit().equals(transmit)) {
                return i + 1;
            }
        }
        return 0;
    }

    /** The place of a frequency in the table, from 1; 0 when it is not there. */
    public int index(Frequency frequency) {
        return table.indexOf(frequency) + 1;
    }
}
