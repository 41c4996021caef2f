package org.wache.keypad;

/**
 * Something that happened in a hand-held on a press of a key.
 *
 * @param what what happened
 * @param number the memory or the number typed, where there is one
 */
record Event(Event.What what, int number) {

    enum What {
        /** Digits were typed where the radio is in memory mode: they chose a memory. */
        CHOSE_MEMORY,
        /** There is no such memory, or it is empty. */
        NO_MEMORY,
        /** A frequency was typed in full. */
        TYPED,
        /** A frequency was typed and rounded to the step. */
        ROUNDED,
        /** A frequency that the radio does not hear. */
        OUTSIDE,
        /** Digits that made no whole frequency were dropped. */
        DROPPED,
        /** A setting was chosen by its number. */
        OPENED,
        /** There is no setting of that number. */
        NO_SETTING,
        /** A value was kept. */
        KEPT,
        /** A value was changed and left without keeping it. */
        LEFT,
        /** A value was changed in memory mode: the memory stays as it is. */
        KEPT_FOR_NOW,
        /** A number that was typed makes no value. */
        NO_VALUE,
        /** A memory was cleared. */
        CLEARED,
        /** Stored into an empty memory. */
        STORED,
        /** Stored into a memory that held something: taken as its transmit frequency. */
        STORED_TRANSMIT,
        /** Stored over what a memory held. */
        STORED_OVER,
        /** Storing was tried in memory mode. */
        NOT_STORED,
        /** The second watch was on: the other display was stored. */
        STORED_OTHER,
        /** A sequence of presses was begun and not finished. */
        BROKEN_OFF,
        /** Programming ended without saving: all of it is lost. */
        LOST,
        /** The key did nothing here. */
        NOTHING
    }

    static Event of(What what) {
        return new Event(what, 0);
    }
}
