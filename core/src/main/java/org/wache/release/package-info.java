/**
 * What goes out: the gate's sums,
 * what is handed to whom, and what would make it no longer right.
 */
package org.wache.release;
