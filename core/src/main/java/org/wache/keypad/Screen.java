package org.wache.keypad;

/**
 * What can be read on a hand-held.
 *
 * @param upper the upper display
 * @param lower the lower display
 * @param upperMarked whether the upper one is marked, which is the one that stores
 * @param watching whether the second watch is on
 * @param marks width, power and tones of what is marked
 * @param menu the setting that is open; empty when none is
 */
public record Screen(String upper, String lower, boolean upperMarked, boolean watching, String marks, String menu) {}
