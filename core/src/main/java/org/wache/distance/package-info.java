/**
 * How far a signal carries over smooth ground, by published models without terrain:
 * what comes out is a word and its sum, never a promise.
 */
package org.wache.distance;
