package org.wache.rulebook;

import org.wache.signal.Span;

/**
 * How near a transmitter may be to a receiver of the same site without filters.
 *
 * @param span where the receiver listens
 * @param least the least distance, hertz
 * @param source where the figure comes from
 */
public record Nearness(Span span, long least, String source) {}
