/**
 * Work that goes on beside whoever asked for it. It knows no other room.
 */
package org.wache.server.background;
