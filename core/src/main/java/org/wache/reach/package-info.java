/**
 * Who can talk to whom: what each may key with the radios they have,
 * and what the radios of the others hear of it.
 */
package org.wache.reach;
