package org.wache.audit.finding;

/** How much a finding weighs. */
public enum Severity {
    /** The entry may not go out like this. */
    HOLD,
    /** Somebody should look: legal, but against a plan or habit, or something needed is unknown. */
    QUERY
}
