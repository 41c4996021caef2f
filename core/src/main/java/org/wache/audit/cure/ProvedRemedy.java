package org.wache.audit.cure;

import java.util.List;
import org.wache.audit.Verdict;
import org.wache.audit.finding.Change;

/**
 * A change that was applied to a copy and audited again: the finding is gone for those whom it concerns, and nobody who
 * carries the list is worse off.
 *
 * @param change what to change
 * @param verdictAfter what came out for those whom the finding concerns
 * @param stillHeld names of the holders for whom the entry stays on hold, by reasons of their own
 */
public record ProvedRemedy(Change change, Verdict verdictAfter, List<String> stillHeld) {

    public ProvedRemedy {
        stillHeld = List.copyOf(stillHeld);
    }
}
