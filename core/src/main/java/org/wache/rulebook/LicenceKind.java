package org.wache.rulebook;

/** How a service is licensed. */
public enum LicenceKind {
    /** Open to anyone. */
    NONE,
    /** One licence, no classes. */
    PLAIN,
    /** A licence with a class. */
    CLASS,
    /** Line by line: frequency, emission, power, place. */
    LINES
}
