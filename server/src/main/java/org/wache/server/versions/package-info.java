/**
 * Versions of a list:
 * seen, compared, brought back whole or entry by entry, copied and merged.
 */
package org.wache.server.versions;
