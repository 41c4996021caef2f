package org.wache.audit;

import java.util.List;
import org.wache.audit.finding.Finding;

/** A check of an entry that transmits where its holder has no route at all. */
public interface StrandedRule extends Rule {

    /** What it finds; an empty list when another rule has to say it. */
    List<Finding> on(Entry entry);
}
