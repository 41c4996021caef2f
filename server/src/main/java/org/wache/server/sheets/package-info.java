/**
 * Lists as spreadsheets.
 * A cell is text, as it stands.
 */
package org.wache.server.sheets;
