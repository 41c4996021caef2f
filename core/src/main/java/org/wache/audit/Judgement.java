package org.wache.audit;

import java.util.List;
import java.util.Optional;
import org.wache.audit.finding.Finding;

/**
 * What an entry comes to for one set of licences.
 *
 * @param verdict what it comes to, the entry's own findings included
 * @param route the route that makes it legal
 * @param findings of the routes, the one to tell first in front
 */
public record Judgement(Verdict verdict, Optional<Route> route, List<Finding> findings) {}
