/**
 * An operation: who is on which entry when, what they fall back on,
 * and what of it contradicts or leaves somebody unreached.
 */
package org.wache.operation;
