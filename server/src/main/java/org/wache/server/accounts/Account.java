package org.wache.server.accounts;

/**
 * Someone who can sign in.
 *
 * @param id key
 * @param login what they sign in with
 * @param name what others see
 */
public record Account(long id, String login, String name) {}
