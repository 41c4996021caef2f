/**
 * Who may call what: one table of endpoints by role, held by two layers that share no parser.
 * What has no line in it is refused.
 */
package org.wache.server.access;
