package org.wache.bench.simulated;

import java.util.Optional;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;
import org.wache.signal.Tone;

/**
 * A signal on the air.
 *
 * @param frequency where
 * @param mode how it is modulated: wide and narrow FM do not hear each other well enough to count
 * @param tone what goes with it
 */
public record OnAir(Frequency frequency, Mode mode, Optional<Tone> tone) {}
