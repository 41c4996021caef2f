package org.wache.measure;

import org.wache.audit.finding.Sum;

/**
 * A measurement held against its limit.
 *
 * @param in whether it is within
 * @param message what is, in one sentence
 * @param sum the arithmetic
 * @param source section, or whose practice
 */
public record Judged(boolean in, String message, Sum sum, String source) {}
