/**
 * What is proposed for a whole list:
 * cures, names, tones, order, channels to add and to swap, each as a difference with its verdicts.
 */
package org.wache.server.proposals;
