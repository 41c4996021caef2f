/**
 * Cures: changes that rules offer,
 * and the proof, by auditing anew, that each does what it says.
 */
package org.wache.audit.cure;
