/**
 * Entries as they are typed into a radio,
 * and the trainer that follows each press.
 */
package org.wache.server.keypad;
