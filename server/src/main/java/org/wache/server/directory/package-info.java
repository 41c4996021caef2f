/**
 * Repeaters near a list's place,
 * from a directory that an installation names, or from an invented one.
 */
package org.wache.server.directory;
