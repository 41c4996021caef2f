/**
 * Operations of a group: which teams are on which entries of which lists, when,
 * what of it does not work, and its papers.
 */
package org.wache.server.operations;
