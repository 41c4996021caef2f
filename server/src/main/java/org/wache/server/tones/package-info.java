/**
 * What a group knows of tones:
 * its neighbours' and the tables of its radios.
 */
package org.wache.server.tones;
