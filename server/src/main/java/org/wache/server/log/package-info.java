/**
 * The log of the group:
 * written with each change, filtered and taken out, never altered.
 */
package org.wache.server.log;
