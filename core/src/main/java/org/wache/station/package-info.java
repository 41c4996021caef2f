/** The sums of a station: what it radiates, from where people are safe, what it draws, how far it reaches, how long its antenna is. */
package org.wache.station;
