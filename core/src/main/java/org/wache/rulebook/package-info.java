/**
 * A country's law and plan as data, with the section behind each value,
 * read from files and additions, by day.
 */
package org.wache.rulebook;
