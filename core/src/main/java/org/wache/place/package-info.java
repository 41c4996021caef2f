/**
 * Places on the earth:
 * circles, boxes, outlines and borders, and whether one is inside.
 */
package org.wache.place;
