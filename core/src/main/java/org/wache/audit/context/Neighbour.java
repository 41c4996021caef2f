package org.wache.audit.context;

import java.util.Optional;
import org.wache.signal.Frequency;
import org.wache.signal.Tone;

/**
 * Somebody near who uses a frequency: another group, or a repeater.
 *
 * @param name as findings call them
 * @param frequency where they are heard
 * @param input where a repeater listens; empty for others
 * @param tone what they use, when known
 */
public record Neighbour(String name, Frequency frequency, Optional<Frequency> input, Optional<Tone> tone) {}
