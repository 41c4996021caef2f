/**
 * What an administrator adds to a rulebook:
 * tried against every list before it is put in force, and taken back as a whole.
 */
package org.wache.server.additions;
