package org.wache.keypad;

/**
 * What can be read on a radio, or heard and seen of one without a display.
 *
 * @param main what it is tuned to: a frequency, a memory, a channel; empty without a display
 * @param other what the other watch is tuned to; empty where there is none
 * @param storing whether the watch that is shown is the one that stores
 * @param watching whether the second watch is on
 * @param marks mode, width, power and tones of what is shown
 * @param menu the setting that is open; empty when none is
 * @param says what the voice said last; empty with a display
 * @param light the colour of the light; empty when it is off, or there is none
 */
public record Screen(
        String main,
        String other,
        boolean storing,
        boolean watching,
        String marks,
        String menu,
        String says,
        String light) {}
