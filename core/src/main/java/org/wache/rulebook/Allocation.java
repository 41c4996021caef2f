package org.wache.rulebook;

import org.wache.signal.Span;

/**
 * Whose a stretch of spectrum is.
 *
 * @param span where
 * @param whose who uses it
 * @param say what to tell about it
 * @param licensable whether a club, a family or a firm could be licensed there
 */
public record Allocation(Span span, String whose, String say, boolean licensable) {}
