/**
 * Many transmitters at one place:
 * products, nearness and which of them are keyed at once.
 */
package org.wache.server.site;
