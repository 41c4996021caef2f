/**
 * What a licence register says of a call sign,
 * from one that an installation names, or from an invented one.
 */
package org.wache.server.register;
