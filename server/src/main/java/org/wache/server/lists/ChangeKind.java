package org.wache.server.lists;

/** What a change does to an entry. */
public enum ChangeKind {
    EDIT,
    ADD,
    /** Takes it out; it is kept and can come back. */
    REMOVE,
    RESTORE
}
