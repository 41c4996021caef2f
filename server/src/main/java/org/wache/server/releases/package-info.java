/**
 * The gate, releases, their papers and the cards of those who carry them;
 * what speaks against a release that is in use.
 */
package org.wache.server.releases;
