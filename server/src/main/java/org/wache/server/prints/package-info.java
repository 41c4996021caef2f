/**
 * What is drawn on paper:
 * cards, sheets and codes as PDF, without knowing lists.
 */
package org.wache.server.prints;
