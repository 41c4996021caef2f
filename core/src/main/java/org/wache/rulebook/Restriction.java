package org.wache.rulebook;

/**
 * What a channel or span is kept for by law.
 *
 * @param purpose in words
 * @param source section of the law
 * @param inEmergency whether everybody may use it for that, when it comes to it
 */
public record Restriction(String purpose, String source, boolean inEmergency) {}
