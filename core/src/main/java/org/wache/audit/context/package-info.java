/**
 * What a list is held against beside its own entries:
 * the day, the edition, the place, the antenna, the neighbours and the house rules.
 */
package org.wache.audit.context;
