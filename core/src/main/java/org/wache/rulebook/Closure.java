package org.wache.rulebook;

import org.wache.place.Zone;
import org.wache.signal.Span;

/**
 * A part of a service's spectrum that is closed in a zone.
 *
 * @param service identifier of the service
 * @param span what is closed
 * @param words what findings call it
 * @param zone where
 * @param outside whether it is closed everywhere but there
 * @param ask whether to ask when it is not known where a list is used
 * @param source section of the law
 */
public record Closure(
        String service, Span span, String words, Zone zone, boolean outside, boolean ask, String source) {}
