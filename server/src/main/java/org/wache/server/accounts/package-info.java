/**
 * People who sign in: accounts, sessions, second factors, invitations, and what they are in a group.
 * Guesses are counted before they are looked at.
 */
package org.wache.server.accounts;
