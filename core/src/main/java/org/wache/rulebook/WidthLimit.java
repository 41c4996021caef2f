package org.wache.rulebook;

/**
 * The widest signal allowed.
 *
 * @param hertz necessary bandwidth, itself allowed
 * @param source section of the law
 */
public record WidthLimit(long hertz, String source) {}
