package org.wache.rulebook;

/** Whether a frequency belongs to a service. */
public enum Inclusion {
    /** It does not. */
    OUTSIDE,
    /** It lies between the service's channels. */
    NEAR,
    /** It does. */
    EXACT
}
