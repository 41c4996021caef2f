/** Rules about what transmitters at one site do to each other's receivers, and to people near them. */
package org.wache.audit.rules.site;
