package org.wache.server.lists;

/** Where a list is kept; one that follows another is where that one is. */
public enum Shelf {
    IN_USE,
    /** Out of the way, and as it was: it is still held against the rules, and its releases stand. */
    ARCHIVED,
    /** Nobody sees it any longer; it can be brought back. */
    DELETED
}
