package org.wache.place;

/** How much of an area lies inside another. */
public enum Inside {
    ALL,
    PART,
    NONE
}
