package org.wache.server.database;

/** Lets tests do at once what is done once a day. */
public final class Sweeps {

    /** The part of the application that does it. */
    public static final Class<?> DAILY = DailySweep.class;

    private Sweeps() {}

    /** Sweeps now; how much was taken away. */
    public static int now(Object daily) {
        return ((DailySweep) daily).sweep();
    }
}
