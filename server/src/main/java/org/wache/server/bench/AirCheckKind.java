package org.wache.server.bench;

/** What is checked on the air: two radios with each other, one through a repeater, or that one is inhibited. */
enum AirCheckKind {
    PAIR,
    REPEATER,
    INHIBIT
}
