package org.wache.audit;

import org.wache.audit.finding.Slug;

/** One check. Rules are pure: they read no clock, file or network. */
public interface Rule {

    /** Its name. */
    Slug slug();

    /** Its page in the documentation, with examples that are tested. */
    RulePage page();
}
