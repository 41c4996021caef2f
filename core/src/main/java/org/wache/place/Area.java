package org.wache.place;

/** A part of the earth: where a list is used, or where a licence line holds. */
public sealed interface Area permits Circle, Box, Region {

    /** As findings name it: {@code 40 km around 45.2000° N 93.1000° W}. */
    String words();
}
