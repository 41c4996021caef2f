/**
 * Frequencies, spans, emissions, tones and power:
 * exact arithmetic in hertz.
 */
package org.wache.signal;
