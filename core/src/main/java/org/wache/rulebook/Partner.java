package org.wache.rulebook;

import org.wache.signal.Frequency;

/**
 * The other end of a pair.
 *
 * @param frequency where it is
 * @param input whether the other end is the input: then the frequency asked about is an output
 * @param source section of the law, or the plan
 */
public record Partner(Frequency frequency, boolean input, String source) {}
