/**
 * Models, units, who has them and what is in them,
 * with measurements and handing out.
 */
package org.wache.server.radios;
