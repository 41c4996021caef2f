/**
 * A list from nothing: which channels a set of teams needs so that everybody who must talk may, and, where there are none, the
 * smallest set of demands that contradict each other.
 */
package org.wache.planning;
