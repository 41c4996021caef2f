/**
 * A file on its way to becoming a list:
 * what each column and row is taken for, before anything is kept.
 */
package org.wache.server.intake;
