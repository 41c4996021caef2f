/**
 * What is looked up:
 * who may key here, which edges a class has, what stands at a frequency.
 */
package org.wache.reference;
