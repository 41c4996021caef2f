/**
 * Rules of tones and codes:
 * what opens a repeater, what comes too near another, what a table knows.
 */
package org.wache.audit.rules.tone;
