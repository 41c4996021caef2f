/**
 * Fixed stations: antenna, feed line, exposure,
 * and their entries; where teams work.
 */
package org.wache.server.stations;
