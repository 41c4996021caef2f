/**
 * The database: its two roles, its migrations, what is swept daily,
 * and the small words that stores share.
 */
package org.wache.server.database;
