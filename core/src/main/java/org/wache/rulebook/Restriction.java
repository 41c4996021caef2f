package org.wache.rulebook;

/**
 * What a channel or span is kept for by law.
 *
 * @param purpose in words
 * @param source section of the law
 */
public record Restriction(String purpose, String source) {}
