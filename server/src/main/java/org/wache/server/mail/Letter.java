package org.wache.server.mail;

/** A mail in plain text. */
record Letter(String to, String subject, String text) {}
