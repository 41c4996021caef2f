/**
 * The screen of a group's own band plan:
 * tried against every list before it is saved.
 */
package org.wache.server.plans;
