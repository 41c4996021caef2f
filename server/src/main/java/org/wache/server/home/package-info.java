/**
 * The first page: what there is to do, what time brings,
 * and the pulse by which pages learn what others did.
 */
package org.wache.server.home;
