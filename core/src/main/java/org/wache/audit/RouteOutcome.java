package org.wache.audit;

import java.util.List;
import org.wache.audit.finding.Finding;

/**
 * What came of one way to use an entry.
 *
 * @param route the way: a service, and the licence for it
 * @param findings what was found on it
 */
public record RouteOutcome(Route route, List<Finding> findings) {

    /** Whether the entry may be used so. */
    public boolean legal() {
        return findings.stream().noneMatch(Finding::holds);
    }

    /** What makes it legal. */
    public Authority authority() {
        return Authorities.of(route);
    }
}
