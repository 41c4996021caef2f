/**
 * Lines as people type them:
 * frequencies, shifts, tones, modes and names, with what was understood.
 */
package org.wache.typed;
