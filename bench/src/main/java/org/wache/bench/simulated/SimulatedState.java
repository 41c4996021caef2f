package org.wache.bench.simulated;

import java.util.Map;
import org.wache.bench.image.RadioImage;

/**
 * What a simulated radio remembers when it is switched off.
 *
 * @param image its memories
 * @param lock its lock setting; empty when it has none
 * @param inhibited whether its transmitter is switched off
 * @param settings how what belongs to no channel is set, by what tells settings apart; one that is not there is as the radio comes
 */
public record SimulatedState(RadioImage image, String lock, boolean inhibited, Map<String, String> settings) {

    public SimulatedState {
        settings = Map.copyOf(settings);
    }

    /** A radio whose settings are as it comes. */
    public SimulatedState(RadioImage image, String lock, boolean inhibited) {
        this(image, lock, inhibited, Map.of());
    }
}
