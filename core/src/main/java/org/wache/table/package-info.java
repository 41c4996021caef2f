/**
 * Free tables: what each column is,
 * and what each row becomes.
 */
package org.wache.table;
