package org.wache.audit;

import java.util.List;
import org.wache.audit.finding.Finding;

/** A check of an entry in one radio, whoever carries it. */
public interface FitRule extends Rule {

    /** What it finds; an empty list when all is well. */
    List<Finding> on(Fit fit);
}
