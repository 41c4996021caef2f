package org.wache.rulebook;

import java.util.List;

/**
 * Under which parts of the rules a radio must be certified to transmit in a service.
 *
 * @param parts any one of them is enough
 * @param source section
 */
public record Certification(List<String> parts, String source) {}
