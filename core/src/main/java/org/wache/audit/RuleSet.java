package org.wache.audit;

import java.util.List;

/**
 * The rules of an audit, in the order in which findings are told.
 *
 * @param entry about the entry itself
 * @param stranded about entries without a route
 * @param route about each route
 */
public record RuleSet(List<EntryRule> entry, List<StrandedRule> stranded, List<RouteRule> route) {

  public RuleSet {
    entry = List.copyOf(entry);
    stranded = List.copyOf(stranded);
    route = List.copyOf(route);
  }

  /** All of them. */
  public List<Rule> all() {
    return java.util.stream.Stream.of(entry, stranded, route).flatMap(List::stream).map(Rule.class::cast).toList();
  }
}
