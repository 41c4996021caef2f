package org.wache.server.radios;

/** How the work on a radio at the bench stands. */
public enum JobState {
    WAITING,
    RUNNING,
    /** Written, read back, and every key tried as it should be. */
    GOOD,
    /** It came off otherwise than it was wanted. */
    DIFFERS,
    /** It broke off. */
    FAILED,
    /** Somebody stopped it before it began. */
    STOPPED;

    /** Whether it has the radio in its hands, or will. */
    public boolean open() {
        return this == WAITING || this == RUNNING;
    }
}
