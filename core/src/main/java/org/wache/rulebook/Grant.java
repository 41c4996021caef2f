package org.wache.rulebook;

import java.util.List;
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
 * @param source section of the law, as it is cited for the lowest class
 * @param byClass the sections as they are cited for each class; empty where they are the same for all
 */
public record Grant(
        String band,
        Span span,
        int lowestClass,
        int allow,
        Optional<String> restricted,
        String source,
        List<String> byClass) {

    public Grant {
        byClass = List.copyOf(byClass);
    }

    /** The section for the holder of a class. */
    public String source(int licenceClass) {
        return byClass.isEmpty() ? source : byClass.get(licenceClass);
    }
}
