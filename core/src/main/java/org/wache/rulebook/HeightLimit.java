package org.wache.rulebook;

import org.wache.signal.Span;

/**
 * How high an antenna may stand.
 *
 * @param span where it holds
 * @param metres above the ground
 * @param say what else is allowed, in words; may be empty
 * @param source section of the law
 */
public record HeightLimit(Span span, double metres, String say, String source) {}
