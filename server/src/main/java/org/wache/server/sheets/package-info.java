/**
 * Spreadsheets, read and written.
 * A cell is text, as it stands.
 */
package org.wache.server.sheets;
