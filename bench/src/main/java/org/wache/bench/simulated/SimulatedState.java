package org.wache.bench.simulated;

import org.wache.bench.image.RadioImage;

/**
 * What a simulated radio remembers when it is switched off.
 *
 * @param image its memories
 * @param lock its lock setting; empty when it has none
 * @param inhibited whether its transmitter is switched off
 */
public record SimulatedState(RadioImage image, String lock, boolean inhibited) {}
