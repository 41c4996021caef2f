package org.wache.server.mail;

/**
 * Something that somebody is told.
 *
 * @param said what tells it apart: what was said once is not said again
 * @param words a sentence
 * @param path the page that it is about, from the root of the server
 */
record Tiding(MailKind kind, String said, String words, String path) {}
