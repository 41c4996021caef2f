/**
 * What is proposed for a whole list:
 * clear channels, another service, tones, an order, another country.
 */
package org.wache.propose;
