package org.wache.server.database;

/** Something that is kept for a while only. */
public interface Perishable {

    /** Takes away what has had its time; how much that was. */
    int sweep();
}
