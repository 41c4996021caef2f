/**
 * Fixed stations: antenna, feed line, exposure,
 * and their entries.
 */
package org.wache.server.stations;
