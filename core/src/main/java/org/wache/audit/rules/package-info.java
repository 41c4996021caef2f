/**
 * All rules that there are, in the order in which they are told.
 * Each family has a room of its own.
 */
package org.wache.audit.rules;
