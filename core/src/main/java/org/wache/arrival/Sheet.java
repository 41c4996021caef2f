package org.wache.arrival;

import org.wache.table.Table;

/**
 * A sheet of a workbook, or the only table of a text file.
 *
 * @param name what it is called; empty for a text file
 * @param table its cells
 */
public record Sheet(String name, Table table) {}
