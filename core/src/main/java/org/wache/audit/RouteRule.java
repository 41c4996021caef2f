package org.wache.audit;

import java.util.List;
import org.wache.audit.finding.Finding;

/** A check of one route: an entry as one holder would use it in one service. */
public interface RouteRule extends Rule {

    /** What it finds; an empty list when all is well. */
    List<Finding> on(Route route);
}
