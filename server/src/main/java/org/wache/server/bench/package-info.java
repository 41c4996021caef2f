/**
 * Loading simulated radios with what was released:
 * runs that survive their server, and the log of each step.
 */
package org.wache.server.bench;
