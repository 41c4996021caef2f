/**
 * Two lists side by side:
 * what differs, and one list made of both.
 */
package org.wache.compare;
