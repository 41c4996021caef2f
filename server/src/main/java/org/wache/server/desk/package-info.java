/**
 * The Desk: a list with its verdicts, entry by entry,
 * what is typed tried at each keystroke, saved as one change, and undone.
 */
package org.wache.server.desk;
