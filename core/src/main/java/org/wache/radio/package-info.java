/**
 * Radios: what a model can, how one is set,
 * and what becomes of an entry in it.
 */
package org.wache.radio;
