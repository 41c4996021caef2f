/**
 * Measurements of a radio against what the law allows,
 * with their sum.
 */
package org.wache.measure;
