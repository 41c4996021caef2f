package org.wache.server.accounts;

/**
 * Someone who can sign in.
 *
 * @param id key
 * @param login what they sign in with
 * @param name what others see
 * @param administrator whether they look after the installation
 */
public record Account(long id, String login, String name, boolean administrator) {}
