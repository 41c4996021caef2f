package org.wache.audit;

import java.util.List;
import org.wache.audit.finding.Finding;

/** A check of an entry that is the same whoever carries it. */
public interface EntryRule extends Rule {

    /** What it finds; an empty list when all is well. */
    List<Finding> on(Entry entry);
}
