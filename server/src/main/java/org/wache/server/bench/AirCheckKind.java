package org.wache.server.bench;

/** What is checked on a radio. */
enum AirCheckKind {
    /** Two radios hear each other. */
    PAIR,
    /** A repeater answers. */
    REPEATER,
    /** A radio whose transmitter is to be off keys nowhere. */
    INHIBIT,
    /** An entry was keyed, and somebody heard it. */
    KEY,
    /** The lock of the keys holds. */
    LOCK,
    /** Outside its limits it does not key. */
    LIMITS
}
