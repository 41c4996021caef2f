/**
 * What a group fills in and keeps under a name, such as a station:
 * the form as it was filled in, with versions and the log.
 */
package org.wache.server.forms;
