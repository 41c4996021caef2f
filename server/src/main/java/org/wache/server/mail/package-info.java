/**
 * Mail: who is told what, where and when; off unless a server for it is set. It stands on the accounts, the roster, the releases and
 * the home page's marks; nothing stands on it.
 */
package org.wache.server.mail;
