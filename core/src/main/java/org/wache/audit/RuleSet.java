package org.wache.audit;

import java.util.List;

/**
 * The rules of an audit, in the order in which findings are told.
 *
 * @param entry about the entry itself
 * @param fit about each radio that it goes into
 * @param stranded about entries without a route
 * @param route about each route
 */
public record RuleSet(List<EntryRule> entry, List<FitRule> fit, List<StrandedRule> stranded, List<RouteRule> route) {

    public RuleSet {
        entry = List.copyOf(entry);
        fit = List.copyOf(fit);
        stranded = List.copyOf(stranded);
        route = List.copyOf(route);
    }

    /** All of them. */
    public List<Rule> all() {
        return java.util.stream.Stream.of(entry, fit, stranded, route)
                .flatMap(List::stream)
                .map(Rule.class::cast)
                .toList();
    }
}
