package org.wache.rulebook;

import org.wache.signal.Watts;

/**
 * The most power allowed.
 *
 * @param watts the limit, itself allowed
 * @param measure how it is measured
 * @param source section of the law
 */
public record PowerLimit(Watts watts, Measure measure, String source) {}
