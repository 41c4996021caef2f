package org.wache.rulebook;

import org.wache.signal.Span;

/**
 * Where repeaters are forbidden.
 *
 * @param span where
 * @param words what findings call it
 * @param source section of the law
 */
public record Ban(Span span, String words, String source) {}
