/**
 * Who may key what:
 * a list by the people who carry it, with the reason of each cell.
 */
package org.wache.server.matrix;
