package org.wache.server.papers;

/** What a party of the roster is. */
public enum PartyKind {
    PERSON,
    /** A household that shares a licence. */
    FAMILY,
    FIRM
}
