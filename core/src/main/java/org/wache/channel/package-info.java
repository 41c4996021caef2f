/**
 * Entries and lists as they are,
 * with the texts as they were given beside what they mean.
 */
package org.wache.channel;
