/**
 * The front end's logic, piece by piece and without a screen: axis and zoom, rows and grouping, changes and their
 * clashes, drafts, forms and what is wrong in them. They run in the browser that people have.
 */
package org.wache.pieces;
