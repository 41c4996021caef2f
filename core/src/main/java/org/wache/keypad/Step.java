package org.wache.keypad;

import java.util.List;

/**
 * A step of entering a memory by hand.
 *
 * @param what what to do, in a few words
 * @param keys the keys to press, as they are printed; digits one by one
 * @param see what the display then shows
 * @param why what goes wrong otherwise; empty where that is plain
 */
public record Step(String what, List<String> keys, String see, String why) {}
