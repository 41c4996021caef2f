/**
 * The people, families and firms of a group,
 * with their licences and what a change of them does.
 */
package org.wache.server.roster;
