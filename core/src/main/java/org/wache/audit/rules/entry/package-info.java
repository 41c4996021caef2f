/**
 * Rules of an entry by itself:
 * what cannot be read, what stands there twice, what contradicts its name.
 */
package org.wache.audit.rules.entry;
