/**
 * What those who run the server ask of it: whether it lives, whether it is ready,
 * and its figures for a monitor.
 */
package org.wache.server.health;
