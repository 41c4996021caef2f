/**
 * A list in another country:
 * what of it may be keyed there, judged under that country's rulebook.
 */
package org.wache.server.abroad;
