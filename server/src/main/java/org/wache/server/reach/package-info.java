/**
 * Who can talk to whom with a list.
 * What is missing says why, and what the least is that would change it.
 */
package org.wache.server.reach;
