/**
 * Who holds what:
 * licences and the lines of an authorisation.
 */
package org.wache.licence;
