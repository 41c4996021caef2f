/**
 * How an entry is typed into a radio, press by press,
 * and what a press does.
 */
package org.wache.keypad;
