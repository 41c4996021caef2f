package org.wache.server.radios;

/** What a measurement comes to. */
enum MeasuredVerdict {
    IN,
    OUT,
    /** The rulebook has no limit for it. */
    UNJUDGED
}
