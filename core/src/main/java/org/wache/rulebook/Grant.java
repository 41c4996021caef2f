package org.wache.rulebook;

import java.util.Optional;
import org.wache.signal.Span;

/**
 * One line of the privileges: from which class up, which span may carry what.
 *
 * @param band the band's usual name, such as 2 m
 * @param span limits included
 * @param lowestClass index into the service's classes
 * @param allow set of {@link org.wache.signal.Content} bits
 * @param restricted what the span is kept for, when not for ordinary stations
 * @param source section of the law
 */
public record Grant(String band, Span span, int lowestClass, int allow, Optional<String> restricted, String source) {}
